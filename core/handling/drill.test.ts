import { HEAD_COLLAR_TRAITS } from '../collars/head-collar/index.ts';
import { MARTINGALE_TRAITS } from '../collars/martingale/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contractSpeaker,
  drillDog,
  drillScenes,
  drillScore,
  drillWords,
  HAPPENINGS,
  houseRules,
  judgeScene,
  SCENE_REASON_WORDS,
  sceneEnds,
  wordReason,
  yieldsAt,
  type DrillAnswer,
  type DrillScene,
  type Happening,
  BACK_AND_IN,
} from '../index.ts';

const rules = houseRules({});
const WAYS = { 'slip-or-prong': BACK_AND_IN, martingale: MARTINGALE_TRAITS.ways!, 'head-collar': HEAD_COLLAR_TRAITS.ways! };
const scene = (happening: Happening): DrillScene => ({ happening, quietMs: 2000, yieldsMs: 400 });
const answer = (...pressures: [direction: 'back' | 'in' | 'forward' | 'up' | 'across' | 'down', from: number, to: number][]): DrillAnswer => ({
  pressures: pressures.map(([direction, from, to]) => ({ direction, from, to })),
  paidAt: null,
});
const judge = (happening: Happening, given: DrillAnswer, collar: keyof typeof WAYS = 'slip-or-prong') =>
  judgeScene(scene(happening), given, { ways: WAYS[collar], rules });
const codes = (...given: Parameters<typeof judge>) => judge(...given).reasons.map(({ code }) => code);

describe('which way pressure goes (handling, common practice)', () => {
  it.each([
    ['ahead', 'slip-or-prong', 'back'],
    ['wide', 'slip-or-prong', 'in'],
    ['lags', 'slip-or-prong', 'forward'],
    ['drawn', 'slip-or-prong', 'in'],
    ['ahead', 'martingale', 'across'],
    ['wide', 'martingale', 'across'],
    ['ahead', 'head-collar', 'up'],
    ['lags', 'head-collar', 'up'],
  ] as const)('%s on a %s: %s', (happening, collar, direction) => {
    expect(WAYS[collar].right[happening][0]).toBe(direction);
  });
  it('a martingale never straight back on the throat; a steady dog no way at all', () => {
    for (const happening of HAPPENINGS) expect(WAYS.martingale.right[happening]).not.toContain('back');
    for (const ways of Object.values(WAYS)) expect(ways.right.steady).toEqual([]);
    expect(codes('ahead', answer(['back', 2500, 3000]), 'martingale')).toContain('on-the-throat');
  });
});

describe('the one-second rule, the way, and letting go', () => {
  it.each([
    ['at once, right, let go at the yield', answer(['back', 2300, 2750]), { inTime: true, rightWay: true, letGo: true, latencyMs: 300, heldMs: 50 }],
    ['to the second', answer(['back', 3000, 3400]), { inTime: true, letGo: true, latencyMs: 1000, heldMs: 0 }],
    ['a moment over it', answer(['back', 3001, 3401]), { inTime: false, latencyMs: 1001 }],
    ['held on over a second', answer(['back', 2300, 3701]), { letGo: false, heldMs: 1001 }],
    ['the wrong way, then the right one', answer(['in', 2200, 2500], ['back', 2600, 3100]), { rightWay: false, yieldedAt: 3000, heldMs: 100 }],
    ['too short to yield to', answer(['back', 2300, 2600]), { rightWay: true, yieldedAt: null, letGo: null }],
    ['pressure from before it happened counts from when it did', answer(['back', 1500, 2500]), { latencyMs: 0, yieldedAt: 2400, heldMs: 100 }],
    ['before it happened only', answer(['back', 500, 900]), { inTime: false, forNothing: 1, latencyMs: null }],
    ['not told', answer(), { inTime: false, rightWay: null, latencyMs: null }],
  ])('%s', (_name, given, expected) => {
    expect(judge('ahead', given)).toMatchObject(expected);
  });
  it('a dog that stays past another is left in peace and paid', () => {
    expect(judge('steady', { pressures: [], paidAt: 2800 })).toMatchObject({ inTime: null, forNothing: 0, paidMs: 800 });
    expect(codes('steady', answer(['in', 2500, 2900]))).toEqual(['corrected-for-nothing', 'not-paid']);
  });
  it('says seconds and the limit', () => {
    const { reasons } = judge('ahead', answer(['back', 3500, 5200]));
    expect(reasons.map((reason) => wordReason(SCENE_REASON_WORDS, reason, contractSpeaker).text)).toEqual([
      'Told after 1.5 s: later than 1.0 s it does not know what for.',
      'Held on 1.3 s after it had yielded, over 1.0 s: it learns to bear it.',
      'Not paid, though it was where it should be.',
    ]);
    expect(codes('ahead', answer(['back', 2200, 2300], ['back', 2400, 2500], ['back', 2600, 3100]))).toContain('many-small');
  });
});

describe('a drill', () => {
  it('has every happening as often, the same for the same seed, and another for another', () => {
    for (const seed of [0, 1, 7, 1234567]) {
      const scenes = drillScenes({ seed, count: 15, pace: 'brisk' });
      for (const happening of HAPPENINGS) expect(scenes.filter((one) => one.happening === happening)).toHaveLength(3);
      expect(drillScenes({ seed, count: 15, pace: 'brisk' })).toEqual(scenes);
    }
    expect(drillScenes({ seed: 1, count: 15, pace: 'calm' })).not.toEqual(drillScenes({ seed: 2, count: 15, pace: 'calm' }));
  });
  it('a hand that does all right has every mark; one a second and a half late is told to work on the time', () => {
    const scenes = drillScenes({ seed: 3, count: 15, pace: 'calm' });
    const run = (late: number, holds: number) =>
      drillScore(
        scenes,
        scenes.map((one) => {
          const [right] = BACK_AND_IN.right[one.happening];
          const from = one.quietMs + late;
          const to = from + one.yieldsMs + holds;
          const given = { pressures: right ? [{ direction: right, from, to }] : [], paidAt: to + 200 };
          return judgeScene(one, given, { ways: BACK_AND_IN, rules });
        }),
      );
    expect(run(400, 100)).toMatchObject({ toTell: 12, inTime: 12, rightWay: 12, letGo: 12, yielded: 12, steady: 3, leftInPeace: 3, paid: 15, workOn: null, medianSeconds: 0.4 }); // prettier-ignore
    expect(drillWords(run(400, 100))).toBe('Told in time 12 of 12, the right way 12 of 12, let go in time 12 of the 12 that yielded.');
    expect(run(1500, 100).workOn).toBe('time');
    expect(run(400, 1400)).toMatchObject({ workOn: 'release', longestHeldSeconds: 1.4 });
  });
  it('what is drawn is what is judged: the dog leaves only when it happens, comes back once it has yielded, and stays away while the way is wrong', () => {
    const how = { ways: BACK_AND_IN, pace: 'calm' } as const;
    fc.assert(
      fc.property(fc.constantFrom(...HAPPENINGS), fc.nat(3000), fc.nat(2500), fc.nat(7000), (happening, from, length, at) => {
        const one = scene(happening);
        const pressures = [{ direction: 'back' as const, from, to: Math.min(at, from + length) }];
        const dog = drillDog(one, pressures, at, how);
        const yielded = yieldsAt(one, pressures, how.ways);
        if (at <= one.quietMs || happening === 'steady') expect(Math.abs(dog.ahead) + dog.out).toBe(0);
        expect(dog.yielding).toBe(yielded !== null && at >= yielded);
        expect(dog.over).toBe(at >= sceneEnds(one, yielded));
        if (yielded !== null && at >= yielded + 500) expect(Math.abs(dog.ahead)).toBeLessThan(1e-9);
        if (happening === 'lags') expect(dog.ahead).toBeLessThanOrEqual(0);
        if (happening === 'wide' && at > 3600) expect(dog.out).toBeCloseTo(0.8, 9);
      }),
      { numRuns: 200 },
    );
  });
});
