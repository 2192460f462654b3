import { POSSIBLE_GIRTH_MM } from '@banter/core';
import { between, z } from './plain-words.ts';

/** Neck or head girth, mm. */
export const NeckGirthMm = between(...POSSIBLE_GIRTH_MM.high);
/** Flattened hair, mm. */
export const CoatDepthMm = between(0, 80);
/** A dog's weight, kg. */
export const WeightKg = between(0.05, 120);

/** A handler's finger, mm: not wider than 40, not narrower than it is thick. */
export const FingerThicknessMm = z.number().positive().max(40);
export const FingerWidthMm = z.number().positive().max(40, 'A finger is not wider than 40 mm.');
