import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.scss', 'resources/js/app.js'] })],
    build: { assetsInlineLimit: 0 },
    css: {
        preprocessorOptions: {
            scss: { silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'], quietDeps: true },
        },
    },
});
