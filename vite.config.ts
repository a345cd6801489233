import inertia from '@inertiajs/vite';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { alias, texts } from './vite.shared';

export default defineConfig({
    resolve: { alias },
    plugins: [
        laravel({ input: ['resources/js/app.tsx'] }),
        inertia({ ssr: false }),
        react(),
        ...texts,
        tailwindcss(),
    ],
    build: { chunkSizeWarningLimit: 900 },
});
