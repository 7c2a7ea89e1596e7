import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Puts a compressed twin beside each text of the build, so that none is compressed while somebody waits. */
function compressed(): Plugin {
  return {
    name: 'compressed',
    apply: 'build',
    writeBundle({ dir = '' }) {
      const folder = join(dir, 'assets');
      for (const name of readdirSync(folder).filter((file) => /\.(js|css|svg)$/.test(file))) {
        const file = join(folder, name);
        if (statSync(file).size < 1_000) continue;
        const text = readFileSync(file);
        writeFileSync(`${file}.gz`, gzipSync(text, { level: 9 }));
        writeFileSync(
          `${file}.br`,
          brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } }),
        );
      }
    },
  };
}

/**
 * Leaves out a rule of daisyUI's for what it calls prose, of which there is none here: it asks of all that lies around an
 * element how its classes begin, so with it every change of a class made the browser style all within it anew.
 */
const WITHOUT_PROSE: Plugin = {
  name: 'without-prose',
  config: () => ({
    css: {
      postcss: {
        plugins: [
          {
            postcssPlugin: 'without-prose',
            Rule(rule) {
              if (rule.selector.includes('not-prose')) rule.remove();
            },
          },
        ],
      },
    },
  }),
};

const BASE =
  /node_modules\/(@tanstack|react|react-dom|react-router|scheduler|clsx|openapi-fetch)\/|lucide-react\/dist\/esm\/(icons\/x|\w+)\.m?js$|resources\/js\/(api|ui)\/(?!limits|useBegin|useExam|useKeptTick|Tick|Markdown|MathMarkdown|katex|remark|Media|Player|plain|LookFields|Figure|Table|Fold|Segments|Picture|ShareBar|Covered|download|useWidth|points|dates|Pages|OfExam|Select|DownloadButton|Opener|FileField|SearchField|useInAddress|zoom|useZoom|Closely|HowClose|minutes|TimeLeft)/;

/** And what every screen with questions needs. */
const QUESTIONS =
  /resources\/js\/features\/(library|question)\/(?!Library|libraryFilters|CloseWords|Anew|SectionPage|NoteText|ReviewLink|CardForm|MakeCard|HighlightBar|kindNames|kinds\/(asked|drag|inWords|letters|Lettered|names|paper|\w+\/(Drag|paper|words)))|features\/sitting\/(sync\/|sittingStore|useSitting|tab)|resources\/js\/ui\/(HowClose|useZoom)/;

/** And what a sitting needs at once. */
const SITTING =
  /features\/sitting\/(?!tryout\/|Briefing|ReadingTime|packs\/(handbooks|TakeAlong|PackedReasons|OnThisDevice|take)|kit\/(Calculator|calculate|MoreTools|OwnClockTool|Tables|Scratch|pad)|ShortcutSettings)|result\/openSection/;

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    WITHOUT_PROSE,
    compressed(),
    // The worker speaks for the whole site, so it lies at its root.
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'resources/js/worker',
      filename: 'sw.ts',
      outDir: 'public',
      injectRegister: false,
      manifest: false,
      injectManifest: {
        globDirectory: 'public',
        globPatterns: ['build/assets/*.{js,css,woff2,svg}', 'icon.svg', 'manifest.webmanifest'],
        maximumFileSizeToCacheInBytes: 3_000_000,
      },
    }),
  ],
  resolve: {
    alias: {
      '@ungap/structured-clone': fileURLToPath(new URL('resources/js/ui/structuredClone.ts', import.meta.url)),
      // What reads KaTeX's markup, without a parser of its own.
      'hast-util-from-html-isomorphic': fileURLToPath(new URL('resources/js/ui/katexMarkup.ts', import.meta.url)),
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
    rolldownOptions: {
      input: ['resources/js/main.tsx', 'resources/css/app.css'],
      // What every screen needs comes in one file: a dozen small ones cost more in heads than in text.
      output: {
        codeSplitting: {
          groups: [
            { name: 'base', test: BASE },
            { name: 'questions', test: QUESTIONS },
            { name: 'sitting', test: SITTING },
          ],
        },
      },
    },
  },
});
