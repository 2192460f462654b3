import { strapCheck } from '../strap/check-strap.ts';

/** How a wide-throat collar goes on. Common practice. */
export const WIDE_THROAT_PUT_ON: readonly string[] = [
  'The broad part on the throat, the buckle behind the ears.',
  'High, where the neck is narrowest; tight enough that it cannot come over the ears.',
  'Buckle it at the hole planned, tongue and keeper both.',
];

/** What a wide-throat collar is looked at for: one finger, its broad part on the throat, and no way over the ears. Common practice. */
export const WIDE_THROAT_CHECK = strapCheck({
  questions: [
    {
      id: 'broad',
      ask: 'Where is the broad part?',
      how: 'It belongs on the throat, the buckle behind the ears.',
      answers: [
        { value: 'throat', label: 'On the throat' },
        { value: 'elsewhere', label: 'It has turned' },
      ],
    },
  ],
  faults: [
    {
      code: 'has-turned',
      when: (answers) => answers.broad === 'elsewhere',
      verdict: 'adjust',
      step: 'turn-back',
      says: 'Its broad part is off the throat, so the narrow one carries the load.',
    },
  ],
  steps: { 'turn-back': { do: 'Turn the broad part back onto the throat', again: true } },
  good: 'It sits high, one finger goes under, and it cannot come over the head.',
});
