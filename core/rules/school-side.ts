import type { Speaker } from '../units/speaker.ts';
import type { HouseRules } from './house-rules.ts';

/** One side of a school: what it is called, and what it says, with the limits of the house where it goes by any. */
export type SchoolSide = { name: string; says: string | ((rules: HouseRules, speak: Speaker) => string) };
