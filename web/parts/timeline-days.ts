import type { TimelineEntry } from './timeline.ts';

/** A day of a record: its entries, and in a line what they are. */
export type TimelineDay = { day: string; entries: TimelineEntry[]; words: string };

/** So many sorts of entries are named in the line of a day. */
const NAMED = 3;

/** Entries in their order, by day; the line of a day names what happened on it, each sort once with how often. */
export function daysOf(entries: readonly TimelineEntry[], dayOf: (at: string) => string): TimelineDay[] {
  const days: Omit<TimelineDay, 'words'>[] = [];
  for (const entry of entries) {
    const day = dayOf(entry.at);
    if (days.at(-1)?.day === day) days.at(-1)!.entries.push(entry);
    else days.push({ day, entries: [entry] });
  }
  return days.map(({ day, entries: own }) => {
    const counts = new Map<string, number>();
    for (const { word } of own) counts.set(word, (counts.get(word) ?? 0) + 1);
    const sorts = [...counts].map(([word, count]) => (count > 1 ? `${word} ×${count}` : word));
    const more = sorts.length - NAMED;
    return { day, entries: own, words: [...sorts.slice(0, NAMED), ...(more > 0 ? [`${more} more`] : [])].join(' · ') };
  });
}
