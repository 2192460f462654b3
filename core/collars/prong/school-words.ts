import type { SchoolSide } from '../../rules/school-side.ts';
import { countOf } from '../../units/count-words.ts';
import type { BetweenSchool, GaugeSchool } from './gauge-schools.ts';

/** What each gauge school is called and what it says. Common practice. */
export const GAUGE_SCHOOL_WORDS: Record<GaugeSchool, SchoolSide> = {
  'weight-line': { name: 'weight line', says: ({ weightLineKg }, speak) => `Up to ${speak.weight(weightLineKg)} 2.25 mm, above 3.0 mm.` },
  'pull-first': {
    name: 'pull first',
    says: ({ bigDogKg }, speak) =>
      `3.0 mm for a dog from ${speak.weight(bigDogKg)} that now drags its handler, 2.25 mm with added links for all others; never heavier than 3.0.`,
  },
  'scale-with-power': {
    name: 'scale with power',
    says: ({ microKg }, speak) => `Heavier and stronger dogs take heavier wire, micro under ${speak.weight(microKg)}.`,
  },
  'most-links': { name: 'most links', says: ({ maxAdd }) => `The finest gauge that can be made up to length with at most ${countOf(maxAdd, 'extra link')}.` },
};

/** What each between-sizes school is called and what it says. Common practice. */
export const BETWEEN_SCHOOL_WORDS: Record<BetweenSchool, SchoolSide> = {
  snug: { name: 'snug', says: ({ pressMaxMm }, speak) => `Goes a link tighter, accepted while it presses by less than ${speak.gap(pressMaxMm)}.` },
  finer: { name: 'finer', says: 'Changes to a finer gauge, whose smaller link lands inside the window.' },
};
