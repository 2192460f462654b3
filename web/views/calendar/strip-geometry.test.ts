import { describe, expect, it } from 'vitest';
import { along, hoursOf, minuteAt, stripSpan, tagNames } from './strip-geometry.ts';

describe('a strip of a day', () => {
  it('shows whole hours that hold the open hours and every session with what is worn around it', () => {
    const days = [
      { day: 'a', open: [495, 720] as const },
      { day: 'b', open: null },
    ];
    expect(stripSpan(days, [])).toEqual([480, 720]);
    expect(stripSpan(days, [{ from: 700, minutes: 25, aroundMinutes: 30 }])).toEqual([480, 780]);
    expect(stripSpan([{ day: 'b', open: null }], [])).toEqual([480, 1080]);
    expect(hoursOf([480, 720])).toEqual([480, 540, 600, 660, 720]);
  });
  it('a minute lies where its share of the span is, and is found there again on the quarter hour', () => {
    const span = [480, 1080] as const;
    expect(along(480, span)).toBe(0);
    expect(along(780, span)).toBe(50);
    for (let minute = 480; minute <= 1080; minute += 15) expect(minuteAt(along(minute, span) / 100, span)).toBe(minute);
    expect(minuteAt(0.501, span)).toBe(780);
  });
});

describe('short names on tags', () => {
  it('three letters, more where two dogs would read the same', () => {
    expect([...tagNames(['Bramble', 'Brack', 'Moss', 'Pip', 'Bo'])]).toEqual([
      ['Bramble', 'Bram'],
      ['Brack', 'Brac'],
      ['Moss', 'Mos'],
      ['Pip', 'Pip'],
      ['Bo', 'Bo'],
    ]);
  });
});
