import { TODAY_PART_NAMES, todayPart, type TodayItem, type TodayPage, type TodayPart } from '@banter/contract';
import { countOf } from '@banter/core';

const PART_WORDS: Record<TodayPart, string> = { first: 'First', sessions: 'Sessions', dogs: 'Dogs', kept: 'Gear and law' };

/** The list in its parts, as it came, whatever must not go on first, each with how much is due in it; parts with nothing in them are left out. */
export const todayParts = (items: readonly TodayItem[], counts: TodayPage['counts']): { part: TodayPart; name: string; count: number; items: TodayItem[] }[] =>
  TODAY_PART_NAMES.map((part) => ({ part, name: PART_WORDS[part], count: counts[part], items: items.filter((item) => todayPart(item) === part) })).filter(
    (one) => one.items.length > 0,
  );

/** The one sentence at the top: what to do first, or that all is well. */
export function todaySentence({ items, sessions }: Pick<TodayPage, 'items' | 'sessions'>): string {
  const pressing = items.find(
    ({ tone, code }) => tone === 'stop' || code === 'owner-says' || code === 'level-up' || code === 'move-place' || code === 'still-on',
  );
  if (pressing) return pressing.title;
  const next = items.find(({ code }) => code === 'session-now') ?? items.find(({ code }) => code === 'session-ahead');
  if (next) return `Next: ${next.title}.`;
  const first = items.find(({ code }) => code !== 'session-missed') ?? items[0];
  if (first) return first.title;
  return sessions.planned > 0 ? `All is well: ${countOf(sessions.held, 'session')} held, nothing else is due.` : 'All is well. Nothing is due.';
}
