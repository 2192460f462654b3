import { createPinia, type Pinia } from 'pinia';
import { createApp, type App as VueApp, type Component } from 'vue';
import type { Router, RouterHistory } from 'vue-router';
import App from './App.vue';
import { makeRouter } from './router.ts';
import { spelling } from './stores/spell.ts';
import { useTheme } from './stores/theme.ts';

/** Banter's pages: in a browser, and where the first picture of a page is drawn. `inside`: what they stand in. */
export function makeApp(history: RouterHistory, inside: (pages: Component) => Component = (pages) => pages): { app: VueApp; router: Router; pinia: Pinia } {
  const app = createApp(inside(App));
  const pinia = createPinia();
  app.use(pinia);
  app.use(spelling);
  useTheme();
  const router = makeRouter(history);
  app.use(router);
  return { app, router, pinia };
}
