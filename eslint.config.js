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
                group: [`../${place}/*`, `../../${place}/*`, `../../../${place}/*`],
                message: 'What is shared goes down: pages, then features, then parts, then lib, then types.',
            })),
        },
    ],
});

export default ts.config(
    { ignores: ['public', 'vendor', 'node_modules', 'storage'] },
    js.configs.recommended,
    ...ts.configs.strictTypeChecked,
    {
        files: ['**/*.{ts,tsx}'],
        plugins: { 'react-hooks': hooks },
        languageOptions: { globals: { ...globals.browser }, parserOptions: { projectService: true } },
        rules: {
            ...hooks.configs.recommended.rules,
            'no-console': 'error',
            'max-len': ['error', { code: 120, ignoreUrls: true }],
            complexity: ['error', 10],
            'no-nested-ternary': 'error',
            'max-lines-per-function': ['error', { max: 50, skipBlankLines: true, skipComments: true }],
            '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            eqeqeq: ['error', 'always', { null: 'ignore' }],
        },
    },
    // what a component draws is markup, which is long where a page is
    {
        files: ['resources/js/**/*.tsx'],
        rules: { 'max-lines-per-function': ['error', { max: 90, skipBlankLines: true, skipComments: true }] },
    },
    { files: ['resources/js/pages/**'], rules: { 'max-lines': ['error', { max: 150 }] } },
    { files: ['tests/**'], rules: { 'max-lines-per-function': 'off' } },
    { files: ['resources/js/features/**'], rules: noImports('pages', ...FEATURES) },
    { files: ['resources/js/parts/**'], rules: noImports('pages', 'features', ...FEATURES) },
    { files: ['resources/js/lib/**'], rules: noImports('pages', 'features', 'parts', ...FEATURES) },
    { files: ['resources/js/types/**'], rules: noImports('pages', 'features', 'parts', 'lib', ...FEATURES) },
);
