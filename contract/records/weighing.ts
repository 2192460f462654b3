import { DOG_GRAMS } from '@banter/core';
import { between, z } from '../plain-words.ts';
import { Instant, passage, RecordId } from './common.ts';

/**
 * A dog on the scales: grams. One that corrects another takes its place; without a weight it only strikes the other out, which was
 * none of this dog's.
 */
export const NewWeighing = z
  .strictObject({
    dogId: RecordId,
    weightG: between(...DOG_GRAMS).nullable(),
    correctsId: RecordId.nullable(),
    note: passage(400),
    at: Instant,
  })
  .check(({ value, issues }) => {
    if (value.weightG === null && value.correctsId === null)
      issues.push({ code: 'custom', path: ['weightG'], input: null, message: 'A weighing needs a weight.' });
  });
export type NewWeighing = z.infer<typeof NewWeighing>;
export const Weighing = z.object({ ...NewWeighing.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type Weighing = z.infer<typeof Weighing>;

/** The weighings that stand, oldest first: those that nothing corrects and that have a weight. */
export function standingWeighings<One extends Pick<Weighing, 'id' | 'weightG' | 'correctsId' | 'at'>>(all: readonly One[]): (One & { weightG: number })[] {
  const corrected = new Set(all.map(({ correctsId }) => correctsId));
  return all
    .filter((one): one is One & { weightG: number } => one.weightG !== null && !corrected.has(one.id))
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
}
