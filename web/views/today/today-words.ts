import type { TodayCode, TodayItem, TodayPage } from '@banter/contract';
import { countOf } from '@banter/core';

/** The parts of the list, in the order in which they matter. */
const PARTS: { name: string; codes: readonly TodayCode[] }[] = [
  { name: 'First', codes: ['worn-wrong', 'skin-off', 'mend', 'owner-says', 'level-up', 'move-place', 'still-on'] },
  { name: 'Sessions', codes: ['session-now', 'session-missed', 'session-ahead'] },
  { name: 'Dogs', codes: ['fit', 'growing-look', 'skin-again', 'outgrows', 'screen-again'] },
  { name: 'Gear and law', codes: ['charge', 'upkeep', 'law'] },
];

/** The list in its parts, as it came, whatever must not go on first; parts with nothing in them are left out. */
export const todayParts = (items: readonly TodayItem[]): { name: string; items: TodayItem[] }[] =>
  PARTS.map(({ name, codes }, index) => ({
    name,
    items: items.filter(({ code, tone }) => (tone === 'stop' ? index === 0 : codes.includes(code))),
  })).filter((part) => part.items.length > 0);

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
