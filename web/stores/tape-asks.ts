import { collarKind, sureNeck, tapeAsked, type CollarKindName, type CurrentFit, type TapeAsk, type Taping } from '@banter/contract';
import { guessedGirth } from '@banter/core';
import { computed, type ComputedRef, type Ref } from 'vue';
import type { BenchDog } from './bench-dog.ts';

type Known = {
  kinds: Ref<readonly CollarKindName[]>;
  girths: ComputedRef<Partial<Record<Taping['site'], Taping>>>;
  fits: ComputedRef<readonly Pick<CurrentFit, 'plan'>[]>;
  weightG: ComputedRef<number | null>;
  /** The high girth that is being typed, mm, with how far it may be off. */
  typedHigh: () => { girthMm: number | null; plusMinusMm: number | null } | undefined;
};

/** What the tape asks for at a dog, and what each site decides: what is typed now counts over what was kept. */
export function useTapeAsks(bench: BenchDog, { kinds, girths, fits, weightG, typedHigh }: Known): ComputedRef<TapeAsk[]> {
  return computed(() => {
    const high = typedHigh();
    const now = high?.girthMm ?? null;
    const { rules } = bench.house.value;
    const dog = now === null ? bench.dog.value : { ...bench.dog.value, skinGirthMm: now, tapedGirthMm: now, hairGirthMm: now };
    const typed =
      now === null ? null : { head: guessedGirth(now, rules), high: { mm: now, plusMinusMm: high!.plusMinusMm ?? 0, from: 'one-reading' as const } };
    return tapeAsked({
      kinds: kinds.value,
      dog: { ...dog, weightKg: weightG.value === null ? null : weightG.value / 1000 },
      sure: typed ?? sureNeck(dog, girths.value, rules),
      stock: bench.stock.value,
      wornWidthsMm: fits.value.map(({ plan }) => collarKind(plan.kind).onNeck.widthMm(plan.inputs.collar.numbers)),
      house: bench.house.value,
    });
  });
}
