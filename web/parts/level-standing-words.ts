import type { OfferedLevel } from '@banter/core';

/** How a level that is offered is known, before its number. */
export const OFFERED_WORDS: Record<OfferedLevel['how'], string> = { known: 'works at', rough: 'works at about', needed: 'last needed' };
