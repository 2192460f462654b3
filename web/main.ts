import { createWebHistory } from 'vue-router';
import { tellsDevice } from './first-picture/device.ts';
import { hasFirstPicture, inPlaceOfPicture, scriptsOfPicture } from './first-picture/in-the-page.ts';
import { makeApp } from './make-app.ts';
import { opensAnewWhenRenewed } from './new-version.ts';
import './style.css';

const { app, router } = makeApp(createWebHistory(), hasFirstPicture() ? inPlaceOfPicture : undefined);
opensAnewWhenRenewed(router);
tellsDevice();
/** So long at most a page without a picture waits for its screen, ms: drawn at once it is drawn once. */
const PATIENCE_MS = 300;
const isReady = Promise.all([router.isReady(), scriptsOfPicture()]);
void (hasFirstPicture() ? isReady : Promise.race([isReady, new Promise((done) => setTimeout(done, PATIENCE_MS))]))
  .catch(() => {})
  .then(() => app.mount('#app'));

// Only a built page has one; where browsers know none, or forbid it, everything but opening without a connection works.
if (import.meta.env.PROD && 'serviceWorker' in navigator) {
  const register = () => void navigator.serviceWorker.register('/sw.js').catch(() => {});
  // After a picture the page may have loaded before this begins.
  if (document.readyState === 'complete') register();
  else addEventListener('load', register);
}
