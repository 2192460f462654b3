import { BASE_TO_HIGH, expectedHighGirth, HEAD_TO_HIGH, type NeckBuild } from './neck-build.ts';
import type { GirthSite } from './sites.ts';

/** How far a real dog may lie from the guess and still be likely, as factors of it. From memory. */
const LIKELY_SPAN: [number, number] = [0.6, 1.6];

/** The guess for a site over the high girth. From memory. */
function ratioToHigh(site: GirthSite, build: NeckBuild): number {
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
  }
}

/**
 * A first guess of a girth in mm from weight and build, to be marked as a guess wherever it is shown.
 *
 * @example likelyGirth('base', 27, 'average').guessMm // 487.5
 */
export function likelyGirth(site: GirthSite, weightKg: number, build: NeckBuild): { guessMm: number; spanMm: [number, number] } {
  const guessMm = expectedHighGirth(weightKg, build) * ratioToHigh(site, build);
  return { guessMm, spanMm: [guessMm * LIKELY_SPAN[0], guessMm * LIKELY_SPAN[1]] };
}
