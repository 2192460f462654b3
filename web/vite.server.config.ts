import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

/** What the server draws by itself, from the same components as on the screen, rendered to text: the drawings on paper and the first picture of a page. */
export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue()],
  ssr: { noExternal: true },
  build: {
    ssr: true,
    rolldownOptions: { input: ['paper/paper-drawings.ts', 'first-picture/draw-first-picture.ts'].map((file) => `${import.meta.dirname}/${file}`) },
    outDir: '../build',
    emptyOutDir: true,
    target: 'node20',
    copyPublicDir: false,
  },
});
