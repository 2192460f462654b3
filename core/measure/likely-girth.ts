import { BASE_TO_HIGH, expectedHighGirth, HEAD_TO_HIGH, type NeckBuild } from './neck-build.ts';
import type { TapeSite } from './sites.ts';

/** How far a real dog may lie from the guess and still be likely, as factors of it. From memory. */
const LIKELY_SPAN: [number, number] = [0.6, 1.6];

/** The guess for a site over the high girth. From memory. */
function ratioToHigh(site: TapeSite, build: NeckBuild): number {
  switch (site) {
    case 'high':
      return 1;
    case 'mid':
      return (1 + BASE_TO_HIGH) / 2;
    case 'base':
      return BASE_TO_HIGH;
    case 'head':
      return HEAD_TO_HIGH[build];
    case 'muzzle':
      return 0.55;
    case 'stop':
      return 0.6;
    case 'neck-length':
      return 0.42;
    case 'coat-depth':
      return 0.015;
    case 'muzzle-length':
      return 0.21;
  }
}

/** The shortest that a neck of a high girth may be, mm, while nobody has taped its length. From memory. */
export const leastNeckLength = (highGirthMm: number): number => highGirthMm * ratioToHigh('neck-length', 'average') * LIKELY_SPAN[0];

/**
 * A first guess of a girth in mm from weight and build, to be marked as a guess wherever it is shown.
 *
 * @example likelyGirth('base', 27, 'average').guessMm // 487.5
 */
export function likelyGirth(site: TapeSite, weightKg: number, build: NeckBuild): { guessMm: number; spanMm: [number, number] } {
  const guessMm = expectedHighGirth(weightKg, build) * ratioToHigh(site, build);
  // Coats and muzzles differ too much from breed to breed for a guess to narrow them down.
  if (site === 'coat-depth') return { guessMm, spanMm: [0, 60] };
  if (site === 'muzzle-length') return { guessMm, spanMm: [10, 180] };
  return { guessMm, spanMm: [guessMm * LIKELY_SPAN[0], guessMm * LIKELY_SPAN[1]] };
}
