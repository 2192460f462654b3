import type { Kennel, TodayFound } from '@banter/contract';
import type { KennelScope } from '../services/kennel-scope.ts';

/** What a standing is of. */
export type Subject = 'dog' | 'piece';

/** A piece that a dog wears, and when it was looked at on it last (ISO). */
export type WornPiece = { pieceId: string; lookedAt: string | null };

/** What stands of one dog or piece, as it is kept. */
export type Stands<Data> = {
  data: Data;
  /** The instant (ms) at which time alone makes it another; null: never. */
  until: number | null;
  /** Its place in a list: what is pressing first (0), then by an instant (ms), then by a word. */
  order?: { rank: number; at?: number | null; key?: string };
  dues?: readonly TodayFound[];
  wears?: readonly WornPiece[];
};

/**
 * One kind of standing that is kept for each dog, or piece of gear: worked out anew only when a row of one of its tables, which bears on
 * it, has been written, the kennel's settings or the code have changed, or its time is over. What the clock alone changes until then is a
 * due with its instants.
 */
export type StandingKind<Data> = {
  name: string;
  of: Subject;
  /** Of the shape and of how it is worked out: one more makes what was kept by an earlier one as if it were not there. */
  version: number;
  work: (scope: KennelScope, ids: readonly string[], kennel: Kennel, now: Date) => Promise<ReadonlyMap<string, Stands<Data>>>;
};
