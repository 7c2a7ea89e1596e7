import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // The browser's own parser, asked to read KaTeX's markup, reports each style in it as a breach of the content security
  // policy. The one in JavaScript is silent, and a quiet console is one in which a real breach is seen.
  resolve: {
    alias: {
      'hast-util-from-html-isomorphic': fileURLToPath(
        new URL('node_modules/hast-util-from-html-isomorphic/index.js', import.meta.url),
      ),
    },
  },
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
