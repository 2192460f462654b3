import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clearOfWindpipe,
  contractSpeaker,
  houseRules,
  hoursApart,
  placeInSchool,
  placesOverlap,
  ROTATION_REASON_WORDS,
  skinWarmth,
  rotateContacts,
  wordReason,
  type ContactWear,
  type RotationCase,
  type SkinLook,
} from '../index.ts';

const rules = houseRules();
const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 2, 29, 9);
const base: RotationCase = { girthMm: 480, footprintMm: 60, school: 'upper-half', now: NOW, worn: [], skin: [] };
const wear = (clock: number, fromHoursAgo: number, toHoursAgo: number | null): ContactWear => ({
  clock,
  from: NOW - fromHoursAgo * HOUR,
  to: toHoursAgo === null ? null : NOW - toHoursAgo * HOUR,
});
const look = (clock: number, grade: 0 | 1 | 2 | 3, hoursAgo: number): SkinLook => ({ clock, grade, at: NOW - hoursAgo * HOUR });
const turn = (more: Partial<RotationCase> = {}) => rotateContacts({ ...base, ...more }, rules);
const allowed = (more: Partial<RotationCase> = {}) =>
  turn(more)
    .places.filter((place) => place.allowed)
    .map(({ clock }) => clock);

describe('which places are allowed', () => {
  it('upper half: 9 over 12 to 3; clear of the throat: all but 5 to 7 (common practice)', () => {
    expect(allowed()).toEqual([1, 2, 3, 9, 10, 11, 12]);
    expect(allowed({ school: 'clear-of-throat' })).toEqual([1, 2, 3, 4, 8, 9, 10, 11, 12]);
  });
  it('no part of the footprint’s arc over the windpipe: 4 o’clock is an hour from 5, which is half an 80 mm footprint on 480 mm', () => {
    expect(allowed({ school: 'clear-of-throat', footprintMm: 80 })).toContain(4);
    expect(allowed({ school: 'clear-of-throat', footprintMm: 80.1 })).not.toContain(4);
    // 160 mm either side of 3 o’clock on 480 mm reaches exactly from 5 to 1.
    expect(allowed({ footprintMm: 160 })).toContain(3);
    expect(allowed({ footprintMm: 161 })).not.toContain(3);
  });
  it('a pink place rests 48 h with what overlaps it, to the millisecond, or until a check there is clear', () => {
    // 60 mm on 480 mm: an hour is 40 mm, so the neighbours overlap.
    expect(allowed({ skin: [look(3, 1, 10)] })).toEqual([1, 9, 10, 11, 12]);
    expect(allowed({ skin: [look(3, 1, 48)] })).toContain(3);
    expect(allowed({ skin: [look(3, 1, 48 - 1 / 3_600_000)] })).not.toContain(3);
    expect(allowed({ skin: [look(3, 1, 10), look(3, 0, 2)] })).toContain(3);
    expect(allowed({ skin: [look(3, 1, 10), look(2, 0, 2)] })).not.toContain(3);
  });
  it('red or broken anywhere: nothing is allowed and nothing is next, until a later look there says 0 or 1', () => {
    const off = turn({ skin: [look(6, 2, 100)] });
    expect(off.next).toBeNull();
    expect(off.places.some((place) => place.allowed)).toBe(false);
    expect(off.capacityHours).toBe(0);
    expect(off.reasons.map(({ code }) => code)).toContain('skin-off');
    expect(turn({ skin: [look(9, 3, 100), look(9, 1, 90)] }).next).not.toBeNull();
    expect(turn({ skin: [look(9, 3, 100), look(3, 0, 90)] }).next).toBeNull();
  });
});

describe('where it goes next', () => {
  it('never worn first, the nearest to 3 or 9, then the lower number', () => {
    expect(turn().next).toBe(3);
    expect(turn({ worn: [wear(3, 30, 26)] }).next).toBe(9);
    expect(turn({ worn: [wear(3, 30, 26), wear(9, 20, 16)] }).next).toBe(1);
  });
  it('then what has rested longest', () => {
    // 90 mm on 480 mm: places up to two hours apart share skin. 9 shares with 10 alone, which ended 55 h ago.
    const worn = [wear(10, 60, 55), wear(12, 50, 45), wear(2, 40, 35)];
    expect(turn({ worn, footprintMm: 90 }).next).toBe(9);
    // With 9 worn now, 12, 1, 2 and 3 all share with 2, which ended 35 h ago; 3 is the nearest to 3 or 9.
    expect(turn({ worn: [...worn, wear(9, 5, null)], footprintMm: 90 }).next).toBe(3);
  });
  it('judges the place where it sits, half hours too: never over the windpipe, not on skin that rests', () => {
    const bar = (clock: number, more: Partial<RotationCase> = {}) => turn({ school: 'clear-of-throat', worn: [wear(clock, 1, null)], ...more }).presentBar;
    expect(bar(5.5)).toBe('school');
    expect(bar(4.5)).toBe('windpipe');
    expect(bar(2.5)).toBeNull();
    expect(bar(2.5, { skin: [look(3, 1, 1)] })).toBe('skin');
  });
  it('moves by six hours after it was put there, whatever the clock shows: the night of 29 March 2026 loses an hour in London', () => {
    const putOn = Date.UTC(2026, 2, 28, 23);
    const found = turn({ now: Date.UTC(2026, 2, 29, 4), worn: [{ clock: 3, from: putOn, to: null }] });
    expect(found.moveBy).toBe(putOn + 6 * HOUR);
    expect(found.places[2]!.restedHours).toBe(0);
  });
});

describe('how much the neck can carry today', () => {
  it('distinct places times six hours, at most twelve, less what was worn in the last 24 h', () => {
    expect(turn().capacityHours).toBe(12);
    // A small neck: 250 mm, an hour is 20.8 mm; a footprint of 62 needs three hours between places: 9, 12 and 3.
    expect(turn({ girthMm: 250, footprintMm: 62 }).distinct).toHaveLength(3);
    expect(turn({ girthMm: 250, footprintMm: 62, worn: [wear(12, 5, 1)] }).capacityHours).toBe(8);
    expect(turn({ worn: [wear(12, 30, 20)] }).capacityHours).toBe(8);
    expect(turn({ worn: [wear(12, 40, null)] }).capacityHours).toBe(0);
  });
});

const clock = fc.integer({ min: 1, max: 24 }).map((half) => half / 2);
const anyCase = fc.record({
  girthMm: fc.integer({ min: 150, max: 700 }),
  footprintMm: fc.integer({ min: 20, max: 140 }),
  school: fc.constantFrom('upper-half' as const, 'clear-of-throat' as const),
  now: fc.constant(NOW),
  worn: fc
    .array(fc.record({ clock, hours: fc.double({ min: 0.1, max: 8, noNaN: true }), rest: fc.double({ min: 0, max: 20, noNaN: true }) }), { maxLength: 12 })
    .chain((list) => fc.boolean().map((lasts) => ({ list, lasts })))
    .map(({ list, lasts }) => {
      let at = NOW;
      return list.map(({ clock: place, hours, rest }, index): ContactWear => {
        const open = index === 0 && lasts;
        const to = open ? null : at - rest * HOUR;
        const from = (to ?? at) - hours * HOUR;
        at = from;
        return { clock: place, from, to };
      });
    }),
  skin: fc.array(
    fc.record({
      clock,
      grade: fc.constantFrom(0 as const, 0 as const, 1 as const, 1 as const, 2 as const),
      at: fc.integer({ min: 0, max: 100 }).map((h) => NOW - h * HOUR),
    }),
    { maxLength: 5 },
  ),
});

describe('for any neck, wear and skin', () => {
  it('never goes to a forbidden or resting place, nor back to the same skin while another has rested longer', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { next, places } = rotateContacts(one, rules);
        if (next === null) return;
        const own = places.find((place) => place.clock === next)!;
        expect(placeInSchool(next, one.school)).toBe(true);
        expect(clearOfWindpipe(next, one.girthMm, one.footprintMm)).toBeGreaterThanOrEqual(-1e-9);
        const present = one.worn.find(({ to }) => to === null);
        const overlap = (a: number, b: number) => placesOverlap(a, b, one.girthMm, one.footprintMm);
        if (present) expect(overlap(next, present.clock)).toBe(false);
        for (const seen of one.skin) {
          const latest = one.skin
            .filter((other) => other.clock % 12 === seen.clock % 12)
            .reduce((a, b) => (b.at > a.at || (b.at === a.at && b.grade > a.grade) ? b : a));
          if (latest.grade >= 2) expect.unreachable('something is red');
          if (latest.grade === 1 && NOW - latest.at < 48 * HOUR) expect(overlap(next, latest.clock)).toBe(false);
        }
        for (const other of places) {
          if (!other.allowed || (present && overlap(other.clock, present.clock))) continue;
          expect(other.restedHours ?? Infinity).toBeLessThanOrEqual(own.restedHours ?? Infinity);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('finds as many distinct places as trying every set of them does', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { places, distinct, capacityHours } = rotateContacts(one, rules);
        const open = places.filter((place) => place.allowed).map((place) => place.clock);
        const apart = (set: readonly number[]) =>
          set.every((a, index) => set.slice(index + 1).every((b) => (one.girthMm * hoursApart(a, b)) / 12 >= one.footprintMm - 1e-9));
        let most = 0;
        for (let mask = 0; mask < 1 << open.length; mask += 1) {
          const set = open.filter((_place, index) => mask & (1 << index));
          if (set.length > most && apart(set)) most = set.length;
        }
        expect(distinct).toHaveLength(most);
        expect(apart(distinct)).toBe(true);
        expect(capacityHours).toBeLessThanOrEqual(12);
        expect(capacityHours).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 200 },
    );
  });

  it('arcs: two places overlap just when their footprints share more than an edge, the same either way round', () => {
    fc.assert(
      fc.property(clock, clock, fc.integer({ min: 150, max: 700 }), fc.integer({ min: 10, max: 140 }), (a, b, girthMm, footprintMm) => {
        const angle = (place: number) => (place % 12) * (girthMm / 12);
        const along = Math.abs(angle(a) - angle(b));
        const apart = Math.min(along, girthMm - along);
        expect(placesOverlap(a, b, girthMm, footprintMm)).toBe(apart < footprintMm - 1e-9);
        expect(placesOverlap(b, a, girthMm, footprintMm)).toBe(placesOverlap(a, b, girthMm, footprintMm));
      }),
    );
  });

  it('warmth: every stretch of skin is as warm as the hours a footprint covered it, and all of it adds up to footprint times hours', () => {
    const worn = [wear(3, 10, 6), wear(9, 5, null)];
    const warmth = skinWarmth(worn, 480, 60, NOW, 7);
    // 60 mm on 480 mm is an hour and a half, 45 minutes either side of 3.
    expect([9, 12, 15, 16].map((step) => warmth[step])).toEqual([4, 4, 4, 0]);
    expect(warmth[36]).toBe(5);
    expect(warmth[24]).toBe(0);
    expect(skinWarmth(worn, 480, 60, NOW + 30 * 24 * HOUR, 7)[12]).toBe(0);
  });

  it('always says why, in a plain sentence', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { reasons } = rotateContacts(one, rules);
        expect(reasons.length).toBeGreaterThan(0);
        for (const reason of reasons) expect(wordReason(ROTATION_REASON_WORDS, reason, contractSpeaker).text).toMatch(/\.$/);
      }),
      { numRuns: 50 },
    );
  });
});
