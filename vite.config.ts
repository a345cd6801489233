import inertia from '@inertiajs/vite';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

/** The routes' package comes with the server's. */
const ziggy = new URL('vendor/tightenco/ziggy/dist/index.esm.js', import.meta.url).pathname;

export default defineConfig({
    resolve: { alias: { 'ziggy-js': ziggy } },
    plugins: [laravel({ input: ['resources/js/app.tsx'] }), inertia({ ssr: false }), react(), tailwindcss()],
    build: { chunkSizeWarningLimit: 900 },
});
