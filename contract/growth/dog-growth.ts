import {
  bedLength,
  breedOf,
  fitGrowth,
  girthFactor,
  grownAt,
  growthReasons,
  guessedWeightKg,
  type AgedGirth,
  type FittingDog,
  type GrowthFit,
  type GrowthReason,
  type Speaker,
  type WeighIn,
  DAY_MS,
} from '@banter/core';
import { dayStartOf } from '../neck/kennel-days.ts';
import { currentFits } from '../records/ending.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { GrowthPage } from '../records/pages.ts';
import { fittingDog } from '../records/plan.ts';
import { byHandsOn } from '../standing/neck-felt.ts';
import { latestGirths } from '../records/taping.ts';
import { standingWeighings, type Weighing } from '../records/weighing.ts';
import { outgrows, type Outgrowth } from './outgrows.ts';

/** A dog that has this share of its end weight by its own curve is grown. From memory. */
const GROWN_SHARE = 0.98;

/** How a dog grows, as far as its record tells; `missing` is what has to be known first. Ages days, weights kg, girths mm. */
export type DogGrowth =
  | { missing: 'born' | 'weighed' }
  | {
      missing: null;
      ageDays: number;
      weighIns: (WeighIn & { weighing: Weighing & { weightG: number } })[];
      girths: AgedGirth[];
      adultKg: number | null;
      fit: GrowthFit;
      /** What the curve rests on, then the weighings that were left out of it until somebody has looked. */
      reasons: GrowthReason[];
      /** Girth over the cube root of weight by the latest tape, mm per kg^⅓; null without one. */
      factor: number | null;
      grown: boolean;
      outgrows: Outgrowth[];
      /** Length of the bed for the grown dog, mm: likely, and the longest by the interval. */
      bedMm: { likely: number; longest: number };
    };

export type GrowthTold = Pick<GrowthPage, 'dog' | 'tapings' | 'plans' | 'checks' | 'endings' | 'weighings' | 'madeUp' | 'tapedBefore'>;

/** The high girths of a dog as taped, by its age; what was corrected is left out. */
function agedGirths({ tapings, tapedBefore }: GrowthTold, ageAt: (at: string) => number): AgedGirth[] {
  const corrected = new Set(tapings.map(({ correctsId }) => correctsId));
  return [...tapedBefore, ...tapings.filter(({ site }) => site === 'high')]
    .filter(({ id }) => !corrected.has(id))
    .map(({ at, tapedMm }) => ({ ageDays: ageAt(at), girthMm: tapedMm }))
    .sort((a, b) => a.ageDays - b.ageDays);
}

/** Puts together how a dog grows and what that does to what it wears, as of an instant (ms) and a day in the kennel's zone. */
export function dogGrowth(page: GrowthTold, kennel: Kennel, { now, today, speak }: { now: number; today: string; speak: Speaker }): DogGrowth {
  const { dog } = page;
  if (dog.bornOn === null) return { missing: 'born' };
  const born = dayStartOf(dog.bornOn, kennel.timeZone);
  const ageAt = (at: string) => Math.max(0, (Date.parse(at) - born) / DAY_MS);
  const weighIns = standingWeighings(page.weighings).map((weighing) => ({ ageDays: ageAt(weighing.at), weightKg: weighing.weightG / 1000, weighing }));
  if (weighIns.length === 0) return { missing: 'weighed' };
  const ageDays = Math.max(0, (now - born) / DAY_MS);
  const breed = breedOf(dog.breed);
  const heaviest = [...weighIns].sort((a, b) => a.weightKg - b.weightKg)[Math.floor((weighIns.length - 1) * 0.9)]!.weightKg;
  const adultKg = breed === null ? null : Math.max(guessedWeightKg(breed, dog.sex), heaviest);
  const reasonsOf = growthReasons(fitGrowth(weighIns, adultKg), weighIns);
  // Until somebody has looked, a weighing that the others do not believe bends no date; that it is left out is said.
  const odd = new Set(reasonsOf.flatMap((reason) => (reason.code === 'odd-weighing' ? [reason.index] : [])));
  const believed = weighIns.filter((_one, index) => !odd.has(index));
  const fit = fitGrowth(believed, adultKg);
  const reasons = [...growthReasons(fit, believed).slice(0, 1), ...reasonsOf.filter(({ code }) => code === 'odd-weighing')];
  const girths = agedGirths(page, ageAt);
  // What comes next is told by the neck as it was taped last; the tapes before only made the curve likely.
  const factor = girthFactor(fit, girths.slice(-1));
  const grown = grownAt(fit, ageDays).weightKg >= GROWN_SHARE * fit.asymptoteKg;
  const tapes = latestGirths(page.tapings);
  const house = houseOf(kennel, dog);
  const neck: FittingDog = fittingDog(dog, tapes, { today, byHands: byHandsOn(page, tapes, house.rules) });
  // A collar that is made up otherwise now is made up again first: until then it grows with no dog. How it was found is nothing to growth.
  const fits = currentFits({ ...page, collars: [] }).filter(({ elsewhere }) => elsewhere === null);
  const { high95Kg } = grownAt(fit, Math.max(ageDays, 3 * 365));
  return {
    missing: null,
    ageDays,
    weighIns,
    girths,
    adultKg,
    fit,
    reasons,
    factor,
    grown,
    outgrows: factor === null || grown ? [] : outgrows(neck, fits, { fit, factor, ageDays, house, speak }),
    bedMm: { likely: bedLength(fit.asymptoteKg), longest: bedLength(high95Kg) },
  };
}
