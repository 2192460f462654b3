import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';
import { Cursor } from './list-page.ts';
import { WearingNow } from './pages.ts';

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
  /** Of which collar it is; null: of none by itself. */
  collarId: RecordId.nullable().default(null),
  title: z.string(),
  why: z.string(),
  to: z.string(),
  does: z.string(),
  /** When it is, or since when it is due; null: no time. */
  at: Instant.nullable(),
});
export type TodayItem = z.infer<typeof TodayItem>;

/** The parts of Today, in the order in which they matter; what must not go on is in the first. */
export const TODAY_PARTS = {
  first: ['worn-wrong', 'skin-off', 'mend', 'owner-says', 'level-up', 'move-place', 'still-on'],
  sessions: ['session-now', 'session-missed', 'session-ahead'],
  dogs: ['fit', 'growing-look', 'skin-again', 'outgrows', 'screen-again'],
  kept: ['charge', 'upkeep', 'law'],
} as const satisfies Record<string, readonly TodayCode[]>;
export const TODAY_PART_NAMES = ['first', 'sessions', 'dogs', 'kept'] as const;
export type TodayPart = (typeof TODAY_PART_NAMES)[number];
/** The part that something due is in. */
export const todayPart = ({ tone, code }: Pick<TodayItem, 'tone' | 'code'>): TodayPart =>
  tone === 'stop' ? 'first' : TODAY_PART_NAMES.find((part) => (TODAY_PARTS[part] as readonly TodayCode[]).includes(code))!;

/** So many things that are due, in their order, and where the list goes on. */
export const TodayItems = z.object({ items: z.array(TodayItem), next: Cursor.nullable() });
export type TodayItems = z.infer<typeof TodayItems>;
export const TodayItemsAsked = z.object({ after: Cursor });

/** What Today shows first: what is due before all else, how much is due in all, and what is on a dog now and since when. */
export const TodayPage = z.object({
  asOf: Instant,
  day: z.iso.date(),
  ...TodayItems.shape,
  counts: z.record(z.enum(TODAY_PART_NAMES), z.number().int()),
  /** Null where a server of an earlier version tells less of it: then it is asked for by itself. */
  wearing: z.array(WearingNow).nullable().catch(null),
  sessions: z.object({ planned: z.number().int(), held: z.number().int() }),
});
export type TodayPage = z.infer<typeof TodayPage>;

/** What a stream of Today tells after its beginning: the ids of what is shown, in their order, with those things alone that are new or another. */
export const TodayChange = z.object({
  ...TodayPage.shape,
  /** The `asOf` of the page that it goes on from. */
  since: Instant,
  items: z.array(TodayItem),
  order: z.array(z.string()),
});
export type TodayChange = z.infer<typeof TodayChange>;

/** What a page has become, told to somebody who has the page before. */
export function todayChange(before: TodayPage, now: TodayPage): TodayChange {
  const had = new Map(before.items.map((item) => [item.id, JSON.stringify(item)]));
  return {
    ...now,
    since: before.asOf,
    items: now.items.filter((item) => had.get(item.id) !== JSON.stringify(item)),
    order: now.items.map(({ id }) => id),
    wearing: JSON.stringify(before.wearing) === JSON.stringify(now.wearing) ? null : now.wearing,
  };
}

/** The page that a change makes of the one before it; null where it goes on from another: the whole is to be asked for. */
export function todayChanged(before: TodayPage, { order, since, ...change }: TodayChange): TodayPage | null {
  if (since !== before.asOf) return null;
  const there = new Map([...before.items, ...change.items].map((item) => [item.id, item]));
  const items = order.map((id) => there.get(id));
  return items.every((item) => item !== undefined) ? { ...change, items, wearing: change.wearing ?? before.wearing } : null;
}
