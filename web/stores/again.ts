import { useTimeoutFn } from '@vueuse/core';

/** What could not be asked is asked again after this time, then after twice as long, and so on up to the longest, ms. */
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 20_000;

/** Does something again after a while, each time a longer one, until it went well. */
export function useAgain(what: () => void): { later: () => void; wentWell: () => void } {
  let wait = FIRST_WAIT_MS;
  const timer = useTimeoutFn(what, () => wait, { immediate: false });
  return {
    later: () => {
      timer.start();
      wait = Math.min(wait * 2, LONGEST_WAIT_MS);
    },
    wentWell: () => {
      wait = FIRST_WAIT_MS;
      timer.stop();
    },
  };
}
