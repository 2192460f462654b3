import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HOUR_MS, lookedAtOn, madeUpSays, madeUpStanding, pieceStanding, programmeStanding, skinAt, skinStanding, wearsOf, wornStanding } from '../index.ts';

const house = { restHours: 48 };
const look = (clock: number, grade: 0 | 1 | 2 | 3, hours: number) => ({ clock, grade, at: hours * HOUR_MS });

describe('skin, place by place and as a whole (common practice)', () => {
  it('red or broken keeps everything off, the worst of it, until a later look there says clear or pink, however long ago', () => {
    const looks = [look(3, 2, 0), look(9, 3, 1), look(12, 1, 2)];
    expect(skinStanding(looks, 3 * HOUR_MS, house).off).toMatchObject({ clock: 9, grade: 3 });
    expect(skinStanding(looks, 9000 * HOUR_MS, house).flags.map(({ clock }) => clock)).toEqual([3, 9]);
    expect(skinStanding([...looks, look(9, 1, 4), look(3, 0, 4)], 5 * HOUR_MS, house).off).toBeNull();
  });

  it('says of contacts what the whole neck says, else what lies under them', () => {
    const pink = skinStanding([look(3, 1, 0)], HOUR_MS, house);
    // A clock hour of 400 mm is 33.3 mm: 60 mm of receiver at 4 lie on it, at 6 they do not.
    expect(skinAt(pink, 4, 400, 60)).toMatchObject({ clock: 3, grade: 1 });
    expect(skinAt(pink, 6, 400, 60)).toBeNull();
    expect(skinAt(pink, null, 400, 60)).toBeNull();
    expect(skinAt(skinStanding([look(9, 2, 0)], HOUR_MS, house), null, null, 60)).toMatchObject({ grade: 2 });
  });

  it('does not go by the order in which looks arrive, and takes the worse of two at once', () => {
    const looks = fc.array(
      fc.record({
        clock: fc.integer({ min: 1, max: 12 }),
        grade: fc.constantFrom(0 as const, 1, 2, 3),
        at: fc.integer({ min: 0, max: 5 * 24 }).map((h) => h * HOUR_MS),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(looks, fc.integer({ min: 0, max: 6 * 24 }), (told, hours) => {
        const now = hours * HOUR_MS;
        const flags = (of: typeof told) =>
          skinStanding(of, now, house)
            .flags.map(({ clock, grade }) => `${clock} ${grade}`)
            .sort();
        expect(flags([...told].reverse())).toEqual(flags(told));
        // By hand: of each place the latest look that has been taken, the worse of two.
        const byHand = [...new Set(told.map(({ clock }) => clock))].flatMap((clock) => {
          const there = told.filter((one) => one.clock === clock && one.at <= now);
          const at = Math.max(...there.map((one) => one.at));
          const grade = Math.max(0, ...there.filter((one) => one.at === at).map((one) => one.grade));
          return grade === 0 || (grade === 1 && now >= at + 48 * HOUR_MS) ? [] : [`${clock} ${grade}`];
        });
        expect(flags(told)).toEqual(byHand.sort());
      }),
    );
  });
});

describe('a collar, for whom it is made up', () => {
  const fit = { dogId: 'moss', at: '2026-03-01', on: { left: 7, right: 7 }, links: 14 };
  const now = (some: object) => ({ dogId: 'teal', at: '2026-03-02', on: { left: 7, right: 6 }, links: 13, ...some });

  it('is one dog’s at a time: made up for another since, or with other links on the same dog, it no longer stands', () => {
    expect(madeUpStanding(fit, true, null)).toBe('as-wanted');
    expect(madeUpStanding(fit, true, now({}))).toBe('for-another');
    expect(madeUpStanding(fit, true, now({ at: '2026-02-27' }))).toBe('as-wanted');
    expect(madeUpStanding(fit, true, now({ on: { left: 7, right: 7 }, links: 14 }))).toBe('as-wanted');
    expect(madeUpStanding(fit, true, now({ dogId: 'moss' }))).toBe('other-links');
    // Nobody has made it up yet: what is in the collar before that undoes no plan.
    expect(madeUpStanding(fit, false, now({ dogId: 'moss' }))).toBe('as-wanted');
  });

  it('says what it has, for whom, and what to put back or take out', () => {
    const is = { collar: 'Rush', dog: 'Teal', links: 13, is: '13 links' };
    expect(madeUpSays('for-another', is, { links: 14, is: '14 links' })).toBe('Put one link back in: Rush is set for Teal, 13 links.');
    expect(madeUpSays('other-links', { ...is, links: 15 }, { links: 14, is: '14 links' })).toBe('Take one link out: Rush has 15 links now.');
    expect(madeUpSays('for-another', { ...is, links: null, is: 'hole 3' }, { links: null, is: 'hole 4' })).toBe(
      'Set Rush again, hole 4: it is set for Teal, hole 3.',
    );
  });
});

describe('a piece of gear', () => {
  it('is as it was found, and scrapped whatever it was', () => {
    expect(pieceStanding({ condition: 'mend', scrapped: false })).toBe('mend');
    expect(pieceStanding({ condition: 'sound', scrapped: true })).toBe('scrapped');
  });
  it('counts as looked at on the day when it was measured and somebody said sound, where that is later', () => {
    expect(lookedAtOn({ inspectedOn: null, measuredOn: '2026-03-08', saidSound: true })).toBe('2026-03-08');
    expect(lookedAtOn({ inspectedOn: '2026-03-09', measuredOn: '2026-03-08', saidSound: true })).toBe('2026-03-09');
    expect(lookedAtOn({ inspectedOn: null, measuredOn: '2026-03-08', saidSound: false })).toBeNull();
  });
});

describe('what is worn', () => {
  it('since when, where since when, and how the dog is looked after; nothing once it is off', () => {
    const own = { collarId: 'c', dogId: 'd' };
    const events = [
      { ...own, id: '1', at: 10, event: 'put-on' as const, clock: 3, state: 'supervised' as const },
      { ...own, id: '2', at: 20, event: 'moved' as const, clock: 9 },
      { ...own, id: '3', at: 30, event: 'state' as const, state: 'crated' as const },
    ];
    expect(wornStanding(wearsOf(events).wears[0]!)).toEqual({ since: 10, clock: 9, placeSince: 20, state: 'crated' });
    expect(wornStanding(wearsOf([...events, { ...own, id: '4', at: 40, event: 'taken-off' as const }]).wears[0]!)).toBeNull();
    expect(wornStanding(null)).toBeNull();
  });
});

describe('a programme', () => {
  const stage = (id: string) => ({ id, minutes: 5, pass: { what: '', needed: 4, of: 5, inRow: 1, leastDays: 0 }, fallBack: { below: 0.5, inRow: 2, stages: 1, setback: '' } }) as never as { id: string } & Parameters<typeof programmeStanding>[0][number]; // prettier-ignore
  const result = (at: number, met: number) => ({ stageId: 'a', sessionId: null, at, met, of: 5, setback: false });

  it('is where its last move led, and its marks lead on; what came before the stage began counts for nothing', () => {
    const stages = [stage('a'), stage('b')];
    const told = { results: [result(1000, 5)], moves: [] };
    expect(programmeStanding(stages, told, { startedAt: 0, now: 2000 })).toMatchObject({ index: 0, leadsTo: 'b', finished: false });
    const moved = programmeStanding(stages, { ...told, moves: [{ toStage: 'b', at: 1500 }] }, { startedAt: 0, now: 2000 });
    expect(moved).toMatchObject({ index: 1, since: 1500, results: [], leadsTo: null });
    // A move that is still to come moves nothing yet, and a stage that is gone is the first.
    expect(programmeStanding(stages, { ...told, moves: [{ toStage: 'b', at: 2500 }] }, { startedAt: 0, now: 2000 }).index).toBe(0);
    expect(programmeStanding(stages, { ...told, moves: [{ toStage: 'gone', at: 1500 }] }, { startedAt: 0, now: 2000 }).index).toBe(0);
  });
});
