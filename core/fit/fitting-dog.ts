import type { Finger } from '../measure/finger-slack.ts';
import type { NeckBuild } from '../measure/neck-build.ts';
import { skinGirth } from '../measure/skin-girth.ts';
import type { Pull } from '../collars/prong/gauge-schools.ts';
import type { WorkingSide } from '../rig/ring-and-side.ts';

/** How much larger the neck is inside a collar than the tape and the collar's numbers say, by what hands found there; mm, by the collar's id. */
export type ByHands = Readonly<Record<string, number>>;

/**
 * What is known of a dog when a collar is fitted to it. Lengths mm, weight kg, age days; null while not known. Prong tips
 * and contacts go through the coat and take `skinGirthMm`; straps and slips lie on the hair and take `hairGirthMm`.
 */
export type FittingDog = {
  weightKg: number | null;
  pull: Pull;
  worksOn: WorkingSide;
  neckBuild: NeckBuild;
  ageDays: number | null;
  /** On the skin where that is known, else null. */
  skinGirthMm: number | null;
  /** As the tape showed it, over whatever hair there was. */
  tapedGirthMm: number | null;
  /** Over the hair, flattened as a strap flattens it. */
  hairGirthMm: number | null;
  /** Half-way down, over the hair too. */
  midGirthMm: number | null;
  headGirthMm: number | null;
  muzzleGirthMm: number | null;
  stopGirthMm: number | null;
  muzzleLengthMm: number | null;
  neckLengthMm: number | null;
  coatDepthMm: number | null;
  /** The finger of whoever fits it. */
  finger: Finger;
  /** What hands found inside collars that were checked on it. */
  byHands?: ByHands | undefined;
};

/** A finger to reckon with until somebody has measured their own; mm. From memory. */
export const USUAL_FINGER: Finger = { thicknessMm: 16, widthMm: 19 };

/**
 * Skin and hair girth from a tape that went over the coat or under it, and the depth of the coat, all mm. A tape over the coat
 * of unknown depth leaves the skin unknown; one with the hair parted and no depth counts for both. Source: geometry of
 * concentric circles, as `skinGirth`.
 *
 * @example girthsThroughCoat(400, true, 5) // { skinGirthMm: 368.58…, hairGirthMm: 400 }
 */
export function girthsThroughCoat(tapedMm: number, overCoat: boolean, coatDepthMm: number | null): { skinGirthMm: number | null; hairGirthMm: number } {
  if (overCoat) return { skinGirthMm: coatDepthMm === null ? null : skinGirth(tapedMm, coatDepthMm), hairGirthMm: tapedMm };
  return { skinGirthMm: tapedMm, hairGirthMm: tapedMm + 2 * Math.PI * (coatDepthMm ?? 0) };
}
