import { FLAT_CHECK } from './flat/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkBySpec, clearOfWindpipe, fingerSlack, fitStock, houseRules, placeInSchool, slackOfFingersUnder, worstTone, type FittingDog } from '../index.ts';
import { clipOnSlipSizer } from './clip-on-slip/index.ts';
import { electronicCheck, electronicSizer, type ElectronicNumbers } from './electronic/index.ts';
import { headCollarSizer } from './head-collar/index.ts';
import { holesAround, strapSizer, type StrapNumbers } from './strap/index.ts';
import { loopLetter, SLIP_CHECK, slipSizer, slipStrength, type SlipNumbers } from './slip/index.ts';
import { martingaleSizer, MARTINGALE_CHECK, type MartingaleNumbers } from './martingale/index.ts';

const rules = houseRules();
const finger = { thicknessMm: 16, widthMm: 16 };
const dog = (more: Partial<FittingDog> = {}): FittingDog => ({
  weightKg: 28,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 800,
  skinGirthMm: 400,
  tapedGirthMm: 400,
  hairGirthMm: 400,
  midGirthMm: 440,
  headGirthMm: 470,
  muzzleGirthMm: 230,
  stopGirthMm: 270,
  muzzleLengthMm: 95,
  neckLengthMm: 170,
  coatDepthMm: 5,
  finger,
  ...more,
});
const toneOf = (rows: { what: string; tone: string }[], what: RegExp) => rows.find((row) => what.test(row.what))?.tone;

describe('a slip from the locker', () => {
  const slip = (inches: number, more: Partial<SlipNumbers> = {}): SlipNumbers => ({
    lengthMm: inches * 25.4,
    ringMm: 20,
    material: 'chain',
    thickMm: 3,
    longLink: false,
    ...more,
  });
  const best = (one: FittingDog, stock: number[], school: 'slack' | 'over-the-head' = 'slack') =>
    fitStock(
      slipSizer,
      one,
      stock.map((inches) => ({ id: String(inches), numbers: slip(inches) })),
      { school },
      rules,
    )[0]!;

  it('is the one whose rings stay nearest an inch and a half apart and that passes the head', () => {
    // 400 mm: 18 in leaves 37.2 mm but a loop of 437.2 does not pass 470; 20 in passes and leaves 88: loose, to be minded.
    expect(best(dog({ headGirthMm: 430 }), [16, 18, 20, 22])).toMatchObject({ collarId: '18', verdict: 'fits', tone: 'good' });
    expect(best(dog(), [16, 18, 20, 22])).toMatchObject({ collarId: '20', verdict: 'loose', tone: 'mind' });
  });

  it('lies on the hair: the same dog in a coat of 8 mm takes a longer one', () => {
    expect(best(dog({ headGirthMm: 430 }), [18, 20]).collarId).toBe('18');
    expect(best(dog({ headGirthMm: 480, hairGirthMm: 400 + 16 * Math.PI }), [18, 20]).collarId).toBe('20');
  });

  it('is judged without the head as far as it goes, and says that the head is not taped', () => {
    const fit = best(dog({ headGirthMm: null }), [18]);
    expect(toneOf(fit.rows, /^Over the head/)).toBe('open');
    expect(fit.verdict).toBe('fits');
  });

  it('has wire in proportion to the dog, and long links in a long coat (common practice)', () => {
    const rows = (numbers: SlipNumbers, one: FittingDog) => slipSizer.judge(one, numbers, { lengthMm: numbers.lengthMm }, { school: 'slack' }, rules).rows;
    expect(toneOf(rows(slip(18, { thickMm: 4 }), dog({ weightKg: 6 })), /^Wire/)).toBe('mind');
    expect(toneOf(rows(slip(18), dog()), /^Wire/)).toBe('good');
    expect(toneOf(rows(slip(18), dog({ coatDepthMm: 20 })), /^Links/)).toBe('mind');
    expect(toneOf(rows(slip(18, { longLink: true }), dog({ coatDepthMm: 20 })), /^Links/)).toBeUndefined();
    for (const [light, heavy] of [
      [5, 20],
      [20, 35],
      [35, 60],
    ] as const)
      expect(slipStrength(heavy, 'chain')[1]).toBeGreaterThan(slipStrength(light, 'chain')[1]);
  });

  it('makes a P for a dog on the left, the mirrored one on the right; the other way round is found (common practice)', () => {
    expect([loopLetter('left'), loopLetter('right')]).toEqual(['P', 'mirrored P']);
    const right = { breathing: 'free', letter: 'P', sits: 'high', letsGo: 'yes', gap: 'inside', passes: 'easily' };
    const look = (answers: object, worksOn: 'left' | 'right') =>
      checkBySpec(
        SLIP_CHECK,
        { ...right, ...answers },
        { dog: dog({ worksOn, headGirthMm: 430 }), numbers: slip(18), on: { lengthMm: 457.2 }, options: { school: 'slack' }, rules },
      );
    expect(look({}, 'left')).toMatchObject({ verdict: 'good', step: 'good', agrees: true });
    expect(look({}, 'right').step).toBe('turn-round');
    expect(look({ breathing: 'not-free', letter: 'mirrored' }, 'left')).toMatchObject({ verdict: 'stop', step: 'open-it' });
    expect(look({ gap: 'wide' }, 'left')).toMatchObject({ verdict: 'adjust', step: 'another-size', agrees: false });
  });
});

describe('a clip-on slip from the locker', () => {
  const cord = (lengthMm: number) => ({ lengthMm, material: 'cord' as const, thickMm: 9 });
  const verdict = (lengthMm: number, use: 'training' | 'backup') => clipOnSlipSizer.judge(dog(), cord(lengthMm), { lengthMm }, { use }, rules).verdict;
  it('is the girth, a quarter inch either way, for training; 3 to 4 in more as a backup', () => {
    expect([393, 394, 400, 406, 407].map((mm) => verdict(mm, 'training'))).toEqual(['tight', 'fits', 'fits', 'fits', 'loose']);
    expect([400, 469, 480, 501, 509].map((mm) => verdict(mm, 'backup'))).toEqual(['tight', 'tight', 'fits', 'fits', 'loose']);
  });
});

describe('a martingale from the locker', () => {
  const middle: MartingaleNumbers = { strapMinMm: 300, strapMaxMm: 450, loopMm: 160, widthMm: 38, loop: 'cloth', hardware: 'metal', buckled: false };
  const judged = (one: FittingDog, strapMm: number, school: 'rings-meet' | 'rings-apart', numbers = middle) =>
    martingaleSizer.judge(one, numbers, { strapMm, houseStrapMm: 440 }, { school }, rules);

  it('is set by the school, and kept twice: walking, and lower and looser for the house', () => {
    expect(martingaleSizer.settle(dog(), middle, { school: 'rings-meet' }, rules)).toEqual({ strapMm: 400, houseStrapMm: 440 });
    expect(martingaleSizer.settle(dog(), middle, { school: 'rings-apart' }, rules).strapMm).toBe(362);
  });

  it('is a flat collar with all its load in one spot when its rings meet before it is snug, and squeezes too much past a tenth', () => {
    expect(judged(dog(), 420, 'rings-meet').verdict).toBe('hangs');
    expect(judged(dog(), 355, 'rings-apart').verdict).toBe('squeezes');
    expect(judged(dog(), 362, 'rings-apart').verdict).toBe('fits');
  });

  it('stands open at rest by two fingers, not by the flat hand, and says which loop would (common practice)', () => {
    const codes = (loopMm: number) => judged(dog(), 362, 'rings-apart', { ...middle, loopMm }).reasons.map(({ code }) => code);
    const tone = (loopMm: number) => toneOf(judged(dog(), 362, 'rings-apart', { ...middle, loopMm }).rows, /^Slack at rest/);
    // 400 mm of neck, 362 of strap: half of 130 less 38 leaves 27, half of 100 leaves 12, half of 200 leaves 62.
    expect([tone(130), tone(100), tone(200)]).toEqual(['good', 'mind', 'mind']);
    expect(codes(100)).toContain('loop-too-short');
    expect(codes(200)).toContain('loop-too-long');
  });

  it('minds a loop that hangs on a small dog, and a narrow band on a puller (common practice)', () => {
    expect(toneOf(judged(dog({ weightKg: 6 }), 400, 'rings-meet').rows, /^Control loop/)).toBe('mind');
    expect(toneOf(judged(dog(), 400, 'rings-meet').rows, /^Control loop/)).toBeUndefined();
    expect(toneOf(judged(dog(), 400, 'rings-meet', { ...middle, widthMm: 19 }).rows, /^Width/)).toBe('mind');
  });

  it('is stopped with the head through the control loop, whatever else is right (common practice)', () => {
    const right = { breathing: 'free', through: 'strap', sits: 'high', rings: 'meet', under: '3', comesOver: 'no', loop: 'no' };
    const look = (answers: object, school: 'rings-meet' | 'rings-apart' = 'rings-meet') =>
      checkBySpec(
        MARTINGALE_CHECK,
        { ...right, ...answers },
        { dog: dog(), numbers: middle, on: { strapMm: 400, houseStrapMm: 440 }, options: { school }, rules },
      );
    expect(look({}).verdict).toBe('good');
    expect(look({ through: 'loop' })).toMatchObject({ verdict: 'stop', step: 'take-off' });
    // The same rings are right for one school and wrong for the other.
    expect(look({}, 'rings-apart')).toMatchObject({ verdict: 'adjust', step: 'take-in' });
    expect(look({ rings: 'apart' }, 'rings-apart').verdict).toBe('good');
    expect(look({ rings: 'apart' })).toMatchObject({ verdict: 'adjust', step: 'let-out' });
  });
});

describe('a buckled strap from the locker', () => {
  const holes: StrapNumbers = { minMm: 330, maxMm: 470, widthMm: 20, buckle: 'metal tongue', holePitchMm: 25.4 };
  const judged = (setMm: number, numbers = holes, one = dog()) =>
    strapSizer({ settles: 'nearest', forWalking: true }).judge(one, numbers, { setMm }, { fingers: 2 }, rules);

  it('has holes as steps, the two next to the wanted girth an inch apart', () => {
    expect(holesAround(holes, 420)).toEqual({ tighterMm: 330 + 3 * 25.4, looserMm: 330 + 4 * 25.4 });
    expect(holesAround({ ...holes, holePitchMm: null }, 420)).toEqual({ tighterMm: 420, looserMm: 420 });
    fc.assert(
      fc.property(fc.double({ min: 300, max: 500, noNaN: true }), (wanted) => {
        const { tighterMm, looserMm } = holesAround(holes, wanted);
        expect(tighterMm).toBeLessThanOrEqual(looserMm);
        for (const mm of [tighterMm, looserMm]) expect(Math.abs((mm - 330) / 25.4 - Math.round((mm - 330) / 25.4))).toBeLessThan(1e-9);
        expect(looserMm).toBeLessThanOrEqual(470);
      }),
    );
  });

  it('presses under nothing, is tight under one finger, fits at two, hangs from the flat hand on (common practice)', () => {
    const slack = (fingers: number) => fingerSlack(400, fingers, finger);
    const sliding = { ...holes, holePitchMm: null };
    expect(judged(398, sliding).verdict).toBe('presses');
    expect(judged(400 + slack(1) - 1, sliding).verdict).toBe('tight');
    expect(judged(400 + slack(2), sliding).verdict).toBe('fits');
    expect(judged(400 + slack(4) + 1, sliding).verdict).toBe('hangs');
  });

  it('is no collar for a head that comes out of it, and minds a plastic buckle and a narrow tag collar on a long neck', () => {
    expect(judged(420, holes, dog({ headGirthMm: 425 })).verdict).toBe('can-back-out');
    expect(toneOf(judged(420, { ...holes, buckle: 'plastic' }).rows, /^Buckle/)).toBe('mind');
    expect(toneOf(judged(420, { ...holes, widthMm: 10 }, dog({ neckBuild: 'slender' })).rows, /^Width/)).toBe('mind');
  });

  it('is let out or taken in by what brings the fingers to two, a hole at a time', () => {
    const right = { breathing: 'free', sits: 'high', under: '2', comesOver: 'no', buckle: 'sound' };
    const look = (under: string, setMm: number) =>
      checkBySpec(FLAT_CHECK, { ...right, under }, { dog: dog(), numbers: holes, on: { setMm }, options: { fingers: 2 }, rules });
    expect(look('2', 431.6).verdict).toBe('good');
    expect(look('0', 406.2)).toMatchObject({ step: 'let-out', then: { setMm: 431.6 } });
    const loose = look('4', 431.6);
    expect(loose.step).toBe('take-in');
    expect((431.6 - loose.then.setMm!) / 25.4).toBeCloseTo(Math.round((431.6 - loose.then.setMm!) / 25.4), 6);
    // At its last hole it has no more to give.
    expect(look('0', 330 + 5 * 25.4).step).toBe('another-size');
  });
});

describe('a head collar from the locker', () => {
  const numbers = { neckMinMm: 330, neckMaxMm: 470, noseMinMm: 200, noseMaxMm: 300, widthMm: 16 };
  const judged = (one: FittingDog, noseMm: number) => headCollarSizer.judge(one, numbers, { neckMm: 414.6, noseMm }, {}, rules);
  it('slides off from the nose end on, needs the slide test on a tapered muzzle, and has no window on a flat face', () => {
    expect(judged(dog(), 258).verdict).toBe('fits');
    expect(judged(dog(), 270).verdict).toBe('slides-off');
    expect(judged(dog({ stopGirthMm: 236 }), 233).verdict).toBe('set-on-the-dog');
    expect(judged(dog({ muzzleLengthMm: 30 }), 258).verdict).toBe('no-window');
    expect(judged(dog(), 225).verdict).toBe('no-size');
  });
});

describe('an electronic collar from the locker', () => {
  const numbers: ElectronicNumbers = {
    scaleMin: 0,
    scaleMax: 100,
    scaleStep: 1,
    modes: ['tone'],
    massG: 95,
    footprintMm: 60,
    spacingMm: 36,
    postsMm: [9, 12, 16],
    strapMinMm: 200,
    strapMaxMm: 700,
  };
  const judged = (one: FittingDog, setting: object = {}) =>
    electronicSizer.judge(
      one,
      numbers,
      { ...electronicSizer.settle(one, numbers, { placement: 'upper-half' }, rules), ...setting } as never,
      { placement: 'upper-half' },
      rules,
    );

  it('takes the shortest post through the coat, and is stopped by posts that are too short, never by a higher level', () => {
    expect(electronicSizer.settle(dog({ coatDepthMm: 9 }), numbers, { placement: 'upper-half' }, rules).postMm).toBe(12);
    expect(judged(dog({ coatDepthMm: 14 })).verdict).toBe('too-short');
    expect(toneOf(judged(dog({ coatDepthMm: null })).rows, /^Post/)).toBe('open');
  });

  it('never lies over the windpipe, with no part of its footprint', () => {
    // 400 mm: an hour is 33.3 mm. At 4 the edge is 33.3 − 30 clear; on a neck of 300 mm, where an hour is 25, it is 5 over.
    expect(clearOfWindpipe(4, 400, 60)).toBeCloseTo(3.333, 2);
    expect(judged(dog({ hairGirthMm: 300 }), { clock: 4 }).verdict).toBe('over-windpipe');
    expect(judged(dog(), { clock: 6 }).verdict).toBe('over-windpipe');
    expect(judged(dog(), { clock: 3 }).verdict).toBe('fits');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 200, max: 700 }), (clock, girthMm) => {
        expect(clearOfWindpipe(clock, girthMm, 60)).toBeCloseTo(clearOfWindpipe((12 - clock) % 12 || 12, girthMm, 60), 9);
      }),
    );
  });

  it('follows the school: the upper half from 9 over 12 to 3, or all but 5 to 7 (common practice)', () => {
    const allowed = (school: 'upper-half' | 'clear-of-throat') =>
      Array.from({ length: 12 }, (_none, n) => n + 1).filter((clock) => placeInSchool(clock, school));
    expect(allowed('upper-half')).toEqual([1, 2, 3, 9, 10, 11, 12]);
    expect(allowed('clear-of-throat')).toEqual([1, 2, 3, 4, 8, 9, 10, 11, 12]);
  });

  it('minds a receiver that is heavy for the dog', () => {
    expect(toneOf(judged(dog({ weightKg: 4 })).rows, /^Receiver/)).toBe('mind');
    expect(toneOf(judged(dog()).rows, /^Receiver/)).toBe('good');
  });

  it('asks for contact first when the skin does not move with it: the strap taken in, never the level turned up', () => {
    const right = { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'clear' };
    const look = (answers: object) =>
      checkBySpec(
        electronicCheck('remote'),
        { ...right, ...answers },
        { dog: dog(), numbers, on: { strapMm: 420, postMm: 9, clock: 3 }, options: { placement: 'upper-half' }, rules },
      );
    expect(look({}).verdict).toBe('good');
    expect(look({ skinMoves: 'no' }).step).toBe('take-in');
    expect(look({ touch: 'hair' }).step).toBe('longer-post');
    // Loose and over hair: taken in first, as the posts may touch then; both are told.
    const loose = look({ touch: 'hair', under: '4' });
    expect(loose.step).toBe('take-in');
    expect(loose.then.strapMm).toBeLessThan(420);
    expect(loose.reasons.slice(0, 2).map(({ code }) => code)).toEqual(['too-loose', 'found']);
    expect(look({ touch: 'hair', skinMoves: 'no' }).step).toBe('take-in');
    expect(look({ touch: 'hair', under: '4', place: 'throat' })).toMatchObject({ step: 'to-the-side', then: { strapMm: 420 } });
    expect(look({ skin: 'sore' })).toMatchObject({ verdict: 'stop', step: 'ask-vet' });
    for (const step of Object.values(electronicCheck('remote').steps)) expect(String(step.do)).not.toMatch(/higher|turn (it )?up|raise/i);
  });
});

describe('fingers under a strap', () => {
  it('leave intervals that follow one another and cover every slack', () => {
    fc.assert(
      fc.property(fc.integer({ min: 150, max: 700 }), (girthMm) => {
        for (let count = 0; count < 4; count += 1)
          expect(slackOfFingersUnder(count, girthMm, finger).highMm).toBe(slackOfFingersUnder(count + 1, girthMm, finger).lowMm);
        expect(slackOfFingersUnder(0, girthMm, finger).lowMm).toBe(-Infinity);
        expect(slackOfFingersUnder(4, girthMm, finger).highMm).toBe(Infinity);
      }),
    );
  });
});

describe('every kind', () => {
  it('is told by its worst row', () => {
    expect(worstTone([{ tone: 'good' }, { tone: 'mind' }, { tone: 'open' }])).toBe('mind');
    expect(worstTone([{ tone: 'good' }, { tone: 'open' }])).toBe('open');
    expect(worstTone([{ tone: 'stop' }, { tone: 'good' }])).toBe('stop');
    expect(worstTone([])).toBe('good');
  });
});
