import { CARD_STANDING } from './card-standing.ts';
import { DAY_STANDING } from './day-standing.ts';
import { FIELD_STANDING } from './field-standing.ts';
import { LEVELS_STANDING } from './levels-standing.ts';
import { PIECE_STANDING } from './piece-standing.ts';
import type { StandingKind } from './standing-kind.ts';
import { WEAR_STANDING } from './wear-standing.ts';

/** Every standing that is kept; what another reads comes before it. */
export const STANDING_KINDS: readonly StandingKind<unknown>[] = [LEVELS_STANDING, WEAR_STANDING, FIELD_STANDING, CARD_STANDING, DAY_STANDING, PIECE_STANDING];
