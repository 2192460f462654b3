import { speakHours } from '../units/speak-hours.ts';
import type { CheckQuestion } from './check-question.ts';
import type { CheckAnswers, CheckSpec, CheckTells } from './check-spec.ts';

/** How the skin is, as hands answer it. Common practice. */
export const SKIN_ANSWERS = [
  { value: 'clear', label: 'Clear' },
  { value: 'pink', label: 'Pink' },
  { value: 'sore', label: 'Red, bare or broken' },
] as const;
const GRADES = { clear: 0, pink: 1, sore: 2 } as const;

/** The grade of skin that an answer names; null where it was not answered. */
export const skinGradeOf = ({ skin }: CheckAnswers): CheckTells['skin'] =>
  typeof skin === 'string' && Object.hasOwn(GRADES, skin) ? GRADES[skin as 'clear'] : null;

const SKIN: CheckQuestion = {
  id: 'skin',
  ask: 'How is the skin under it?',
  how: 'Part the hair where it sat last. May be left out.',
  optional: true,
  answers: SKIN_ANSWERS,
};
const SKIN_AT: CheckQuestion = {
  id: 'skinAt',
  ask: 'Where on the neck?',
  how: 'As seen from behind the dog.',
  optional: true,
  askedIf: { id: 'skin', values: ['pink', 'sore'] },
  answers: [
    { value: '12', label: 'Nape, 12' },
    { value: '3', label: 'Its right, 3' },
    { value: '6', label: 'Throat, 6' },
    { value: '9', label: 'Its left, 9' },
  ],
};

/**
 * A collar’s check with the skin under it, which may be left out: what is answered is a look at the skin at that place, and pink is
 * no good fit until the place has rested. The size is judged first: a loose collar that rubs is the usual cause. Common practice.
 */
export function withSkinUnder<Numbers, Options, Own extends { code: string } = never>(
  spec: CheckSpec<Numbers, Options, Own>,
): CheckSpec<Numbers, Options, Own> {
  return {
    ...spec,
    questions: [...spec.questions, SKIN, SKIN_AT],
    faults: [
      ...spec.faults,
      {
        code: 'skin-sore',
        when: ({ skin }) => skin === 'sore',
        verdict: 'stop',
        step: 'ask-vet',
        afterSize: true,
        says: 'Red, bare or broken skin: it stays off, and a vet is asked.',
      },
      {
        code: 'skin-pink',
        when: ({ skin }) => skin === 'pink',
        verdict: 'adjust',
        step: 'rest-skin',
        afterSize: true,
        says: ({ restHours }) => `Pink under it: a loose fit that rubs is the usual cause. The place rests ${speakHours(restHours)}.`,
      },
    ],
    steps: { ...spec.steps, 'ask-vet': { do: 'Leave it off, and ask a vet' }, 'rest-skin': { do: 'Take it off and let the skin rest', again: true } },
    tells: (answers) => ({
      ...(spec.tells?.(answers) ?? { contactMade: null }),
      skin: skinGradeOf(answers),
      skinAt: typeof answers.skinAt === 'string' ? Number(answers.skinAt) : null,
    }),
  };
}
