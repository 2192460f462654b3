import { spelled } from '@banter/core';
import { createRouter, START_LOCATION, type RouteLocation, type Router, type RouterHistory } from 'vue-router';
import { ASKED_EVERYWHERE, pageTitle } from './addresses.ts';
import { askEarly } from './api/early.ts';
import { routes } from './routes.ts';
import { useUnits } from './stores/units.ts';
import { useSession } from './stores/session.ts';

/** What an open screen is called in the browser's own bar. */
const titleOf = ({ meta }: RouteLocation): string => pageTitle(spelled(String(meta.title), useUnits().length));

/** The way from screen to screen. */
export function makeRouter(history: RouterHistory): Router {
  const router = createRouter({
    history,
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
    if (!import.meta.env.SSR) document.title = titleOf(to);
  });
  return router;
}
