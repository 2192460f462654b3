import fc from 'fast-check';
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import {
  chanceOfNoticing,
  contractSpeaker,
  driftCharts,
  driftReasons,
  findThreshold,
  fitLogistic,
  levelAtChance,
  staircase,
  THRESHOLD_REASON_WORDS,
  trialsShape,
  trialsWanted,
  wordReason,
  type StaircaseRule,
  type Trial,
} from '../index.ts';

const trial = (level: number, noticed: boolean): Trial => ({ level, noticed });
const group = (level: number, trials: number, noticed: number): Trial[] => Array.from({ length: trials }, (_one, index) => trial(level, index < noticed));

/** Bliss, Annals of Applied Biology 22 (1935), 134–167: log10 dose, insects, killed. */
const BLISS = [
  group(1.6907, 59, 6),
  group(1.7242, 60, 13),
  group(1.7552, 62, 18),
  group(1.7842, 56, 28),
  group(1.8113, 63, 52),
  group(1.8369, 59, 53),
  group(1.861, 62, 61),
  group(1.8839, 60, 60),
].flat();

describe('the likeliest logistic curve', () => {
  it('Bliss 1935 as fitted by Dobson, Introduction to Generalized Linear Models: −60.72 (5.18) and 34.27 (2.91)', () => {
    const curve = fitLogistic(BLISS)!;
    expect(curve.intercept).toBeCloseTo(-60.72, 2);
    expect(curve.slope).toBeCloseTo(34.27, 2);
    expect(Math.sqrt(curve.covariance.ii)).toBeCloseTo(5.18, 2);
    expect(Math.sqrt(curve.covariance.ss)).toBeCloseTo(2.91, 2);
    // Half were killed at 60.72/34.27.
    expect(levelAtChance(curve, 0.5).level).toBeCloseTo(1.772, 3);
    // Fitted numbers of the same table: 3.46, 9.84, 22.45, 33.90, 50.10, 53.29, 59.22, 58.74.
    expect(
      [59, 60, 62, 56, 63, 59, 62, 60].map((n, i) => n * chanceOfNoticing(curve, [1.6907, 1.7242, 1.7552, 1.7842, 1.8113, 1.8369, 1.861, 1.8839][i]!)),
    ).toEqual([3.46, 9.84, 22.45, 33.9, 50.1, 53.29, 59.22, 58.74].map((n) => expect.closeTo(n, 1)));
  });

  const trials = fc.array(fc.record({ level: fc.integer({ min: 1, max: 20 }), noticed: fc.boolean() }), { minLength: 2, maxLength: 40 });
  const likelihood = (of: readonly Trial[], a: number, b: number) =>
    of.reduce((sum, { level, noticed }) => sum - Math.log(1 + Math.exp((noticed ? -1 : 1) * (a + b * level))), 0);

  it('no other curve is likelier, wherever one exists', () => {
    fc.assert(
      fc.property(trials, fc.double({ min: -0.5, max: 0.5, noNaN: true }), fc.double({ min: -0.1, max: 0.1, noNaN: true }), (some, da, db) => {
        const curve = fitLogistic(some);
        fc.pre(curve !== null);
        expect(likelihood(some, curve!.intercept + da, curve!.slope + db)).toBeLessThanOrEqual(likelihood(some, curve!.intercept, curve!.slope) + 1e-9);
      }),
    );
  });
  it('its covariance is the inverse of the likelihood’s curvature, taken by differences', () => {
    const some = [...group(3, 10, 1), ...group(4, 10, 4), ...group(5, 10, 6), ...group(6, 10, 9)];
    const { intercept: a, slope: b, covariance } = fitLogistic(some)!;
    const e = 1e-4;
    const second = (da1: number, db1: number, da2: number, db2: number) =>
      (likelihood(some, a + da1 + da2, b + db1 + db2) -
        likelihood(some, a + da1 - da2, b + db1 - db2) -
        likelihood(some, a - da1 + da2, b - db1 + db2) +
        likelihood(some, a - da1 - da2, b - db1 - db2)) /
      (4 * e * e);
    const [aa, ab, bb] = [-second(e, 0, e, 0), -second(e, 0, 0, e), -second(0, e, 0, e)];
    const d = aa * bb - ab * ab;
    expect(covariance.ii).toBeCloseTo(bb / d, 2);
    expect(covariance.is).toBeCloseTo(-ab / d, 2);
    expect(covariance.ss).toBeCloseTo(aa / d, 3);
  });
  it('does not mind in which unit levels are written', () => {
    const some = [...group(3, 6, 1), ...group(5, 6, 3), ...group(8, 6, 6)];
    const [plain, scaled] = [
      findThreshold(some, 0.75),
      findThreshold(
        some.map((one) => trial(one.level * 1000 + 5000, one.noticed)),
        0.75,
      ),
    ];
    expect(scaled.level).toBeCloseTo(plain.level! * 1000 + 5000, 4);
    expect(scaled.high95).toBeCloseTo(plain.high95! * 1000 + 5000, 3);
  });
  it('a 95 % interval holds the true level about 95 times of 100', () => {
    const random = randomLcg(0.31);
    let held = 0;
    const runs = 400;
    for (let run = 0; run < runs; run += 1) {
      const some = Array.from({ length: 120 }, (_one, index) => {
        const level = 4 + (index % 9);
        return trial(level, random() < 1 / (1 + Math.exp(-0.9 * (level - 8))));
      });
      const { low95, high95 } = findThreshold(some, 0.5);
      held += Number(low95! <= 8 && 8 <= high95!);
    }
    expect(held / runs).toBeGreaterThan(0.92);
    expect(held / runs).toBeLessThan(0.98);
  });
});

describe('trials that have no curve', () => {
  it.each([
    [[trial(5, true)], 'all-noticed'],
    [[trial(5, true), trial(3, true)], 'all-noticed'],
    [[trial(5, false)], 'none-noticed'],
    [[trial(5, true), trial(5, false)], 'one-level'],
    [[trial(3, false), trial(4, true)], 'apart'],
    [[trial(3, false), trial(4, false), trial(4, true)], 'apart'],
    [[trial(3, true), trial(4, false)], 'apart-backwards'],
    [[trial(3, true), trial(4, true), trial(4, false)], 'apart-backwards'],
    [[trial(3, false), trial(4, true), trial(5, false), trial(6, true)], 'overlap'],
  ] as const)('%j is %s', (some, shape) => {
    expect(trialsShape(some)).toBe(shape);
    const found = findThreshold(some, 0.5);
    expect(found.converged).toBe(shape === 'overlap');
    if (shape !== 'overlap') {
      expect(found).toMatchObject({ level: null, low95: null, high95: null, intercept: null, slope: null });
      expect(found.reasons[0]!.code).toBe(shape);
    }
  });
  it('as often at every level is no threshold, and no level is made up for it', () => {
    for (const levels of [
      [1, 2],
      [1, 2, 3],
      [10, 20, 30, 40],
    ]) {
      const found = findThreshold(levels.flatMap((level) => [trial(level, true), trial(level, false)]), 0.8); // prettier-ignore
      expect(found).toMatchObject({ level: null, low95: null, high95: null, converged: true, slope: 0 });
      expect(found.reasons.map((reason) => wordReason(THRESHOLD_REASON_WORDS, reason, contractSpeaker).text)).toEqual([
        'Higher levels were noticed no more often than lower ones: this is no threshold. Check the contact first, then try the same levels again.',
      ]);
    }
  });
  it('none noticed: contact first, and never a level above those tried', () => {
    const { reasons } = findThreshold([trial(6, false), trial(9, false)], 0.75);
    const { text } = wordReason(THRESHOLD_REASON_WORDS, reasons[0]!, contractSpeaker);
    expect(text).toMatch(/check the contact, then skin and place, then the battery/);
    expect(text).toMatch(/try the same levels again/);
    expect([...text.matchAll(/\d+/g)].map(Number).filter((n) => n > 9)).toEqual([]);
  });
  it('more misses at higher levels is no threshold: the contact is asked about', () => {
    const some = [...group(3, 6, 5), ...group(5, 6, 3), ...group(8, 6, 1)];
    expect(findThreshold(some, 0.5).reasons.map(({ code }) => code)).toEqual(['falls-with-level']);
  });
});

/** Mean turning level of an endless run of a dog that notices by a logistic chance about `at`, once it has settled. */
function settledAt(rule: StaircaseRule, at: number, slope: number, seed: number, turns: number): number {
  const random = randomLcg(seed);
  const scale = { min: 1, max: 100, step: 1 };
  const run: Trial[] = [];
  let state = staircase(run, { rule, scale, turns });
  while (state.next !== null) {
    run.push(trial(state.next, random() < 1 / (1 + Math.exp(-slope * (state.next - at)))));
    state = staircase(run, { rule, scale, turns });
  }
  const settled = state.reversals.slice(10);
  return settled.reduce((sum, one) => sum + one, 0) / settled.length;
}

describe('up-down runs', () => {
  const scale = { min: 1, max: 20, step: 1 };
  const after = (rule: StaircaseRule, said: string, more: object = {}) => {
    const run: Trial[] = [];
    for (const one of said) {
      const { next } = staircase(run, { rule, scale, ...more });
      run.push(trial(next!, one === 'y'));
    }
    return staircase(run, { rule, scale, ...more });
  };
  it('one down one up, by hand: up 1 2 3 4, sign at 4, down, …', () => {
    // 1n 2n 3n 4y 3n 4y 3n 4y 3n: turns at 4 3 4 3 4 3.
    expect(after('up-down', 'nnnynynyn')).toEqual({ reversals: [4, 3, 4, 3, 4, 3], next: null, estimate: 3.4, over: 'turned-enough', inARow: 0 });
    expect(after('up-down', 'nnny')).toMatchObject({ reversals: [4], next: 3, estimate: null, over: null });
  });
  it('two down one up wants two signs in a row at a level', () => {
    expect(after('two-down', 'nny')).toMatchObject({ next: 3, inARow: 1, reversals: [] });
    expect(after('two-down', 'nnyy')).toMatchObject({ next: 2, inARow: 0, reversals: [3] });
    expect(after('two-down', 'nnyn')).toMatchObject({ next: 4, inARow: 0, reversals: [] });
  });
  it('Levitt 1971: one down one up settles where half are noticed, two down one up where 70.7 % are', () => {
    const [at, slope] = [40, 0.35];
    expect(Math.abs(settledAt('up-down', at, slope, 0.2, 900) - at)).toBeLessThan(0.5);
    const at707 = at + Math.log(Math.SQRT1_2 / (1 - Math.SQRT1_2)) / slope;
    expect(Math.abs(settledAt('two-down', at, slope, 0.7, 900) - at707)).toBeLessThan(0.5);
  });
  it('never reaches a ceiling nor passes a cap: there it stops', () => {
    expect(after('up-down', 'nnn', { below: 4 })).toMatchObject({ next: null, over: 'limit' });
    expect(after('up-down', 'nnn', { atMost: 4 })).toMatchObject({ next: 4, over: null });
    expect(after('up-down', 'nnnn', { atMost: 4 })).toMatchObject({ next: null, over: 'limit' });
    expect(after('up-down', 'yy')).toMatchObject({ next: 1 });
  });
});

describe('how many more trials', () => {
  const scale = { min: 1, max: 60, step: 1 };
  const some = [...group(5, 4, 0), ...group(6, 4, 1), ...group(7, 4, 2), ...group(8, 4, 3), ...group(9, 4, 4)];
  it('enough of them, taken as proposed, make the interval narrow enough; one fewer does not', () => {
    const curve = fitLogistic(some)!;
    const wanted = trialsWanted(some, curve, { target: 0.75, scale, widthSteps: 0.8 });
    expect(wanted.more).toBeGreaterThan(0);
    const random = (count: number) => {
      // The information of expected outcomes, added by hand.
      let [ii, is, ss] = [0, 0, 0];
      const add = (level: number, times: number) => {
        const p = chanceOfNoticing(curve, level);
        ii += times * p * (1 - p);
        is += times * p * (1 - p) * level;
        ss += times * p * (1 - p) * level * level;
      };
      some.forEach(({ level }) => add(level, 1));
      for (let one = 1; one <= count; one += 1) add(wanted.at[one % wanted.at.length]!, 1);
      const d = ii * ss - is * is;
      const { level } = levelAtChance(curve, 0.75);
      return 1.96 * Math.sqrt((ss - 2 * level * is + level * level * ii) / d / curve.slope ** 2);
    };
    expect(random(wanted.more)).toBeLessThanOrEqual(0.8001);
    expect(random(wanted.more - 1)).toBeGreaterThan(0.8);
  });
  it('never asks for a level above the highest noticed', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ level: fc.integer({ min: 1, max: 12 }), noticed: fc.boolean() }), { minLength: 4, maxLength: 30 }), (trials) => {
        const curve = fitLogistic(trials);
        fc.pre(curve !== null);
        const highest = Math.max(...trials.filter(({ noticed }) => noticed).map(({ level }) => level));
        for (const level of trialsWanted(trials, curve!, { target: 0.75, scale, widthSteps: 1 }).at) expect(level).toBeLessThanOrEqual(highest);
      }),
    );
  });
});

describe('control charts', () => {
  it('EWMA of the NIST/SEMATECH e-Handbook, §6.3.2.4', () => {
    const values = [52, 47, 53, 49.3, 50.1, 47, 51, 50.1, 51.2, 50.5, 49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1];
    const charts = driftCharts({ values, mean: 50, sd: 2.0539, lambda: 0.3, limit: 3, k: 1, h: 100 });
    expect(charts.ewmaHigh).toBeCloseTo(52.5884, 3);
    expect(charts.ewmaLow).toBeCloseTo(47.4115, 3);
    const published = [
      50.6, 49.52, 50.56, 50.18, 50.16, 49.21, 49.75, 49.85, 50.26, 50.33, 50.11, 49.36, 49.52, 50.05, 49.38, 49.92, 50.73, 51.23, 51.94, 51.99,
    ];
    charts.ewma.forEach((value, index) => expect(Math.abs(value - published[index]!)).toBeLessThan(0.0101));
    expect(charts.alarms).toEqual([]);
  });
  it('CUSUM of the NIST/SEMATECH e-Handbook, §6.3.2.3: out from the 14th group on', () => {
    const values = [
      324.925, 324.675, 324.725, 324.35, 325.35, 325.225, 324.125, 324.525, 325.225, 324.6, 324.625, 325.15, 328.325, 327.25, 327.825, 328.5, 326.675, 327.775,
      326.875, 328.35,
    ];
    const charts = driftCharts({ values, mean: 325, sd: 1, lambda: 0.3, limit: 100, k: 0.3175, h: 4.1959 });
    const high = [0, 0, 0, 0, 0.03, 0, 0, 0, 0, 0, 0, 0, 3.01, 4.94, 7.45, 10.63, 11.99, 14.44, 16.0, 19.04];
    const low = [0, 0.01, 0, 0.33, 0, 0, 0.56, 0.72, 0.17, 0.25, 0.31, 0, 0, 0, 0, 0, 0, 0, 0, 0];
    charts.cusumHigh.forEach((value, index) => expect(Math.abs(value - high[index]!)).toBeLessThan(0.0101));
    charts.cusumLow.forEach((value, index) => expect(Math.abs(value - low[index]!)).toBeLessThan(0.0101));
    expect(charts.alarms.map(({ index }) => index + 1)).toEqual([14, 15, 16, 17, 18, 19, 20]);
    expect(driftReasons(charts, 4.1959).map(({ code }) => code)).toEqual(['cusum-alarm', 'contact-first']);
  });
  it('a value on a limit is inside; falling levels alarm low, and ask for no contact', () => {
    const flat = driftCharts({ values: [10, 10], mean: 10, sd: 0, lambda: 0.3, limit: 3, k: 0, h: 0 });
    expect(flat.alarms).toEqual([]);
    // Six times two tenths are 1.2, whatever binary fractions make of it (1.200000000000001).
    const tenths = driftCharts({ values: [5.2, 5.2, 5.2, 5.2, 5.2, 5.2], mean: 5, sd: 1, lambda: 0.3, limit: 3, k: 0, h: 1.2 });
    expect(tenths.alarms).toEqual([]);
    const falling = driftCharts({ values: [4, 4], mean: 10, sd: 1, lambda: 0.3, limit: 3, k: 0.5, h: 4 });
    expect(new Set(falling.alarms.map(({ side }) => side))).toEqual(new Set(['low']));
    expect(driftReasons(falling, 4).map(({ code }) => code)).not.toContain('contact-first');
  });
});
