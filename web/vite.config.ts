import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { constants } from 'node:zlib';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { noChunkCircles } from './no-chunk-circles.ts';
import { sentAhead } from './sent-ahead.ts';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    vue(),
    tailwindcss(),
    noChunkCircles(),
    sentAhead(),
    // The pages lie on the device, so that the field log opens without a connection. Records are never cached here: each screen keeps its own.
    VitePWA({
      strategies: 'generateSW',
      registerType: 'autoUpdate',
      injectRegister: null,
      manifest: {
        name: 'Banter',
        short_name: 'Banter',
        description: 'Measures, sizes, fits and keeps the record of training collars.',
        start_url: '/field',
        display: 'standalone',
        background_color: '#e4e9e3',
        theme_color: '#1f4a45',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        clientsClaim: true,
        skipWaiting: true,
        cleanupOutdatedCaches: true,
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        sourcemap: false,
      },
    }),
    // Made small once, and not at every visit while others wait for the same processor. (Brotli, RFC 7932.)
    compression({
      include: /\.(js|css|wasm|svg)$/,
      algorithms: [defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }), defineAlgorithm('gzip', { level: 9 })],
    }),
  ],
  build: {
    outDir: '../dist',
    emptyOutDir: true,
    // Which files draw which part of the source: the server names those of a page's first picture.
    ssrManifest: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    // The few styles of one screen alone come with all others, in the head of the page: none is asked for once the picture has come.
    cssCodeSplit: false,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        chunkFileNames: ({ name }) => `assets/${name.startsWith('shared') ? 'shared' : '[name]'}-[hash].js`,
        // What screens share goes into few files: a phone pays for each one that it fetches, however small.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], priority: 3 },
            // What the open pages show, and the list of keys, with all that they need: they come without what only screens of who is signed in share.
            { name: 'open', test: /[\\/]web[\\/]views[\\/](Welcome|SignIn|SignUp)View|[\\/]web[\\/]shell[\\/]KeysDialog/, priority: 2 },
            { name: 'shared', minShareCount: 12, priority: 1 },
            // What stands round every screen of who is signed in, but for what is looked for.
            { name: 'shell', test: /[\\/]web[\\/](shell[\\/](?!FindDialog)|parts[\\/]DrawingsDialog)/, priority: 0 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
});
