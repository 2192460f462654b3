import { collarKind, readAgain, sureNeck, tapeAsked, type CollarKindName, type CurrentFit, type ReadAgain, type TapeAsk, type Taping } from '@banter/contract';
import { guessedGirth, HEAD_TO_HIGH, type SureNumber } from '@banter/core';
import { computed, type ComputedRef, type Ref } from 'vue';
import type { BenchDog } from './bench-dog.ts';

type Typed = { girthMm: number | null; plusMinusMm: number | null } | undefined;
type Known = {
  kinds: Ref<readonly CollarKindName[]>;
  girths: ComputedRef<Partial<Record<Taping['site'], Taping>>>;
  fits: ComputedRef<readonly Pick<CurrentFit, 'plan'>[]>;
  weightG: ComputedRef<number | null>;
  /** The high girth and the head as they are being typed, mm, with how far they may be off. */
  typed: (site: ReadAgain) => Typed;
};
const sureOf = (typed: Typed): SureNumber | null =>
  typed?.girthMm == null ? null : { mm: typed.girthMm, plusMinusMm: typed.plusMinusMm ?? 0, from: 'one-reading' };

/** What the tape asks for at a dog, what each site decides, and of which another reading could change an answer: what is typed now counts over what was kept. */
export function useTapeAsks(bench: BenchDog, { kinds, girths, fits, weightG, typed }: Known): ComputedRef<{ asks: TapeAsk[]; again: ReadAgain[] }> {
  return computed(() => {
    const [high, head] = [sureOf(typed('high')), sureOf(typed('head'))];
    const { rules } = bench.house.value;
    const now = high?.mm ?? null;
    const known = now === null ? bench.dog.value : { ...bench.dog.value, skinGirthMm: now, tapedGirthMm: now, hairGirthMm: now };
    const dog = head === null ? known : { ...known, headGirthMm: head.mm };
    const kept = sureNeck(dog, girths.value, rules);
    const guessed = high && guessedGirth(high.mm * HEAD_TO_HIGH[dog.neckBuild], rules);
    const sure = high ? { high, head: head ?? (girths.value.head ? kept?.head : null) ?? guessed! } : kept && { ...kept, head: head ?? kept.head };
    const asking = {
      kinds: kinds.value,
      dog: { ...dog, weightKg: weightG.value === null ? null : weightG.value / 1000 },
      sure,
      stock: bench.stock.value,
      wornWidthsMm: fits.value.map(({ plan }) => collarKind(plan.kind).onNeck.widthMm(plan.inputs.collar.numbers)),
      house: bench.house.value,
    };
    return { asks: tapeAsked(asking), again: readAgain(asking) };
  });
}
