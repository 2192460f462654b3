import { asksAt } from '@banter/contract';
import type { RouteLocation, RouteRecordRaw } from 'vue-router';
import { ADDRESSES } from './addresses.ts';

declare module 'vue-router' {
  interface RouteMeta {
    title: string;
    open?: boolean;
    /** Where what the screen shows is asked for, beside its script. */
    asks?: (to: RouteLocation) => readonly string[];
  }
}

const VIEWS = import.meta.glob<{ default: object }>('./views/*View.vue');

/** Every screen as the router wants it. */
export const routes: readonly RouteRecordRaw[] = ADDRESSES.map(({ path, name, view, title, open, asks }) => ({
  path,
  name,
  component: VIEWS[`./views/${view}.vue`]!,
  meta: {
    title,
    ...(open ? { open } : {}),
    ...(asks ? { asks: ({ params }: RouteLocation) => asksAt(asks, params) } : {}),
  },
}));
