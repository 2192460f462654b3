import { spokenSpan } from '../../units/speaker.ts';
import type { ReasonWords } from '../../reasons/reason.ts';
import { percent } from '../../units/percent.ts';

/** Why a martingale gets its setting and verdict. Lengths mm, ratios bare. */
export type MartingaleReason =
  | { code: 'rings-meet'; strapMm: number; girthMm: number }
  | { code: 'rings-apart'; strapMm: number; gapMm: number; ratio: number; limitRatio: number }
  | { code: 'out-of-range'; strapMm: number; lowMm: number; highMm: number }
  | { code: 'buckled' }
  | { code: 'let-out-passes'; longestMm: number; headMm: number }
  | { code: 'let-out-does-not-pass'; longestMm: number; headMm: number }
  | { code: 'can-back-out'; ratio: number; limit: number }
  | { code: 'holds-high-and-tight'; ratio: number; limit: number }
  | { code: 'holds'; ratio: number; limit: number }
  | { code: 'loop-too-long'; slackMm: number; flatHandMm: number }
  | { code: 'loop-too-short'; slackMm: number; twoFingersMm: number }
  | { code: 'squeezes-too-much'; gapMm: number; ratio: number; limitRatio: number };

export const MARTINGALE_REASON_WORDS: ReasonWords<MartingaleReason> = {
  'rings-meet': (r, speak) => `Set to the high girth of ${speak.taped(r.girthMm)} the rings just touch when pulled: it holds and never squeezes.`,
  'rings-apart': (r, speak) =>
    `Set to ${speak.taped(r.strapMm)} the rings stay ${speak.gap(r.gapMm)} apart when pulled: pressure all round, ${percent(r.ratio)} of the girth; up to ${percent(r.limitRatio)} is allowed.`,
  'out-of-range': (r, speak) =>
    `It would have to be set to ${speak.taped(r.strapMm)}, outside its range of ${spokenSpan(speak.taped(r.lowMm), speak.taped(r.highMm))}.`,
  buckled: () => 'It buckles, so it need not go over the head.',
  'let-out-passes': (r, speak) => `Let out it is ${speak.taped(r.longestMm)} and goes over the head of ${speak.taped(r.headMm)}; then it is set.`,
  'let-out-does-not-pass': (r, speak) => `Even let out it is ${speak.taped(r.longestMm)}, less than the head of ${speak.taped(r.headMm)}: it does not go on.`,
  'can-back-out': (r) => `The head is ${r.ratio.toFixed(2)} times the closed collar, under the ${r.limit.toFixed(2)} that holds: the dog can back out.`,
  'holds-high-and-tight': (r) =>
    `The head is ${r.ratio.toFixed(2)} times the closed collar, under ${r.limit.toFixed(2)}: it holds only as long as it stays high and tight.`,
  holds: (r) => `The head is ${r.ratio.toFixed(2)} times the closed collar, at least ${r.limit.toFixed(2)}: it holds.`,
  'loop-too-long': (r, speak) =>
    `At rest it stands ${speak.gap(r.slackMm)} open: the flat hand goes under from ${speak.gap(r.flatHandMm)}. A shorter loop brings it in, or rings that stay apart.`,
  'loop-too-short': (r, speak) =>
    `At rest it stands ${speak.gap(r.slackMm)} open, and two fingers need ${speak.gap(r.twoFingersMm)}. A longer loop lets them under.`,
  'squeezes-too-much': (r, speak) =>
    `Pulled it squeezes by ${speak.gap(r.gapMm)}, ${percent(r.ratio)} of the girth, past the ${percent(r.limitRatio)} allowed.`,
};
