import { houseOf, NeckPage, WEAR_HAPPENINGS, WearingPage, wornHere, type HappeningName, type NamedWear, type WearingNow } from '@banter/contract';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { send } from '../api/request.ts';
import { happeningsOf } from '../outbox/outbox-entry.ts';
import { useOffline } from './offline.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';

/** How often it is looked for, ms. */
const LOOK_AGAIN_MS = 60_000;

const isOfWear = (event: HappeningName): boolean => event === 'void' || (WEAR_HAPPENINGS as readonly HappeningName[]).includes(event);
const wearId = (dogId: string, collarId: string) => `${dogId} ${collarId}`;

/** What is on which dog of the kennel now, and what is wrong with that; kept fresh on every screen while somebody is signed in. */
export const useWearing = defineStore('wearing', () => {
  const session = useSession();
  const outbox = useOutbox();
  const offline = useOffline();
  const known = shallowRef<readonly WearingNow[]>([]);
  const ready = ref(false);
  /** What was told here of wearing and is not refused, by its id, with whether the kennel has it. */
  const toldHere = computed(() =>
    outbox.entries
      .filter(({ status }) => status !== 'refused')
      .flatMap((entry) => happeningsOf(entry).map((told) => ({ told, isKept: entry.status === 'kept' })))
      .filter(({ told }) => isOfWear(told.event)),
  );
  /** Of this the kennel's last word knew, since it was asked for later. */
  const heard = shallowRef<ReadonlySet<string>>(new Set());
  const unheard = computed(() => toldHere.value.flatMap(({ told, isKept }) => (isKept && heard.value.has(told.id) ? [] : [told])));

  async function look() {
    if (!session.me) {
      [known.value, ready.value] = [[], false];
      return;
    }
    const kept = new Set(toldHere.value.flatMap(({ told, isKept }) => (isKept ? [told.id] : [])));
    // A strip that cannot be brought up to date stays as it was; the screens themselves say when there is no connection.
    const page = await send('GET', '/api/wearing', WearingPage).catch(() => null);
    if (page) void offline.keep('/api/wearing', page);
    const shown = page ?? (known.value.length === 0 ? (await offline.recall('/api/wearing', WearingPage))?.body : null);
    if (!shown) return;
    known.value = shown.wearing;
    ready.value = true;
    if (page) heard.value = kept;
  }
  /** What the stream of Today says of it. */
  function hear(wearing: readonly WearingNow[]) {
    known.value = wearing;
    ready.value = true;
  }
  useIntervalFn(() => {
    if (!document.hidden) void look();
  }, LOOK_AGAIN_MS);
  watch(() => session.me?.person.id, look, { immediate: true });
  // Also what was sent from another screen than the one it was told on.
  watch(
    () => toldHere.value.filter(({ isKept }) => isKept).length,
    (now, before) => {
      if (now > before) void look();
    },
  );

  /** Names of what was put on here and the kennel does not tell yet, out of what this device knows of the dog. */
  const names = shallowRef<ReadonlyMap<string, NamedWear>>(new Map());
  watch(
    unheard,
    async (all) => {
      for (const told of all) {
        if (told.event !== 'put-on' || names.value.has(wearId(told.dogId, told.collarId))) continue;
        const neck = (await offline.recall(`/api/dogs/${told.dogId}/neck`, NeckPage))?.body;
        const collar = neck?.collars.find(({ id }) => id === told.collarId);
        if (!neck || !collar) continue;
        const named = { dogName: neck.dog.name, collarName: collar.name, kind: collar.kind };
        names.value = new Map([...names.value, [wearId(told.dogId, told.collarId), named]]);
      }
    },
    { immediate: true },
  );
  const wearing = computed(() =>
    session.kennel
      ? wornHere(known.value, unheard.value, {
          named: (dogId, collarId) => names.value.get(wearId(dogId, collarId)) ?? null,
          moveByHours: houseOf(session.kennel).rules.moveByHours,
        })
      : [],
  );
  return {
    wearing,
    /** Whether anything is known of it: until then it is not said that nothing is on. */
    ready,
    look,
    hear,
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
