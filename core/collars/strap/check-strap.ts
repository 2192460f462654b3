import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckFault, CheckSpec } from '../../check/check-spec.ts';
import type { CheckQuestion } from '../../check/check-question.ts';
import { fingersUnderQuestion, slackOfFingersUnder } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, COMES_OVER, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { FLAT_HAND_FINGERS, fingerSlack } from '../../measure/finger-slack.ts';
import { above, below } from '../../units/tolerance.ts';
import { holeAt, type StrapNumbers, type StrapOptions } from './fit-strap.ts';

/** What is a kind's own in the check of a buckled strap: where it is asked, what else is looked at, and what is said when all is right. */
export type OwnStrapCheck = {
  questions: readonly CheckQuestion[];
  faults: readonly CheckFault<StrapNumbers, StrapOptions>[];
  steps: CheckSpec<StrapNumbers, StrapOptions>['steps'];
  good: string;
};

/** A tag collar carries nothing: low and loose is fine for it. */
const carries = ({ options }: { options: StrapOptions }) => options.role !== 'tag';

/**
 * What a buckled strap is looked at for on the dog, by what it is for: one that trains or holds has its fingers under it, high or,
 * as the safety partner, lower down; a tag collar must only not press. Never the flat hand. Common practice.
 */
export const strapCheck = (own: OwnStrapCheck): CheckSpec<StrapNumbers, StrapOptions> =>
  withSkinUnder({
    questions: [
      BREATHING,
      SITS,
      ...own.questions,
      fingersUnderQuestion('under', 'Up behind the ears: how many fingers go under?'),
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
      ...own.faults,
      // The safety partner lies below the others, and a tag collar wherever it likes.
      { ...SITS_FAULT, when: (answers, context) => SITS_FAULT.when(answers, context as never) && (context.options.role ?? 'training') === 'training' },
      {
        code: 'comes-over',
        when: (answers, context) => carries(context) && answers.comesOver === 'yes' && Number(answers.under) <= context.options.fingers,
        verdict: 'stop',
        step: 'another-collar',
        says: 'It could come over the head though it is not loose: this head is too narrow for it.',
      },
      {
        code: 'pulled-over',
        when: (answers, context) => carries(context) && answers.comesOver === 'yes',
        verdict: 'adjust',
        step: 'take-in',
        says: 'It can be pulled over the head: too big, and no anchor for a backup.',
      },
    ],
    measure: (answers, { dog, numbers, on, options }) => {
      const girthMm = dog.hairGirthMm!;
      const wanted = fingerSlack(girthMm, options.fingers, dog.finger);
      const highMm = Math.min(fingerSlack(girthMm, options.fingers + 1, dog.finger), fingerSlack(girthMm, FLAT_HAND_FINGERS, dog.finger));
      return {
        slack: slackOfFingersUnder(Number(answers.under), girthMm, dog.finger),
        plannedMm: on.setMm! - girthMm,
        window: options.role === 'tag' ? { lowMm: fingerSlack(girthMm, 1, dog.finger), highMm: Infinity } : { lowMm: wanted, highMm },
        tightStep: 'let-out',
        looseStep: 'take-in',
        move: (byMm) => {
          const step = numbers.holePitchMm ?? 1;
          const steps = Math.sign(byMm) * Math.max(1, Math.round(Math.abs(byMm) / step));
          // From hole to hole where there are holes, else by the millimetre from where it is.
          const setMm =
            numbers.holePitchMm === null ? Math.round(on.setMm! + steps) : holeAt(numbers.minMm, step, Math.round((on.setMm! - numbers.minMm) / step) + steps);
          return above(setMm, numbers.maxMm) || below(setMm, numbers.minMm) ? null : { setMm };
        },
      };
    },
    steps: {
      ...SHARED_STEPS,
      'take-in': { do: 'Take it in, a hole or a little', again: true },
      'let-out': { do: 'Let it out, a hole or a little', again: true },
      mend: { do: 'Take it off and mend it, or take another' },
      ...own.steps,
    },
    good: own.good,
  });
