import type { HouseRules } from '../../rules/house-rules.ts';
import { FINEST_STANDARD_GAUGE_MM, gaugeName, HEAVY_WIRE_MM } from './prong-collar.ts';

/** Schools of choosing a prong's gauge. Common practice. */
export const GAUGE_SCHOOLS = ['weight-line', 'pull-first', 'scale-with-power', 'most-links'] as const;
export type GaugeSchool = (typeof GAUGE_SCHOOLS)[number];

/** Schools of what to do between two sizes. Common practice. */
export const BETWEEN_SCHOOLS = ['snug', 'finer'] as const;
export type BetweenSchool = (typeof BETWEEN_SCHOOLS)[number];

/** How a dog pulls: walks settled, pulls, or drags its handler. */
export const PULLS = ['settled', 'pulls', 'drags'] as const;
export type Pull = (typeof PULLS)[number];

/** The gauge a school names, as the finest and heaviest wire that count as it, in mm. */
export type NamedGauge = { fromMm: number; toMm: number; words: string };

/** What is needed to name a gauge. `changes` are the link changes each stocked gauge would need. */
export type GaugeQuestion = {
  weightKg: number;
  pull: Pull;
  rules: HouseRules;
  changes: readonly { gaugeMm: number; change: number }[];
};

/** Wire within this of a named gauge counts as it, in mm: rulers and catalogues round. */
export const SAME_GAUGE_MM = 0.01;

const exactly = (gaugeMm: number): NamedGauge => ({
  fromMm: gaugeMm - SAME_GAUGE_MM,
  toMm: gaugeMm + SAME_GAUGE_MM,
  words: gaugeName(gaugeMm),
});
const micro: NamedGauge = { fromMm: 0, toMm: FINEST_STANDARD_GAUGE_MM - 2 * SAME_GAUGE_MM, words: 'micro' };
const fine = exactly(FINEST_STANDARD_GAUGE_MM);
const medium = exactly(HEAVY_WIRE_MM);
const heavy: NamedGauge = { fromMm: 3.2 - SAME_GAUGE_MM, toMm: 4 + SAME_GAUGE_MM, words: '3.2 or 4.0 mm' };

/** Whether a wire counts as the named gauge. */
export function isGauge(gaugeMm: number, named: NamedGauge): boolean {
  return gaugeMm >= named.fromMm && gaugeMm <= named.toMm;
}

/**
 * The finest stocked gauge from 2.25 up (micro only below `microKg`) that needs at most `maxAdd` extra links; never a
 * thick one, whose step is too coarse. None: the finest that the dog's weight allows.
 */
function mostLinks({ weightKg, rules, changes }: GaugeQuestion): NamedGauge {
  const finest = weightKg < rules.microKg ? micro : fine;
  const workable = changes
    .filter(({ gaugeMm, change }) => gaugeMm >= finest.fromMm && gaugeMm <= medium.toMm && change <= rules.maxAdd)
    .map(({ gaugeMm }) => gaugeMm);
  if (workable.length === 0) return finest;
  const gaugeMm = Math.min(...workable);
  return isGauge(gaugeMm, micro) ? micro : exactly(gaugeMm);
}

const NAMES: Record<GaugeSchool, (question: GaugeQuestion) => NamedGauge> = {
  'weight-line': ({ weightKg, rules }) => (weightKg <= rules.weightLineKg ? fine : medium),
  'pull-first': ({ weightKg, pull, rules }) => (weightKg >= rules.bigDogKg && pull === 'drags' ? medium : fine),
  'scale-with-power': ({ weightKg, pull, rules }) => {
    if (weightKg <= rules.weightLineKg) return fine;
    return weightKg <= rules.heavyKg || pull === 'settled' ? medium : heavy;
  },
  'most-links': mostLinks,
};

/**
 * The gauge that a school names for a dog; of it the stocked collar is then chosen. Below `microKg` every school takes micro, which
 * the school of most links still makes up to length. Common practice.
 */
export function namedGauge(school: GaugeSchool, question: GaugeQuestion): NamedGauge {
  const tiny = question.weightKg < question.rules.microKg && school !== 'most-links';
  return tiny ? micro : NAMES[school](question);
}

/** The heaviest wire a school ever uses, in mm; null where it has no such limit. Common practice. */
export const HEAVIEST_OF_SCHOOL: Record<GaugeSchool, number | null> = {
  'weight-line': null,
  'pull-first': HEAVY_WIRE_MM,
  'scale-with-power': null,
  'most-links': HEAVY_WIRE_MM,
};

/** From this weight a strong dog outpulls its handler, by the school that keeps prongs for such dogs; kg (55 to 60 lb). Common practice. */
export const STRONG_DOG_KG = 26;
