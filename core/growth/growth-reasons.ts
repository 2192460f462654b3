import type { ReasonWords } from '../reasons/reason.ts';
import { countOf } from '../units/count-words.ts';
import { spokenSpan, type Speaker } from '../units/speaker.ts';
import { FEWEST_AGES, type GrowthFit, type WeighIn } from './fit-growth.ts';
import { sizeClassOf } from './growth-prior.ts';
import { oddWeighings } from './odd-weighings.ts';

export type GrowthReason =
  | { code: 'own-curve'; weighings: number; asymptoteKg: number; halfDays: number }
  | { code: 'few-weighings'; ages: number; wanted: number; fromKg: number; toKg: number | null; asymptoteKg: number }
  | { code: 'end-not-told'; weighings: number; fromKg: number; toKg: number | null; asymptoteKg: number }
  | { code: 'odd-weighing'; index: number; weightKg: number; expectedKg: number; slip: 'tenfold' | 'tenth' | 'pounds' | null }
  | { code: 'no-girth' };

const SLIP_WORDS = { tenfold: ' A point left out?', tenth: ' A point too early?', pounds: ' Pounds for kilograms?' } as const;
const sizeWords = ({ fromKg, toKg }: { fromKg: number; toKg: number | null }, speak: Speaker): string =>
  toKg === null ? `over ${speak.weight(fromKg)}` : fromKg === 0 ? `up to ${speak.weight(toKg)}` : spokenSpan(speak.weight(fromKg), speak.weight(toKg));
/** An age as it is said: 5 months, 12 weeks. */
const ageOf = (days: number): string => (days < 112 ? countOf(Math.round(days / 7), 'week') : countOf(Math.round(days / 30.44), 'month'));
export const GROWTH_REASON_WORDS: ReasonWords<GrowthReason> = {
  'own-curve': (r, speak) =>
    `Adult weight about ${speak.weight(r.asymptoteKg)}, by its own ${countOf(r.weighings, 'weighing')}; half of it at ${ageOf(r.halfDays)}.`,
  'few-weighings': (r, speak) =>
    `Weighed at ${countOf(r.ages, 'age')}; a curve of its own wants ${r.wanted}. Until then it grows as dogs of ${sizeWords(r, speak)} do, to about ${speak.weight(r.asymptoteKg)}.`,
  'end-not-told': (r, speak) =>
    `Its ${countOf(r.weighings, 'weighing')} do not show its adult weight yet: it is taken to grow as dogs of ${sizeWords(r, speak)} do, to about ${speak.weight(r.asymptoteKg)}.`,
  'odd-weighing': (r, speak) =>
    `Weighing ${r.index + 1}, ${speak.weight(r.weightKg)}, does not match the others (about ${speak.weight(r.expectedKg)}). Check the entry.${r.slip === null ? '' : SLIP_WORDS[r.slip]}`,
  'no-girth': () => 'Without a tape of its own nothing is said of the girth.',
};

const POUND_KG = 0.45359237;
/** What a wrong weighing looks like, within a seventh of it. */
function slipOf(weightKg: number, expectedKg: number) {
  const near = (ratio: number) => Math.abs(weightKg / expectedKg / ratio - 1) < 1 / 7;
  return near(10) ? 'tenfold' : near(0.1) ? 'tenth' : near(1 / POUND_KG) ? 'pounds' : null;
}

/** What a fit of weighings rests on, and which of them to look at again. */
export function growthReasons(fit: GrowthFit, weighIns: readonly WeighIn[]): GrowthReason[] {
  const ages = new Set(weighIns.map(({ ageDays }) => ageDays)).size;
  const { fromKg, toKg } = sizeClassOf(fit.asymptoteKg);
  const size = { fromKg, toKg: Number.isFinite(toKg) ? toKg : null };
  const { asymptoteKg } = fit;
  const rests: GrowthReason =
    fit.by === 'weighings'
      ? { code: 'own-curve', weighings: weighIns.length, asymptoteKg, halfDays: fit.inflectionDays - Math.log(Math.LN2) / fit.ratePerDay }
      : ages < FEWEST_AGES
        ? { code: 'few-weighings', ages, wanted: FEWEST_AGES, ...size, asymptoteKg }
        : { code: 'end-not-told', weighings: weighIns.length, ...size, asymptoteKg };
  return [rests, ...oddWeighings(weighIns).map((odd): GrowthReason => ({ code: 'odd-weighing', ...odd, slip: slipOf(odd.weightKg, odd.expectedKg) }))];
}
