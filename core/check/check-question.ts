import type { Speaker } from '../units/speaker.ts';

/** Words that name a measure are said in the units of whoever reads them. */
export type SpokenLabel = string | ((speak: Speaker) => string);

/** One question of a fit check, as data: what to ask, how to try it, and the answers to choose from. */
export type CheckQuestion<Id extends string = string> = {
  id: Id;
  ask: string;
  how: string;
  answers: readonly { value: string; label: SpokenLabel }[];
};

/** A label as it is said. */
export const labelOf = (label: SpokenLabel, speak: Speaker): string => (typeof label === 'string' ? label : label(speak));
