import { createPinia, type Pinia } from 'pinia';
import { createApp, type App as VueApp } from 'vue';
import type { Router, RouterHistory } from 'vue-router';
import App from './App.vue';
import { makeRouter } from './router.ts';
import { spelling } from './stores/spell.ts';
import { useTheme } from './stores/theme.ts';

/** Banter's pages: in a browser, and where the first picture of a page is drawn. */
export function makeApp(history: RouterHistory): { app: VueApp; router: Router; pinia: Pinia } {
  const app = createApp(App);
  const pinia = createPinia();
  app.use(pinia);
  app.use(spelling);
  useTheme();
  const router = makeRouter(history);
  app.use(router);
  return { app, router, pinia };
}
