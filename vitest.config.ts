import { defineConfig } from 'vitest/config';

/** The routes' package comes with the server's. */
const ziggy = new URL('vendor/tightenco/ziggy/dist/index.esm.js', import.meta.url).pathname;

export default defineConfig({
    resolve: { alias: { 'ziggy-js': ziggy } },
    test: { include: ['tests/Frontend/**/*.test.ts'] },
});
