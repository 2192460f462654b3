import { spokenSpan } from '../../units/speaker.ts';
import type { ReasonWords } from '../../reasons/reason.ts';

/** Why a slip collar gets its length and verdict. Lengths mm, gaps signed. */
export type SlipReason =
  | { code: 'sized-by-slack'; lengthMm: number; aimMm: number }
  | { code: 'sized-over-the-head'; lengthMm: number; headMm: number }
  | { code: 'passes-head'; loopMm: number; headMm: number; clearanceMm: number }
  | { code: 'cannot-pass'; loopMm: number; headMm: number }
  | { code: 'gap-inside'; slackMm: number; lowMm: number; highMm: number }
  | { code: 'gap-too-small'; slackMm: number; lowMm: number }
  | { code: 'gap-too-large'; slackMm: number; highMm: number }
  | { code: 'clip-on-instead'; passingMm: number; slackMm: number; highMm: number };

export const SLIP_REASON_WORDS: ReasonWords<SlipReason> = {
  'sized-by-slack': (r, speak) => `${speak.girth(r.lengthMm)} is the even number of inches whose gap between the rings comes nearest ${speak.gap(r.aimMm)}.`,
  'sized-over-the-head': (r, speak) =>
    `${speak.girth(r.lengthMm)} is the shortest even number of inches that goes over the head of ${speak.taped(r.headMm)}, without chain to spare.`,
  'passes-head': (r, speak) =>
    `Opened, the loop is ${speak.taped(r.loopMm)} and goes over the head of ${speak.taped(r.headMm)} with ${speak.gap(r.clearanceMm)} to spare, one ear at a time.`,
  'cannot-pass': (r, speak) => `Opened, the loop is ${speak.taped(r.loopMm)}, less than the head of ${speak.taped(r.headMm)}: it does not go on.`,
  'gap-inside': (r, speak) =>
    `With the slack taken up ${speak.gap(r.slackMm)} stay between the rings, inside the ${spokenSpan(speak.gap(r.lowMm), speak.gap(r.highMm))} of the house.`,
  'gap-too-small': (r, speak) => `With the slack taken up ${speak.gap(r.slackMm)} stay between the rings, under the ${speak.gap(r.lowMm)} at least.`,
  'gap-too-large': (r, speak) =>
    `With the slack taken up ${speak.gap(r.slackMm)} stay between the rings, over the ${speak.gap(r.highMm)} at most: the leash moves that much before it acts.`,
  'clip-on-instead': (r, speak) =>
    `The shortest that goes over this head, ${speak.girth(r.passingMm)}, leaves ${speak.gap(r.slackMm)} between the rings, over ${speak.gap(r.highMm)}: a clip-on slip closes sooner.`,
};
