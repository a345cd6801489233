import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

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
            eqeqeq: ['error', 'always', { null: 'ignore' }],
        },
    },
);
