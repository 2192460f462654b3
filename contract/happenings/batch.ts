import { DAY_MS } from '@banter/core';
import { oneEach, z } from '../plain-words.ts';
import { Instant, line, RecordId } from '../records/common.ts';
import { NewHappening } from './happening.ts';

/** A clock that is further off than this is asked about, ms. */
export const CLOCK_OFF_MS = 60_000;
/** The most that is sent at once. */
export const MOST_HAPPENINGS = 200;

/**
 * What a phone or a desk sends of what happened, in order. `clock` says how far its clock runs ahead, once somebody has decided that it is
 * that clock which is wrong; 0 once somebody has said that it is right; null while nobody was asked. What is `together` is kept whole or not at
 * all: a wear told afterwards has its beginning and its end.
 */
export const HappeningBatch = z.strictObject({
  source: z.enum(['hand', 'stand-in']),
  phone: line(40),
  sentAt: Instant,
  clock: z
    .strictObject({
      aheadMs: z
        .number()
        .int()
        .min(-400 * DAY_MS)
        .max(400 * DAY_MS),
    })
    .nullable(),
  happenings: z.array(NewHappening).min(1).max(MOST_HAPPENINGS).check(oneEach('id')),
  together: z
    .array(z.array(RecordId).min(2).max(MOST_HAPPENINGS))
    .max(MOST_HAPPENINGS / 2)
    .optional(),
});
export type HappeningBatch = z.infer<typeof HappeningBatch>;

/** A batch as it is read: each is looked at for itself, so that one that is not right holds up no other. What they must be is `HappeningBatch`. */
export const HappeningBatchSent = HappeningBatch.extend({ happenings: z.array(z.any()).min(1).max(MOST_HAPPENINGS) });
export type HappeningBatchSent = z.infer<typeof HappeningBatchSent>;

/** What became of each, in their order: kept now, known before, refused for good, or waiting for another that has not come yet. One without an id has none here. */
export const HappeningResult = z.object({ id: z.string(), status: z.enum(['kept', 'known', 'refused', 'waits']), message: z.string() });
export type HappeningResult = z.infer<typeof HappeningResult>;
export const HappeningsKept = z.object({ results: z.array(HappeningResult), serverAt: Instant });
export type HappeningsKept = z.infer<typeof HappeningsKept>;
/** What is answered, as `current`, to a device whose clock is off and about which nobody has decided. */
export const ClockOff = z.object({ phoneAt: Instant, serverAt: Instant, aheadMs: z.number().int() });
export type ClockOff = z.infer<typeof ClockOff>;

/**
 * What became of lines: how many were kept, were there already, and which were refused, by their line. With a hundred refused the rest was not
 * read: only then `gaveUpAt` is there, the last line that was.
 */
export const LinesKept = z.object({
  kept: z.number().int(),
  known: z.number().int(),
  refused: z.array(z.object({ line: z.number().int(), id: z.string().nullable(), message: z.string() })),
  gaveUpAt: z.number().int().optional(),
});
export type LinesKept = z.infer<typeof LinesKept>;
