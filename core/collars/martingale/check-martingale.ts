import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckSpec } from '../../check/check-spec.ts';
import { fingersUnderQuestion, slideStrap } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, COMES_OVER, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { ANY_SLACK, type SlackInterval } from '../../check/slack-interval.ts';
import type { MartingaleNumbers, MartingaleOptions } from './fit-martingale.ts';
import { ringGapWindow, RINGS_FAR_MM, RINGS_MEET_MM } from './size-martingale.ts';

/** How a martingale goes on. Common practice. */
export const MARTINGALE_PUT_ON: readonly string[] = [
  'Let the main strap out as far as it goes.',
  'The head goes through the main strap, never through the control loop.',
  'Up high, behind the ears; the chain or loop on top.',
  'Then set the strap, and pull the loop once by hand to see the rings.',
];

/** What a martingale is looked at for on the dog. Common practice. */
export const MARTINGALE_CHECK: CheckSpec<MartingaleNumbers, MartingaleOptions> = withSkinUnder<MartingaleNumbers, MartingaleOptions>({
  questions: [
    BREATHING,
    {
      id: 'through',
      ask: 'Which part is round the neck?',
      how: 'The usual mistake is the head through the control loop.',
      answers: [
        { value: 'strap', label: 'The main strap' },
        { value: 'loop', label: 'The control loop' },
      ],
    },
    SITS,
    {
      id: 'rings',
      ask: 'Pulled by hand: where are the rings?',
      how: 'Pull the loop straight up until it is snug.',
      answers: [
        { value: 'meet-loose', label: 'They meet and it is still loose' },
        { value: 'meet', label: 'They just meet, snug' },
        { value: 'apart', label: (speak) => `Up to ${speak.gap(RINGS_FAR_MM)} apart` },
        { value: 'far', label: (speak) => `More than ${speak.gap(RINGS_FAR_MM)} apart` },
      ],
    },
    {
      id: 'opens',
      ask: 'Let go: does the loop open again by itself?',
      how: 'After the pull, a slack leash.',
      answers: [
        { value: 'yes', label: 'At once' },
        { value: 'no', label: 'It stays shut' },
      ],
    },
    fingersUnderQuestion('under', 'At rest: how many fingers go under?'),
    COMES_OVER,
    {
      id: 'loop',
      ask: 'Does the loop hang where a paw can catch?',
      how: 'Head down, as when it scratches.',
      answers: [
        { value: 'no', label: 'It does not' },
        { value: 'yes', label: 'It does' },
      ],
    },
  ],
  faults: [
    BREATHING_FAULT,
    {
      code: 'head-in-loop',
      when: (answers) => answers.through === 'loop',
      verdict: 'stop',
      step: 'take-off',
      says: 'The head is through the control loop: it would close without an end.',
    },
    {
      code: 'comes-over',
      when: (answers) => answers.comesOver === 'yes',
      verdict: 'adjust',
      step: 'take-in',
      says: 'It could come over the head: shorter, or another kind.',
    },
    SITS_FAULT,
    {
      code: 'stays-shut',
      when: (answers) => answers.opens === 'no',
      verdict: 'adjust',
      step: 'free-loop',
      says: 'The loop does not open by itself after a pull: it keeps pressing.',
    },
    {
      code: 'tight-at-rest',
      when: (answers) => answers.under === '0' || answers.under === '1',
      verdict: 'adjust',
      step: 'another-loop',
      afterSize: true,
      says: 'Fewer than two fingers go under at rest, though the rings are right: the loop is too short.',
    },
    {
      code: 'flat-hand-at-rest',
      when: (answers) => answers.under === '4',
      verdict: 'adjust',
      step: 'another-loop',
      afterSize: true,
      says: 'The flat hand goes under at rest: too loose. The rings are right, so the loop is too long.',
    },
    {
      code: 'paw-in-loop',
      when: (answers) => answers.loop === 'yes',
      verdict: 'adjust',
      step: 'short-loop',
      says: 'A hanging loop catches a small dog’s paw.',
    },
  ],
  // The strap is judged by where the rings come when it is pulled; fingers tell how it hangs at rest.
  measure: (answers, { dog, numbers, on, options, rules }) => {
    const girthMm = dog.hairGirthMm!;
    const rings = ringGapWindow(options.school, girthMm, rules);
    const farMm = Math.max(RINGS_FAR_MM, rules.squeezeMaxRatio * girthMm);
    const slack: Record<string, SlackInterval> = {
      'meet-loose': { lowMm: RINGS_MEET_MM, highMm: Infinity },
      meet: { lowMm: -RINGS_MEET_MM, highMm: RINGS_MEET_MM },
      apart: { lowMm: -farMm, highMm: -RINGS_MEET_MM },
      far: { lowMm: -Infinity, highMm: -farMm },
    };
    return {
      slack: slack[String(answers.rings)] ?? ANY_SLACK,
      plannedMm: on.strapMm! - girthMm,
      // Of the gap between the rings, seen as slack of the strap.
      window: { lowMm: -rings.highMm, highMm: -rings.lowMm },
      tightStep: 'let-out',
      looseStep: 'take-in',
      move: (byMm) => slideStrap(on, 'strapMm', byMm, [numbers.strapMinMm, numbers.strapMaxMm]),
    };
  },
  steps: {
    ...SHARED_STEPS,
    'take-off': { do: 'Take it off now, and put the head through the main strap', again: true },
    'take-in': { do: 'Take the strap in a little', again: true },
    'let-out': { do: 'Let the strap out a little', again: true },
    'free-loop': { do: 'Wash it and work the slides until the loop opens by itself, or take another', again: true },
    'another-loop': { do: 'Take one with another loop: at rest two fingers go under, not the flat hand', bench: true },
    'short-loop': { do: 'Take one with a shorter loop, or leave it off when nobody walks the dog', bench: true },
  },
  good: 'It sits high; the rings do what the house wants; two fingers go under at rest; it cannot come over the head.',
});
