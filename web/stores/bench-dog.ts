import {
  byHandsOn,
  collarKind,
  fittingDog,
  houseOf,
  lawAt,
  screeningOf,
  screenKind,
  stockByKind,
  type CollarKindName,
  type DogPage,
  type Taping,
} from '@banter/contract';
import { linksAt, type LinkCountAt } from '@banter/core';
import { computed, type ComputedRef, type Ref } from 'vue';
import { todayIn } from '../parts/age.ts';
import { useSession } from './session.ts';

/** A dog as it stands at the bench: its measures, what holds for it, what is owned, and what speaks against a kind. */
export function useBenchDog(page: Ref<DogPage | null>, tapes: ComputedRef<Partial<Record<Taping['site'], Taping>>>) {
  const session = useSession();
  const today = computed(() => todayIn(session.kennel!.timeZone));
  const house = computed(() => houseOf(session.kennel!, page.value?.dog ?? null));
  const byHands = computed(() => byHandsOn(page.value!, tapes.value, house.value.rules));
  const dog = computed(() => fittingDog(page.value!.dog, tapes.value, { finger: session.me?.person.finger, today: today.value, byHands: byHands.value }));
  const stock = computed(() => (page.value ? stockByKind(page.value.collars, page.value.dog) : {}));
  const screening = computed(() => screeningOf(page.value?.screenings ?? [], page.value?.lifts ?? [], dog.value, house.value.rules));
  return {
    today,
    house,
    dog,
    stock,
    screening,
    /** What screening says of a kind. */
    screen: (kind: CollarKindName) => screenKind(collarKind(kind).hazards, screening.value, session.kennel!.screen),
    /** What the law of a place says of a kind. */
    law: (kind: CollarKindName, placeId: string | null) =>
      lawAt(kind, collarKind(kind).hazards, page.value?.places.find((place) => place.id === placeId) ?? null, today.value, house.value.rules.lawCheckDays),
    /** Links of a gauge in the bag, and on a collar as the ledger has it; null when it holds what its own numbers say. */
    inBag: (gaugeMm: number) => linksAt((page.value?.links ?? []) as LinkCountAt[], gaugeMm, 'bag'),
    onCollar: (gaugeMm: number, collarId: string) => {
      const account = `collar:${collarId}` as const;
      return page.value?.links.some((one) => one.account === account) ? linksAt(page.value.links as LinkCountAt[], gaugeMm, account) : null;
    },
  };
}

export type BenchDog = ReturnType<typeof useBenchDog>;
