import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

/** The drawings for themselves, for the server to put on paper: the same components as on the screen, rendered to text. */
export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue()],
  ssr: { noExternal: true },
  build: { ssr: 'paper/paper-drawings.ts', outDir: '../build', emptyOutDir: true, target: 'node20', copyPublicDir: false },
});
