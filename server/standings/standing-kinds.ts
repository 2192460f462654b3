import { DAY_STANDING } from './day-standing.ts';
import { LEVELS_STANDING } from './levels-standing.ts';
import type { StandingKind } from './standing-kind.ts';

/** Every standing that is kept. */
export const STANDING_KINDS: readonly StandingKind<unknown>[] = [LEVELS_STANDING, DAY_STANDING];
