import { capital } from '../../units/sentence-case.ts';
import { spokenSpan } from '../../units/speaker.ts';
import type { ReasonWords } from '../../reasons/reason.ts';
import { countOf } from '../../units/count-words.ts';

/** Why a buckled strap gets its setting and verdict. Lengths mm, ratios bare. */
export type StrapReason =
  | { code: 'set-with-fingers'; fingers: number; slackMm: number; setMm: number }
  | { code: 'size-holds'; lowMm: number; highMm: number; setMm: number }
  | { code: 'no-size'; setMm: number }
  | { code: 'head-not-taped' }
  | { code: 'passes-head'; setMm: number; headMm: number }
  | { code: 'can-back-out'; ratio: number; limit: number }
  | { code: 'holds-high-and-tight'; ratio: number; limit: number }
  | { code: 'holds'; ratio: number; limit: number };

export const STRAP_REASON_WORDS: ReasonWords<StrapReason> = {
  'set-with-fingers': (r, speak) =>
    `${capital(countOf(r.fingers, 'finger'))} under it ${r.fingers === 1 ? 'makes' : 'make'} ${speak.gap(r.slackMm)} of slack: set to ${speak.taped(r.setMm)}.`,
  'size-holds': (r, speak) => `The size ${spokenSpan(speak.taped(r.lowMm), speak.taped(r.highMm))} holds ${speak.taped(r.setMm)} most centrally.`,
  'no-size': (r, speak) => `No size holds ${speak.taped(r.setMm)}.`,
  'head-not-taped': () => 'The head is not taped, so whether the dog can back out is not known.',
  'passes-head': (r, speak) =>
    `Set to ${speak.taped(r.setMm)} it can be pulled over the head of ${speak.taped(r.headMm)}: too big, and no anchor for a backup.`,
  'can-back-out': (r) => `The head is ${r.ratio.toFixed(2)} times the collar, under the ${r.limit.toFixed(2)} that holds: the dog can back out.`,
  'holds-high-and-tight': (r) =>
    `The head is ${r.ratio.toFixed(2)} times the collar, under ${r.limit.toFixed(2)}: it holds only as long as it stays high and tight.`,
  holds: (r) => `The head is ${r.ratio.toFixed(2)} times the collar, at least ${r.limit.toFixed(2)}: it holds.`,
};
