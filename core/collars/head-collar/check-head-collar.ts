import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckSpec } from '../../check/check-spec.ts';
import { fingersUnderQuestion, slackOfFingersUnder, slideStrap } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { fingerSlack } from '../../measure/finger-slack.ts';
import type { HeadCollarNumbers, HeadCollarOptions } from './fit-head-collar.ts';

/** How a head collar goes on. Common practice. */
export const HEAD_COLLAR_PUT_ON: readonly string[] = [
  'Right way up: the ring under the chin, the neck strap high behind the ears.',
  'The nose goes through the loop after food; then the neck strap is closed.',
  'Strap and loop meet at roughly a right angle, as the skull allows.',
  'Safety strap to the flat collar, under the chin. Leash 3 to 4 ft, hanging slack in a curve; never a jerk, never a long line.',
];

/** What a head collar is looked at for on the dog. Common practice. */
export const HEAD_COLLAR_CHECK: CheckSpec<HeadCollarNumbers, HeadCollarOptions> = withSkinUnder<HeadCollarNumbers, HeadCollarOptions>({
  questions: [
    BREATHING,
    {
      id: 'mouth',
      ask: 'Does the mouth open fully?',
      how: 'Let it pant, drink, take a piece of food.',
      answers: [
        { value: 'yes', label: 'Fully' },
        { value: 'no', label: 'Not fully' },
      ],
    },
    {
      id: 'slides',
      ask: 'Slide test: how far down does the nose loop go?',
      how: 'Slide it towards the nose with one finger.',
      answers: [
        { value: 'stays', label: 'It hardly moves' },
        { value: 'leather', label: 'To the nose leather, not off' },
        { value: 'off', label: 'It comes off' },
      ],
    },
    {
      id: 'nose',
      ask: 'Nose loop: how many fingers go under?',
      how: 'Flat, on top of the muzzle, the mouth shut.',
      answers: [
        { value: '1', label: 'One' },
        { value: '0', label: 'None' },
        { value: '2', label: 'Two or more' },
      ],
    },
    {
      id: 'eyes',
      ask: 'Does the loop ride clear of the eyes?',
      how: 'Lift the leash slowly, straight up, and look.',
      answers: [
        { value: 'yes', label: 'Clear of them' },
        { value: 'no', label: 'It rides up to them' },
      ],
    },
    {
      id: 'angle',
      ask: 'Strap and loop: do they meet at about a right angle?',
      how: 'Seen from the side, as the skull allows.',
      answers: [
        { value: 'yes', label: 'About' },
        { value: 'no', label: 'The strap has slipped down' },
      ],
    },
    SITS,
    fingersUnderQuestion('under', 'Neck strap: how many fingers go under?'),
    {
      id: 'safety',
      ask: 'Is the safety strap on the flat collar?',
      how: 'Under the chin, slack.',
      answers: [
        { value: 'yes', label: 'It is' },
        { value: 'no', label: 'It is not' },
      ],
    },
  ],
  faults: [
    BREATHING_FAULT,
    {
      code: 'mouth-held',
      when: (answers) => answers.mouth === 'no',
      verdict: 'stop',
      step: 'let-out-nose',
      says: 'The mouth must open fully: to pant, drink and take food.',
    },
    {
      code: 'slides-off',
      when: (answers) => answers.slides === 'off',
      verdict: 'adjust',
      step: 'take-in-nose',
      says: 'The loop comes off the nose: the dog can paw it off.',
    },
    {
      code: 'loop-tight',
      when: (answers) => answers.slides === 'stays',
      verdict: 'adjust',
      step: 'let-out-nose',
      says: 'The loop is tight: it must slide down to the nose leather.',
    },
    {
      code: 'nose-tight',
      when: (answers) => answers.nose === '0' && answers.slides !== 'off',
      verdict: 'adjust',
      step: 'let-out-nose',
      says: 'No finger goes under the nose loop: it presses.',
    },
    {
      code: 'nose-loose',
      when: (answers) => answers.nose === '2' && answers.slides !== 'stays',
      verdict: 'adjust',
      step: 'take-in-nose',
      says: 'More than one finger goes under the nose loop: it can be pawed off.',
    },
    {
      code: 'rides-to-eyes',
      when: (answers) => answers.eyes === 'no',
      verdict: 'adjust',
      step: 'move-up',
      says: 'A loop at the eyes hurts: the neck strap is too low or too loose.',
    },
    {
      code: 'angle-off',
      when: (answers) => answers.angle === 'no',
      verdict: 'adjust',
      step: 'move-up',
      says: 'Strap and loop have lost their angle: the strap has slipped down.',
    },
    SITS_FAULT,
    {
      code: 'no-safety-strap',
      when: (answers) => answers.safety === 'no',
      verdict: 'adjust',
      step: 'clip-safety',
      says: 'Without the safety strap a pawed-off loop loses the dog.',
    },
  ],
  measure: (answers, { dog, numbers, on }) => {
    const girthMm = dog.hairGirthMm!;
    const one = fingerSlack(girthMm, 1, dog.finger);
    return {
      slack: slackOfFingersUnder(Number(answers.under), girthMm, dog.finger),
      plannedMm: on.neckMm! - girthMm,
      window: { lowMm: one, highMm: fingerSlack(girthMm, 2, dog.finger) },
      tightStep: 'let-out',
      looseStep: 'take-in',
      move: (byMm) => slideStrap(on, 'neckMm', byMm, [numbers.neckMinMm, numbers.neckMaxMm]),
    };
  },
  steps: {
    ...SHARED_STEPS,
    'let-out': { do: 'Let the neck strap out a little', again: true },
    'take-in': { do: 'Take the neck strap in a little', again: true },
    'let-out-nose': { do: 'Let the nose loop out a little, do the slide test', again: true },
    'take-in-nose': { do: 'Take the nose loop in a little, do the slide test', again: true },
    'clip-safety': { do: 'Clip the safety strap to the flat collar', again: true },
  },
  good: 'The mouth opens fully; the loop slides to the nose leather, not off; one finger goes under the neck strap.',
});
