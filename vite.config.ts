import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  publicDir: false,
  base: '/build/',
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    sourcemap: false,
    // Fonts and pictures stay files: the content security policy allows no inline ones.
    assetsInlineLimit: 0,
    rollupOptions: { input: ['resources/js/main.tsx', 'resources/css/app.css'] },
  },
});
