import { useEventListener, useTimestamp } from '@vueuse/core';

/** The time on this device, ms, brought up to date every few seconds and whenever the page is looked at again. */
export function useNow(everyMs = 15_000) {
  const now = useTimestamp({ interval: everyMs });
  const tick = () => (now.value = Date.now());
  useEventListener(document, 'visibilitychange', tick);
  return { now, tick };
}
