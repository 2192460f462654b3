import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckSpec } from '../../check/check-spec.ts';
import { BREATHING, BREATHING_FAULT, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { spokenSpan } from '../../units/speaker.ts';
import type { SlipNumbers, SlipOptions } from './fit-slip.ts';

/** How a slip goes on and off. Common practice. */
export const SLIP_PUT_ON: readonly string[] = [
  'Drop the chain through one ring, and hold the loop open in front of you, facing the dog.',
  'It must read as a P for a dog worked on the left, as a mirrored P on the right: then the running part crosses the top of the neck and lets go.',
  'Over the head one ear at a time; off the same way, folding each ear.',
  'Up high, behind the ears and the jaw.',
];

/** The gaps between the rings that hands tell apart: half an inch, and two and a half; mm. Common practice. */
const GAP_MM = [12.7, 63.5] as const;

/** What a slip is looked at for on the dog. Common practice. */
export const SLIP_CHECK: CheckSpec<SlipNumbers, SlipOptions> = withSkinUnder<SlipNumbers, SlipOptions>({
  questions: [
    BREATHING,
    {
      id: 'letter',
      ask: 'Facing the dog: which letter does the loop make?',
      how: 'The stem is the running part to the leash.',
      answers: [
        { value: 'P', label: 'A P' },
        { value: 'mirrored', label: 'A mirrored P' },
      ],
    },
    SITS,
    {
      id: 'letsGo',
      ask: 'Take it up and let go: does it fall open?',
      how: 'Once, lightly, then a slack leash.',
      answers: [
        { value: 'yes', label: 'At once' },
        { value: 'no', label: 'It stays tight' },
      ],
    },
    {
      id: 'gap',
      ask: 'Slack taken up: how far apart are the two rings?',
      how: 'Close it until it just touches all round, without pressing.',
      answers: [
        { value: 'closed', label: (speak) => `Under ${speak.gap(GAP_MM[0])}` },
        { value: 'inside', label: (speak) => spokenSpan(speak.gap(GAP_MM[0]), speak.gap(GAP_MM[1])) },
        { value: 'wide', label: (speak) => `Over ${speak.gap(GAP_MM[1])}` },
      ],
    },
    {
      id: 'passes',
      ask: 'On and off: does it pass the head?',
      how: 'One ear at a time.',
      answers: [
        { value: 'easily', label: 'It passes' },
        { value: 'forced', label: 'Only by force' },
      ],
    },
    {
      id: 'headDown',
      ask: 'Head down: does it fall off?',
      how: 'Drop some food at its feet, the leash slack.',
      answers: [
        { value: 'stays', label: 'It stays on' },
        { value: 'falls', label: 'It falls off' },
      ],
    },
  ],
  faults: [
    BREATHING_FAULT,
    {
      code: 'wrong-way-round',
      when: (answers, { dog }) => (answers.letter === 'P') !== (dog.worksOn === 'left'),
      verdict: 'adjust',
      step: 'turn-round',
      says: 'It is on the wrong way round for this side: the running part lies below, and stays tight when the leash lets go.',
    },
    {
      code: 'stays-tight',
      when: (answers) => answers.letsGo === 'no',
      verdict: 'adjust',
      step: 'turn-round',
      says: 'It does not fall open when the leash lets go.',
    },
    {
      code: 'forced-over',
      when: (answers) => answers.passes === 'forced',
      verdict: 'adjust',
      step: 'clip-on',
      says: 'It passes the head only by force: ears and eyes are in the way.',
    },
    {
      code: 'falls-off',
      when: (answers) => answers.headDown === 'falls',
      verdict: 'adjust',
      step: 'clip-on',
      says: 'It falls off when the head goes down: on a slack leash the dog is loose.',
    },
    SITS_FAULT,
  ],
  measure: (answers, { dog, numbers, rules }) => {
    const window = { lowMm: rules.slipMinMm, highMm: rules.slipMaxMm };
    return {
      slack: {
        closed: { lowMm: -Infinity, highMm: GAP_MM[0] },
        inside: { lowMm: GAP_MM[0], highMm: GAP_MM[1] },
        wide: { lowMm: GAP_MM[1], highMm: Infinity },
      }[answers.gap as 'closed' | 'inside' | 'wide'],
      plannedMm: numbers.lengthMm - numbers.ringMm - dog.hairGirthMm!,
      window,
      tightStep: 'another-size',
      looseStep: 'another-size',
      move: () => null,
    };
  },
  steps: {
    ...SHARED_STEPS,
    'turn-round': { do: 'Take it off, turn it round, and put it on again' },
    'clip-on': { do: 'Take a clip-on slip instead, which opens at the neck', bench: true },
    'another-size': { do: 'Take another length', bench: true },
  },
  good: 'It makes the right letter, falls open when let go, and the rings stay apart as they should.',
});
