import { CONDITIONS } from '@banter/contract';

const WORDS = { sound: 'Sound', mend: 'Wants mending', worn: 'Worn out' } as const;

/** How a piece of gear is, in words. */
export const conditionWord = (condition: (typeof CONDITIONS)[number]): string => WORDS[condition];

export const CONDITION_ANSWERS = CONDITIONS.map((value) => ({ value, label: WORDS[value] }));
