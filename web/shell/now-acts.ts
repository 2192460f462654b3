import { collarKind, type WearingNow } from '@banter/contract';
import { clockWords } from '@banter/core';
import { ref } from 'vue';
import type { Telling } from '../stores/tell.ts';

/** What is done to a collar that is on a dog, one tap each. */
export function useNowActs(telling: Telling) {
  /** Under what it is pink, while it is asked where. */
  const asking = ref<WearingNow | null>(null);
  const called = (one: WearingNow) => `${one.collarName} on ${one.dogName}`;
  const where = ({ dogId, collarId }: WearingNow) => ({ dogId, collarId });
  const traits = (one: WearingNow) => collarKind(one.kind).traits;
  function pink(one: WearingNow, clock: number | null) {
    // Under contacts it is pink where they sit; what lies all round is asked about.
    asking.value = clock === null ? one : null;
    if (clock === null) return;
    telling.hold(`Pink at ${clockWords(clock)} on ${one.dogName}: that place rests.`, 'skin-looks', one.dogName, {
      dogId: one.dogId,
      clock,
      under: traits(one).skinUnder,
      grade: 1,
      sore: { fit: 'unknown', stayed: 'not-tried', metal: 'same' },
      note: '',
      photoId: null,
      at: new Date().toISOString(),
    });
  }
  return {
    called,
    hasContacts: (one: WearingNow) => traits(one).wear.contacts,
    off: (one: WearingNow) => void telling.tell(`${one.dogName}: ${one.collarName} is off.`, [{ event: 'taken-off', ...where(one) }]),
    moved: (one: WearingNow, clock: number) => void telling.tell(`${called(one)}: moved to ${clockWords(clock)}.`, [{ event: 'moved', ...where(one), clock }]),
    felt: (one: WearingNow) => void telling.tell(`${called(one)}: contact good.`, [{ event: 'contact', collarId: one.collarId, made: true }]),
    pink,
    asking,
    leave: () => (asking.value = null),
  };
}
export type NowActs = ReturnType<typeof useNowActs>;
