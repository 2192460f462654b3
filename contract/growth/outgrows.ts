import { girthAtWeight, weightAtGirth, gompertzAge, grownAt, type FittingDog, type GrowthFit, type House, type Speaker } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { CurrentFit } from '../records/ending.ts';

/** When something comes, as ages in days: at the earliest and latest by the 95 % interval, and most likely; null: not within three years. */
export type When = { earliest: number | null; likely: number | null; latest: number | null };

/** What a growing dog does to a collar it wears. Girths mm, as taped. */
export type Outgrowth = {
  kind: CollarKindName;
  planId: string;
  collarName: string;
  /** It no longer fits as it is made up now, and what is done then; null while it does to the end. */
  change: { girthMm: number; when: When; says: string } | null;
  /** It cannot be made up to fit at all any more, and what to look for then. */
  outgrown: { girthMm: number; when: When; wanted: string } | null;
};

/** How far ahead is looked, and how finely the girth is stepped through. */
const AHEAD_DAYS = 3 * 365;
const STEP_MM = 1;
/** The widest step that a collar is made up by, a link or a hole; mm. */
const BETWEEN_STEPS_MM = 60;

/** Girths from one to another, both counted, mm. */
const girthsBetween = (fromMm: number, toMm: number) =>
  Array.from({ length: Math.max(0, Math.floor((toMm - fromMm) / STEP_MM) + 1) }, (_, step) => fromMm + step * STEP_MM);

const grownGirths = [
  'skinGirthMm',
  'tapedGirthMm',
  'hairGirthMm',
  'midGirthMm',
  'headGirthMm',
  'muzzleGirthMm',
  'stopGirthMm',
  'muzzleLengthMm',
  'neckLengthMm',
] as const;
/** The dog with all its measures grown by one factor: lengths with the cube root of weight. Coats stay. Source: cube-root law. */
export function grownDog(dog: FittingDog, factor: number): FittingDog {
  const grown = Object.fromEntries(grownGirths.map((name) => [name, dog[name] === null ? null : dog[name] * factor]));
  return { ...dog, ...grown, weightKg: dog.weightKg === null ? null : dog.weightKg * factor ** 3 };
}

/** When a weight in kg is reached, not before an age in days. */
export function whenWeighs(fit: GrowthFit, weightKg: number, fromDays: number): When {
  const firstAge = (of: (age: number) => number) => {
    if (of(fromDays) >= weightKg) return fromDays;
    if (of(fromDays + AHEAD_DAYS) < weightKg) return null;
    let [low, high] = [fromDays, fromDays + AHEAD_DAYS];
    while (high - low > 0.01) {
      const middle = (low + high) / 2;
      if (of(middle) >= weightKg) high = middle;
      else low = middle;
    }
    return high;
  };
  const reached = gompertzAge(fit, weightKg);
  const likely = reached === null || reached > fromDays + AHEAD_DAYS ? null : Math.max(reached, fromDays);
  const [earliest, latest] = [firstAge((age) => grownAt(fit, age).high95Kg), firstAge((age) => grownAt(fit, age).low95Kg)];
  // Where the interval has no width, the search for its ends leaves a rest.
  return {
    earliest: earliest === null || likely === null ? earliest : Math.min(earliest, likely),
    likely,
    latest: latest === null || likely === null ? latest : Math.max(latest, likely),
  };
}

/**
 * What the dog's growth does to each collar it wears, tried a millimetre at a time with the collar's own verdicts: when it has to be
 * made up anew, and when it cannot be any more. `factor` is the dog's girth over the cube root of its weight, mm per kg^⅓, of the
 * high girth as taped. The soonest first. A millimetre's step; dates by the weight's interval.
 */
export function outgrows(
  dog: FittingDog,
  fits: readonly CurrentFit[],
  { fit, factor, ageDays, house, speak }: { fit: GrowthFit; factor: number; ageDays: number; house: House; speak: Speaker },
): Outgrowth[] {
  const now = dog.tapedGirthMm;
  if (now === null) return [];
  const end = girthAtWeight(factor, grownAt(fit, ageDays + AHEAD_DAYS).high95Kg);
  const whenGirth = (girthMm: number) => whenWeighs(fit, weightAtGirth(factor, girthMm), ageDays);
  return fits
    .map(({ plan, check }): Outgrowth => {
      const kind = collarKind(plan.kind);
      const collar = plan.inputs.collar;
      const worn = kind.wornChoices(plan.choices, check?.on ?? null);
      const at = (girthMm: number) => grownDog(dog, girthMm / now);
      const best = (grown: FittingDog) => {
        const { choice } = kind.suggest(grown, [collar], house);
        const outcome = choice && kind.plan(grown, collar, [collar], choice.choices, house.rules);
        return choice && outcome?.keep ? { choices: choice.choices, outcome } : null;
      };
      const found: Outgrowth = { kind: plan.kind, planId: plan.id, collarName: collar.name, change: null, outgrown: null };
      if (kind.missing(dog).length > 0) return found;
      // Between two links or two holes nothing may fit for some millimetres: outgrown is what fits at no larger girth any more.
      const last = girthsBetween(now - BETWEEN_STEPS_MM, end + BETWEEN_STEPS_MM).findLast((girthMm) => best(at(girthMm)) !== null);
      const outgrownMm = last === undefined ? null : Math.max(now, last + STEP_MM);
      if (outgrownMm !== null && outgrownMm <= end)
        found.outgrown = { girthMm: outgrownMm, when: whenGirth(outgrownMm), wanted: kind.wanted(at(outgrownMm), house, speak) };
      for (const girthMm of girthsBetween(now, Math.min(end, outgrownMm ?? now))) {
        const grown = at(girthMm);
        if (kind.planTone(kind.plan(grown, collar, [collar], worn, house.rules)) === 'good') continue;
        const better = best(grown);
        if (better && kind.planTone(better.outcome) === 'good') {
          found.change = { girthMm, when: whenGirth(girthMm), says: kind.describePlan(collar, better.choices, better.outcome, speak) };
          break;
        }
      }
      return found;
    })
    .sort((a, b) => soonest(a) - soonest(b));
}

const soonest = ({ change, outgrown }: Outgrowth) => Math.min(change?.when.likely ?? Infinity, outgrown?.when.likely ?? Infinity);

/** What growth asks for next, as a title: a collar with links or holes left is let out, and only one without is outgrown. */
export const outgrowthTitle = (dogName: string, { collarName, change }: Outgrowth): string =>
  change ? `Let out ${collarName} for ${dogName}` : `${dogName} outgrows ${collarName}`;
