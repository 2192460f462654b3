import type { Kennel } from '@banter/contract';
import type { KennelScope } from '../services/kennel-scope.ts';

/** What stands of one dog, as it is kept; `until` is the instant (ms) at which time alone makes it another, null: never. */
export type Stands<Data> = { data: Data; until: number | null };

/**
 * One kind of standing that is kept for each dog: worked out anew only when a row of one of its tables, which bears on the dog, has
 * been written, the kennel's settings or the code have changed, or its time is over.
 */
export type StandingKind<Data> = {
  name: string;
  /** Of the shape and of how it is worked out: one more makes what was kept by an earlier one as if it were not there. */
  version: number;
  work: (scope: KennelScope, dogIds: readonly string[], kennel: Kennel, now: Date) => Promise<ReadonlyMap<string, Stands<Data>>>;
};
