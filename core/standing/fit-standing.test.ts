import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitStanding, houseRules, inCollar, type FittingDog, type NeckFelt, type NeckNow } from '../index.ts';

const rules = houseRules();
const then = { tapedMm: 400, weightKg: 20, coatDepthMm: 5 };
const felt = (lowMm: number | null, highMm: number | null, collarChanged = false): NeckFelt => ({ at: '2026-03-02', lowMm, highMm, then, collarChanged });
const now = (some: Partial<NeckNow> = {}): NeckNow => ({ ...then, tapedAt: '2026-03-01', plusMinusMm: 3, ...some });

describe('a fit that hands were in (common practice: hands outrank the tape)', () => {
  it('shifts the taped neck to the nearest that they allow, and leaves one that they agree with', () => {
    expect(fitStanding(felt(390, 410), now(), rules)).toEqual({ byHands: true, shiftMm: 0, reopened: null });
    // The ends belong to what lies beyond them: a millimetre inside.
    expect(fitStanding(felt(380, 394), now(), rules).shiftMm).toBe(-7);
    expect(fitStanding(felt(412, null), now(), rules).shiftMm).toBe(13);
    expect(fitStanding(felt(null, 400), now(), rules).shiftMm).toBe(-1);
  });

  it('is never outside what hands found, and never further from the tape than it must be', () => {
    fc.assert(
      fc.property(fc.double({ min: 300, max: 500, noNaN: true }), fc.double({ min: 0.5, max: 80, noNaN: true }), (lowMm, width) => {
        const highMm = lowMm + width;
        const neckMm = 400 + fitStanding(felt(lowMm, highMm), now(), rules).shiftMm;
        expect(neckMm > lowMm && neckMm < highMm).toBe(true);
        const allowed = Array.from({ length: 400 }, (_, index) => lowMm + (width * (index + 0.5)) / 400);
        const nearest = Math.min(...allowed.map((mm) => Math.abs(mm - 400)));
        expect(Math.abs(neckMm - 400)).toBeLessThanOrEqual(nearest + 1 + width / 400);
      }),
    );
  });

  it('is opened by a new high girth that differs by more than that tape may be off, and the tape speaks again', () => {
    const tight = felt(405, 420);
    expect(fitStanding(tight, now({ tapedMm: 403, tapedAt: '2026-03-09' }), rules)).toMatchObject({ byHands: true, reopened: null });
    expect(fitStanding(tight, now({ tapedMm: 404, tapedAt: '2026-03-09' }), rules)).toEqual({ byHands: false, shiftMm: 0, reopened: 'taped' });
    // One reading may be off by 10 mm (from memory), and a tape from before the check opens nothing.
    expect(fitStanding(tight, now({ tapedMm: 410, tapedAt: '2026-03-09', plusMinusMm: 10 }), rules).reopened).toBeNull();
    expect(fitStanding(tight, now({ tapedMm: 430 }), rules).reopened).toBeNull();
  });

  it('is opened by a weight or a coat that changed by more than a twentieth; what was felt is still the best that is known', () => {
    const tight = felt(405, 420);
    expect(fitStanding(tight, now({ weightKg: 21 }), rules).reopened).toBeNull();
    expect(fitStanding(tight, now({ weightKg: 21.1 }), rules)).toEqual({ byHands: true, shiftMm: 6, reopened: 'weighed' });
    expect(fitStanding(tight, now({ weightKg: 18.9 }), rules).reopened).toBe('weighed');
    expect(fitStanding(tight, now({ coatDepthMm: 6 }), rules).reopened).toBe('coat');
    expect(fitStanding(tight, now({ weightKg: 24 }), houseRules({ refitChangeRatio: 0.25 })).reopened).toBeNull();
  });

  it('counts for nothing once the collar’s numbers are others, or where nobody taped', () => {
    expect(fitStanding(felt(405, 420, true), now(), rules)).toEqual({ byHands: false, shiftMm: 0, reopened: 'collar' });
    expect(fitStanding(felt(405, 420), now({ tapedMm: null }), rules)).toEqual({ byHands: false, shiftMm: 0, reopened: null });
    expect(fitStanding(null, now(), rules).byHands).toBe(false);
  });

  it('makes the neck of that collar another one, and of no other', () => {
    const dog = { skinGirthMm: 380, tapedGirthMm: 400, hairGirthMm: 400, midGirthMm: 430, headGirthMm: 480, byHands: { a: 6 } } as unknown as FittingDog;
    expect(inCollar(dog, 'a')).toMatchObject({ skinGirthMm: 386, tapedGirthMm: 406, hairGirthMm: 406, midGirthMm: 430, headGirthMm: 480 });
    expect(inCollar(dog, 'b')).toBe(dog);
    expect(inCollar({ ...dog, skinGirthMm: null }, 'a').skinGirthMm).toBeNull();
  });
});
