import vue from '@vitejs/plugin-vue';
import { defineConfig, type Plugin } from 'vite';

/** Where Vue forgets, while it renders to text, what it has worked out as soon as anything at all changes. */
const FORGETS = '!computed.isSSR && ';

/**
 * What is worked out of a page is kept until what it was worked out from changes, as in the browser: a dog's neck would be worked out four times for
 * one picture. Vue 3.5 forgets it because, it says, nothing is tracked while it renders to text; but what is worked out tracks what it read by itself.
 */
const worksOutOnce = (): Plugin => {
  let isMended = false;
  return {
    name: 'works-out-once',
    transform(code) {
      if (!code.includes(FORGETS)) return null;
      isMended = true;
      return { code: code.replace(FORGETS, ''), map: null };
    },
    buildEnd(failed) {
      if (!failed && !isMended) this.error('Vue no longer forgets what is worked out while it renders to text: drop this.');
    },
  };
};

/** What the server draws by itself, from the same components as on the screen, rendered to text: the drawings on paper and the first picture of a page. */
export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue(), worksOutOnce()],
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
