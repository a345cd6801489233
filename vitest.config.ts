import { defineConfig } from 'vitest/config';
import { alias, texts } from './vite.shared';

export default defineConfig({
    resolve: { alias },
    plugins: texts,
    test: { include: ['tests/Frontend/**/*.test.ts'], setupFiles: ['resources/js/lib/texts.ts'] },
});
