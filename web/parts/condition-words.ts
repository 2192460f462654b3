import { CONDITIONS, PIECE_WORDS } from '@banter/core';

export const CONDITION_ANSWERS = CONDITIONS.map((value) => ({ value, label: PIECE_WORDS[value].word }));
