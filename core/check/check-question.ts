import type { Speaker } from '../units/speaker.ts';

/** Words that name a measure are said in the units of whoever reads them. */
export type SpokenLabel = string | ((speak: Speaker) => string);

/** One question of a fit check, as data: what to ask, how to try it, and the answers to choose from. */
export type CheckQuestion<Id extends string = string> = {
  id: Id;
  ask: string;
  how: string;
  /** It may be left out. */
  optional?: true;
  /** It is asked only where another question was answered so. */
  askedIf?: { id: string; values: readonly string[] };
  answers: readonly { value: string; label: SpokenLabel }[];
};

/** A label as it is said. */
export const labelOf = (label: SpokenLabel, speak: Speaker): string => (typeof label === 'string' ? label : label(speak));

/** Which of the questions are asked, by what has been answered so far. */
export const questionsAsked = (questions: readonly CheckQuestion[], answers: Readonly<Record<string, unknown>>): CheckQuestion[] =>
  questions.filter(({ askedIf }) => askedIf === undefined || askedIf.values.includes(String(answers[askedIf.id])));
