import { polygonHull, polygonLength } from 'd3-polygon';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { backOut, expectedHighGirth, fingerSlack, houseRules, likelyGirth, median, skinGirth, taping, technicalError, tapeContradictions } from '../index.ts';

const rules = houseRules();
const girth = fc.double({ min: 100, max: 1200, noNaN: true });

describe('measures that contradict', () => {
  const codes = (taped: object) => tapeContradictions(taped).map(({ code }) => code);
  it('are asked about: head under neck, muzzle over head, base under high', () => {
    expect(codes({ high: 400, head: 390 })).toEqual(['head-under-neck']);
    expect(codes({ head: 400, muzzle: 400 })).toEqual(['muzzle-over-head']);
    expect(codes({ head: 400, stop: 420 })).toEqual(['stop-over-head']);
    expect(codes({ high: 400, base: 399 })).toEqual(['base-under-high']);
    expect(codes({ muzzle: 200, 'muzzle-length': 210 })).toEqual(['muzzle-longer-than-round']);
  });
  it('are none in a usual dog, or where one of the two is not taped', () => {
    expect(codes({ high: 400, mid: 440, base: 500, head: 470, muzzle: 250, stop: 280, 'muzzle-length': 95 })).toEqual([]);
    expect(codes({ head: 390, base: null })).toEqual([]);
  });
});

describe('technical error of measurement, Ulijaszek & Kerr 1999', () => {
  it('for two readings each is √(ΣD²/2N), the same paper’s form for pairs', () => {
    // D = 4 and 2 mm over two dogs: √((16 + 4) / 4) = √5.
    expect(
      technicalError([
        [390, 394],
        [300, 302],
      ]).tem,
    ).toBeCloseTo(Math.sqrt(5), 12);
    expect(technicalError([[390, 394]]).tem).toBeCloseTo(Math.sqrt(8), 12);
  });

  it('is the written formula for any number of dogs with as many readings each', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 2, max: 6 })
          .chain((k) => fc.array(fc.array(fc.integer({ min: 100, max: 1200 }), { minLength: k, maxLength: k }), { minLength: 1, maxLength: 8 })),
        (dogs) => {
          const K = dogs[0]!.length;
          const N = dogs.length;
          const inner = dogs.reduce((sum, x) => sum + x.reduce((a, b) => a + b * b, 0) - x.reduce((a, b) => a + b, 0) ** 2 / K, 0);
          const mean = dogs.flat().reduce((a, b) => a + b, 0) / (N * K);
          const { tem, percent } = technicalError(dogs);
          expect(tem).toBeCloseTo(Math.sqrt(Math.max(0, inner) / (N * (K - 1))), 6);
          expect(percent).toBeCloseTo((100 * tem) / mean, 9);
        },
      ),
    );
  });

  it('refuses single readings', () => {
    expect(() => technicalError([[390]])).toThrow(RangeError);
  });
});

describe('a taping', () => {
  it('takes the median, the spread, and finds the odd reading', () => {
    const result = taping({ site: 'high', readingsMm: [390, 391, 402] }, rules);
    expect(result).toMatchObject({ girthMm: 391, spreadMm: 12, repeat: true, oddIndex: 2 });
    expect(result.reasons.map((reason) => reason.code)).toEqual(['spread-too-large']);
  });

  it('allows 6 mm, or 1.5 % of the median where that is more (common practice)', () => {
    expect(taping({ site: 'high', readingsMm: [300, 303, 306] }, rules)).toMatchObject({ repeat: false, oddIndex: null });
    expect(taping({ site: 'high', readingsMm: [300, 303, 306.5] }, rules)).toMatchObject({ repeat: true, oddIndex: 2 });
    expect(taping({ site: 'high', readingsMm: [596, 600, 605] }, rules)).toMatchObject({ repeat: false });
    expect(taping({ site: 'high', readingsMm: [595, 600, 605] }, rules)).toMatchObject({ repeat: true });
  });

  it('two readings always ask for a third, and 40 mm apart do not name an odd one', () => {
    expect(taping({ site: 'high', readingsMm: [390, 391] }, rules)).toMatchObject({ repeat: true, oddIndex: null, girthMm: 390.5 });
    expect(taping({ site: 'high', readingsMm: [390, 430] }, rules)).toMatchObject({ repeat: true, oddIndex: null });
  });

  it('takes the coat off by 2π times its depth', () => {
    expect(taping({ site: 'high', readingsMm: [400, 400, 400], coatDepthMm: 5 }, rules).girthMm).toBeCloseTo(400 - 31.41592653589793, 9);
    expect(skinGirth(400, 0)).toBe(400);
  });

  it('asks whether a high girth was taken lower down, 15 % above k·weight^⅓ and from there on', () => {
    // 27 kg: the cube root is 3, so an average neck is expected at 390 mm and asked about from 448.5 mm.
    const code = (mm: number, build: 'slender' | 'average' | 'heavy' = 'average') =>
      taping({ site: 'high', readingsMm: [mm, mm, mm], weightKg: 27, neckBuild: build }, rules).reasons.some((reason) => reason.code === 'taken-lower');
    expect(expectedHighGirth(27, 'average')).toBeCloseTo(390, 9);
    expect(code(448)).toBe(false);
    expect(code(448.5)).toBe(true);
    expect(code(448.5, 'heavy')).toBe(false);
    expect(code(414, 'slender')).toBe(true);
  });

  it('does not ask for other sites, or without weight and build', () => {
    for (const request of [
      { site: 'base', weightKg: 27, neckBuild: 'average' },
      { site: 'high', weightKg: 27 },
      { site: 'high', neckBuild: 'average' },
    ] as const) {
      expect(taping({ readingsMm: [600, 600, 600], ...request }, rules).reasons.map((reason) => reason.code)).not.toContain('taken-lower');
    }
  });

  it('may be one reading, right to 10 mm or a fortieth of the girth, whichever is more (handbook, from memory)', () => {
    const one = taping({ site: 'high', readingsMm: [390] }, rules);
    expect(one).toMatchObject({ girthMm: 390, spreadMm: 0, temMm: null, temPercent: null, plusMinusMm: 10, repeat: true, oddIndex: null });
    expect(one.reasons).toEqual([{ code: 'one-reading', plusMinusMm: 10 }]);
    expect(taping({ site: 'high', readingsMm: [600] }, rules).plusMinusMm).toBe(15);
    expect(taping({ site: 'high', readingsMm: [600] }, houseRules({ oneReadingRatio: 0.05 })).plusMinusMm).toBe(30);
  });

  it('says with 95 % how far it may be off: 1.96 technical errors over the root of the count, at least 3 mm', () => {
    // Deviations −4, 0 and 4 of 390: a technical error of √(32/2) = 4, so 1.96·4/√3.
    expect(taping({ site: 'high', readingsMm: [386, 390, 394] }, rules).plusMinusMm).toBeCloseTo((1.96 * 4) / Math.sqrt(3), 9);
    expect(taping({ site: 'high', readingsMm: [390, 390, 390] }, rules).plusMinusMm).toBe(3);
  });

  it('lets a toy of 4.8 lb have 8 in, whatever its build (common practice)', () => {
    const asks = (mm: number, weightKg: number) =>
      taping({ site: 'high', readingsMm: [mm, mm, mm], weightKg, neckBuild: 'slender' }, rules).reasons.some(({ code }) => code === 'taken-lower');
    expect(asks(8 * 25.4, 4.8 * 0.45359237)).toBe(false);
    // 1.15 · 155 · ∛4.8 lb = 230.8 mm.
    expect(asks(232, 4.8 * 0.45359237)).toBe(true);
    // From 5 kg on the build counts: 1.15 · 120 · ∛5 = 236 mm.
    expect(asks(237, 5)).toBe(true);
    expect(asks(237, 4.99)).toBe(false);
  });

  it('lies between its readings whatever their order', () => {
    fc.assert(
      fc.property(fc.array(girth, { minLength: 2, maxLength: 10 }), (readingsMm) => {
        const result = taping({ site: 'mid', readingsMm }, rules);
        const turned = taping({ site: 'mid', readingsMm: [...readingsMm].reverse() }, rules);
        expect(result.girthMm).toBeGreaterThanOrEqual(Math.min(...readingsMm));
        expect(result.girthMm).toBeLessThanOrEqual(Math.max(...readingsMm));
        expect(turned.girthMm).toBe(result.girthMm);
        expect(turned.temMm).toBeCloseTo(result.temMm!, 9);
        expect(turned.plusMinusMm).toBeCloseTo(result.plusMinusMm, 9);
        if (result.oddIndex !== null) {
          const off = readingsMm.map((reading) => Math.abs(reading - median(readingsMm)));
          expect(off[result.oddIndex]).toBeCloseTo(Math.max(...off), 6);
        }
      }),
    );
  });
});

describe('fingers under a strap', () => {
  /** The strap as a reference library sees it: the hull of many points on the neck and on the stadium lying on it. */
  function hullSlack(girthMm: number, fingers: number, thickness: number, width: number): number {
    const R = girthMm / (2 * Math.PI);
    const a = thickness / 2;
    const h = (fingers * width - thickness) / 2;
    const points: [number, number][] = [];
    const N = 6000;
    for (let i = 0; i < N; i += 1) {
      const angle = (2 * Math.PI * i) / N;
      points.push([R * Math.cos(angle), R * Math.sin(angle)]);
      for (const side of [-1, 1]) points.push([side * h + a * Math.cos(angle), R + a + a * Math.sin(angle)]);
    }
    return polygonLength(polygonHull(points)!) - girthMm;
  }

  it('is 14.6 mm for one finger of 16 mm on a neck of 390 mm (worked example of the calculation contract)', () => {
    expect(fingerSlack(390, 1, { thicknessMm: 16, widthMm: 16 })).toBeCloseTo(14.6, 1);
  });

  it('is the open belt about two touching circles for one round finger (Machinery’s Handbook)', () => {
    fc.assert(
      fc.property(girth, fc.double({ min: 4, max: 40, noNaN: true }), (girthMm, f) => {
        const R = girthMm / (2 * Math.PI);
        const a = f / 2;
        const alpha = Math.asin((R - a) / (R + a));
        const belt = 4 * Math.sqrt(R * a) + R * (Math.PI + 2 * alpha) + a * (Math.PI - 2 * alpha);
        expect(fingerSlack(girthMm, 1, { thicknessMm: f, widthMm: f })).toBeCloseTo(belt - girthMm, 6);
      }),
    );
  });

  it('is the perimeter of the convex hull for flat fingers side by side', () => {
    for (const [girthMm, fingers, thickness, width] of [
      [390, 2, 14, 17],
      [390, 4, 14, 18],
      [190, 2, 12, 15],
      [110, 4, 20, 40],
      [700, 3, 18, 22],
      [250, 1, 12, 20],
    ] as const) {
      expect(fingerSlack(girthMm, fingers, { thicknessMm: thickness, widthMm: width })).toBeCloseTo(hullSlack(girthMm, fingers, thickness, width), 2);
    }
  });

  it('grows with fingers, thickness and width, and is never negative', () => {
    fc.assert(
      fc.property(
        girth,
        fc.integer({ min: 1, max: 3 }),
        fc.double({ min: 5, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (girthMm, fingers, thicknessMm, wider) => {
          const finger = { thicknessMm, widthMm: thicknessMm + wider };
          const slack = fingerSlack(girthMm, fingers, finger);
          expect(slack).toBeGreaterThan(0);
          expect(fingerSlack(girthMm, fingers + 1, finger)).toBeGreaterThan(slack);
          expect(fingerSlack(girthMm, fingers, { thicknessMm: thicknessMm + 1, widthMm: finger.widthMm + 1 })).toBeGreaterThan(slack);
        },
      ),
    );
  });
});

describe('first guesses and backing out', () => {
  it('guesses the base a quarter above the high girth', () => {
    expect(likelyGirth('base', 27, 'average').guessMm).toBeCloseTo(487.5, 9);
  });

  it('holds from 1.02, and anywhere from 1.10 (common practice)', () => {
    expect(backOut(407, 400, rules).holds).toBe('no');
    expect(backOut(408, 400, rules).holds).toBe('high-and-tight');
    expect(backOut(430, 400, rules)).toEqual({ ratio: 1.075, holds: 'high-and-tight' });
    expect(backOut(440.01, 400, rules).holds).toBe('yes');
  });
});
