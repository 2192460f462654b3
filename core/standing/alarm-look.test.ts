import { describe, expect, it } from 'vitest';
import { alarmLook, askedUpTo, lowestFelt } from '../index.ts';

describe('an alarm that is looked into', () => {
  it('asks contact, skin and place, battery, distraction, in this order, each once, until a cause is found (common practice)', () => {
    const asked = (['contact', 'skin', 'battery', 'distraction'] as const).map((cause, index) => ({ cause, was: false, at: 20 + index }));
    expect([0, 1, 2, 3, 4].map((count) => alarmLook(10, asked.slice(0, count)).next)).toEqual(['contact', 'skin', 'battery', 'distraction', null]);
    expect(alarmLook(10, asked).found).toBeNull();
    expect(alarmLook(10, [...asked.slice(0, 2), { cause: 'battery', was: true, at: 30 }])).toMatchObject({ next: null, found: 'battery' });
  });

  it('counts what was answered since the alarm, the latest of each, in whatever order it arrives', () => {
    expect(alarmLook(10, [{ cause: 'contact', was: false, at: 10 }]).next).toBe('contact');
    const lost = { cause: 'contact' as const, was: true, at: 20 };
    const mended = { cause: 'contact' as const, was: false, at: 25 };
    expect(alarmLook(10, [lost]).found).toBe('contact');
    for (const told of [
      [lost, mended],
      [mended, lost],
    ])
      expect(alarmLook(10, told)).toEqual({ answers: [mended], next: 'skin', found: null });
  });

  it('takes what a session found: the questions before it were asked, too', () => {
    expect(askedUpTo('battery', 5)).toEqual([
      { cause: 'contact', was: false, at: 5 },
      { cause: 'skin', was: false, at: 5 },
      { cause: 'battery', was: true, at: 5 },
    ]);
    expect(askedUpTo('nothing', 5)).toHaveLength(4);
  });
});

describe('the first level that does anything', () => {
  it('is what the profile says, else a step over nothing', () => {
    expect(lowestFelt({ min: 0, step: 1 })).toBe(1);
    expect(lowestFelt({ min: 2, step: 1 })).toBe(2);
    expect(lowestFelt({ min: 0, step: 1, firstStep: 4 })).toBe(4);
  });
});
