import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';

/** What brings something up on Today, in the order in which it matters. */
export const TODAY_CODES = [
  'worn-wrong',
  'skin-off',
  'mend',
  'owner-says',
  'level-up',
  'move-place',
  'still-on',
  'session-now',
  'session-missed',
  'session-ahead',
  'fit',
  'growing-look',
  'skin-again',
  'charge',
  'outgrows',
  'upkeep',
  'law',
  'screen-again',
] as const;
export type TodayCode = (typeof TODAY_CODES)[number];

/** One thing that is due: what, why, and where it is done with one tap. */
export const TodayItem = z.object({
  /** The same thing has the same id, on every screen and after every change. */
  id: z.string(),
  code: z.enum(TODAY_CODES),
  tone: z.enum(['stop', 'mind', 'open', 'good']),
  dogId: RecordId.nullable(),
  dogName: z.string().nullable(),
  title: z.string(),
  why: z.string(),
  to: z.string(),
  does: z.string(),
  /** When it is, or since when it is due; null: no time. */
  at: Instant.nullable(),
});
export type TodayItem = z.infer<typeof TodayItem>;

/** Everything that Today shows, in one answer: what is due, and what is on a dog now and since when. */
export const TodayPage = z.object({
  asOf: Instant,
  day: z.iso.date(),
  items: z.array(TodayItem),
  wearing: z.array(
    z.object({
      dogId: RecordId,
      dogName: z.string(),
      collarId: RecordId,
      collarName: z.string(),
      from: Instant,
      clock: z.number().nullable(),
      moveBy: Instant.nullable(),
    }),
  ),
  sessions: z.object({ planned: z.number().int(), held: z.number().int() }),
});
export type TodayPage = z.infer<typeof TodayPage>;
