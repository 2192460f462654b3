import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { mutualInformation, putOnCounts, tellTaleAdvice, tellTaleCounts, tellTaleReasons, tellTaleTimes, wornOccasions, type WornSpan } from '../index.ts';

const MIN = 60_000;
const HOUR = 60 * MIN;
const at = (hour: number, minute = 0) => hour * HOUR + minute * MIN;
const awake = [{ from: at(8), to: at(18) }];
const span = (collarId: string, from: number, to: number | null): WornSpan => ({ collarId, from, to });

describe('what was worn and what followed, out of what happened', () => {
  it('each stretch of the day with the same on, nothing included, and whether work began in it', () => {
    const worn = [span('prong', at(9), at(11)), span('remote', at(10), at(12))];
    const found = wornOccasions({ worn, begun: [at(9, 30), at(13)], awake, now: at(20) });
    expect(found.map((one) => [one.from / HOUR, one.worn.join('+'), one.work])).toEqual([
      [8, '', false],
      [9, 'prong', true],
      [10, 'prong+remote', false],
      [11, 'remote', false],
      [12, '', true],
    ]);
  });
  it('one collar put on after another is one occasion; the night, and what is still to come, are none', () => {
    const worn = [span('prong', at(7), at(9)), span('remote', at(7, 5), at(9)), span('prong', at(17), null)];
    const found = wornOccasions({ worn, begun: [at(6), at(19)], awake, now: at(17, 30) });
    expect(found.map((one) => [one.from / HOUR, one.to / HOUR, one.worn.join('+'), one.work])).toEqual([
      [8, 9, 'prong+remote', false],
      [9, 17, '', false],
      [17, 17.5, 'prong', false],
    ]);
    expect(wornOccasions({ worn: [span('a', at(9), at(12)), span('b', at(9, 4), at(12))], begun: [], awake, now: at(12) }).map(({ worn: on }) => on.join('+'))).toEqual(['', 'a+b']); // prettier-ignore
  });
  it('putting on: followed by work or not, against work out of the blue and the rest of the day in pieces as long', () => {
    const worn = [span('a', at(9), at(10)), span('b', at(9, 2), at(10)), span('a', at(12), at(13)), span('a', at(20), null)];
    const counts = putOnCounts({ worn, begun: [at(9, 20), at(15)], awake, now: at(22), withinMs: 30 * MIN });
    // Ten hours are twenty halves: one told, one in vain, one out of the blue.
    expect(counts).toEqual([
      [1, 1],
      [1, 17],
    ]);
  });
});

describe('the plan on a calendar', () => {
  const days = Array.from({ length: 16 }, (_day, day) => ({ day: `d${day}`, open: day % 7 === 6 ? null : ([8 * 60, 18 * 60] as const) }));
  const calendar = {
    days,
    hands: [{ id: 'Ann', name: 'Ann', hours: days.map(({ open }) => open) }],
    rules: { dogRestMinutes: 60, dogSessionsPerDay: 3 },
    notBefore: { day: 0, minute: 0 },
  };
  const plan = (seed: number, more: object = {}) =>
    tellTaleTimes({ collars: ['a', 'b'], seed, dogId: 'dog', wishId: 'w', workMinutes: 20, calendar, fixed: [], ...more });
  it('keeps to the open hours, never two at a time, work inside what is worn, the same for the same seed', () => {
    for (let seed = 0.02; seed < 1; seed += 0.09) {
      const { times, noWork } = plan(seed);
      expect(plan(seed).times).toEqual(times);
      expect(noWork).toEqual([]);
      expect(new Set(times.map(({ day }) => day)).size).toBe(14);
      times.forEach((time, index) => {
        expect(days[time.day]!.open).not.toBeNull();
        expect(time.minute).toBeGreaterThanOrEqual(8 * 60);
        expect(time.minute + time.minutes).toBeLessThanOrEqual(18 * 60);
        const next = times[index + 1];
        if (next?.day === time.day) expect(next.minute).toBeGreaterThan(time.minute + time.minutes);
        if (time.session) {
          expect(time.session.from).toBeGreaterThan(time.minute);
          expect(time.session.from + 20).toBeLessThanOrEqual(time.minute + time.minutes);
        }
      });
    }
  });
  it('kept to, it tells nothing; work only ever with the same collar does, and says which to wear with nothing', () => {
    const begun: number[] = [];
    const kept: WornSpan[] = [];
    const DAY = 24 * HOUR;
    const { times } = plan(0.37);
    for (const { day, minute, minutes, worn, session } of times) {
      for (const collarId of worn) kept.push(span(collarId, day * DAY + minute * MIN, day * DAY + (minute + minutes) * MIN));
      if (session) begun.push(day * DAY + session.from * MIN);
    }
    const all = days.flatMap(({ open }, day) => (open ? [{ from: day * DAY + open[0] * MIN, to: day * DAY + open[1] * MIN }] : []));
    const told = (worn: WornSpan[], work: number[]) => {
      const { rows, counts } = tellTaleCounts(wornOccasions({ worn, begun: work, awake: all, now: 20 * DAY }).filter(({ worn: on }) => on.length > 0));
      return { rows, counts, code: tellTaleReasons(mutualInformation(counts), 0.05)[0]!.code };
    };
    expect(told(kept, begun).code).toBe('tells-little');
    // The careless way: the prong for work at ten, the other for nothing at three.
    const random = randomLcg(0.5);
    const careless = Array.from({ length: 14 }, (_day, day) => [
      span('prong', day * DAY + at(9, 45), day * DAY + at(10, 30)),
      span('flat', day * DAY + at(15), day * DAY + at(15, 30 + Math.floor(random() * 20))),
    ]).flat();
    const careful = told(careless, Array.from({ length: 14 }, (_day, day) => day * DAY + at(10))); // prettier-ignore
    expect(careful.code).toBe('tells');
    const advice = tellTaleAdvice(careful.counts)!;
    // Either more of the one with nothing, or of the other with work.
    expect({ prong: 'with-nothing', flat: 'with-work' }[careful.rows[advice.row]!.join()]).toBe(advice.wear);
  });
  it('where nobody has time, nothing follows instead, and the day is told', () => {
    const { times, noWork } = plan(0.37, { calendar: { ...calendar, hands: [] } });
    expect(noWork.length).toBeGreaterThan(5);
    expect(times.every(({ session }) => session === null)).toBe(true);
  });
});
