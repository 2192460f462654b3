import type { Speaker } from '../units/speaker.ts';

/** A reason as a person reads it: a stable kebab-case word and one plain sentence. */
export type Reason = { code: string; text: string };

/** Words for every code of a family of reasons; the type forces the table to be complete. */
export type ReasonWords<R extends { code: string }> = {
  [Code in R['code']]: (reason: Extract<R, { code: Code }>, speak: Speaker) => string;
};

/** Words one reason: each family of reasons is data, and is worded in its one table. */
export function wordReason<R extends { code: string }>(words: ReasonWords<R>, reason: R, speak: Speaker): Reason {
  const word = words[reason.code as R['code']] as (reason: R, speak: Speaker) => string;
  return { code: reason.code, text: word(reason, speak) };
}
