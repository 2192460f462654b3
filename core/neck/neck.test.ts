import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { acrossAtClock, girthAt, placeOnNeck, pointAtClock, scaleBar, spansOnNeck, unrollNeck } from '../index.ts';

const anyTape = fc.record({
  highMm: fc.integer({ min: 150, max: 700 }),
  midMm: fc.option(fc.integer({ min: 150, max: 800 }), { nil: undefined }),
  baseMm: fc.option(fc.integer({ min: 150, max: 900 }), { nil: undefined }),
});

describe('the clock of the neck, seen from behind the dog', () => {
  it('runs across from 6 over 9, 12 and 3 to 6', () => {
    expect([6, 9, 12, 3].map(acrossAtClock)).toEqual([0, 0.25, 0.5, 0.75]);
    expect(acrossAtClock(1.5)).toBeCloseTo(0.625, 12);
  });

  it('has the nape on top, 3 on the right of the picture and the windpipe below', () => {
    expect(pointAtClock(12, 10).y).toBeCloseTo(-10, 9);
    expect(pointAtClock(3, 10).x).toBeCloseTo(10, 9);
    expect(pointAtClock(6, 10).y).toBeCloseTo(10, 9);
    expect(pointAtClock(9, 10).x).toBeCloseTo(-10, 9);
  });
});

describe('the unrolled neck', () => {
  it('is as wide as the girth at each height, straight between the taped sites, the same on both sides', () => {
    fc.assert(
      fc.property(anyTape, fc.double({ min: 0, max: 1, noNaN: true }), (tape, share) => {
        const neck = unrollNeck(tape);
        const [high, mid, base] = neck.levels;
        expect(high).toMatchObject({ girthMm: tape.highMm, downMm: 0, taped: true });
        expect(mid.taped).toBe(tape.midMm !== undefined);
        expect(base.taped).toBe(tape.baseMm !== undefined);
        if (tape.midMm !== undefined) expect(girthAt(neck.levels, neck.lengthMm / 2)).toBeCloseTo(tape.midMm, 9);
        if (tape.baseMm !== undefined) expect(girthAt(neck.levels, neck.lengthMm)).toBeCloseTo(tape.baseMm, 9);
        const between = girthAt(neck.levels, (share * neck.lengthMm) / 2);
        expect(between).toBeCloseTo(high.girthMm + share * (mid.girthMm - high.girthMm), 6);
        expect(neck.outline.reduce((sum, point) => sum + point.x, 0)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('marks what is guessed: the base a quarter more than the high girth (from memory), mid half-way', () => {
    const neck = unrollNeck({ highMm: 400 });
    expect(neck.levels.map((level) => level.girthMm)).toEqual([400, 450, 500]);
    expect(neck.edges.map((edge) => edge.guessed)).toEqual([false, true, true, true, true, true]);
    expect(unrollNeck({ highMm: 400, midMm: 430, baseMm: 500, lengthMm: 180 }).edges.some((edge) => edge.guessed)).toBe(false);
  });

  it('lays 12 in the middle, 9 on the dog’s left and 3 on its right', () => {
    const neck = unrollNeck({ highMm: 400 });
    expect(placeOnNeck(neck, 12, 0).x).toBe(0);
    expect(placeOnNeck(neck, 9, 0).x).toBe(-100);
    expect(placeOnNeck(neck, 3, 0).x).toBe(100);
  });

  it('lays a collar all round: its pieces cover the girth once, whatever the ring’s place, cut in two at the throat', () => {
    fc.assert(
      fc.property(
        anyTape,
        fc.constantFrom(12, 1.5, 10.5, 9),
        fc.integer({ min: 200, max: 600 }),
        fc.integer({ min: 2, max: 20 }),
        (tape, middleClock, insideMm, parts) => {
          const neck = unrollNeck(tape);
          const each = insideMm / parts;
          const spans = Array.from({ length: parts }, (_none, i) => spansOnNeck(neck, { middleClock, downMm: 10, insideMm }, i * each, each)).flat();
          const girth = girthAt(neck.levels, 10);
          expect(spans.reduce((sum, span) => sum + span.toX - span.fromX, 0)).toBeCloseTo(girth, 6);
          for (const span of spans) {
            expect(span.fromX).toBeGreaterThanOrEqual(-girth / 2 - 1e-6);
            expect(span.toX).toBeLessThanOrEqual(girth / 2 + 1e-6);
          }
        },
      ),
    );
  });

  it('has a scale bar in the kennel’s unit', () => {
    expect(scaleBar(480, 'cm')).toEqual({ mm: 100, label: '10 cm' });
    expect(scaleBar(480, 'in')).toEqual({ mm: 101.6, label: '4 in' });
  });
});
