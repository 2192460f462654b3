import { describe, expect, it } from 'vitest';
import {
  contractSpeaker,
  heldSessions,
  hoursOn,
  isHardFault,
  SESSION_FAULT_WORDS,
  sessionFaults,
  somebodyThere,
  USUAL_HOURS,
  wordReason,
  type PlacedSession,
  type ScheduleHand,
} from '../index.ts';

const at = (hour: number, minute = 0) => hour * 60 + minute;
const hand = (id: string, ...span: [number, number]): ScheduleHand => ({ id, name: id, hours: [span, span] });
const session = (id: string, from: number, more: Partial<PlacedSession> = {}): PlacedSession => ({
  id,
  wishId: 'w',
  dogId: 'Tarn',
  handId: 'Ann',
  day: 0,
  from,
  minutes: 30,
  aroundMinutes: 0,
  ...more,
});
const around = {
  days: [
    { day: '2026-03-02', open: [at(8), at(18)] as const },
    { day: '2026-03-03', open: null },
  ],
  hands: [hand('Ann', at(8), at(12)), hand('Ben', at(11), at(18))],
  rules: { dogRestMinutes: 60, dogSessionsPerDay: 2 },
  notBefore: { day: 0, minute: at(7) },
};

describe('what speaks against a session where it lies (common practice)', () => {
  const codes = (one: PlacedSession, others: PlacedSession[] = []) => sessionFaults(one, others, around).map(({ code }) => code);
  it.each([
    ['nothing', session('a', at(9)), [], []],
    ['one pair of hands', session('a', at(9)), [session('b', at(9, 15), { dogId: 'Moor' })], ['hand-busy']],
    ['hands free at the minute it ends', session('a', at(9)), [session('b', at(9, 30), { dogId: 'Moor' })], []],
    ['one dog with two people', session('a', at(11), { handId: 'Ben' }), [session('b', at(11, 15))], ['dog-busy']],
    ['too little rest', session('a', at(9)), [session('b', at(10))], ['little-rest']],
    ['rest enough', session('a', at(9)), [session('b', at(10, 30))], []],
    ['three a day', session('a', at(8)), [session('b', at(9, 30)), session('c', at(11))], ['many-a-day']],
    ['a day closed, when nobody is there, either', session('a', at(9), { day: 1, handId: 'Nobody' }), [], ['closed', 'hand-away']],
    ['somebody who has gone', session('a', at(11, 45)), [], ['hand-away']],
    ['worn before the doors open', session('a', at(8, 15), { aroundMinutes: 30 }), [], ['outside-hours', 'around-alone']],
    ['worn on until another is there', session('a', at(11, 15), { aroundMinutes: 30 }), [], []],
    ['what is over', session('a', at(6)), [], ['past', 'outside-hours', 'hand-away']],
  ] as const)('%s', (_name, one, others, expected) => {
    expect(codes(one, [...others])).toEqual(expected);
  });
  it('only a dog or hands in two places, and the past, cannot be decided away', () => {
    const hard = sessionFaults(session('a', at(6)), [session('b', at(6))], around).filter(isHardFault);
    expect(hard.map(({ code }) => code)).toEqual(['past', 'dog-busy']);
  });
  it('rest is told as it is, with what the house wants', () => {
    const [fault] = sessionFaults(session('a', at(9)), [session('b', at(10))], around);
    expect(wordReason(SESSION_FAULT_WORDS, fault!, contractSpeaker).text).toBe('30 minutes of rest between two sessions of the dog; the house wants 60.');
  });
});

describe('somebody there', () => {
  it('one after the other will do, a gap will not', () => {
    const hands = [hand('Ann', at(8), at(12)), hand('Ben', at(13), at(18)), hand('Cor', at(12), at(13))];
    expect(somebodyThere(0, [at(9), at(17)], hands)).toBe(true);
    expect(somebodyThere(0, [at(9), at(17)], hands.slice(0, 2))).toBe(false);
    expect(somebodyThere(0, [at(7), at(9)], hands)).toBe(false);
  });
});

describe('hours of a day', () => {
  it('by its weekday, but for days away; usual until something else is said', () => {
    const hours = { week: [[at(9), at(12)] as const, null, null, null, null, null, null], away: [{ from: '2026-03-09', to: '2026-03-16', note: '' }] };
    // 2 March 2026 was a Monday.
    expect(hoursOn(hours, '2026-03-02', 1)).toEqual([at(9), at(12)]);
    expect(hoursOn(hours, '2026-03-03', 2)).toBeNull();
    expect(hoursOn(hours, '2026-03-09', 1)).toBeNull();
    expect(hoursOn(hours, '2026-03-16', 1)).toBeNull();
    expect(hoursOn(hours, '2026-03-23', 1)).toEqual([at(9), at(12)]);
    expect(hoursOn(USUAL_HOURS, '2026-03-08', 7)).not.toBeNull();
  });
});

describe('which planned session a held one was', () => {
  const one = (id: string, hour: number, dogId = 'Tarn') => ({ id, dogId, at: hour * 3_600_000 });
  it('the nearest of its dog, each once; nobody else’s, and nothing further off than three hours', () => {
    const found = heldSessions([one('p9', 9), one('p11', 11), one('p16', 16), one('q9', 9, 'Moor')], [one('a', 9.2), one('b', 10.4), one('c', 12.9)]);
    expect([...found].sort()).toEqual([
      ['p11', 'b'],
      ['p9', 'a'],
    ]);
  });
  it('whatever the order they come in', () => {
    const planned = [one('p9', 9), one('p10', 10), one('p11', 11)];
    const held = [one('a', 9.6), one('b', 10.1)];
    expect(heldSessions([...planned].reverse(), [...held].reverse())).toEqual(heldSessions(planned, held));
  });
});
