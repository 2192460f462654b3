import { WearingPage, type WearingNow } from '@banter/contract';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { send } from '../api/request.ts';
import { useSession } from './session.ts';

/** How often it is looked for, ms. */
const LOOK_AGAIN_MS = 60_000;

/** What is on which dog of the kennel now, and what is wrong with that; kept fresh on every screen while somebody is signed in. */
export const useWearing = defineStore('wearing', () => {
  const session = useSession();
  const wearing = ref<WearingNow[]>([]);
  async function look() {
    if (!session.me) {
      wearing.value = [];
      return;
    }
    // A strip that cannot be brought up to date stays as it was; the screens themselves say when there is no connection.
    const page = await send('GET', '/api/wearing', WearingPage).catch(() => null);
    if (page) wearing.value = page.wearing;
  }
  useIntervalFn(() => {
    if (!document.hidden) void look();
  }, LOOK_AGAIN_MS);
  watch(() => session.me?.person.id, look, { immediate: true });
  return {
    wearing,
    look,
    /** What must not go on, the longest so first. */
    alarms: computed(() =>
      wearing.value.flatMap((one) => one.alarms.filter(({ tone }) => tone === 'stop').map((alarm) => ({ ...alarm, ...one, since: alarm.from }))),
    ),
    /** What may have been taken off and not told. */
    asked: computed(() => wearing.value.filter(({ ask }) => ask)),
    on: (dogId: string) => wearing.value.filter((one) => one.dogId === dogId),
  };
});
