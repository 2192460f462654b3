import type { Speaker } from '../units/speaker.ts';

/** A reason as a person reads it: a stable kebab-case word and one plain sentence. */
export type Reason = { code: string; text: string };

/** What is said of a reason that another version of Banter gave: its own word, with the dashes taken out. */
export const unknownReason = (code: string): string => `Another version of Banter noted: ${code.replaceAll('-', ' ')}.`;

/** Words for every code of a family of reasons; the type forces the table to be complete. */
export type ReasonWords<R extends { code: string }> = {
  [Code in R['code']]: (reason: Extract<R, { code: Code }>, speak: Speaker) => string;
};

/**
 * Words one reason: each family of reasons is data, and is worded in its one table. A kept reason whose code or numbers are those of
 * another version is told by its code, so that the record it stands in can still be read.
 */
export function wordReason<R extends { code: string }>(words: ReasonWords<R>, reason: R, speak: Speaker): Reason {
  const code = reason.code as R['code'];
  const word = Object.hasOwn(words, code) ? (words[code] as (reason: R, speak: Speaker) => string) : undefined;
  let text: string | undefined;
  try {
    text = word?.(reason, speak);
  } catch {
    text = undefined;
  }
  return { code, text: text === undefined || /\b(?:undefined|NaN)\b/.test(text) ? unknownReason(code) : text };
}
