import { TODAY_CODES, type TodayItem } from '../records/today-page.ts';
import { keptUpDue } from './kept-up-due.ts';
import { missedTogether, MISSED_SHOWN } from './sessions-due.ts';
import type { TodayFacts, TodayFound } from './today-facts.ts';

const TONES = { stop: 0, mind: 1, open: 2, good: 3 } as const;

/** The place of something due among all of Today, 0 to 2000: what must not go on first, then by what it is; less is first. Common practice; the order is our own. */
export const todayPlace = ({ tone, code }: Pick<TodayItem, 'tone' | 'code'>): number =>
  (tone === 'stop' ? 0 : 1000) + TODAY_CODES.indexOf(code) * 10 + TONES[tone];

/** Something due as it is listed; the same thing has the same id. */
export const todayItem = ({ key, at = null, collarId = null, dueFrom: _from, dueUntil: _until, ...rest }: TodayFound): TodayItem => ({
  ...rest,
  collarId,
  id: `${rest.code} ${rest.dogId ?? ''} ${key}`,
  at: at === null ? null : new Date(at).toISOString(),
});

/** The order of Today: by place, then by time (what has none first), then by id. */
export const inTodayOrder = (a: TodayItem, b: TodayItem): number =>
  todayPlace(a) - todayPlace(b) || (a.at ?? '').localeCompare(b.at ?? '') || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * What is due, in the order in which it matters: what hurts now, then what is told by the clock, then what keeps. Each once, with its
 * reason and where it is done. Sessions that nobody logged stand together where they are many. The same facts make the same list on
 * every screen. Common practice; the order is our own.
 */
export function todayItems(facts: TodayFacts): TodayItem[] {
  const { now, kennel } = facts;
  const found = [...facts.dues, ...keptUpDue(facts)].filter(
    ({ dueFrom = null, dueUntil = null }) => (dueFrom === null || dueFrom <= now) && (dueUntil === null || dueUntil > now),
  );
  const items = [...new Map(found.map(todayItem).map((item) => [item.id, item])).values()].sort(inTodayOrder);
  const missed = items.filter(({ code }) => code === 'session-missed');
  if (missed.length <= MISSED_SHOWN) return items;
  const together = todayItem(missedTogether({ count: missed.length, first: missed }, kennel.timeZone));
  return [...items.filter(({ code }) => code !== 'session-missed'), together].sort(inTodayOrder);
}
