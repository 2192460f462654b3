import type { CheckSpec } from '../../check/check-spec.ts';
import { fingersUnderQuestion, slackOfFingersUnder, slideStrap } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, COMES_OVER, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { fingerSlack } from '../../measure/finger-slack.ts';
import type { MartingaleNumbers, MartingaleOptions } from './fit-martingale.ts';

/** How a martingale goes on. Common practice. */
export const MARTINGALE_PUT_ON: readonly string[] = [
  'Let the main strap out as far as it goes.',
  'The head goes through the main strap, never through the control loop.',
  'Up high, behind the ears; the chain or loop on top.',
  'Then set the strap, and pull the loop once by hand to see the rings.',
];

/** What a martingale is looked at for on the dog. Common practice. */
export const MARTINGALE_CHECK: CheckSpec<MartingaleNumbers, MartingaleOptions> = {
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
        { value: 'apart', label: 'An inch or two apart' },
        { value: 'far', label: 'More than two inches apart' },
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
      code: 'meet-loose',
      when: (answers) => answers.rings === 'meet-loose',
      verdict: 'adjust',
      step: 'take-in',
      says: 'The rings meet before it is snug: it never holds.',
    },
    {
      code: 'far-apart',
      when: (answers) => answers.rings === 'far',
      verdict: 'adjust',
      step: 'let-out',
      says: 'More than two inches apart it squeezes too much.',
    },
    {
      code: 'meet-under-apart',
      when: (answers, { options }) => options.school === 'rings-apart' && answers.rings === 'meet',
      verdict: 'adjust',
      step: 'take-in',
      says: 'Meeting rings turn it into a flat collar, with all the load in one spot: this house keeps them apart.',
    },
    {
      code: 'apart-under-meet',
      when: (answers, { options }) => options.school === 'rings-meet' && answers.rings === 'apart',
      verdict: 'adjust',
      step: 'let-out',
      says: 'It squeezes; this house lets the rings just meet.',
    },
    {
      code: 'paw-in-loop',
      when: (answers) => answers.loop === 'yes',
      verdict: 'adjust',
      step: 'short-loop',
      says: 'A hanging loop catches a small dog’s paw.',
    },
  ],
  measure: (answers, { dog, numbers, on }) => {
    const girthMm = dog.hairGirthMm!;
    return {
      slack: slackOfFingersUnder(Number(answers.under), girthMm, dog.finger),
      plannedMm: on.strapMm! + numbers.loopMm / 2 - girthMm,
      window: { lowMm: fingerSlack(girthMm, 2, dog.finger), highMm: Infinity },
      tightStep: 'let-out',
      looseStep: 'take-in',
      move: (byMm) => slideStrap(on, 'strapMm', byMm, [numbers.strapMinMm, numbers.strapMaxMm]),
    };
  },
  steps: {
    ...SHARED_STEPS,
    'take-off': 'Take it off now, and put the head through the main strap.',
    'take-in': 'Take the strap in a little, and check again.',
    'let-out': 'Let the strap out a little, and check again.',
    'short-loop': 'Take one with a shorter loop, or leave it off when nobody walks the dog.',
  },
  good: 'It sits high, the rings do what the house wants, two fingers go under at rest, and it cannot come over the head.',
};
