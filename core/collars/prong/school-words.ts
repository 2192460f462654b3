import type { BetweenSchool, GaugeSchool } from './gauge-schools.ts';

/** What each gauge school is called and what it says. Common practice. */
export const GAUGE_SCHOOL_WORDS: Record<GaugeSchool, { name: string; says: string }> = {
  'weight-line': { name: 'weight line', says: 'Up to 50 lb 2.25 mm, above 3.0 mm.' },
  'pull-first': {
    name: 'pull first',
    says: '3.0 mm for a big dog that now drags its handler, 2.25 mm with added links for all others; never heavier than 3.0.',
  },
  'scale-with-power': { name: 'scale with power', says: 'Heavier and stronger dogs take heavier wire, micro for the smallest.' },
  'most-links': { name: 'most links', says: 'The finest gauge that can be made up to length with at most three extra links.' },
};

/** What each between-sizes school is called and what it says. Common practice. */
export const BETWEEN_SCHOOL_WORDS: Record<BetweenSchool, { name: string; says: string }> = {
  snug: { name: 'snug', says: 'Goes a link tighter, accepted while it presses only a little.' },
  finer: { name: 'finer', says: 'Changes to a finer gauge, whose smaller link lands inside the window.' },
};
