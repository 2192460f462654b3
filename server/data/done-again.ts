import { setTimeout as pause } from 'node:timers/promises';
import { isDatabaseAway, isUndoneForAnother } from './database-away.ts';

/** How often a transaction that the database undid for another's sake is done in all, and one that it was away for. */
const MOST_TRIES = 12;
const MOST_TRIES_AWAY = 4;
/** Whoever waits has waited long enough when it hung: after so long it is tried once more at most, ms. */
const SOON_MS = 2_000;
/** Between two tries, ms, and longer with each, up to a longest. */
const PAUSE_MS = 25;
const LONGEST_PAUSE_MS = 400;

/**
 * What the database undid, or lost on the way, is done again whole: at once and often where two transactions waited for each other or wrote the
 * same row on two nodes of a cluster (the second learns so when it commits), a few times where it was away for a moment. Everything is kept by
 * the id its maker gave it, so that a commit that was kept and whose answer was lost is found there. Only the outermost transaction can be done
 * again: an inner one lies in what was undone.
 */
export async function doneAgain<T>(whole: () => Promise<T>): Promise<T> {
  const begun = performance.now();
  for (let tries = 1; ; tries += 1) {
    try {
      return await whole();
    } catch (error) {
      const mostAway = performance.now() - begun < SOON_MS ? MOST_TRIES_AWAY : 2;
      const most = isUndoneForAnother(error) ? MOST_TRIES : isDatabaseAway(error) ? mostAway : 1;
      if (tries >= most) throw error;
      // By chance, so that two that met do not meet again.
      await pause(Math.min(LONGEST_PAUSE_MS, tries * PAUSE_MS) * (0.5 + Math.random()));
    }
  }
}
