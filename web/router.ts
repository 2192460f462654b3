import { spelled } from '@banter/core';
import { createRouter, createWebHistory, START_LOCATION } from 'vue-router';
import { ASKED_EVERYWHERE } from './addresses.ts';
import { askEarly } from './api/early.ts';
import { routes } from './routes.ts';
import { useUnits } from './stores/units.ts';
import { useSession } from './stores/session.ts';

export const router = createRouter({
  history: createWebHistory(),
  // A page that comes stands at its top by itself.
  scrollBehavior: (_to, from, saved) => saved ?? (from === START_LOCATION ? false : { top: 0 }),
  routes,
});

router.beforeEach(async (to, from) => {
  const session = useSession();
  // Who is there, the screen's script and what it shows are on their way at once.
  const script = to.matched.at(-1)?.components?.default as unknown;
  if (typeof script === 'function') void (script as () => Promise<unknown>)().catch(() => {});
  const asks = to.meta.asks?.(to) ?? [];
  const shown = from.meta.asks?.(from) ?? [];
  const first = !session.known;
  const askAtOnce = () => {
    for (const path of asks) if (!shown.includes(path)) askEarly(path);
    if (first) askEarly(ASKED_EVERYWHERE.whatIsWorn);
  };
  const mayBeIn = session.mayBeIn();
  if (mayBeIn) askAtOnce();
  if (first) await session.look().catch(() => {});
  // On a device that did not know it before.
  if (!mayBeIn && session.me) askAtOnce();
  if (session.me && to.name === 'welcome') return { name: 'dogs' };
  if (!session.me && !to.meta.open) return { name: 'sign-in', query: { to: to.fullPath } };
  return true;
});

router.afterEach((to) => {
  document.title = to.meta.title === 'Banter' ? 'Banter' : `${spelled(String(to.meta.title), useUnits().length)} · Banter`;
});
