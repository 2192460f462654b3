import { getCurrentInstance, onServerPrefetch } from 'vue';
import { hasComeAlong } from '../api/came-along.ts';

/** Loads what a screen shows first: at once, or in the first picture when the answer to it is there. */
export function loadFirst(path: () => string, load: () => Promise<void>): void {
  if (!import.meta.env.SSR) void load();
  else if (getCurrentInstance()) onServerPrefetch(() => (hasComeAlong(path()) ? load() : undefined));
}
