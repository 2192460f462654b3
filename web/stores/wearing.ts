import { WEAR_HAPPENINGS, WearingPage, type HappeningName, type WearingNow } from '@banter/contract';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { send } from '../api/request.ts';
import { happeningsOf } from '../outbox/outbox-entry.ts';
import { useOffline } from './offline.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';

/** How often it is looked for, ms. */
const LOOK_AGAIN_MS = 60_000;

const isOfWear = (event: HappeningName): boolean => (WEAR_HAPPENINGS as readonly HappeningName[]).includes(event);

/** What is on which dog of the kennel now, and what is wrong with that; kept fresh on every screen while somebody is signed in. */
export const useWearing = defineStore('wearing', () => {
  const session = useSession();
  const outbox = useOutbox();
  const offline = useOffline();
  const known = ref<WearingNow[]>([]);
  async function look() {
    if (!session.me) {
      known.value = [];
      return;
    }
    // A strip that cannot be brought up to date stays as it was; the screens themselves say when there is no connection.
    const page = await send('GET', '/api/wearing', WearingPage).catch(() => null);
    if (page) void offline.keep('/api/wearing', page);
    const shown = page ?? (known.value.length === 0 ? (await offline.recall('/api/wearing', WearingPage))?.body : null);
    if (shown) known.value = shown.wearing;
  }
  useIntervalFn(() => {
    if (!document.hidden) void look();
  }, LOOK_AGAIN_MS);
  watch(() => session.me?.person.id, look, { immediate: true });
  /** How much of what was put on, moved and taken off here the kennel has by now: also what was sent from another screen than the one it was told on. */
  const keptOfWear = computed(
    () =>
      outbox.entries
        .filter(({ status }) => status === 'kept')
        .flatMap(happeningsOf)
        .filter(({ event }) => isOfWear(event)).length,
  );
  watch(keptOfWear, (now, before) => {
    if (now > before) void look();
  });
  /** What was taken off or moved here is so, also before the kennel has heard of it. */
  const wearing = computed(() => {
    const undone = new Set(outbox.told.flatMap((one) => (one.event === 'void' ? [one.eventId] : [])));
    const told = outbox.told.filter(({ id }) => !undone.has(id));
    return known.value.flatMap((one) => {
      const own = told.filter((event) => 'dogId' in event && 'collarId' in event && event.dogId === one.dogId && event.collarId === one.collarId);
      if (own.some(({ event, at }) => event === 'taken-off' && at > one.from)) return [];
      const moved = own.findLast((event) => event.event === 'moved' && event.at > (one.placeSince ?? one.from));
      // Where it goes next then, the kennel says.
      return moved?.event === 'moved' ? [{ ...one, clock: moved.clock, nextPlace: null, moveBy: null }] : [one];
    });
  });
  return {
    wearing,
    look,
    /** What must not go on, the longest so first. */
    alarms: computed(() =>
      wearing.value.flatMap((one) => one.alarms.filter(({ tone }) => tone === 'stop').map((alarm) => ({ ...alarm, ...one, since: alarm.from }))),
    ),
    /** What may have been taken off and not told. */
    asked: computed(() => wearing.value.filter(({ ask }) => ask)),
    /** What presses first: what breaks a rule, then what is to be moved, then what is on longest. */
    pressing: computed(() => {
      const rank = ({ alarms, moveBy }: WearingNow) => (alarms.length > 0 ? 0 : moveBy === null ? 2 : 1);
      return [...wearing.value].sort((a, b) => rank(a) - rank(b) || (a.moveBy ?? a.from).localeCompare(b.moveBy ?? b.from));
    }),
    on: (dogId: string) => wearing.value.filter((one) => one.dogId === dogId),
  };
});
