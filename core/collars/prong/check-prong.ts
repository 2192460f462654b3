import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckCount, CheckSpec, OwnDecision, Sized } from '../../check/check-spec.ts';
import type { CheckQuestion } from '../../check/check-question.ts';
import { BREATHING, BREATHING_FAULT, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { meetAll, shiftSlack, type SlackInterval } from '../../check/slack-interval.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { handsFind, handsWindow, type ProngFound } from './hands-on-prong.ts';
import type { BetweenSchool } from './gauge-schools.ts';
import { linkInstruction } from './link-instruction.ts';
import { evenness, shiftLinks, type LinkSplit } from './link-split.ts';
import { PRONG_CHECK_WORDS, type ProngCheckReason } from './check-prong-words.ts';
import { mostLinksOut, type ProngCollar } from './prong-collar.ts';
import { prongGirths } from './prong-girths.ts';

/** How a prong goes on, in the order of the hands. Common practice. */
export const PRONG_PUT_ON: readonly string[] = [
  'Hold it up first: every link seated, the chain untwisted so that it hangs as an open triangle.',
  'Live ring outside, dead ring on the dog’s side.',
  'Pass it under the neck. Close it at a link (anchor one prong, squeeze the other) or at its quick-release, until it clicks. Never over the head.',
  'Free both ears, then turn it slowly, for the hair.',
];

const OWN_QUESTIONS: readonly CheckQuestion[] = [
  {
    id: 'ears',
    ask: 'Are both ears free?',
    how: 'Long ears are easily caught when it closes; lift each one out.',
    answers: [
      { value: 'free', label: 'Both free' },
      { value: 'caught', label: 'One is caught' },
    ],
  },
  SITS,
  {
    id: 'under',
    ask: 'What goes under it?',
    how: 'Fingers flat, between the links.',
    answers: [
      { value: 'none', label: 'No finger' },
      { value: 'some', label: 'Some fingers' },
      { value: 'flat-hand', label: 'The flat hand' },
    ],
  },
  {
    id: 'turns',
    ask: 'Does it turn?',
    how: 'Turn it with both hands, gently.',
    answers: [
      { value: 'not-at-all', label: 'Not at all' },
      { value: 'a-little', label: 'A little' },
      { value: 'spins', label: 'Spins freely' },
    ],
  },
  {
    id: 'headDrop',
    ask: 'Head down: does it stay up?',
    how: 'Drop some food at its feet and watch the collar.',
    answers: [
      { value: 'stays', label: 'Stays up' },
      { value: 'slides', label: 'Slides down' },
    ],
  },
  {
    id: 'overHead',
    ask: 'Could it pass the head?',
    how: 'Closed, ease it towards the ears. It must not come over them.',
    answers: [
      { value: 'no', label: 'It cannot' },
      { value: 'yes', label: 'It could' },
    ],
  },
];

/** The gather test: spare links folded together on the dog say how many at once are too many. Common practice. */
export const PRONG_GATHER_TEST: CheckCount = {
  id: 'gathered',
  ask: 'Gather test: how many links are spare?',
  how: 'Fold links together on the dog until it sits right, and count the folded ones.',
  most: 8,
};

/** What a plan says of the check: the school for what lies between two sizes, and the count that a loose start tightens to (null: fitted at once). */
export type ProngCheckOptions = { betweenSchool: BetweenSchool; loosenedFrom: number | null };
export type ProngCheckNumbers = Omit<ProngCollar, 'id'>;

const girthOf = (dog: FittingDog) => dog.skinGirthMm ?? dog.tapedGirthMm!;
const linksOf = (on: Record<string, number>) => on.left! + on.right!;
const asSplit = (on: Record<string, number>): LinkSplit => ({ left: on.left!, right: on.right! });
const instruction = (on: Record<string, number>, then: Record<string, number>) => linkInstruction(asSplit(on), asSplit(then));
type Decision = OwnDecision<ProngCheckReason>;

/** Links out or in, if the gauge bears it. */
function moveLinks(
  change: number,
  reasons: ProngCheckReason[],
  { numbers, on, rules }: { numbers: ProngCheckNumbers; on: Record<string, number>; rules: HouseRules },
): Decision {
  const then = shiftLinks(asSplit(on), change);
  const total = then.left + then.right - numbers.links;
  const limit = change > 0 ? rules.maxAdd : mostLinksOut(numbers.gaugeMm, rules.maxRemove);
  if ((change > 0 ? total : -total) > limit || then.left + then.right < 1)
    return { verdict: 'adjust', step: 'change-gauge', reasons: [...reasons, { code: 'past-link-limit', change: total, limit, gaugeMm: numbers.gaugeMm }] };
  return { verdict: 'adjust', step: change > 0 ? 'put-in' : 'take-out', then, reasons };
}

/** Pressing at `tighter`, hanging one above: what the house's school makes of it. */
function between(tighter: number, slackAtTighter: SlackInterval, { context }: Sized<ProngCheckNumbers, ProngCheckOptions>): Decision {
  const { options, rules, on } = context;
  const reasons: ProngCheckReason[] = [{ code: 'between-on-the-dog', tighter, looser: tighter + 1 }];
  if (options.betweenSchool === 'finer') return { verdict: 'adjust', step: 'finer-gauge', reasons };
  if (slackAtTighter.lowMm < -rules.pressMaxMm)
    return { verdict: 'adjust', step: 'finer-gauge', reasons: [...reasons, { code: 'snug-not-known', limitMm: rules.pressMaxMm }] };
  const accepted: ProngCheckReason[] = [...reasons, { code: 'snug-accepted', limitMm: rules.pressMaxMm }];
  return tighter === linksOf(on) ? { verdict: 'good', step: 'good', reasons: accepted } : moveLinks(tighter - linksOf(on), accepted, context);
}

/**
 * What a prong's own steps are: links go one at a time from the dog, or as many as were gathered; past the link limits the gauge is
 * wrong; a collar that presses at one count and hangs at the next is between two sizes, solved by the school. Never one that presses
 * or could pass the head. Common practice.
 */
function decide(sized: Sized<ProngCheckNumbers, ProngCheckOptions>): Decision | null {
  const { measured, known, answers, context, earlier } = sized;
  const { numbers, on, options } = context;
  const { lowMm: leastMm, highMm: mostMm } = measured.window;
  const links = linksOf(on);
  const gathered = typeof answers.gathered === 'number' ? answers.gathered : null;
  const pressing = measured.slack.highMm <= leastMm;
  const loose = measured.slack.lowMm >= mostMm;
  const byGathering = (count: number) => moveLinks(-count, [{ code: 'gathered', links: count }], context);

  if (answers.overHead === 'yes') {
    if (!loose) return { verdict: 'stop', step: 'another-collar', reasons: [{ code: 'passes-head-though-snug' }] };
    return moveLinks(-Math.max(1, gathered ?? 1), [{ code: 'could-pass-head' }], context);
  }
  if (pressing) {
    if (known.lowMm + numbers.pitchMm >= mostMm) return between(links, known, sized);
    const planned = measured.plannedMm;
    const plannedSnug = planned < leastMm && planned + numbers.pitchMm > mostMm;
    if (plannedSnug) return between(links, { lowMm: planned, highMm: planned }, sized);
    return moveLinks(1, [{ code: 'tips-press' }, { code: 'one-at-a-time' }], context);
  }
  if (loose && options.loosenedFrom !== null && links > options.loosenedFrom)
    return { verdict: 'good', step: 'wear-loose', reasons: [{ code: 'loose-on-purpose', links, to: options.loosenedFrom }] };
  if (loose) {
    const oneOut = shiftSlack(known, -numbers.pitchMm);
    if (gathered === 0 || oneOut.highMm <= leastMm) return between(links - 1, oneOut, sized);
    if (gathered) return byGathering(gathered);
    return moveLinks(-1, [{ code: 'too-loose', highMm: mostMm }, { code: 'one-at-a-time' }], context);
  }
  if (answers.headDrop === 'slides') {
    if (gathered) return byGathering(gathered);
    const slidBefore = earlier.some((one) => one.answers.headDrop === 'slides' && linksOf(one.on) === links);
    return slidBefore
      ? { verdict: 'adjust', step: 'finer-gauge', reasons: [{ code: 'slides-again' }] }
      : { verdict: 'adjust', step: 'move-up', reasons: [{ code: 'slid-once' }] };
  }
  if (evenness(asSplit(on)) === 'lopsided')
    return {
      verdict: 'adjust',
      step: 'even-out',
      then: shiftLinks(shiftLinks(asSplit(on), -1), 1),
      reasons: [{ code: 'uneven-sides', left: on.left!, right: on.right! }],
    };
  return null;
}

/** What a prong is looked at for on the dog, in the order the hands go. Common practice. */
export const PRONG_CHECK: CheckSpec<ProngCheckNumbers, ProngCheckOptions, ProngCheckReason> = withSkinUnder({
  questions: [BREATHING, ...OWN_QUESTIONS],
  counts: [PRONG_GATHER_TEST],
  faults: [
    BREATHING_FAULT,
    {
      code: 'ear-caught',
      when: (answers) => answers.ears === 'caught',
      verdict: 'adjust',
      step: 'free-ears',
      says: 'An ear is caught; it hurts, and the other answers are not to be trusted.',
    },
    SITS_FAULT,
  ],
  measure: (answers, { dog, numbers, on, rules }) => {
    const found = handsFind(answers as ProngFound, numbers, rules);
    const together = meetAll(found);
    if ('contradict' in together) return together;
    const girthMm = girthOf(dog);
    return {
      slack: together.slack,
      plannedMm: prongGirths({ id: '', ...numbers }, linksOf(on), girthMm).slackMm,
      tapedMm: girthMm,
      window: handsWindow(numbers, rules),
      tightStep: 'put-in',
      looseStep: 'take-out',
      move: () => null,
    };
  },
  decide,
  ownWords: PRONG_CHECK_WORDS,
  steps: {
    ...SHARED_STEPS,
    'take-out': { do: instruction, again: true },
    'put-in': { do: instruction, again: true },
    'even-out': { do: instruction, again: true },
    'free-ears': { do: 'Free the ears', again: true },
    'finer-gauge': { do: 'Change to a finer gauge', bench: true },
    'change-gauge': { do: 'Change the gauge; links alone will not do', bench: true },
    'wear-loose': { do: 'Loose on purpose: wear it so this session, a link tighter next time', later: true },
  },
  good: 'It sits high, stays up, turns a little, some fingers go under, and it cannot pass the head.',
});
