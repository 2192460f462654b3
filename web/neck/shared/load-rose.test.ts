import { collarLoad } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { rosePath } from './load-rose.ts';

const size = { radius: 60, reach: 40 };
const radii = (path: string) =>
  path
    .slice(1, -1)
    .split('L')
    .map((point) => Math.hypot(...(point.split(' ').map(Number) as [number, number])));

describe('the rose of a load', () => {
  const strap = { leashForceN: 40, girthMm: 400, widthMm: 25 };
  it('reaches furthest where it presses most, and lies on the neck where it does not press', () => {
    const load = collarLoad({ ...strap, kind: 'flat' });
    const found = radii(rosePath(load, { ...size, peakKPa: load.peakKPa }));
    expect(Math.max(...found)).toBeCloseTo(100, 1);
    expect(Math.min(...found)).toBeCloseTo(60, 1);
    // Two steps, one on each side: nothing lies half-way.
    expect(found.filter((r) => r > 61 && r < 99)).toEqual([]);
  });
  it('is a circle where the load is the same all round', () => {
    const load = collarLoad({ ...strap, kind: 'martingale-apart' });
    for (const r of radii(rosePath(load, { ...size, peakKPa: load.peakKPa }))) expect(r).toBeCloseTo(100, 1);
  });
  it('falls steadily from a slip’s ring, with one step back at it', () => {
    const load = collarLoad({ ...strap, kind: 'slip', friction: 0.3 });
    const found = radii(rosePath(load, { ...size, peakKPa: load.peakKPa }));
    expect(Math.max(...found)).toBeCloseTo(100, 1);
    // From half past twelve round to half past eleven it only falls.
    for (let index = 1; index < 22; index += 1) expect(found[index]).toBeLessThan(found[index - 1]!);
    expect(found).toHaveLength(25);
  });
});
