import type { FittingDog } from '../fit/fitting-dog.ts';
import type { Setting } from '../fit/sizer.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { CheckQuestion } from './check-question.ts';
import { holds, meet, shift, type SlackInterval } from './slack-interval.ts';

/** Answers by the ids of the questions. */
export type CheckAnswers = Record<string, string>;

/** What is looked at: the dog, the collar's numbers, how it is made up, and what its plan chose. */
export type CheckContext<Numbers, Options> = { dog: FittingDog; numbers: Numbers; on: Setting; options: Options; rules: HouseRules };

/** Something that is wrong when an answer says so; the first of a list that is found decides the step, all are told. */
export type CheckFault<Numbers, Options> = {
  code: string;
  when: (answers: CheckAnswers, context: CheckContext<Numbers, Options>) => boolean;
  verdict: 'stop' | 'adjust';
  step: string;
  says: string;
  /** Mended once the size is right: a loose strap first, say, and only then a longer post. */
  afterSize?: true;
};

/** The answers as an interval of slack, held against the window that is wanted; mm. `move` makes the collar up anew by so much. */
export type CheckedMeasure = {
  slack: SlackInterval;
  plannedMm: number;
  window: SlackInterval;
  tightStep: string;
  looseStep: string;
  /** The make-up after letting out (positive) or taking in by mm; null when it has no more to give. */
  move: (byMm: number) => Setting | null;
};

/** A kind's fit check as data: what is asked, what counts as wrong, how it is measured, and the steps in words. */
export type CheckSpec<Numbers, Options> = {
  questions: readonly CheckQuestion[];
  faults: readonly CheckFault<Numbers, Options>[];
  measure: ((answers: CheckAnswers, context: CheckContext<Numbers, Options>) => CheckedMeasure | null) | null;
  steps: Record<string, string>;
  good: string;
};

export type SpecReason =
  | { code: 'found'; fault: string }
  | { code: 'slack-between'; lowMm: number | null; highMm: number | null }
  | { code: 'agrees-with-plan'; plannedMm: number }
  | { code: 'differs-from-plan'; plannedMm: number }
  | { code: 'too-tight'; lowMm: number }
  | { code: 'too-loose'; highMm: number }
  | { code: 'nothing-left'; lowMm: number | null }
  | { code: 'between' }
  | { code: 'all-good' };

export type SpecResult = {
  verdict: 'good' | 'adjust' | 'stop' | 'unclear';
  step: string;
  then: Setting;
  slack: { lowMm: number | null; highMm: number | null } | null;
  plannedSlackMm: number | null;
  agrees: boolean | null;
  reasons: SpecReason[];
};

const sameMakeUp = (a: Setting, b: Setting) => Object.keys(a).every((name) => Math.abs((a[name] ?? 0) - (b[name] ?? 0)) < 0.5);
const finite = (mm: number) => (Number.isFinite(mm) ? mm : null);

/** How far beyond an open end the slack is taken to lie when nothing else is known, mm; twice as far each time it was not enough. */
const BEYOND_MM = 6;

/**
 * The likeliest slack, mm: what was planned from the tape where the answers allow it; else the middle of what they leave; else
 * somewhat beyond the end they give, further with each `again` that was not far enough.
 */
function likeliest({ lowMm, highMm }: SlackInterval, plannedMm: number, again: number): number {
  if (plannedMm > lowMm && plannedMm < highMm) return plannedMm;
  if (Number.isFinite(lowMm) && Number.isFinite(highMm)) return (lowMm + highMm) / 2;
  const beyondMm = BEYOND_MM * 2 ** again;
  return Number.isFinite(lowMm) ? lowMm + beyondMm : highMm - beyondMm;
}

/** Where to aim in a window, mm: its middle, away from both edges; a little inside where it has one edge only. */
const aimIn = ({ lowMm, highMm }: SlackInterval) => (Number.isFinite(highMm) ? (lowMm + highMm) / 2 : lowMm + BEYOND_MM / 2);

/** An earlier check of the same plan: how the collar was made up then, and what was found. */
export type EarlierSpecCheck = { on: Setting; answers: CheckAnswers };

/**
 * What this check and the earlier ones say together of the slack as the collar is made up now: each earlier finding moved by
 * what the collar was let out or taken in since. Where they contradict each other, as hair and hands change, the newer count.
 * `again`: how many checks in a row left the same end open.
 */
function known(now: CheckedMeasure, before: readonly CheckedMeasure[]): { slack: SlackInterval; again: number } {
  const newestFirst = [...before].reverse();
  let slack = now.slack;
  for (const then of newestFirst) {
    const both = meet(slack, shift(then.slack, now.plannedMm - then.plannedMm));
    if (!both) break;
    slack = both;
  }
  const open = (one: CheckedMeasure) => (one.slack.lowMm === -Infinity ? 'low' : one.slack.highMm === Infinity ? 'high' : 'none');
  const other = newestFirst.findIndex((one) => open(one) !== open(now));
  return { slack, again: other === -1 ? newestFirst.length : other };
}

/**
 * The next step after looking at a collar on the dog, by its kind's spec: what stops it, faults in their order, then the answers
 * as an interval of slack against the window, then the faults that wait for the size. Where the interval lies outside the
 * window, the collar is let out or taken in by what brings the likeliest slack to the middle of it, going by the earlier checks of the
 * plan too, oldest first; where that leads back to a make-up that was wrong the other way, it lies between two. All that is
 * wrong is told, whichever decides the step. Common practice.
 */
export function checkBySpec<Numbers, Options>(
  spec: CheckSpec<Numbers, Options>,
  answers: CheckAnswers,
  context: CheckContext<Numbers, Options>,
  earlier: readonly EarlierSpecCheck[] = [],
): SpecResult {
  const measured = spec.measure?.(answers, context) ?? null;
  const agrees = measured && holds(measured.slack, measured.plannedMm);
  const slack = measured && { lowMm: finite(measured.slack.lowMm), highMm: finite(measured.slack.highMm) };
  const told: SpecReason[] = measured
    ? [
        { code: 'slack-between', lowMm: finite(measured.slack.lowMm), highMm: finite(measured.slack.highMm) },
        { code: agrees ? 'agrees-with-plan' : 'differs-from-plan', plannedMm: measured.plannedMm },
      ]
    : [];
  const end = (verdict: SpecResult['verdict'], step: string, reasons: SpecReason[], then = context.on): SpecResult => ({
    verdict,
    step,
    then,
    slack,
    plannedSlackMm: measured?.plannedMm ?? null,
    agrees,
    reasons: [...reasons, ...told],
  });
  const faults = spec.faults.filter((fault) => fault.when(answers, context));
  const found = (codes: typeof faults): SpecReason[] => codes.map(({ code }) => ({ code: 'found', fault: code }));
  const off = measured && !meet(measured.slack, measured.window) ? measured : null;
  const tight = off !== null && off.slack.highMm <= off.window.lowMm;
  const size: SpecReason[] = !off ? [] : tight ? [{ code: 'too-tight', lowMm: off.window.lowMm }] : [{ code: 'too-loose', highMm: off.window.highMm }];
  const sizeStep = off && (tight ? off.tightStep : off.looseStep);
  // A collar that sat low or had turned was felt where it does not belong: that says nothing of its size.
  const sound = earlier.filter((one) => !spec.faults.some((fault) => !fault.afterSize && fault.when(one.answers, { ...context, on: one.on })));
  const before = sound.flatMap((one) => spec.measure?.(one.answers, { ...context, on: one.on }) ?? []);
  const together = off && known(off, before);
  const moved = off && together ? off.move(aimIn(off.window) - likeliest(together.slack, off.plannedMm, together.again)) : null;
  const otherWay = (one: CheckedMeasure) => (tight ? one.slack.lowMm >= one.window.highMm : one.slack.highMm <= one.window.lowMm);
  const between = moved !== null && before.some((one, index) => otherWay(one) && sameMakeUp(sound[index]!.on, moved));
  const first = faults.find(({ verdict }) => verdict === 'stop') ?? faults.find(({ afterSize }) => !afterSize) ?? (off ? undefined : faults[0]);
  if (first) {
    const others = faults.filter((one) => one !== first);
    return end(first.verdict, first.step, [...found([first]), ...size, ...found(others)], first.step === sizeStep && moved ? moved : context.on);
  }
  if (sizeStep) {
    if (!moved) return end('adjust', 'another-size', [...size, { code: 'nothing-left', lowMm: null }, ...found(faults)]);
    if (between) return end('adjust', 'between', [...size, { code: 'between' }, ...found(faults)]);
    return end('adjust', sizeStep, [...size, ...found(faults)], moved);
  }
  return end('good', 'good', [{ code: 'all-good' }]);
}

/** The words of a spec's reasons: the kind's own faults beside those that all kinds share. */
export function specReasonWords<Numbers, Options>(spec: CheckSpec<Numbers, Options>): ReasonWords<SpecReason> {
  return {
    found: (r) => spec.faults.find((fault) => fault.code === r.fault)?.says ?? 'Something was found.',
    'slack-between': (r, speak) =>
      r.lowMm === null && r.highMm === null
        ? 'The answers leave the slack open.'
        : r.lowMm === null
          ? `From the answers the slack is under ${speak.gap(r.highMm!)}.`
          : r.highMm === null
            ? `From the answers the slack is over ${speak.gap(r.lowMm)}.`
            : `From the answers the slack is ${speak.gap(r.lowMm)} to ${speak.gap(r.highMm)}.`,
    'agrees-with-plan': (r, speak) => `That agrees with the ${speak.gap(r.plannedMm)} planned from the tape.`,
    'differs-from-plan': (r, speak) => `Planned from the tape was ${speak.gap(r.plannedMm)}: tape again, or look at how it is set.`,
    'too-tight': (r, speak) => `It is tighter than the ${speak.gap(r.lowMm)} at least.`,
    'too-loose': (r, speak) => `It is looser than the ${speak.gap(r.highMm)} at most.`,
    'nothing-left': () => 'This collar has no more to give: another size is needed.',
    between: () => 'It has been one step further before, and was wrong the other way: the neck lies between the two.',
    'all-good': () => spec.good,
  };
}
