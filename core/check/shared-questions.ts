import type { CheckQuestion } from './check-question.ts';
import type { CheckFault, StepWords } from './check-spec.ts';

/** Questions that several kinds ask in the same words. Common practice. */
export const BREATHING: CheckQuestion = {
  id: 'breathing',
  ask: 'Does it breathe freely?',
  how: 'Listen and look first, before anything else.',
  answers: [
    { value: 'free', label: 'Freely' },
    { value: 'not-free', label: 'Not freely' },
  ],
};
export const SITS: CheckQuestion = {
  id: 'sits',
  ask: 'Where does it sit?',
  how: 'It belongs directly behind the ears and the jaw.',
  answers: [
    { value: 'high', label: 'High, behind the ears' },
    { value: 'low', label: 'Lower down' },
  ],
};
export const COMES_OVER: CheckQuestion = {
  id: 'comesOver',
  ask: 'Could it come over the head?',
  how: 'Ease it forward towards the ears, gently, as a dog backing out would.',
  answers: [
    { value: 'no', label: 'It cannot' },
    { value: 'yes', label: 'It could' },
  ],
};

/** The faults of those questions, and the steps they lead to. */
export const BREATHING_FAULT: CheckFault<unknown, unknown> = {
  code: 'breathing-not-free',
  when: (answers) => answers.breathing === 'not-free',
  verdict: 'stop',
  step: 'open-it',
  says: 'It does not breathe freely: nothing else counts until it does.',
};
export const SITS_FAULT: CheckFault<unknown, unknown> = {
  code: 'sits-low',
  when: (answers) => answers.sits === 'low',
  verdict: 'adjust',
  step: 'move-up',
  withLoose: true,
  says: 'Lower down the neck is wider: what feels right there is too big where it belongs.',
};
export const SHARED_STEPS = {
  good: { do: 'Good. Leave it as it is' },
  'open-it': { do: 'Open it now' },
  'move-up': { do: 'Move it up, directly behind the ears and the jaw', again: true },
  'ask-again': { do: 'Check again: 2 answers contradict each other' },
  between: { do: 'It lies between two: make a hole between them, or take a collar that slides', bench: true },
  'another-size': { do: 'Take another size: this one has no more to give', bench: true },
  'another-collar': { do: 'Stop using it: choose another kind of collar', bench: true },
} as const satisfies Record<string, StepWords>;
