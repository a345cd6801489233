import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import lingui from 'eslint-plugin-lingui';
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

/** What nobody reads: words of programs, addresses, styles, drawings; what only letters make a text. */
const NOT_SAID = {
    useTsTypes: true,
    ignore: [
        String.raw`^[^A-Za-z]*$`,
        String.raw`^[a-z][\w.:/-]*$`,
        String.raw`^[A-Z0-9_+-]+$`,
        String.raw`^\s*([/.#]|[a-z]+:|var\(|color-mix\()`,
        String.raw`^\d+px$`,
        // pieces of names, single keys, the names of formats
        String.raw`^\{[a-z]+\}`,
        String.raw`^\w  \w$`,
        '^(2d|JUnit|WebM|book book-.*)$',
    ],
    ignoreNames: [
        {
            regex: {
                pattern:
                    'className|style|href|url|path|key|role|type|accept|inputMode|points|transform|^d$|^id$|^fill$|^aria-',
            },
        },
        { regex: { pattern: '^[A-Z0-9_]+$' } },
    ],
    ignoreFunctions: [
        'classes',
        'Error',
        'to',
        'fetch',
        'ask',
        'matchMedia',
        '*.getContext',
        '*.append',
        '*.get',
        '*.endsWith',
        '*.includes',
        '*.matchMedia',
        '*.querySelector',
        '*.querySelectorAll',
        '*.closest',
        '*.matches',
        '*.split',
        '*.replaceAll',
        '*.toLocaleString',
        '*.toLocaleTimeString',
    ],
};

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
    // every text of the interface goes through the catalogue
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        ignores: ['resources/js/types/**', 'resources/js/app.tsx', 'resources/js/lib/{zone,own/disk}.ts'],
        plugins: { lingui },
        rules: { 'lingui/no-unlocalized-strings': ['error', NOT_SAID] },
    },
    { files: ['resources/js/pages/**'], rules: { 'max-lines': ['error', { max: 150 }] } },
    { files: ['tests/**'], rules: { 'max-lines-per-function': 'off' } },
    { files: ['resources/js/features/**'], rules: noImports('pages', ...FEATURES) },
    { files: ['resources/js/parts/**'], rules: noImports('pages', 'features', ...FEATURES) },
    { files: ['resources/js/lib/**'], rules: noImports('pages', 'features', 'parts', ...FEATURES) },
    { files: ['resources/js/types/**'], rules: noImports('pages', 'features', 'parts', 'lib', ...FEATURES) },
);
