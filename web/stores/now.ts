import { useIntervalFn } from '@vueuse/core';
import { onBeforeUnmount, ref } from 'vue';

/** The time on this device, ms, brought up to date every few seconds and whenever the page is looked at again. */
export function useNow(everyMs = 15_000) {
  const now = ref(Date.now());
  const tick = () => (now.value = Date.now());
  useIntervalFn(tick, everyMs);
  document.addEventListener('visibilitychange', tick);
  onBeforeUnmount(() => document.removeEventListener('visibilitychange', tick));
  return { now, tick };
}
