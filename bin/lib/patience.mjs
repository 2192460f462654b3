/** How long something that died is started again, and at what pauses. */

/** So long it is tried without coming up once, ms. */
export const PATIENCE_MS = 600_000;
const FIRST_MS = 250;
const LONGEST_MS = 15_000;
/** What stayed up for so long and died is a new case, tried at once. */
const SETTLED_MS = 60_000;

/**
 * The pauses between tries: none before the first, then twice as long each time, up to a quarter of a minute.
 * @param {{ patienceMs?: number, now?: () => number }} options
 * @returns {{ next: (lastUpAt?: number) => number | null }} the pause before the next try, ms; null when patience has run out since it was up last
 */
export function retryPatience({ patienceMs = PATIENCE_MS, now = Date.now } = {}) {
  let tries = 0;
  const begunAt = now();
  return {
    next(lastUpAt = begunAt) {
      if (now() - Math.max(begunAt, lastUpAt) >= patienceMs) return null;
      const wait = tries === 0 ? 0 : Math.min(LONGEST_MS, FIRST_MS * 2 ** (tries - 1));
      tries += 1;
      return wait;
    },
  };
}

/**
 * The same for a program that is started anew each time it ends: one that had settled begins again without a pause.
 * @param {{ patienceMs?: number, now?: () => number }} options
 */
export function restartPatience({ patienceMs = PATIENCE_MS, now = Date.now } = {}) {
  let patience = retryPatience({ patienceMs, now });
  return {
    /** @param {number} startedAt when the one that has ended was started, ms */
    next(startedAt) {
      if (now() - startedAt >= SETTLED_MS) patience = retryPatience({ patienceMs, now });
      return patience.next();
    },
  };
}
