import { REMOTE_TRAITS } from '../collars/remote/index.ts';
import { HEAD_COLLAR_TRAITS } from '../collars/head-collar/index.ts';
import { WIDE_THROAT_TRAITS } from '../collars/wide-throat/index.ts';
import { FLAT_TRAITS } from '../collars/flat/index.ts';
import { MARTINGALE_TRAITS } from '../collars/martingale/index.ts';
import { SLIP_TRAITS } from '../collars/slip/index.ts';
import { PRONG_TRAITS } from '../collars/prong/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  askWhetherOff,
  contractSpeaker,
  houseRules,
  houseSchools,
  WEAR_MARK_WORDS,
  WEAR_STATES,
  wearMarks,
  wearsOf,
  wordReason,
  type SkinLook,
  type Wear,
  type WearContext,
  type WearEvent,
  type WearState,
} from '../index.ts';

const HOUR = 3_600_000;
const T0 = Date.UTC(2026, 5, 1, 8);
const at = (hours: number) => T0 + hours * HOUR;
let count = 0;
const id = () => `e${String((count += 1)).padStart(4, '0')}`;
const on = (hours: number, more: Partial<{ dogId: string; collarId: string; clock: number | null; state: WearState; id: string }> = {}): WearEvent => ({
  id: id(),
  at: at(hours),
  event: 'put-on',
  dogId: 'bramble',
  collarId: 'curlew',
  clock: 3,
  state: 'worked',
  ...more,
});
const off = (hours: number, more: Partial<{ dogId: string; collarId: string; id: string }> = {}): WearEvent => ({
  id: id(),
  at: at(hours),
  event: 'taken-off',
  dogId: 'bramble',
  collarId: 'curlew',
  ...more,
});
const moved = (hours: number, clock: number): WearEvent => ({ id: id(), at: at(hours), event: 'moved', dogId: 'bramble', collarId: 'curlew', clock });
const state = (hours: number, value: WearState): WearEvent => ({ id: id(), at: at(hours), event: 'state', dogId: 'bramble', collarId: 'curlew', state: value });

const RULES = {
  pinch: PRONG_TRAITS.wear,
  closing: SLIP_TRAITS.wear,
  nose: HEAD_COLLAR_TRAITS.wear,
  loop: MARTINGALE_TRAITS.wear,
  strap: FLAT_TRAITS.wear,
  contacts: REMOTE_TRAITS.wear,
  broad: WIDE_THROAT_TRAITS.wear,
};

describe('wears out of events', () => {
  it('a day: on, moved, crated, off', () => {
    const { wears, strays } = wearsOf([on(0), moved(4, 9), state(5, 'crated'), off(6)]);
    expect(strays).toEqual([]);
    expect(wears).toHaveLength(1);
    expect(wears[0]).toMatchObject({
      from: at(0),
      to: at(6),
      places: [
        { value: 3, from: at(0), to: at(4) },
        { value: 9, from: at(4), to: at(6) },
      ],
      states: [
        { value: 'worked', from: at(0), to: at(5) },
        { value: 'crated', from: at(5), to: at(6) },
      ],
      oddities: [],
    });
  });
  it('two people undress one dog: the first counts, the second is noted', () => {
    const { wears, strays } = wearsOf([on(0), off(2), off(2.01)]);
    expect(wears[0]).toMatchObject({ to: at(2), oddities: [{ code: 'taken-off-twice' }] });
    expect(strays).toEqual([]);
  });
  it('put on another dog, the earlier wear ends there at the latest, and its end is asked about', () => {
    const { wears } = wearsOf([on(0), on(5, { dogId: 'fern' })]);
    expect(wears).toMatchObject([
      { dogId: 'bramble', to: at(5), oddities: [{ code: 'end-unknown' }] },
      { dogId: 'fern', to: null, oddities: [] },
    ]);
    // Said later, when it really came off: then nothing is unknown.
    expect(wearsOf([on(0), off(2), on(5, { dogId: 'fern' })]).wears[0]).toMatchObject({ to: at(2), oddities: [] });
  });
  it('what fits no wear comes back as a stray', () => {
    expect(wearsOf([moved(0, 9), off(1)]).strays).toMatchObject([{ event: 'moved' }, { event: 'taken-off' }]);
  });

  const anyEvents = fc
    .array(
      fc.record({
        hours: fc.integer({ min: 0, max: 40 }),
        collarId: fc.constantFrom('curlew', 'hazel'),
        dogId: fc.constantFrom('bramble', 'fern'),
        what: fc.constantFrom('put-on' as const, 'taken-off' as const, 'moved' as const, 'state' as const),
        clock: fc.integer({ min: 1, max: 12 }),
        state: fc.constantFrom(...WEAR_STATES),
      }),
      { maxLength: 25 },
    )
    .map((list) =>
      list.map((one, index): WearEvent => {
        const base = { id: `x${String(index).padStart(3, '0')}`, at: at(one.hours), collarId: one.collarId, dogId: one.dogId };
        if (one.what === 'put-on') return { ...base, event: 'put-on', clock: one.clock, state: one.state };
        if (one.what === 'moved') return { ...base, event: 'moved', clock: one.clock };
        if (one.what === 'state') return { ...base, event: 'state', state: one.state };
        return { ...base, event: 'taken-off' };
      }),
    );

  it('does not depend on the order in which events arrive, nor on how often each does', () => {
    fc.assert(
      fc.property(anyEvents, fc.array(fc.nat()), (events, shuffle) => {
        const again = [...events, ...events.filter((_event, index) => index % 2 === 0)]
          .map((event, index) => ({ event, key: shuffle[index % Math.max(1, shuffle.length)] ?? 0, index }))
          .sort((a, b) => a.key - b.key || b.index - a.index)
          .map(({ event }) => event);
        expect(wearsOf(again)).toEqual(wearsOf(events));
      }),
    );
  });
  it('no collar is on twice at once, and states cover each wear without a gap', () => {
    fc.assert(
      fc.property(anyEvents, (events) => {
        const { wears } = wearsOf(events);
        for (const collarId of ['curlew', 'hazel']) {
          const own = wears.filter((wear) => wear.collarId === collarId);
          own.forEach((wear, index) => {
            expect(wear.to === null).toBe(wear.to === null && index === own.length - 1);
            if (index > 0) expect(own[index - 1]!.to!).toBeLessThanOrEqual(wear.from);
          });
        }
        for (const wear of wears) {
          expect(wear.states[0]!.from).toBe(wear.from);
          expect(wear.states.at(-1)!.to).toBe(wear.to);
          wear.states.slice(1).forEach((span, index) => expect(span.from).toBe(wear.states[index]!.to));
        }
      }),
    );
  });
});

describe('rules of wearing, as they happen', () => {
  const context = (nowHours: number, more: Partial<WearContext> = {}): WearContext => ({
    now: at(nowHours),
    nights: [{ from: at(16), to: at(21) }],
    skin: [],
    girthMm: 400,
    footprintMm: 62,
    rules: houseRules(),
    schools: houseSchools(),
    ...more,
  });
  const marks = (events: WearEvent[], as: keyof typeof RULES, nowHours: number, more: Partial<WearContext> = {}) => {
    const { wears } = wearsOf(events);
    return wears.flatMap((wear) => wearMarks(wear, RULES[as], as === 'contacts' ? wears : [], context(nowHours, more)));
  };
  const codes = (...args: Parameters<typeof marks>) => marks(...args).map(({ code }) => code);

  it('a prong or slip crated, alone, playing or overnight is an alarm at once, and stays a mark in the record', () => {
    for (const as of ['pinch', 'closing', 'nose'] as const) {
      for (const value of ['crated', 'alone', 'playing', 'overnight'] as const) {
        expect(marks([on(0), state(1, value)], as, 1.5)).toContainEqual(expect.objectContaining({ code: 'unsupervised', state: value, from: at(1), to: null }));
        expect(marks([on(0), state(1, value), off(2)], as, 30)).toContainEqual(expect.objectContaining({ code: 'unsupervised', from: at(1), to: at(2) }));
      }
      expect(codes([on(0), off(1)], as, 2)).toEqual([]);
    }
  });
  it('a flat collar in the crate is a matter of school', () => {
    expect(codes([on(0, { state: 'crated' })], 'strap', 1)).toEqual(['off-in-the-crate']);
    expect(codes([on(0, { state: 'crated' })], 'strap', 1, { schools: { crateSchool: 'always-on' } })).toEqual([]);
  });
  it('an electronic collar: six hours in one place, counted on across a move and across midnight', () => {
    expect(codes([on(0)], 'contacts', 6)).toEqual([]);
    expect(marks([on(0)], 'contacts', 6.01)).toContainEqual(expect.objectContaining({ code: 'place-over', from: at(6), to: null }));
    expect(codes([on(0), moved(5.9, 9)], 'contacts', 11)).toEqual([]);
    // 20:00 to 03:00 over midnight is seven hours.
    expect(codes([on(12, { state: 'worked' })], 'contacts', 19)).toContain('place-over');
  });
  it('twelve hours in any 24, whatever the places: over after the twelfth hour, with what was worn the evening before', () => {
    const day = [on(0), moved(5, 9), moved(10, 12)];
    expect(codes(day, 'contacts', 12)).not.toContain('day-over');
    expect(marks(day, 'contacts', 12.5)).toContainEqual(expect.objectContaining({ code: 'day-over', to: null }));
    expect(marks(day, 'contacts', 12.5).find(({ code }) => code === 'day-over')!.from).toBeGreaterThanOrEqual(at(12));
    expect(marks(day, 'contacts', 12.5).find(({ code }) => code === 'day-over')!.from).toBeLessThan(at(12) + 2000);
    expect(codes([on(-10), moved(-5, 9), off(-1), on(0), moved(3.2, 12)], 'contacts', 3.5)).toContain('day-over');
  });
  it('at night: overnight at once; crated, alone or free through the small hours, too; at work, not', () => {
    expect(codes([on(13, { state: 'overnight' })], 'contacts', 13.5)).toContain('at-night');
    expect(codes([on(13, { state: 'crated' })], 'contacts', 16.5)).toContain('at-night');
    expect(codes([on(15, { state: 'worked' })], 'contacts', 17)).toEqual([]);
    expect(codes([on(15, { state: 'supervised' })], 'pinch', 17)).toContain('at-night');
  });
  it('crated: short errands may be, more than three hours not', () => {
    expect(codes([on(0, { state: 'crated' })], 'contacts', 3)).toEqual([]);
    expect(codes([on(0, { state: 'crated' })], 'contacts', 3.1)).toEqual(['long-in-the-crate']);
  });
  it('contacts on skin that is flagged, from when it was seen until it is moved or clear; red skin takes it off wherever it sits', () => {
    const pink: SkinLook[] = [{ clock: 3, grade: 1, at: at(1) }];
    expect(marks([on(0), moved(2, 9)], 'contacts', 3, { skin: pink })).toContainEqual(
      expect.objectContaining({ code: 'on-flagged-skin', from: at(1), to: at(2) }),
    );
    expect(codes([on(0, { clock: 9 })], 'contacts', 3, { skin: pink })).toEqual([]);
    const red: SkinLook[] = [{ clock: 9, grade: 2, at: at(1) }];
    for (const as of ['contacts', 'pinch'] as const)
      expect(marks([on(0)], as, 3, { skin: red })).toContainEqual(expect.objectContaining({ code: 'skin-says-off', from: at(1), to: null }));
  });
  it('contacts over the windpipe are an alarm, by their footprint too', () => {
    expect(codes([on(0, { clock: 5.5 })], 'contacts', 1)).toEqual(['on-the-windpipe']);
    // 62 mm on 400 mm reach 31 mm either side; 4 o’clock is 33.3 mm from 5, half past 4 only 16.7.
    expect(codes([on(0, { clock: 4 })], 'contacts', 1)).toEqual([]);
    expect(codes([on(0, { clock: 4.5 })], 'contacts', 1)).toEqual(['on-the-windpipe']);
  });
  it('forgetting «off» is asked about, not assumed: a session collar after five hours, an electronic one after twelve, a flat one never', () => {
    const [wear] = wearsOf([on(0)]).wears as [Wear];
    const rules = houseRules();
    expect([4.9, 5.1].map((hours) => askWhetherOff(wear, RULES.pinch, at(hours), rules))).toEqual([false, true]);
    expect([11.9, 12.1].map((hours) => askWhetherOff(wear, RULES.contacts, at(hours), rules))).toEqual([false, true]);
    expect(askWhetherOff(wear, RULES.strap, at(500), rules)).toBe(false);
    expect(wear.to).toBeNull();
  });
  it('every mark says what to do, naming the measure', () => {
    for (const mark of [
      ...marks([on(0, { state: 'crated' })], 'contacts', 20, {
        skin: [
          { clock: 3, grade: 1, at: at(1) },
          { clock: 9, grade: 3, at: at(1) },
        ],
      }),
      ...marks([on(0, { state: 'supervised' }), state(1, 'playing')], 'pinch', 20),
      ...marks([on(0, { state: 'crated' })], 'loop', 2),
    ])
      expect(wordReason(WEAR_MARK_WORDS, mark, contractSpeaker).text).toMatch(/^[A-Z].*\.$/);
  });
});
