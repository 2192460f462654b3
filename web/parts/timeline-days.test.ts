import { describe, expect, it } from 'vitest';
import { daysOf } from './timeline-days.ts';
import type { TimelineEntry } from './timeline.ts';

const entry = (id: string, at: string, word: string) => ({ id, at, word }) as TimelineEntry;
const day = (at: string) => at.slice(0, 10);

describe('the days of a record', () => {
  it('stand in the order of what happened, each with its entries and what they are', () => {
    const days = daysOf(
      [
        entry('d', '2026-03-09T10:00:00Z', 'Skin'),
        entry('c', '2026-03-09T09:00:00Z', 'Taped'),
        entry('b', '2026-03-09T08:00:00Z', 'Taped'),
        entry('a', '2026-03-01T08:00:00Z', 'Screened'),
      ],
      day,
    );
    expect(days.map(({ day: is, entries, words }) => [is, entries.length, words])).toEqual([
      ['2026-03-09', 3, 'Skin · Taped ×2'],
      ['2026-03-01', 1, 'Screened'],
    ]);
  });

  it('names three sorts of things and says how many more there are', () => {
    const many = ['Taped', 'Skin', 'Worked', 'Wear', 'Screened'].map((word, index) => entry(word, `2026-03-09T0${index}:00:00Z`, word));
    expect(daysOf(many, day)[0]!.words).toBe('Taped · Skin · Worked · 2 more');
  });
});
