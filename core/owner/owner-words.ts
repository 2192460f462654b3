import type { HouseRules } from '../rules/house-rules.ts';
import { speakHours } from '../units/speak-hours.ts';

/**
 * What an owner is told of a kind of collar, in plain words. `look` are the daily checks of it; `atHome`, where a setting of its own
 * is kept for the house, what is said of it. Common practice.
 */
export type OwnerWords = {
  /** What people who are no trainers call it. */
  called: string;
  look: readonly { key: string; text: string }[];
  slides: string;
  rubs: string;
  opens: string;
};

/** What to do where something rubs, with the house's hours of rest. Common practice. */
export const rubsWords = ({ restHours }: Pick<HouseRules, 'restHours'>): string =>
  `Take it off and leave it off there. Pink rests ${speakHours(restHours)}. Red, bald or broken skin: a vet first, and then us.`;
/** What to do when a buckle opens. Common practice. */
export const BUCKLE_OPENS = 'Stay calm, do not chase, put it on again in the hole we marked; a buckle that opened once is replaced.';
/** How a loose dog is caught. Common practice. */
export const CATCH_BY_LEASH = 'Stay calm, do not chase; the leash run through its own handle makes a loop to catch the dog with.';
