import { strapCheck } from '../strap/check-strap.ts';

/** How a flat collar goes on. Common practice. */
export const FLAT_PUT_ON: readonly string[] = [
  'High on the neck if it trains; below the others if it is the safety partner; the tag below.',
  'Buckle it at the hole planned, tongue and keeper both.',
  'Turn it once, for the hair.',
];

/** What a flat collar is looked at for: two fingers, never the flat hand, and it stays up when the dog shakes. Common practice. */
export const FLAT_CHECK = strapCheck({
  questions: [
    {
      id: 'shake',
      ask: 'Head down, a shake: does it slide?',
      how: 'Drop some food at its feet and watch the collar.',
      answers: [
        { value: 'stays', label: 'It stays' },
        { value: 'slides', label: 'It slides' },
      ],
    },
  ],
  faults: [
    {
      code: 'slides',
      when: (answers, { options }) => answers.shake === 'slides' && (options.role ?? 'training') === 'training',
      verdict: 'adjust',
      step: 'move-up',
      withLoose: true,
      says: 'It slides when the head goes down: it does not stay where it works.',
    },
  ],
  steps: {},
  good: 'Two fingers go under, not the flat hand, and it does what it is for.',
});
