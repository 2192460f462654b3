import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chartSize, sizeHeadCollar } from './head-collar/index.ts';
import { contactPosts } from './electronic/index.ts';
import { fingerSlack, houseRules } from '../index.ts';
import { judgeMartingale, loopHang, sizeMartingale } from './martingale/index.ts';
import { mostCentralSize, sizeStrap } from './strap/index.ts';
import { sizeClipOnSlip } from './clip-on-slip/index.ts';
import { sizeSlip } from './slip/index.ts';

const rules = houseRules();
const INCH = 25.4;
const codes = (reasons: { code: string }[]) => reasons.map((reason) => reason.code);
const neck = fc.record({
  girthMm: fc.double({ min: 180, max: 700, noNaN: true }),
  over: fc.double({ min: 1, max: 1.4, noNaN: true }),
  ringMm: fc.integer({ min: 10, max: 40 }),
});

describe('a slip over the head', () => {
  it('is 14 in on a neck of 12 in, and passes by 5.6 mm (worked example of the calculation contract; common practice)', () => {
    const slip = sizeSlip({ girthMm: 12 * INCH, headGirthMm: 330, ringMm: 20 }, 'slack', rules);
    expect(slip.lengthMm).toBeCloseTo(14 * INCH, 6);
    expect(slip.slackMm).toBeCloseTo(30.8, 6);
    expect(slip.headClearanceMm).toBeCloseTo(5.6, 6);
    expect(slip.verdict).toBe('fits');
  });

  it('is «neck plus two to three inches» whatever the neck, with rings of about an inch (common practice)', () => {
    for (let inches = 10; inches <= 26; inches += 0.25) {
      const { lengthMm } = sizeSlip({ girthMm: inches * INCH, headGirthMm: inches * INCH, ringMm: INCH }, 'slack', rules);
      expect(lengthMm / INCH - inches).toBeGreaterThanOrEqual(1.49);
      expect(lengthMm / INCH - inches).toBeLessThanOrEqual(3.51);
    }
  });

  it('comes in even inches, its gap nearest an inch and a half, whatever the neck', () => {
    fc.assert(
      fc.property(neck, ({ girthMm, over, ringMm }) => {
        const { lengthMm, slackMm } = sizeSlip({ girthMm, headGirthMm: girthMm * over, ringMm }, 'slack', rules);
        expect(Math.abs(lengthMm / (2 * INCH) - Math.round(lengthMm / (2 * INCH)))).toBeLessThan(1e-9);
        expect(Math.abs(slackMm - 38)).toBeLessThanOrEqual(INCH + 1e-9);
      }),
    );
  });

  it('sized over the head is the shortest that passes: two inches less would not', () => {
    fc.assert(
      fc.property(neck, ({ girthMm, over, ringMm }) => {
        const slip = sizeSlip({ girthMm, headGirthMm: girthMm * over, ringMm }, 'over-the-head', rules);
        expect(slip.passesHead).toBe(true);
        expect(slip.headClearanceMm - 2 * INCH).toBeLessThan(1e-6);
      }),
    );
  });

  it('says first that it cannot pass, then that it is tight, then loose', () => {
    // 400 + 20 + 38 mm is nearest 18 in (457.2): the loop of 437.2 does not pass a head of 440.
    expect(sizeSlip({ girthMm: 400, headGirthMm: 440, ringMm: 20 }, 'slack', rules).verdict).toBe('cannot-pass');
    // A head no larger than the neck: the shortest passing loop, 406.4 − 6 mm, leaves 0.4 mm.
    expect(sizeSlip({ girthMm: 400, headGirthMm: 400, ringMm: 6 }, 'over-the-head', rules).verdict).toBe('tight');
    expect(sizeSlip({ girthMm: 400, headGirthMm: 480, ringMm: 20 }, 'over-the-head', rules).verdict).toBe('loose');
  });

  it('gives way to a clip-on slip when what passes the head leaves more than two and a half inches', () => {
    const broad = sizeSlip({ girthMm: 400, headGirthMm: 480, ringMm: 20 }, 'slack', rules);
    expect(broad.recommend).toBe('clip-on-slip');
    expect(codes(broad.reasons)).toContain('clip-on-instead');
    expect(sizeSlip({ girthMm: 400, headGirthMm: 430, ringMm: 20 }, 'slack', rules).recommend).toBe('slip');
  });
});

describe('a clip-on slip', () => {
  it('is the girth itself for training, and 3 to 4 in more as a backup (worked example of the calculation contract)', () => {
    expect(sizeClipOnSlip(520, 'training')).toMatchObject({ lengthMinMm: 520, lengthMaxMm: 520 });
    const backup = sizeClipOnSlip(520, 'backup');
    expect(backup.lengthMinMm).toBeCloseTo(596.2, 6);
    expect(backup.lengthMaxMm).toBeCloseTo(621.6, 6);
  });
});

describe('a martingale', () => {
  const collar = { strapMinMm: 300, strapMaxMm: 450, loopMm: 160 };
  const on = (girthMm: number, headGirthMm: number, school: 'rings-meet' | 'rings-apart', more = {}) =>
    sizeMartingale({ ...collar, ...more }, { girthMm, headGirthMm }, school, rules);

  it('with the rings meeting is set to the girth and never squeezes; apart, to a tenth less or an inch and a half (common practice)', () => {
    expect(on(400, 470, 'rings-meet')).toMatchObject({ strapMm: 400, ringGapMm: 0, squeezeRatio: 0, openGirthMm: 480, verdict: 'fits' });
    // 38 mm is less than a tenth of 400 mm, and more than a tenth of 350 mm.
    expect(on(400, 470, 'rings-apart')).toMatchObject({ strapMm: 362, ringGapMm: 38 });
    expect(on(350, 420, 'rings-apart').ringGapMm).toBeCloseTo(35, 9);
  });

  it('never squeezes by more than a tenth, whatever the neck', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 1200, noNaN: true }), fc.constantFrom('rings-meet', 'rings-apart'), (girthMm, school) => {
        expect(on(girthMm, girthMm * 1.2, school as 'rings-meet').squeezeRatio).toBeLessThanOrEqual(0.1 + 1e-9);
      }),
    );
  });

  it('is out of range, then cannot pass the head, then can be backed out of, in that order', () => {
    expect(on(290, 600, 'rings-meet').verdict).toBe('out-of-range');
    expect(on(440, 600, 'rings-meet').verdict).toBe('cannot-pass');
    expect(on(440, 445, 'rings-meet').verdict).toBe('can-back-out');
    // A sighthound’s neck: the rings meeting let it out, an inch and a half apart holds it.
    expect(on(310, 314, 'rings-meet', { strapMinMm: 250 }).verdict).toBe('can-back-out');
    expect(on(310, 314, 'rings-apart', { strapMinMm: 250 }).verdict).toBe('fits');
  });

  it('that buckles need not pass the head', () => {
    expect(judgeMartingale({ ...collar, buckled: true }, 440, { girthMm: 440, headGirthMm: 600 }, rules).verdict).toBe('fits');
  });

  it('hangs its loop as a V of two equal sides (geometry: sides of 50 over a base of 60 hang 40)', () => {
    expect(loopHang(160, 60)).toBeCloseTo(40, 9);
    expect(loopHang(160, 0)).toBe(80);
    expect(loopHang(160, 200)).toBe(0);
  });
});

describe('a buckled strap', () => {
  const finger = { thicknessMm: 16, widthMm: 20 };

  it('is set to the girth and two fingers; a wide-throat one to one finger (common practice)', () => {
    const flat = sizeStrap({ kind: 'flat', girthMm: 390, headGirthMm: 470, finger }, rules);
    expect(flat.setGirthMm).toBeCloseTo(390 + fingerSlack(390, 2, finger), 9);
    const wide = sizeStrap({ kind: 'wide-throat', girthMm: 390, finger: { thicknessMm: 16, widthMm: 16 } }, rules);
    // One finger of 16 mm on 390 mm makes 14.6 mm (worked example of the calculation contract).
    expect(wide.setGirthMm).toBeCloseTo(404.6, 1);
    expect(wide).toMatchObject({ backOutRatio: null, size: null, verdict: 'fits' });
  });

  it('takes the size that holds it most centrally, and says when none does', () => {
    expect(
      mostCentralSize(
        [
          [300, 420],
          [350, 450],
          [380, 600],
        ],
        402,
      ),
    ).toEqual([350, 450]);
    expect(
      mostCentralSize(
        [
          [300, 400],
          [450, 500],
        ],
        420,
      ),
    ).toBeNull();
    expect(sizeStrap({ kind: 'flat', girthMm: 390, headGirthMm: 470, finger, sizesMm: [[200, 300]] }, rules).verdict).toBe('no-size');
  });

  it('lets out a head that is hardly larger than the collar, and says when it can be pulled over it', () => {
    const loose = sizeStrap({ kind: 'flat', girthMm: 300, headGirthMm: 310, finger }, rules);
    expect(loose.verdict).toBe('can-back-out');
    expect(codes(loose.reasons)).toContain('passes-head');
    expect(codes(sizeStrap({ kind: 'wide-throat', girthMm: 300, headGirthMm: 330, finger }, rules).reasons)).toContain('holds-high-and-tight');
    expect(codes(sizeStrap({ kind: 'flat', girthMm: 300, headGirthMm: 400, finger }, rules).reasons)).toContain('holds');
  });
});

describe('a head collar', () => {
  const finger = { thicknessMm: 14, widthMm: 17 };
  const face = { girthMm: 380, muzzleGirthMm: 200, stopGirthMm: 240, muzzleLengthMm: 90, finger };

  it('has a nose loop between the muzzle with a finger and the nose end, in the middle of it', () => {
    const size = sizeHeadCollar(face, rules);
    expect(size.verdict).toBe('fits');
    expect(size.noseLoopMinMm).toBeCloseTo(200 + fingerSlack(200, 1, finger), 9);
    expect(size.noseLoopMm).toBeCloseTo((size.noseLoopMinMm + 240) / 2, 9);
    expect(size.neckStrapMm).toBeCloseTo(380 + fingerSlack(380, 1, finger), 9);
  });

  it('is set on the dog where the muzzle tapers, always shorter than the nose end', () => {
    expect(sizeHeadCollar({ ...face, stopGirthMm: 205 }, rules)).toMatchObject({ verdict: 'set-on-the-dog', noseLoopMm: 202 });
  });

  it('cannot be worn by a flat face', () => {
    expect(sizeHeadCollar({ ...face, muzzleLengthMm: 34.9 }, rules)).toMatchObject({ verdict: 'no-window', noseLoopMm: null });
    expect(sizeHeadCollar({ ...face, muzzleLengthMm: 35 }, rules).verdict).toBe('fits');
  });

  it('is found in a chart of sizes by neck and nose, the most central of several', () => {
    const chart = [
      { name: 'S', neckMinMm: 250, neckMaxMm: 390, noseMinMm: 150, noseMaxMm: 215 },
      { name: 'M', neckMinMm: 350, neckMaxMm: 450, noseMinMm: 190, noseMaxMm: 250 },
    ];
    expect(chartSize(chart, 390, 210)?.name).toBe('M');
    expect(chartSize(chart, 300, 180)?.name).toBe('S');
    expect(chartSize(chart, 470, 210)).toBeNull();
    expect(chartSize([], 390, 210)).toBeNull();
  });

  it('never has a loop that would slide off', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 0, max: 150 }),
        (muzzleGirthMm, stopGirthMm, muzzleLengthMm) => {
          const { noseLoopMm } = sizeHeadCollar({ ...face, muzzleGirthMm, stopGirthMm, muzzleLengthMm }, rules);
          if (noseLoopMm !== null) expect(noseLoopMm).toBeLessThan(stopGirthMm);
        },
      ),
    );
  });
});

describe('contact posts', () => {
  it('reach through the coat and three millimetres beyond: the shortest that does', () => {
    expect(contactPosts(9, [16, 12, 9], rules)).toMatchObject({ postMm: 12, verdict: 'fits' });
    expect(contactPosts(6, [16, 12, 9], rules).postMm).toBe(9);
  });
  it('that are too short ask for the hair to be parted, never for a higher level', () => {
    const short = contactPosts(14, [16, 12], rules);
    expect(short).toMatchObject({ postMm: null, verdict: 'too-short' });
    expect(codes(short.reasons)).toEqual(['posts-too-short']);
  });
});
