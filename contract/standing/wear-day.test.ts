import { HOUR_MS, houseRules, houseSchools, WEAR_STATES, type SkinLook } from '@banter/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dressedWears, wearDues, wearingAt, wornThen, type Collar, type NewHappening } from '../index.ts';

const DAY = { from: Date.UTC(2026, 4, 4), to: Date.UTC(2026, 4, 5) };
const house = { schools: houseSchools(), rules: houseRules({}), headCollarChart: [] };
const collar = (index: number, kind: Collar['kind'], name: string, numbers: Record<string, unknown>): Collar => ({
  id: `01890000-0000-7000-8000-${String(index).padStart(12, '0')}`,
  kind,
  name,
  numbers,
  metal: null,
  condition: 'sound',
  measuredOn: null,
  owned: true,
  note: '',
  retiredAt: null,
  version: 1,
});
const remote = collar(701, 'remote', 'Grey', {
  footprintMm: 62,
  spacingMm: 37,
  postsMm: [12, 16],
  scaleMin: 1,
  scaleMax: 100,
  scaleStep: 1,
  modes: ['momentary'],
  massG: 92,
  strapMinMm: 200,
  strapMaxMm: 700,
});
const collars: Collar[] = [remote, collar(702, 'prong', 'Hazel', { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 })];
const at = (hours: number) => new Date(DAY.from + hours * HOUR_MS).toISOString();
const id = (index: number) => `01890000-0000-7000-8000-${String(index).padStart(12, '0')}`;
const DOG = id(900);

/** Up to eight things that happened before noon, in any order, of two collars on one dog. */
const events = fc
  .array(
    fc.record({
      hours: fc.double({ min: -30, max: 12, noNaN: true }),
      collar: fc.constantFrom(...collars),
      what: fc.constantFrom('put-on' as const, 'put-on' as const, 'taken-off' as const, 'moved' as const, 'state' as const),
      clock: fc.integer({ min: 1, max: 12 }),
      state: fc.constantFrom(...WEAR_STATES),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((all) =>
    all.map((one, index): NewHappening => {
      const base = { id: id(index), at: at(one.hours), collarId: one.collar.id, dogId: DOG };
      const contacts = one.collar.kind === 'remote';
      if (one.what === 'put-on') return { ...base, event: 'put-on', clock: contacts ? one.clock : null, state: one.state };
      if (one.what === 'moved') return { ...base, event: 'moved', clock: one.clock };
      if (one.what === 'state') return { ...base, event: 'state', state: one.state };
      return { ...base, event: 'taken-off' };
    }),
  );
const looks = fc.array(
  fc.record({
    clock: fc.integer({ min: 1, max: 12 }),
    grade: fc.constantFrom(0 as const, 1 as const, 2 as const),
    at: fc.integer({ min: -72, max: 12 }).map((hours) => DAY.from + hours * HOUR_MS),
  }),
  { maxLength: 3 },
);

describe('what a dog wears, told for a day', () => {
  it('says at each instant of the rest of the day what is said when it is worked out then', () => {
    fc.assert(
      fc.property(events, looks, fc.double({ min: 12.01, max: 23.99, noNaN: true }), (told, skin: SkinLook[], hour) => {
        const now = DAY.from + hour * HOUR_MS;
        const by = { skin, girthMm: 400, house, timeZone: 'UTC', now, contacts: [] };
        const ahead = wearingAt({ dogId: DOG, dogName: 'Moss' }, wornThen(DOG, told, collars, by, DAY), now);
        const then = dressedWears(DOG, told, collars, { ...by, now }).filter(({ wear, collar }) => wear.to === null && collar);
        expect(ahead.map(({ collarId }) => collarId)).toEqual(then.map(({ wear }) => wear.collarId));
        ahead.forEach((one, index) => {
          const { marks, ask, wear } = then[index]!;
          const open = marks.filter(({ to }) => to === null);
          expect(one.alarms.map(({ code }) => code).sort()).toEqual(open.map(({ code }) => code).sort());
          for (const { code, from } of one.alarms)
            // When the hours of a day are over is found to the second.
            expect(open.some((mark) => mark.code === code && Math.abs(mark.from - Date.parse(from)) <= 1000)).toBe(true);
          expect(one.ask).toBe(ask);
          expect(one.state).toBe(wear.states.at(-1)!.value);
        });
      }),
      { numRuns: 400 },
    );
  });

  it('says where the contacts go next: the place that has rested longest, clear of what is pink', () => {
    const contacts = [{ collarId: remote.id, footprintMm: 62, placement: 'upper-half' as const }];
    const placeAfter = (clocks: readonly number[], skin: SkinLook[] = []) => {
      const told = clocks.map((clock, index): NewHappening => {
        const where = { id: id(index + 1), at: at(index), collarId: remote.id, dogId: DOG, clock };
        return index === 0 ? { event: 'put-on', ...where, state: 'worked' } : { event: 'moved', ...where };
      });
      const by = { skin, girthMm: 400, house, timeZone: 'UTC', now: DAY.from + 12 * HOUR_MS, contacts };
      return wornThen(DOG, told, collars, by, DAY)[0]!.nextPlace;
    };
    // Never worn before: at the side, and of both sides the one where it is not.
    expect(placeAfter([3])).toBe(9);
    // 3, then 12: 9 was never worn.
    expect(placeAfter([3, 12])).toBe(9);
    // All three were: 3 rests since an hour, 12 since none.
    expect(placeAfter([3, 12, 9])).toBe(3);
    expect(placeAfter([3, 12, 9], [{ clock: 3, grade: 1, at: DAY.from + 11 * HOUR_MS }])).not.toBe(3);
    expect(placeAfter([3], [{ clock: 12, grade: 2, at: DAY.from }])).toBeNull();
  });

  it('makes due what the clock brings, from its instant until it is over', () => {
    const on: NewHappening = { event: 'put-on', id: id(1), at: at(8), collarId: remote.id, dogId: DOG, clock: 3, state: 'worked' };
    const worn = wornThen(DOG, [on], collars, { skin: [], girthMm: 400, house, timeZone: 'UTC', now: DAY.from, contacts: [] }, DAY);
    const dues = wearDues({ dogId: DOG, dogName: 'Moss' }, { worn, batteries: [] }, { day: DAY, timeZone: 'UTC', rules: house.rules });
    const times = dues.map(({ code, title, dueFrom, dueUntil }) => [
      code,
      title.slice(0, 26),
      dueFrom && (dueFrom - DAY.from) / HOUR_MS,
      dueUntil && (dueUntil - DAY.from) / HOUR_MS,
    ]);
    // On at 8: moved after six hours, said two hours before; twelve hours of the day are over at 20.
    expect(times).toContainEqual(['move-place', 'Move Grey on Moss by 14:00', 12, 14]);
    expect(times).toContainEqual(['move-place', 'Move Grey on Moss.', 14, null]);
    expect(times).toContainEqual(['still-on', 'Moss: is Grey still on?', 20, null]);
    expect(dues.find(({ title }) => title.includes('Worn more than'))!.dueFrom! - DAY.from).toBeCloseTo(20 * HOUR_MS, -4);
  });
});
