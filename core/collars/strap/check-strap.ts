import type { CheckFault, CheckSpec } from '../../check/check-spec.ts';
import type { CheckQuestion } from '../../check/check-question.ts';
import { fingersUnderQuestion, slackOfFingersUnder } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, COMES_OVER, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { FLAT_HAND_FINGERS, fingerSlack } from '../../measure/finger-slack.ts';
import { holeAt, type StrapNumbers, type StrapOptions } from './fit-strap.ts';
import type { StrapKind } from './size-strap.ts';

/** How a buckled strap goes on. Common practice. */
export const STRAP_PUT_ON: Record<StrapKind, readonly string[]> = {
  flat: ['High on the neck if it must hold; the tag below.', 'Buckle it at the hole planned, tongue and keeper both.', 'Turn it once, for the hair.'],
  'wide-throat': [
    'The broad part on the throat, the buckle behind the ears.',
    'High, where the neck is narrowest; tight enough that it cannot come over the ears.',
    'Buckle it at the hole planned, tongue and keeper both.',
  ],
};

const BROAD: CheckQuestion = {
  id: 'broad',
  ask: 'Where is the broad part?',
  how: 'It belongs on the throat, the buckle behind the ears.',
  answers: [
    { value: 'throat', label: 'On the throat' },
    { value: 'elsewhere', label: 'It has turned' },
  ],
};
const TURNED: CheckFault<unknown, unknown> = {
  code: 'has-turned',
  when: (answers) => answers.broad === 'elsewhere',
  verdict: 'adjust',
  step: 'turn-back',
  says: 'Its broad part is off the throat, so the narrow one carries the load.',
};

/** What a buckled strap is looked at for on the dog. Common practice: two fingers under a flat one, one under a wide-throat one, never the flat hand. */
export const strapCheck = (kind: StrapKind): CheckSpec<StrapNumbers, StrapOptions> => ({
  questions: [
    BREATHING,
    SITS,
    ...(kind === 'wide-throat' ? [BROAD] : []),
    fingersUnderQuestion('under', 'How many fingers go under?'),
    COMES_OVER,
    {
      id: 'buckle',
      ask: 'Buckle, stitching, ring?',
      how: 'Tug the ring once against your own hand.',
      answers: [
        { value: 'sound', label: 'All sound' },
        { value: 'worn', label: 'Something is worn' },
      ],
    },
  ],
  faults: [
    BREATHING_FAULT,
    {
      code: 'worn',
      when: (answers) => answers.buckle === 'worn',
      verdict: 'stop',
      step: 'mend',
      says: 'A worn buckle, stitch or ring gives way when it matters.',
    },
    ...(kind === 'wide-throat' ? [TURNED] : []),
    SITS_FAULT,
    {
      code: 'comes-over',
      when: (answers, { options }) => answers.comesOver === 'yes' && Number(answers.under) <= options.fingers,
      verdict: 'stop',
      step: 'another-collar',
      says: 'It could come over the head though it is not loose: this head is too narrow for it.',
    },
    {
      code: 'pulled-over',
      when: (answers) => answers.comesOver === 'yes',
      verdict: 'adjust',
      step: 'take-in',
      says: 'It can be pulled over the head: too big, and no anchor for a backup.',
    },
  ],
  measure: (answers, { dog, numbers, on, options }) => {
    const girthMm = dog.hairGirthMm!;
    const wanted = fingerSlack(girthMm, options.fingers, dog.finger);
    return {
      slack: slackOfFingersUnder(Number(answers.under), girthMm, dog.finger),
      plannedMm: on.setMm! - girthMm,
      window: { lowMm: wanted, highMm: Math.min(fingerSlack(girthMm, options.fingers + 1, dog.finger), fingerSlack(girthMm, FLAT_HAND_FINGERS, dog.finger)) },
      tightStep: 'let-out',
      looseStep: 'take-in',
      move: (byMm) => {
        const step = numbers.holePitchMm ?? 1;
        const steps = Math.sign(byMm) * Math.max(1, Math.round(Math.abs(byMm) / step));
        // From hole to hole where there are holes, else by the millimetre from where it is.
        const setMm =
          numbers.holePitchMm === null ? Math.round(on.setMm! + steps) : holeAt(numbers.minMm, step, Math.round((on.setMm! - numbers.minMm) / step) + steps);
        return setMm > numbers.maxMm + 1e-9 || setMm < numbers.minMm - 1e-9 ? null : { setMm };
      },
    };
  },
  steps: {
    ...SHARED_STEPS,
    'take-in': 'Take it in, a hole or a little, and check again.',
    'let-out': 'Let it out, a hole or a little, and check again.',
    'turn-back': 'Turn the broad part back onto the throat, and check again.',
    mend: 'Take it off and mend it, or take another.',
  },
  good: `It sits high, ${kind === 'flat' ? 'two fingers go' : 'one finger goes'} under, and it cannot come over the head.`,
});
