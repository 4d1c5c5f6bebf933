import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [svelte(), tailwindcss()],
  build: {
    outDir: 'dist/site',
    emptyOutDir: true,
    target: 'es2023',
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    rolldownOptions: { checks: { bundlerTimings: false } }
  },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:7420', ws: true } } }
});
