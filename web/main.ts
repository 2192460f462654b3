import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { opensAnewWhenRenewed } from './new-version.ts';
import { router } from './router.ts';
import { spelling } from './stores/spell.ts';
import { useTheme } from './stores/theme.ts';
import './style.css';

const app = createApp(App);
app.use(createPinia());
app.use(spelling);
useTheme();
opensAnewWhenRenewed(router);
app.use(router);
/** So long at most the page waits for its screen, ms: drawn at once it is drawn once. */
const PATIENCE_MS = 300;
void Promise.race([router.isReady(), new Promise((done) => setTimeout(done, PATIENCE_MS))])
  .catch(() => {})
  .then(() => app.mount('#app'));

// Only a built page has one; where browsers know none, or forbid it, everything but opening without a connection works.
if (import.meta.env.PROD && 'serviceWorker' in navigator) addEventListener('load', () => void navigator.serviceWorker.register('/sw.js').catch(() => {}));
