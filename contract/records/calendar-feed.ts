import { z } from '../plain-words.ts';
import { Instant, namedLine, RecordId } from './common.ts';
import { KeyHash } from './private-key.ts';

/**
 * A private address under which calendars elsewhere read the kennel’s sessions, moves and checks. Its key is made where it is shown,
 * once; only the key’s SHA-256 is ever sent here, in hexadecimal. Taken back, it is refused at once.
 */
export const CalendarFeedFacts = z.strictObject({
  name: namedLine(60),
  keyHash: KeyHash,
  /** Whose sessions; null: everybody’s. */
  personId: RecordId.nullable(),
  revokedAt: Instant.nullable(),
});
export type CalendarFeedFacts = z.infer<typeof CalendarFeedFacts>;
export const CalendarFeed = z.object({ ...CalendarFeedFacts.shape, id: RecordId, version: z.number().int(), lastSeenAt: Instant.nullable() });
export type CalendarFeed = z.infer<typeof CalendarFeed>;
export const CalendarFeedsPage = z.object({ feeds: z.array(CalendarFeed), people: z.array(z.object({ id: RecordId, name: z.string() })) });
export type CalendarFeedsPage = z.infer<typeof CalendarFeedsPage>;
