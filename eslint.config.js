import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

/** What several features need is a part; none of them looks into another. */
const FEATURES = readdirSync('resources/js/features');

/** Pages use features and parts, those use helpers, helpers use types; nothing looks back. */
const noImports = (...places) => ({
    'no-restricted-imports': [
        'error',
        {
            patterns: places.map((place) => ({
                group: [`**/${place}/*`, `**/${place}`],
                message: 'What is shared goes down: pages, then features, then parts, then lib, then types.',
            })),
        },
    ],
});

export default ts.config(
    { ignores: ['public', 'vendor', 'node_modules', 'storage'] },
    js.configs.recommended,
    ...ts.configs.strict,
    {
        files: ['**/*.{ts,tsx}'],
        plugins: { 'react-hooks': hooks },
        languageOptions: { globals: { ...globals.browser } },
        rules: {
            ...hooks.configs.recommended.rules,
            'no-console': 'error',
            'max-len': ['error', { code: 120, ignoreUrls: true }],
            eqeqeq: ['error', 'always', { null: 'ignore' }],
        },
    },
    { files: ['resources/js/features/**'], rules: noImports('pages', ...FEATURES) },
    { files: ['resources/js/parts/**'], rules: noImports('pages', 'features', ...FEATURES) },
    { files: ['resources/js/lib/**'], rules: noImports('pages', 'features', 'parts', ...FEATURES) },
    { files: ['resources/js/types/**'], rules: noImports('pages', 'features', 'parts', 'lib', ...FEATURES) },
);
