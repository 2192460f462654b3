import type { FittingDog } from '../fit/fitting-dog.ts';
import type { Setting } from '../fit/sizer.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { CheckQuestion } from './check-question.ts';
import { holds, meet, type SlackInterval } from './slack-interval.ts';

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
  aimMm: number;
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

const finite = (mm: number) => (Number.isFinite(mm) ? mm : null);

/** The middle of an interval of slack, or its finite end; mm. */
function middle({ lowMm, highMm }: SlackInterval, aimMm: number): number {
  if (Number.isFinite(lowMm) && Number.isFinite(highMm)) return (lowMm + highMm) / 2;
  return Number.isFinite(lowMm) ? lowMm : Number.isFinite(highMm) ? highMm : aimMm;
}

/**
 * The next step after looking at a collar on the dog, by its kind's spec: what stops it, faults in their order, then the answers
 * as an interval of slack against the window, then the faults that wait for the size. Where the interval lies outside the
 * window, the collar is let out or taken in by what brings its middle to the aim. All that is wrong is told, whichever decides
 * the step. Common practice.
 */
export function checkBySpec<Numbers, Options>(spec: CheckSpec<Numbers, Options>, answers: CheckAnswers, context: CheckContext<Numbers, Options>): SpecResult {
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
  const moved = off?.move(off.aimMm - middle(off.slack, off.aimMm)) ?? null;
  const first = faults.find(({ verdict }) => verdict === 'stop') ?? faults.find(({ afterSize }) => !afterSize) ?? (off ? undefined : faults[0]);
  if (first) {
    const others = faults.filter((one) => one !== first);
    return end(first.verdict, first.step, [...found([first]), ...size, ...found(others)], first.step === sizeStep && moved ? moved : context.on);
  }
  if (sizeStep) {
    if (!moved) return end('adjust', 'another-size', [...size, { code: 'nothing-left', lowMm: null }, ...found(faults)]);
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
    'all-good': () => spec.good,
  };
}
