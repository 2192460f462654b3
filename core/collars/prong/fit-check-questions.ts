import type { CheckQuestion } from '../../check/check-question.ts';

/** What a person found with hands and eyes, with the prong closed on the dog. `gathered` counts spare links, null when not tried. */
export type ProngCheckAnswers = {
  sits: 'high' | 'low';
  breathing: 'free' | 'not-free';
  ears: 'free' | 'caught';
  under: 'none' | 'some' | 'flat-hand';
  turns: 'not-at-all' | 'a-little' | 'spins';
  headDrop: 'stays' | 'slides';
  overHead: 'no' | 'yes';
  gathered: number | null;
};

export type ProngQuestionId = Exclude<keyof ProngCheckAnswers, 'gathered'>;

/** The questions in the order the hands go. Common practice. */
export const PRONG_CHECK_QUESTIONS: readonly CheckQuestion<ProngQuestionId>[] = [
  {
    id: 'breathing',
    ask: 'Does it breathe freely?',
    how: 'Listen and look first, before anything else.',
    answers: [
      { value: 'free', label: 'Freely' },
      { value: 'not-free', label: 'Not freely' },
    ],
  },
  {
    id: 'ears',
    ask: 'Are both ears free?',
    how: 'Long ears are easily caught when it closes; lift each one out.',
    answers: [
      { value: 'free', label: 'Both free' },
      { value: 'caught', label: 'One is caught' },
    ],
  },
  {
    id: 'sits',
    ask: 'Where does it sit?',
    how: 'It belongs directly behind the ears and the jaw.',
    answers: [
      { value: 'high', label: 'High, behind the ears' },
      { value: 'low', label: 'Lower down' },
    ],
  },
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
export const PRONG_GATHER_TEST = {
  id: 'gathered',
  ask: 'Gather test: how many links are spare?',
  how: 'Fold links together on the dog until it sits right, and count the folded ones.',
  most: 8,
} as const;

/** How a prong goes on, in the order of the hands. Common practice. */
export const PRONG_PUT_ON: readonly string[] = [
  'Hold it up first: every link seated, the chain untwisted so that it hangs as an open triangle.',
  'Live ring outside, dead ring on the dog’s side.',
  'Pass it under the neck and close it at a link: anchor one prong, squeeze the other. Never over the head.',
  'Free both ears, then turn it slowly, for the hair.',
];
