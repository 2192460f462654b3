import { dressedDog, latestGirths, LockerPage, NeckPage, stackItems, currentFits, type DressingFacts } from '@banter/contract';
import { useIntervalFn } from '@vueuse/core';
import { computed, type ShallowUnwrapRef } from 'vue';
import { useDressing } from './dressing.ts';
import { useLoad } from './load.ts';
import { useNow } from './now.ts';
import { useSession } from './session.ts';
import { useLaidOver } from './laid-over.ts';
import { useOutbox } from './outbox.ts';
import { useTell, withTold } from './tell.ts';
import { useUnits } from './units.ts';
import { useWearing } from './wearing.ts';

/** How often what others did to the dog is looked for, ms. */
const LOOK_AGAIN_MS = 30_000;

/**
 * A dog as it stands dressed, always as of now, with what is being changed here laid over what is kept; what others record
 * meanwhile comes in by itself.
 */
export function useNeck(dogId: string) {
  const session = useSession();
  const units = useUnits();
  const outbox = useOutbox();
  const laid = useLaidOver();
  const loaded = useLoad(() => `/api/dogs/${dogId}/neck`, NeckPage);
  /** All gear of the locker, once somebody chooses out of it. */
  const locker = useLoad(() => '/api/locker?shelf=gear', LockerPage, { later: true });
  const { now, tick } = useNow();
  const wearing = useWearing();
  async function load() {
    await Promise.all([loaded.load(), locker.data.value ? locker.load() : null]);
    tick();
    void wearing.look();
  }
  useIntervalFn(() => {
    if (!document.hidden && loaded.state.value === 'ready') void loaded.load();
  }, LOOK_AGAIN_MS);

  const usualStack = (): DressingFacts['stack'] => {
    const kept = loaded.data.value;
    return kept ? stackItems(kept, currentFits(kept)).map(({ entry }) => entry) : [];
  };
  const dressing = useDressing(dogId, loaded.data, usualStack, load);
  const page = computed(() => {
    const kept = laid(loaded.data.value);
    const unkept = dressing.unkept.value;
    if (!kept) return null;
    const me = { id: session.me?.person.id ?? '', name: session.me?.person.name ?? '' };
    const events = withTold(kept.events, outbox.told, new Set(kept.collars.map(({ id }) => id)), me);
    const others = (locker.data.value?.gear ?? []).filter(({ id }) => kept.gear.every((own) => own.id !== id));
    return {
      ...kept,
      events,
      gear: [...kept.gear, ...others],
      dressing: unkept ? { ...unkept, id: dogId, version: kept.dressing?.version ?? 0 } : kept.dressing,
    };
  });
  const dressed = computed(() => (page.value && session.kennel ? dressedDog(page.value, session.kennel, now.value, units.speak) : null));
  return {
    dogId,
    state: loaded.state,
    sentence: loaded.sentence,
    load,
    lookAtGear: locker.load,
    now,
    page,
    dressed,
    dressing,
    telling: useTell(load),
    girths: computed(() => latestGirths(page.value?.tapings ?? [])),
  };
}
/** What the parts of the screen Neck are given, once it is there. */
export type NeckOnScreen = ShallowUnwrapRef<ReturnType<typeof useNeck>> & { page: NeckPage; dressed: NonNullable<ReturnType<typeof dressedDog>> };
