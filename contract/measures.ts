import { POSSIBLE_GIRTH_MM } from '@banter/core';
import { between, z } from './plain-words.ts';

/** Neck or head girth, mm. */
export const NeckGirthMm = between(...POSSIBLE_GIRTH_MM.high);
/** Muzzle or stop girth, mm. */
export const MuzzleGirthMm = between(...POSSIBLE_GIRTH_MM.muzzle);
/** Stop to nose leather, mm. */
export const MuzzleLengthMm = z.number().positive().max(400);
/** Flattened hair, mm. */
export const CoatDepthMm = between(0, 80);
/** A dog's weight, kg. */
export const WeightKg = between(0.05, 120);
/** A length of a strap, loop or chain, mm. */
export const LengthMm = z.number().positive().max(2000);
/** A small part, such as a ring, mm. */
export const PartMm = between(0, 300);
/** A contact post, mm. */
export const PostMm = z.number().positive().max(100);

/** A handler's finger, mm: not wider than 40, not narrower than it is thick. */
export const FingerFields = {
  fingerThicknessMm: z.number().positive().max(40),
  fingerWidthMm: z.number().positive().max(40, 'A finger is not wider than 40 mm.'),
};

/** Refuses a finger that is narrower than it is thick. */
export function fingerNotNarrower({ value, issues }: z.core.ParsePayload<{ fingerThicknessMm: number; fingerWidthMm: number }>): void {
  if (value.fingerWidthMm < value.fingerThicknessMm) {
    issues.push({ code: 'custom', path: ['fingerWidthMm'], input: value.fingerWidthMm, message: 'A finger is not narrower than it is thick.' });
  }
}

/** A receiver along the strap, mm. */
export const FootprintMm = z.number().positive().max(200);
/** A clock place, whole or half hours from half past twelve (0.5) to twelve, the nape; 12.5 says half past twelve, too. */
export const ClockPlace = between(0.5, 12.5).refine((clock) => Number.isInteger(clock * 2), 'A clock place is a whole or half hour.');
