import { join } from 'node:path';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig(({ mode }) => ({
  root: import.meta.dirname,
  plugins: [react(), tailwind()],
  worker: { format: 'es' },
  // The content security policy allows files of our own only, so nothing is inlined.
  build: {
    assetsInlineLimit: 0,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    outDir: mode === 'kit' ? 'dist-kit' : 'dist',
    // A phone gets a page of its own, on a port of its own.
    rollupOptions: { input: ['index.html', 'phone.html'].map((name) => join(import.meta.dirname, name)) },
  },
  server: {
    port: 4181,
    proxy: { '/api': { target: `http://127.0.0.1:${process.env.SARDONYX_PORT ?? 4180}`, changeOrigin: true } },
  },
}));
