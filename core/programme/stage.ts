import type { ReasonWords } from '../reasons/reason.ts';
import { countOf } from '../units/count-words.ts';
import { percent } from '../units/percent.ts';
import { atLeast } from '../units/tolerance.ts';
import { DAY_MS } from '../units/durations.ts';

/** One stage of a programme: what it is for, how it goes, how long and how often, and what moves a dog on or back. */
export type ProgrammeStage = {
  id: string;
  name: string;
  aim: string;
  /** What is done, step by step. */
  how: readonly string[];
  /** Of one session. */
  minutes: number;
  sessionsPerDay: number;
  /** From one day with sessions to the next; 1 is every day. */
  everyDays: number;
  /** Collars are on for `onAroundMinutes` before and after; else with the session alone. */
  onAround: boolean;
  /** `needed` of `of` tries go well, in so many sessions in a row, no earlier than so many days after the stage began. */
  pass: { what: string; needed: number; of: number; inRow: number; leastDays: number };
  /** So many sessions in a row under a share of the tries, or one setback, and the dog goes back so many stages. */
  fallBack: { below: number; inRow: number; stages: number; setback: string };
  cautions: readonly string[];
  /** What is not done yet in this stage: nothing is pressed, or no leash is on. */
  notYet: readonly NotYet[];
};

/** What a stage may still be without. */
export const NOT_YET = ['press', 'leash'] as const;
export type NotYet = (typeof NOT_YET)[number];
/** What is said before it is logged all the same. */
export const NOT_YET_WORDS: Record<NotYet, (stage: string) => string> = {
  press: (stage) => `${stage}: worn only, nothing is pressed yet.`,
  leash: (stage) => `${stage}: worn without a leash, nothing is corrected yet.`,
};

/** What came of a session: how many tries went well, of how many, and whether there was a setback. `at` in ms. */
export type StageResult = { at: number; met: number; of: number; setback: boolean };

export type StageVerdict = 'on' | 'hold' | 'back';
export type StageReason =
  | { code: 'no-result' }
  | { code: 'passed'; met: number; of: number; inRow: number }
  | { code: 'too-soon'; days: number; leastDays: number }
  | { code: 'one-more'; more: number; needed: number; of: number }
  | { code: 'not-yet'; met: number; of: number; needed: number; wanted: number }
  | { code: 'setback'; what: string }
  | { code: 'below'; sessions: number; below: number }
  | { code: 'first-stage' };

export const STAGE_REASON_WORDS: ReasonWords<StageReason> = {
  'no-result': () => 'No session of this stage yet.',
  passed: (r) => `${r.met} of ${r.of} went well, ${r.inRow === 1 ? 'as asked' : `${countOf(r.inRow, 'session')} in a row`}: on to the next stage.`,
  'too-soon': (r) => `Good enough, but the stage lasts at least ${countOf(r.leastDays, 'day')}; this is day ${r.days + 1}.`,
  'one-more': (r) => `Good: ${countOf(r.more, 'more session')} ${r.of === 1 ? 'like it' : `with ${r.needed} of ${r.of}`} in a row.`,
  'not-yet': (r) => `${r.met} of ${r.of} went well; ${r.needed} of ${r.wanted} move on.`,
  setback: (r) => `${r.what}: back to what it can do.`,
  below: (r) => `Less than ${percent(r.below)} went well ${countOf(r.sessions, 'session')} in a row: back to what it can do.`,
  'first-stage': () => 'It is the first stage: make it easier, shorter, or further off.',
};

/** The verdict of a stage, how many stages back it goes, and why. */
export type StageJudgement = { verdict: StageVerdict; back: number; reasons: StageReason[] };

const share = ({ met, of }: StageResult) => (of === 0 ? 0 : met / of);

/**
 * Whether a dog moves on, stays or falls back, by the stage's own marks and the results since it began there; `index` is the
 * stage's place. A session with less than half the tries of the mark is too small to meet it (from memory). A person may decide
 * otherwise, with a note. Times ms, days whole since the stage began. Common practice.
 *
 * @example judgeStage(stage, [], { index: 0, begunAt: 0, now: 0 }).verdict // 'hold'
 */
export function judgeStage(
  stage: ProgrammeStage,
  results: readonly StageResult[],
  { index, begunAt, now }: { index: number; begunAt: number; now: number },
): StageJudgement {
  const { pass, fallBack } = stage;
  const told = [...results].sort((a, b) => a.at - b.at);
  const last = told.at(-1);
  if (!last) return { verdict: 'hold', back: 0, reasons: [{ code: 'no-result' }] };
  const goBack = (reason: StageReason): StageJudgement => {
    const back = Math.min(fallBack.stages, index);
    return back === 0 ? { verdict: 'hold', back: 0, reasons: [reason, { code: 'first-stage' }] } : { verdict: 'back', back, reasons: [reason] };
  };
  if (last.setback) return goBack({ code: 'setback', what: fallBack.setback });
  const low = told.slice(-fallBack.inRow);
  if (low.length === fallBack.inRow && low.every((one) => share(one) < fallBack.below))
    return goBack({ code: 'below', sessions: fallBack.inRow, below: fallBack.below });
  // Four of five are as good as eight of ten; one of one is too few to tell: at least half as many tries as the mark names.
  const good = (one: StageResult) => !one.setback && one.of > 0 && 2 * one.of >= pass.of && atLeast(share(one), pass.needed / pass.of);
  const inRow = told.length - 1 - told.findLastIndex((one) => !good(one));
  if (inRow === 0) return { verdict: 'hold', back: 0, reasons: [{ code: 'not-yet', met: last.met, of: last.of, needed: pass.needed, wanted: pass.of }] };
  if (inRow < pass.inRow) return { verdict: 'hold', back: 0, reasons: [{ code: 'one-more', more: pass.inRow - inRow, needed: pass.needed, of: pass.of }] };
  const days = Math.floor((now - begunAt) / DAY_MS);
  if (days < pass.leastDays) return { verdict: 'hold', back: 0, reasons: [{ code: 'too-soon', days, leastDays: pass.leastDays }] };
  return { verdict: 'on', back: 0, reasons: [{ code: 'passed', met: last.met, of: last.of, inRow: pass.inRow }] };
}
