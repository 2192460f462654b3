import type { ProngCollar } from './prong-collar.ts';

/**
 * What a prong collar measures on a neck with a number of links in. All mm but `biteRatio`.
 * `slackMm` is negative where it presses; `biteMm` is positive where closing it squeezes the neck.
 */
export type ProngGirths = {
  relaxedGirthMm: number;
  closedGirthMm: number;
  slackMm: number;
  biteMm: number;
  biteRatio: number;
};

/**
 * Girths of a collar with `links` links on a neck of `girthMm`: at rest = inside + (links − N₀)·pitch,
 * closed = at rest − closing, slack = at rest − girth, bite = girth − closed. Common practice.
 *
 * @example prongGirths(collar, 11, 500).slackMm // −2 for 12 links, inside 540, pitch 42
 */
export function prongGirths(collar: ProngCollar, links: number, girthMm: number): ProngGirths {
  const relaxedGirthMm = collar.insideGirthMm + (links - collar.links) * collar.pitchMm;
  const closedGirthMm = relaxedGirthMm - collar.closingMm;
  const biteMm = girthMm - closedGirthMm;
  return { relaxedGirthMm, closedGirthMm, slackMm: relaxedGirthMm - girthMm, biteMm, biteRatio: biteMm / girthMm };
}
