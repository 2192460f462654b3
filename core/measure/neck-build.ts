import { girthAtWeight } from '../growth/grown-girth.ts';
/** How a neck is built. */
export const NECK_BUILDS = ['slender', 'average', 'heavy'] as const;
export type NeckBuild = (typeof NECK_BUILDS)[number];

/** k in high girth (cm) = k · weight (kg)^⅓, by build. From memory. */
export const GIRTH_FACTOR: Record<NeckBuild, number> = { slender: 12, average: 13, heavy: 15.5 };

/** The base of the neck is about a quarter more than the high girth. From memory. */
export const BASE_TO_HIGH = 1.25;

/** The broadest part of the head over the high girth of an average dog, for a first guess only. From memory. */
export const HEAD_TO_HIGH: Record<NeckBuild, number> = { slender: 1.1, average: 1.2, heavy: 1.12 };

/** Toys below this weight, kg, have a neck of at least this factor whatever their build: 8 in on 4.8 lb is ordinary. From memory. */
const TOY = { belowKg: 5, factor: 15.5 };

/**
 * The high girth in mm that a dog of this weight and build would be expected to have: k · weight^⅓.
 * Under 5 kg the factor is at least a toy’s. A first guess and a plausibility check, never a measurement. Source: cube-root law; factors from memory.
 *
 * @example expectedHighGirth(27, 'average') // 390
 */
export function expectedHighGirth(weightKg: number, build: NeckBuild): number {
  const factor = weightKg < TOY.belowKg ? Math.max(TOY.factor, GIRTH_FACTOR[build]) : GIRTH_FACTOR[build];
  return 10 * girthAtWeight(factor, weightKg);
}
