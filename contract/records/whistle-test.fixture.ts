import { z } from '../plain-words.ts';
import { Instant, passage, RecordId } from './common.ts';
import { recordKind } from './record-kind.ts';

/** A made-up kind of record: whether a dog turns at a whistle. */
export const NewWhistleTest = z.strictObject({ dogId: RecordId, turned: z.boolean(), note: passage(400), at: Instant });
export type NewWhistleTest = z.infer<typeof NewWhistleTest>;
export const WhistleTest = z.object({ ...NewWhistleTest.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type WhistleTest = z.infer<typeof WhistleTest>;

export const whistleTests = recordKind(
  'whistleTest',
  { many: 'whistle tests', made: 'tried the whistle on' },
  ['whistle test', NewWhistleTest, WhistleTest, 'lead'],
  { about: 'Every try of the whistle.', refs: { dogId: 'dogs', personId: 'people' } },
);
