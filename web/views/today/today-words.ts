import { TODAY_PART_NAMES, todayPart, type TodayItem, type TodayPage, type TodayPart } from '@banter/contract';
import { countOf } from '@banter/core';

const PART_WORDS: Record<TodayPart, string> = { first: 'First', sessions: 'Sessions', dogs: 'Dogs', kept: 'Gear and law' };

/** Something due; `logged` says what was done about it on this device and has not arrived, null where nothing was, and `isDone` whether that is all there is to do. */
export type ShownItem = TodayItem & { logged: string | null; isDone: boolean };

/**
 * The list in its parts, as it came, whatever must not go on first, each with how much is due in it; what was done here already comes last in each. Parts
 * with nothing in them are left out.
 */
export const todayParts = (items: readonly ShownItem[], counts: TodayPage['counts']): { part: TodayPart; name: string; count: number; items: ShownItem[] }[] =>
  TODAY_PART_NAMES.map((part) => ({
    part,
    name: PART_WORDS[part],
    count: counts[part],
    items: items.filter((item) => todayPart(item) === part).sort((a, b) => Number(a.isDone) - Number(b.isDone)),
  })).filter((one) => one.items.length > 0);

/** The one sentence at the top: what to do first of what nobody has done yet, or that all is well. */
export function todaySentence({ items: all, sessions }: { items: readonly ShownItem[]; sessions: TodayPage['sessions'] }): string {
  const items = all.filter(({ isDone }) => !isDone);
  const pressing = items.find(
    ({ tone, code }) => tone === 'stop' || code === 'owner-says' || code === 'level-up' || code === 'move-place' || code === 'still-on',
  );
  if (pressing) return pressing.title;
  const next = items.find(({ code }) => code === 'session-now') ?? items.find(({ code }) => code === 'session-ahead');
  if (next) return `Next: ${next.title}.`;
  const first = items.find(({ code }) => code !== 'session-missed') ?? items[0];
  if (first) return first.title;
  if (all.length > 0) return 'Nothing else is due. What you logged is to be sent.';
  return sessions.planned > 0 ? `All is well: ${countOf(sessions.held, 'session')} held, nothing else is due.` : 'All is well. Nothing is due.';
}
