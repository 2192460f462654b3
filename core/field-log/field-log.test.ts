import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  askWhetherEnded,
  contractSpeaker,
  correctionsPerTenMinutes,
  houseRules,
  joinedSessions,
  neededDrift,
  overlapping,
  PRESS_GUARD_TONES,
  PRESS_GUARD_WORDS,
  pressGuards,
  rewardsPerCorrection,
  sessionStory,
  sessionTally,
  tensionShare,
  wordReason,
  type DogResponse,
  type FieldEvent,
  type PressFacts,
} from '../index.ts';

const S = 'session';
const T0 = Date.UTC(2026, 4, 4, 9);
const MINUTE = 60_000;
let ids = 0;
const event = (seconds: number, own: object): FieldEvent => {
  ids += 1;
  return { id: `e${String(ids).padStart(5, '0')}`, sessionId: S, at: T0 + seconds * 1000, ...own } as FieldEvent;
};
const begin = event(0, { event: 'begin', dogId: 'dog', setting: 'yard', handlerId: 'me', purpose: 'work' });
const press = (seconds: number, level: number, own: object = {}) => event(seconds, { event: 'press', collarId: 'c', level, mode: 'momentary', ...own });
const respond = (seconds: number, to: FieldEvent, response: DogResponse, latencyMs: number | null = null) =>
  event(seconds, { event: 'response', pressId: to.id, response, latencyMs });
const story = (...events: FieldEvent[]) => sessionStory(S, [begin, ...events])!;

describe('a session out of its events', () => {
  const [one, two] = [press(10, 5), press(20, 7)];
  const told = [
    begin,
    one,
    respond(11, one, 'small', 800),
    event(15, { event: 'setting', setting: 'street' }),
    two,
    respond(22, two, 'did', 1200),
    event(600, { event: 'end' }),
  ];

  it('is the same in whatever order and however often they come', () => {
    const expected = sessionStory(S, told);
    fc.assert(
      fc.property(fc.shuffledSubarray([...told, ...told], { minLength: told.length * 2 }), (shuffled) => {
        expect(sessionStory(S, shuffled)).toEqual(expected);
      }),
    );
  });
  it('a press is of the setting that held then; the last response to it counts', () => {
    const { presses, settings } = sessionStory(S, [...told, respond(30, one, 'none')])!;
    expect(settings).toEqual(['yard', 'street']);
    expect(presses).toMatchObject([
      { level: 5, setting: 'yard', response: 'none', latencyMs: null },
      { level: 7, setting: 'street', response: 'did', latencyMs: 1200 },
    ]);
  });
  it('what was taken back does not count; an end that was taken back leaves it running', () => {
    const end = told.at(-1)!;
    const running = sessionStory(S, [...told, event(601, { event: 'void', eventId: end.id })])!;
    expect(running.endedAt).toBeNull();
    expect(sessionTally(sessionStory(S, [...told, event(12, { event: 'void', eventId: one.id })])!).presses).toBe(1);
  });
  it('lasted until the last thing another phone told', () => {
    expect(sessionStory(S, [...told, event(660, { event: 'reward' })])!.endedAt).toBe(T0 + 660_000);
  });
  it('is asked about two hours after the last thing, never ended by itself', () => {
    const open = story(one);
    expect(askWhetherEnded(open, T0 + 10_000 + 2 * 3_600_000 - 1, houseRules())).toBe(false);
    expect(askWhetherEnded(open, T0 + 10_000 + 2 * 3_600_000, houseRules())).toBe(true);
    expect(open.endedAt).toBeNull();
  });
  it('overlaps another of the same dog only where their times meet', () => {
    const other = { ...story(one), sessionId: 'other' };
    expect(overlapping(story(one), other)).toBe(true);
    expect(overlapping(story(one), { ...other, begunAt: T0 + 11_000, lastAt: T0 + 20_000 })).toBe(false);
    expect(overlapping(story(one), { ...other, dogId: 'another' })).toBe(false);
  });
});

describe('what a session comes to', () => {
  it('corrections in ten minutes, tension, rewards: by hand', () => {
    const tally = sessionTally(
      story(
        event(60, { event: 'correction', direction: 'back' }),
        event(61, { event: 'correction', direction: 'back' }),
        event(62, { event: 'correction', direction: 'in' }),
        event(100, { event: 'hold' }),
        event(105, { event: 'hold' }),
        event(130, { event: 'let-go' }),
        event(200, { event: 'let-go' }),
        event(290, { event: 'hold' }),
        ...Array.from({ length: 9 }, (_x, i) => event(210 + i, { event: 'reward' })),
        event(300, { event: 'end' }),
      ),
    );
    // Five minutes; tight from 100 to 130 and from 290 to the end.
    expect(tally).toMatchObject({ lastedMs: 5 * MINUTE, corrections: 3, heldMs: 40_000, longestHoldMs: 30_000, rewards: 9 });
    expect(tally.directions).toEqual({ back: 2, in: 1, forward: 0, up: 0, down: 0, across: 0 });
    expect(correctionsPerTenMinutes(tally)).toBe(6);
    expect(rewardsPerCorrection(tally)).toBe(3);
    expect(tensionShare(tally)).toBeCloseTo(40 / 300, 12);
    expect(correctionsPerTenMinutes({ corrections: 0, lastedMs: 0 })).toBeNull();
    expect(rewardsPerCorrection({ rewards: 3, corrections: 0 })).toBeNull();
  });
  it('the level needed is the median of what drew a sign; a miss and too much are no need; a tone is no level', () => {
    const presses = [press(1, 4), press(2, 6), press(3, 8), press(4, 30), press(5, 0, { mode: 'tone' })];
    const said: DogResponse[] = ['none', 'small', 'did', 'too-much', 'did'];
    const tally = sessionTally(story(...presses, ...presses.map((one, i) => respond(10 + i, one, said[i]!))));
    expect(tally.needed).toEqual([{ collarId: 'c', setting: 'yard', level: 7, atEnd: 6, presses: 2 }]);
    expect(tally.tooMuch).toEqual([{ collarId: 'c', level: 30 }]);
    expect(tally.responses).toEqual({ none: 1, small: 1, did: 2, 'too-much': 1 });
  });
});

const known: PressFacts = {
  scale: { min: 1, max: 60, step: 1 },
  ceiling: null,
  cap: null,
  usual: null,
  lastNeeded: null,
  alarm: null,
  isWorn: true,
  contactMade: true,
  triedToday: true,
  hoursInPlace: 1,
  moveByHours: 6,
  skin: null,
  percent: 80,
  lockedOut: false,
  unpressedStage: null,
};
const codes = (level: number, more: Partial<PressFacts>) => pressGuards(level, { ...known, ...more }, houseRules()).map(({ code }) => code);

describe('what speaks against a press', () => {
  it.each([
    [5, {}, []],
    [5, { ceiling: 6 }, []],
    [5, { unpressedStage: 'Worn without stimulation' }, ['stage-not-yet']],
    [6, { ceiling: 6 }, ['at-ceiling']],
    [6, { cap: 6 }, []],
    [7, { cap: 6 }, ['above-cap']],
    [5, { contactMade: null }, ['contact-unknown']],
    [5, { contactMade: false }, ['contact-lost']],
    [5, { isWorn: false }, ['not-worn']],
    [5, { triedToday: false }, ['not-tried']],
    [5, { hoursInPlace: 5.99 }, []],
    [5, { hoursInPlace: 6 }, ['wear-over']],
    [5, { skin: { clock: 3, grade: 2 } }, ['skin-off']],
    [5, { skin: { clock: 3, grade: 1 } }, ['place-pink']],
    [5, { usual: 5 }, []],
    [6, { usual: 5 }, ['more-than-usual']],
    [8, { lastNeeded: 5 }, []],
    [9, { lastNeeded: 5 }, ['level-jump']],
    [9, { usual: 6, lastNeeded: 5 }, ['level-jump']],
    [5, { alarm: { by: 3, since: '5 Nov' } }, ['level-alarm']],
    [61, {}, ['off-scale']],
    [0.5, {}, ['off-scale']],
    [5.5, {}, ['off-scale']],
    [Number.NaN, {}, ['off-scale']],
    [5, { percent: 0 }, ['battery-flat']],
    [5, { lockedOut: true }, ['locked-out']],
  ] as const)('level %s with %j: %j', (level, more, expected) => {
    expect(codes(level, more as Partial<PressFacts>)).toEqual(expected);
  });
  it('tenths of a scale are on it in spite of floating point', () => {
    expect(codes(0.3, { scale: { min: 0.1, max: 3, step: 0.1 } })).toEqual([]);
  });
  it('no sentence names a level above the one pressed, nor asks for one', () => {
    const facts: PressFacts = {
      ...known,
      ceiling: 9,
      cap: 8,
      usual: 5,
      isWorn: false,
      contactMade: null,
      triedToday: false,
      hoursInPlace: 9,
      skin: { clock: 3, grade: 1 },
      percent: 0,
      lockedOut: true,
    };
    for (const guard of pressGuards(12, facts, houseRules())) {
      const { text } = wordReason(PRESS_GUARD_WORDS, guard, contractSpeaker);
      expect(text).not.toMatch(/higher|turn (it )?up|increase|raise/i);
      if (['at-ceiling', 'above-cap', 'more-than-usual', 'level-jump'].includes(guard.code))
        for (const [n] of text.matchAll(/\d+/g)) expect(Number(n)).toBeLessThanOrEqual(12);
    }
    expect(new Set(Object.values(PRESS_GUARD_TONES))).toEqual(new Set(['stop', 'mind']));
  });
});

describe('the level needed, session by session', () => {
  const rules = houseRules();
  const DAY = 86_400_000;
  const sessions = (levels: number[]) => levels.map((level, day) => ({ sessionId: `s${day}`, at: T0 + day * DAY, level }));
  const steady = [12, 13, 12, 12, 11, 12, 13, 12];

  it('says nothing until it is known what is usual', () => {
    expect(neededDrift(sessions(steady.slice(0, 5)), 1, rules)).toMatchObject({ wants: 3, alarm: null, charts: null });
    expect(neededDrift(sessions(steady), 1, rules)).toMatchObject({ wants: 0, alarm: null });
  });
  it('a dog whose contact fails on a day: an alarm soon after, dated to that day, by how much', () => {
    const { alarm, baseline } = neededDrift(sessions([...steady, 12, 12, 18, 19, 18, 18]), 1, rules);
    expect(baseline!.mean).toBeCloseTo(97 / 8, 12);
    expect(alarm).toMatchObject({ side: 'high', sinceAt: T0 + 10 * DAY, firstAt: T0 + 10 * DAY });
    expect(alarm!.by).toBeCloseTo(18.25 - 97 / 8, 9);
  });
  it('an alarm that was looked into is over with the next session, unless that needs more, too', () => {
    const levels = [...steady, 12, 12, 18, 19, 18, 12, 12];
    const looked = [T0 + 12.5 * DAY];
    expect(neededDrift(sessions(levels), 1, rules).alarm).not.toBeNull();
    const found = neededDrift(sessions(levels), 1, rules, looked);
    expect(found.alarm).toBeNull();
    expect(found.charts!.alarms.map(({ index }) => index)).toContain(4);
    expect(found.charts!.cusumHigh.slice(5)).toEqual([0, 0]);
    // Looked into, and it needs more all the same: since then.
    const still = neededDrift(sessions([...steady, 12, 12, 18, 19, 18, 18, 18]), 1, rules, looked);
    expect(still.alarm).toMatchObject({ side: 'high', sinceAt: T0 + 13 * DAY, firstAt: T0 + 13 * DAY });
    // Less than before is no matter of contact: feeling it ends nothing.
    const less = sessions([...steady, 12, 12, 6, 6, 6, 6]);
    expect(neededDrift(less, 1, rules, looked)).toEqual(neededDrift(less, 1, rules));
    // Felt before anything was wrong changes nothing.
    expect(neededDrift(sessions(levels), 1, rules, [T0 + 3 * DAY, T0 + 9 * DAY])).toEqual(neededDrift(sessions(levels), 1, rules));
  });
  it('what came back is past; a fall is told as one', () => {
    expect(neededDrift(sessions([...steady, 18, 12, 12, 12, 12, 12, 12, 12, 12, 12, 12, 12, 12]), 1, rules).alarm).toBeNull();
    expect(neededDrift(sessions([...steady, 6, 6, 6]), 1, rules).alarm).toMatchObject({ side: 'low' });
  });
  it('a dog that needs the very same each time still scatters by a step’s rounding', () => {
    const same = neededDrift(sessions([...Array<number>(8).fill(10), 10, 10, 10]), 1, rules);
    expect(same.baseline!.sd).toBeCloseTo(1 / Math.sqrt(12), 12);
    expect(same.alarm).toBeNull();
  });
});

describe('a session’s end', () => {
  const needed = (...told: [number, DogResponse][]) => {
    const presses = told.map(([level], index) => press(index, level));
    const [one] = sessionTally(story(...presses, ...presses.map((own, index) => respond(50 + index, own, told[index]![1])))).needed;
    return one?.atEnd;
  };
  it('is the lowest level noticed after the last press that drew nothing', () => {
    expect(needed([4, 'none'], [6, 'small'], [5, 'did'], [7, 'did'])).toBe(5);
    expect(needed([9, 'small'], [5, 'none'], [6, 'small'])).toBe(6);
    // It ended on none: the last that drew a sign.
    expect(needed([9, 'small'], [7, 'small'], [5, 'none'])).toBe(7);
    // What was too much is no sign of what it needs.
    expect(needed([6, 'small'], [12, 'too-much'])).toBe(6);
    expect(needed([6, 'none'])).toBeUndefined();
  });
});

describe('sessions that are one', () => {
  const joins = (sessionId: string, intoId: string) => ({ ...event(0, { event: 'joins', intoId }), sessionId }) as FieldEvent;
  it('lead to the end of the chain; one taken back leads nowhere', () => {
    const [ab, bc] = [joins('a', 'b'), joins('b', 'c')];
    expect([...joinedSessions([ab, bc])].sort()).toEqual([
      ['a', 'c'],
      ['b', 'c'],
    ]);
    expect([...joinedSessions([ab, bc, event(5, { event: 'void', eventId: bc.id })])]).toEqual([['a', 'b']]);
  });
  it('a ring, told by two phones at once, ends at one of them, the same on both', () => {
    const ring = [joins('a', 'b'), joins('b', 'a')];
    expect([...joinedSessions(ring)]).toEqual([['b', 'a']]);
    expect([...joinedSessions([...ring].reverse())]).toEqual([['b', 'a']]);
  });
  it('the earliest beginning counts, and everything told of either', () => {
    const other = { ...event(120, { event: 'begin', dogId: 'dog', setting: 'street', handlerId: 'you', purpose: 'work' }), sessionId: 'b' } as FieldEvent;
    const told = [begin, press(60, 5), other, { ...press(150, 7), sessionId: 'b' } as FieldEvent];
    const one = sessionStory(S, told, new Map([['b', S]]))!;
    expect(one).toMatchObject({ handlerId: 'me', begunAt: T0 });
    expect(one.presses.map(({ level }) => level)).toEqual([5, 7]);
  });
  it('what came of it, told later, does not make it longer', () => {
    const end = event(600, { event: 'end' });
    const result = event(4000, { event: 'result', programmeId: 'p', stageId: 's', met: 1, of: 1, setback: false });
    expect(story(end, result)).toMatchObject({ endedAt: T0 + 600_000, lastAt: T0 + 600_000 });
  });
});
