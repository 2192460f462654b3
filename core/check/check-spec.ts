import type { SkinGrade } from '../standing/skin-standing.ts';
import { small, unstopped } from '../units/sentence-case.ts';
import type { FitTone } from '../fit/fit-row.ts';
import type { FittingDog } from '../fit/fitting-dog.ts';
import type { Setting } from '../fit/sizer.ts';
import { unknownReason, type ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { CheckQuestion } from './check-question.ts';
import { ANY_SLACK, slackWithin, overlapOfSlack, shiftSlack, type SlackInterval } from './slack-interval.ts';
import { spokenSpan } from '../units/speaker.ts';

/** Answers by the ids of the questions, and counts by theirs; a count that was not tried is null. */
export type CheckAnswers = Record<string, string | number | null>;

/** Something that can be counted on the dog beside the questions, and may be left out. */
export type CheckCount = { id: string; ask: string; how: string; most: number };

/** What is looked at: the dog, the collar's numbers, how it is made up, and what its plan chose. */
export type CheckContext<Numbers, Options> = { dog: FittingDog; numbers: Numbers; on: Setting; options: Options; rules: HouseRules };

/** Something that is wrong when an answer says so; the first of a list that is found decides the step, all are told. */
export type CheckFault<Numbers, Options> = {
  code: string;
  when: (answers: CheckAnswers, context: CheckContext<Numbers, Options>) => boolean;
  verdict: 'stop' | 'adjust';
  step: string;
  /** Why, as a sentence; numbers of it come from the house. */
  says: string | ((rules: HouseRules) => string);
  /** Mended once the size is right: a loose strap first, say, and only then a longer post. */
  afterSize?: true;
  /** It is mended together with a collar that is too loose: what was felt low on the neck is looser still where it belongs. */
  withLoose?: true;
};

/** The answers as an interval of slack, held against the window that is wanted; mm. `move` makes the collar up anew by so much. */
export type CheckedMeasure = {
  slack: SlackInterval;
  plannedMm: number;
  /** The girth the plan came from, where a millimetre less slack is a millimetre more neck; mm. */
  tapedMm?: number;
  window: SlackInterval;
  tightStep: string;
  looseStep: string;
  /** The make-up after letting out (positive) or taking in by mm; null when it has no more to give. */
  move: (byMm: number) => Setting | null;
};
/** Two answers that cannot both be so, by the ids of their questions. */
export type Contradiction = { contradict: [string, string] };

/** A step in words. `again`: then the collar is looked at again; `bench`: no hand on the dog can take it, another is chosen at the bench; `later`: it is right for now, and something is still to be done. */
export type StepWords = { do: string | ((on: Setting, then: Setting) => string); again?: true; bench?: true; later?: true };

/** What a kind decides by itself about the size, in place of letting out and taking in by the millimetre. */
export type OwnDecision<Own> = { verdict: SpecResult['verdict']; step: string; then?: Setting; reasons: Own[] };
/** What it decides by: the measure, what it and the earlier checks say together, and the earlier checks themselves. */
export type Sized<Numbers, Options> = {
  measured: CheckedMeasure;
  known: SlackInterval;
  answers: CheckAnswers;
  context: CheckContext<Numbers, Options>;
  earlier: readonly EarlierSpecCheck[];
};

/**
 * What a check's answers say besides the fit, of things that have a record of their own: whether the contacts touch, and the grade of
 * the skin under it, with the clock place where that was said. Null: it was not asked, or not answered.
 */
export type CheckTells = { contactMade: boolean | null; skin: SkinGrade | null; skinAt: number | null };

/** A kind's fit check as data: what is asked, what counts as wrong, how it is measured, and the steps in words. */
export type CheckSpec<Numbers, Options, Own extends { code: string } = never> = {
  questions: readonly CheckQuestion[];
  counts?: readonly CheckCount[];
  faults: readonly CheckFault<Numbers, Options>[];
  measure: ((answers: CheckAnswers, context: CheckContext<Numbers, Options>) => CheckedMeasure | Contradiction | null) | null;
  /** Null from it: nothing is wrong with the size. */
  decide?: (sized: Sized<Numbers, Options>) => OwnDecision<Own> | null;
  ownWords?: ReasonWords<Own>;
  tells?: (answers: CheckAnswers) => CheckTells;
  steps: Readonly<Record<string, StepWords>>;
  good: string;
};

export type SpecReason =
  | { code: 'found'; fault: string }
  | { code: 'answers-contradict'; first: string; second: string }
  | { code: 'slack-between'; lowMm: number | null; highMm: number | null }
  | { code: 'agrees-with-plan'; plannedMm: number }
  | { code: 'differs-from-plan'; plannedMm: number; girthLowMm?: number | null; girthHighMm?: number | null; tapedMm?: number }
  | { code: 'too-tight'; lowMm: number }
  | { code: 'too-loose'; highMm: number }
  | { code: 'nothing-left'; lowMm: number | null }
  | { code: 'between' }
  | { code: 'all-good' };

export type SpecResult<Own = never> = {
  verdict: 'good' | 'adjust' | 'stop' | 'unclear';
  step: string;
  /** A second step that belongs to the first: moved up and taken in. Records of before have none. */
  also?: string;
  then: Setting;
  slack: { lowMm: number | null; highMm: number | null } | null;
  /** What this check and the earlier ones of its plan leave of it, as it is made up now; null where nothing was felt where it belongs. Records of before have none. */
  known?: { lowMm: number | null; highMm: number | null } | null;
  plannedSlackMm: number | null;
  agrees: boolean | null;
  reasons: (SpecReason | Own)[];
};

/** How far hands and plan are apart: at the same make-up less slack means more neck. */
function differs({ slack, plannedMm, tapedMm }: CheckedMeasure): SpecReason {
  if (tapedMm === undefined) return { code: 'differs-from-plan', plannedMm };
  return {
    code: 'differs-from-plan',
    plannedMm,
    girthLowMm: finite(tapedMm + plannedMm - slack.highMm),
    girthHighMm: finite(tapedMm + plannedMm - slack.lowMm),
    tapedMm,
  };
}

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

/**
 * So many checks of a plan, the latest, say something of how its collar sits. What hands felt longer ago they felt on another neck: coat, weight
 * and muscle have changed since, and a collar that is worn is looked at each week. Common practice; how many, from memory.
 */
export const EARLIER_CHECKS = 12;

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
    const both = overlapOfSlack(slack, shiftSlack(then.slack, now.plannedMm - then.plannedMm));
    if (!both) break;
    slack = both;
  }
  const open = (one: CheckedMeasure) => (one.slack.lowMm === -Infinity ? 'low' : one.slack.highMm === Infinity ? 'high' : 'none');
  const other = newestFirst.findIndex((one) => open(one) !== open(now));
  return { slack, again: other === -1 ? newestFirst.length : other };
}

/**
 * The next step after looking at a collar on the dog, by its kind's spec: what stops it, faults in their order, answers that
 * contradict each other, then the answers as an interval of slack against the window, then the faults that wait for the size. Where
 * the interval lies outside the window, the collar is let out or taken in by what brings the likeliest slack to the middle of it, going
 * by the latest of the earlier checks of the plan too, oldest first; where that leads back to a make-up that was wrong the other way, it lies between
 * two. A kind that comes in steps of its own decides the size by itself. All that is wrong is told, whichever decides the step. Common
 * practice.
 */
export function checkBySpec<Numbers, Options, Own extends { code: string } = never>(
  spec: CheckSpec<Numbers, Options, Own>,
  answers: CheckAnswers,
  context: CheckContext<Numbers, Options>,
  earlier: readonly EarlierSpecCheck[] = [],
): SpecResult<Own> {
  const observed = spec.measure?.(answers, context) ?? null;
  const clash = observed !== null && 'contradict' in observed ? observed.contradict : null;
  const measured = observed !== null && 'slack' in observed ? observed : null;
  const agrees = measured && slackWithin(measured.slack, measured.plannedMm);
  const slack = measured && { lowMm: finite(measured.slack.lowMm), highMm: finite(measured.slack.highMm) };
  const told: SpecReason[] = measured
    ? [
        { code: 'slack-between', lowMm: finite(measured.slack.lowMm), highMm: finite(measured.slack.highMm) },
        agrees ? { code: 'agrees-with-plan', plannedMm: measured.plannedMm } : differs(measured),
      ]
    : [];
  const faults = spec.faults.filter((fault) => fault.when(answers, context));
  // A collar that sat low or had turned was felt where it does not belong: that says nothing of its size.
  const misplaced = (fault: CheckFault<Numbers, Options>) => !fault.afterSize;
  const sound = earlier
    .slice(-EARLIER_CHECKS)
    .filter((one) => !spec.faults.some((fault) => misplaced(fault) && fault.when(one.answers, { ...context, on: one.on })));
  const before = sound.flatMap((one) => {
    const then = spec.measure?.(one.answers, { ...context, on: one.on });
    return then && 'slack' in then ? [{ ...then, on: one.on }] : [];
  });
  const together = measured && known(faults.some(misplaced) ? { ...measured, slack: ANY_SLACK } : measured, before);
  const end = (verdict: SpecResult['verdict'], step: string, reasons: (SpecReason | Own)[], then: Setting = context.on): SpecResult<Own> => ({
    verdict,
    step,
    then,
    slack,
    known: together && { lowMm: finite(together.slack.lowMm), highMm: finite(together.slack.highMm) },
    plannedSlackMm: measured?.plannedMm ?? null,
    agrees,
    reasons: [...reasons, ...told],
  });

  const found = (codes: typeof faults): SpecReason[] => codes.map(({ code }) => ({ code: 'found', fault: code }));
  const sizing = measured && decideSize(spec, measured, before, sound, answers, context);
  const others = (first: (typeof faults)[number]) => found(faults.filter((one) => one !== first));

  const stop = faults.find(({ verdict }) => verdict === 'stop');
  if (stop) return end('stop', stop.step, [...found([stop]), ...(sizing?.size ?? []), ...others(stop)]);
  const first = faults.find(({ afterSize }) => !afterSize);
  if (first) {
    const loose = sizing?.side === 'loose' && sizing.step !== null && sizing.then !== null;
    const reasons = [...found([first]), ...(sizing?.size ?? []), ...others(first)];
    if (loose && first.withLoose) return { ...end(first.verdict, first.step, reasons, sizing.then!), also: sizing.step! };
    return end(first.verdict, first.step, reasons, loose && first.step === sizing.step ? sizing.then! : context.on);
  }
  if (clash) return end('unclear', 'ask-again', [{ code: 'answers-contradict', first: clash[0], second: clash[1] }, ...found(faults)]);
  if (sizing && sizing.step !== null) return end(sizing.verdict, sizing.step, [...sizing.reasons, ...found(faults)], sizing.then ?? context.on);
  const [left] = faults;
  if (left) return end(left.verdict, left.step, [...found([left]), ...others(left)]);
  return end('good', 'good', [{ code: 'all-good' }]);
}

/** What the size comes to: on which side of the window it is, the step and what it is made up like then, and why; no step where it is right. */
type Sizing<Own> = {
  side: 'tight' | 'loose' | null;
  verdict: SpecResult['verdict'];
  step: string | null;
  then: Setting | null;
  reasons: (SpecReason | Own)[];
  /** Its side alone, told beside another fault. */
  size: SpecReason[];
};

function decideSize<Numbers, Options, Own extends { code: string }>(
  spec: CheckSpec<Numbers, Options, Own>,
  measured: CheckedMeasure,
  before: readonly (CheckedMeasure & { on: Setting })[],
  sound: readonly EarlierSpecCheck[],
  answers: CheckAnswers,
  context: CheckContext<Numbers, Options>,
): Sizing<Own> {
  const off = !overlapOfSlack(measured.slack, measured.window);
  const tight = off && measured.slack.highMm <= measured.window.lowMm;
  const side = !off ? null : tight ? 'tight' : 'loose';
  const size: SpecReason[] = !off
    ? []
    : tight
      ? [{ code: 'too-tight', lowMm: measured.window.lowMm }]
      : [{ code: 'too-loose', highMm: measured.window.highMm }];
  const together = known(measured, before);
  if (spec.decide) {
    const own = spec.decide({ measured, known: together.slack, answers, context, earlier: sound });
    return own
      ? { side, verdict: own.verdict, step: own.step, then: own.then ?? null, reasons: own.reasons, size }
      : { side, verdict: 'good', step: null, then: null, reasons: [], size };
  }
  if (side === null) return { side, verdict: 'good', step: null, then: null, reasons: [], size };
  const then = measured.move(aimIn(measured.window) - likeliest(together.slack, measured.plannedMm, together.again));
  if (!then) return { side, verdict: 'adjust', step: 'another-size', then: null, reasons: [...size, { code: 'nothing-left', lowMm: null }], size };
  const otherWay = (one: CheckedMeasure) => (tight ? one.slack.lowMm >= one.window.highMm : one.slack.highMm <= one.window.lowMm);
  const between = before.some((one) => otherWay(one) && sameMakeUp(one.on, then));
  if (between) return { side, verdict: 'adjust', step: 'between', then: null, reasons: [...size, { code: 'between' }], size };
  return { side, verdict: 'adjust', step: tight ? measured.tightStep : measured.looseStep, then, reasons: size, size };
}

/** What to do after a check, as one sentence; a step that this version does not know is told by its word. */
export function stepSentence(steps: CheckSpec<never, never>['steps'], { step, also, then }: Pick<SpecResult, 'step' | 'also' | 'then'>, on: Setting): string {
  const known = [step, ...(also === undefined ? [] : [also])].map((name) => (Object.hasOwn(steps, name) ? steps[name]! : null));
  if (known.some((one) => one === null)) return unknownReason(step);
  const said = known.map((one) => unstopped(typeof one!.do === 'string' ? one!.do : one!.do(on, then)));
  const [first, second] = said;
  const text = second === undefined ? first! : `${first} and ${small(second)}`;
  return `${text}${known.some((one) => one!.again) ? ', then check again' : ''}.`;
}

/** Whether a step sends somebody to the bench: no hand on the dog can take it. */
export const isBenchStep = (steps: CheckSpec<never, never>['steps'], step: string): boolean => Object.hasOwn(steps, step) && steps[step]!.bench === true;

/** Whether a step leaves something to be done another time, though all is right for now. */
export const isLaterStep = (steps: CheckSpec<never, never>['steps'], step: string): boolean => Object.hasOwn(steps, step) && steps[step]!.later === true;

/** How a verdict of a check is told: good, to be done, or stop. */
export const CHECK_TONES: Record<SpecResult['verdict'], FitTone> = { good: 'good', adjust: 'mind', unclear: 'open', stop: 'stop' };

const says = <Numbers, Options>({ says: words }: CheckFault<Numbers, Options>, rules: HouseRules) => (typeof words === 'string' ? words : words(rules));

/** The words of a spec's reasons by the house's rules: the kind's own faults beside those that all kinds share. */
export function specReasonWords<Numbers, Options, Own extends { code: string }>(
  spec: CheckSpec<Numbers, Options, Own>,
  rules: HouseRules,
): ReasonWords<SpecReason> {
  const asked = (id: string) => [...spec.questions, ...(spec.counts ?? [])].find((one) => one.id === id)?.ask ?? id;
  return {
    found: (r) => {
      const fault = spec.faults.find(({ code }) => code === r.fault);
      return fault ? says(fault, rules) : unknownReason(r.fault);
    },
    'answers-contradict': (r) => `«${asked(r.first)}» and «${asked(r.second)}» cannot both be so.`,
    'slack-between': (r, speak) =>
      r.lowMm === null && r.highMm === null
        ? 'The answers leave the slack open.'
        : r.lowMm === null
          ? `From the answers the slack is under ${speak.gap(r.highMm!)}.`
          : r.highMm === null
            ? `From the answers the slack is over ${speak.gap(r.lowMm)}.`
            : `From the answers the slack is ${spokenSpan(speak.gap(r.lowMm), speak.gap(r.highMm))}.`,
    'agrees-with-plan': (r, speak) => `That agrees with the ${speak.gap(r.plannedMm)} planned from the tape.`,
    'differs-from-plan': (r, speak) => {
      const planned = `Planned from the tape was ${speak.gap(r.plannedMm)}`;
      if (r.tapedMm === undefined) return `${planned}: tape again, or look at how it is set.`;
      const [low, high] = [r.girthLowMm ?? null, r.girthHighMm ?? null];
      const neck = low === null ? `under ${speak.taped(high!)}` : high === null ? `over ${speak.taped(low)}` : spokenSpan(speak.taped(low), speak.taped(high));
      return `${planned}. If the collar’s numbers are right the neck here is ${neck}, not ${speak.taped(r.tapedMm)}: tape it again.`;
    },
    'too-tight': (r, speak) => `It is tighter than the ${speak.gap(r.lowMm)} at least.`,
    'too-loose': (r, speak) => `It is looser than the ${speak.gap(r.highMm)} at most.`,
    'nothing-left': () => 'This collar has no more to give: another size is needed.',
    between: () => 'It has been one step further before, and was wrong the other way: the neck lies between the two.',
    'all-good': () => spec.good,
  };
}
