import { SKIN_ANSWERS, skinGradeOf } from '../../check/skin-under.ts';
import type { CheckSpec } from '../../check/check-spec.ts';
import { fingersUnderQuestion, slackOfFingersUnder, slideStrap } from '../../check/fingers-under.ts';
import { BREATHING, BREATHING_FAULT, SHARED_STEPS } from '../../check/shared-questions.ts';
import { fingerSlack } from '../../measure/finger-slack.ts';
import { speakHours } from '../../units/speak-hours.ts';
import type { ElectronicNumbers, ElectronicOptions } from './fit-electronic.ts';

/** How a remote electronic collar goes on. Common practice. */
export const REMOTE_PUT_ON: readonly string[] = [
  'Charged (the light tells), both sockets covered, paired, switched on; tried at the lowest level in your hand first.',
  'On the muscle at the side of the neck, between ear and windpipe; never on the windpipe.',
  'Settle it with a wiggle past the last hairs, then close the strap: two fingers go under, and the skin moves with the receiver.',
  'Never a leash on it. Move it through the day; off overnight.',
];

/** How a location-fence collar goes on. Common practice. */
export const FENCE_PUT_ON: readonly string[] = [
  'First worn without training.',
  'Hair parted, contacts on the skin at the side of the neck, the antenna side up to the sky.',
  'Close the strap: two fingers go under, and the skin moves with the receiver.',
  'On lead until the dog turns back by itself.',
];

/** What a remote or fence collar is looked at for on the dog: contact first, never a higher level. Common practice. */
export const electronicCheck = (kind: 'remote' | 'fence'): CheckSpec<ElectronicNumbers, ElectronicOptions> => ({
  questions: [
    BREATHING,
    {
      id: 'skinMoves',
      ask: 'Push the receiver: does the skin move with it?',
      how: 'If it slides over the hair, the contacts do not touch.',
      answers: [
        { value: 'yes', label: 'The skin moves' },
        { value: 'no', label: 'It slides over it' },
      ],
    },
    fingersUnderQuestion('under', 'How many fingers go under the strap?'),
    {
      id: 'touch',
      ask: 'Do both contacts touch skin?',
      how: 'Part the hair and look along the posts.',
      answers: [
        { value: 'both', label: 'Both' },
        { value: 'hair', label: 'Hair is between' },
      ],
    },
    {
      id: 'place',
      ask: 'Where is it?',
      how: 'Feel for the windpipe, and keep off it.',
      answers: [
        { value: 'side', label: 'On the muscle at the side' },
        { value: 'throat', label: 'Under the throat' },
      ],
    },
    {
      id: 'skin',
      ask: 'Skin under the last place?',
      how: 'Look before it goes on again.',
      answers: SKIN_ANSWERS,
    },
    ...(kind === 'fence'
      ? [
          {
            id: 'antenna',
            ask: 'Is the antenna side up?',
            how: 'It needs the sky.',
            answers: [
              { value: 'up', label: 'Up' },
              { value: 'down', label: 'Down' },
            ],
          },
        ]
      : []),
  ],
  faults: [
    BREATHING_FAULT,
    {
      code: 'skin-sore',
      when: (answers) => answers.skin === 'sore',
      verdict: 'stop',
      step: 'ask-vet',
      says: 'Red, bare or broken skin: it stays off, and a vet is asked.',
    },
    { code: 'on-windpipe', when: (answers) => answers.place === 'throat', verdict: 'adjust', step: 'to-the-side', says: 'Contacts never lie on the windpipe.' },
    {
      code: 'slides',
      when: (answers) => answers.skinMoves === 'no',
      verdict: 'adjust',
      step: 'take-in',
      says: 'A loose collar is the commonest fault: the contacts do not touch. Never turn the level up for it.',
    },
    {
      code: 'hair-between',
      when: (answers) => answers.touch === 'hair',
      verdict: 'adjust',
      step: 'longer-post',
      afterSize: true,
      says: 'Hair between contact and skin: the dog feels nothing, and then far too much.',
    },
    {
      code: 'skin-pink',
      when: (answers) => answers.skin === 'pink',
      verdict: 'adjust',
      step: 'another-place',
      says: ({ restHours }) => `A pink place rests ${speakHours(restHours)}.`,
    },
    {
      code: 'antenna-down',
      when: (answers) => answers.antenna === 'down',
      verdict: 'adjust',
      step: 'antenna-up',
      says: 'With the antenna down it does not know where it is.',
    },
  ],
  measure: (answers, { dog, numbers, on }) => {
    const girthMm = dog.hairGirthMm!;
    const two = fingerSlack(girthMm, 2, dog.finger);
    return {
      slack: slackOfFingersUnder(Number(answers.under), girthMm, dog.finger),
      plannedMm: on.strapMm! - girthMm,
      window: { lowMm: two, highMm: fingerSlack(girthMm, 3, dog.finger) },
      tightStep: 'let-out',
      looseStep: 'take-in',
      move: (byMm) => slideStrap(on, 'strapMm', byMm, [numbers.strapMinMm, numbers.strapMaxMm]),
    };
  },
  steps: {
    ...SHARED_STEPS,
    'take-in': { do: 'Take the strap in until the skin moves with it', again: true },
    'let-out': { do: 'Let the strap out until two fingers go under', again: true },
    'longer-post': { do: 'Take the next longer post, or part the hair', again: true },
    'to-the-side': { do: 'Move it to the side of the neck, on the muscle', again: true },
    'another-place': { do: 'Move it to another place, and let this one rest' },
    'antenna-up': { do: 'Turn the antenna side up', again: true },
    'ask-vet': { do: 'Leave it off, and ask a vet' },
  },
  tells: ({ touch, skinMoves, skin }) => ({
    contactMade: touch === 'hair' || skinMoves === 'no' ? false : touch === 'both' && skinMoves === 'yes' ? true : null,
    skin: skinGradeOf({ skin: skin ?? null }),
    skinAt: null,
  }),
  good: 'Both contacts touch, the skin moves with the receiver, two fingers go under, and the windpipe is clear.',
});
