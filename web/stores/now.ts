import { useTimestamp } from '@vueuse/core';
import { onLook } from './looked-at.ts';

/** The time on this device, ms, brought up to date every few seconds and whenever the page is looked at again. */
export function useNow(everyMs = 15_000) {
  const now = useTimestamp({ interval: everyMs });
  const tick = () => (now.value = Date.now());
  onLook(tick);
  return { now, tick };
}
