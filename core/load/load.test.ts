import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { collarLoad, contractSpeaker, LOAD_REASON_WORDS, loadReasons, wordReason, type LoadCase } from '../index.ts';

const girthMm = 400;
const radius = girthMm / (2 * Math.PI);
const at = (load: LoadCase, clock: number) => collarLoad(load).byClock.find((one) => one.clock === clock)!.kPa;
const strap = { leashForceN: 100, girthMm, widthMm: 25 };

describe('a collar under a leash', () => {
  it('on a circle a band’s pressure is tension by radius and width (hoop stress): 100 N on 25 mm round 400 mm', () => {
    // 50 N / (63.66 mm · 25 mm) = 0.0314 N/mm².
    expect(collarLoad({ ...strap, kind: 'martingale-apart' }).peakKPa).toBeCloseTo(31.4, 1);
  });

  it('a flat strap, and rings that have met, carry on 240° in front and stand off above; rings apart carry all round', () => {
    for (const kind of ['flat', 'martingale-met'] as const) {
      const load = { ...strap, kind };
      for (const clock of [2, 4, 6, 8.5, 10]) expect(at(load, clock)).toBeCloseTo(31.4, 1);
      for (const clock of [12, 1, 1.5, 10.5, 11]) expect(at(load, clock)).toBe(0);
      expect(collarLoad(load).meanKPa).toBeCloseTo((31.416 * 2) / 3, 2);
    }
    const apart = collarLoad({ ...strap, kind: 'martingale-apart' });
    expect(new Set(apart.byClock.map(({ kPa }) => kPa)).size).toBe(1);
    expect(apart.meanKPa).toBe(apart.peakKPa);
  });

  it('a slip’s tension falls as a belt’s on a drum: T₂/T₁ = e^(μ·φ) (Euler, Eytelwein); half a turn at 0.3 leaves 39 %', () => {
    const load = { ...strap, kind: 'slip', friction: 0.3 } as const;
    expect(at(load, 12)).toBeCloseTo((100 / (radius * 25)) * 1000, 6);
    expect(at(load, 12) / at(load, 6)).toBeCloseTo(2.566, 3);
    expect(at(load, 12) / at(load, 3)).toBeCloseTo(Math.exp(0.3 * (Math.PI / 2)), 6);
    // Handbooks’ table for μ = 0.3: a quarter 1.60, a half 2.57, three quarters 4.11, a whole turn 6.59.
    expect(at(load, 12) / at(load, 9)).toBeCloseTo(4.11, 2);
    expect(collarLoad(load).peakKPa).toBe(at(load, 12));
  });
  it('mirrored for a dog worked on the other side, and even where nothing rubs', () => {
    const load = { ...strap, kind: 'slip', friction: 0.3 } as const;
    for (const clock of [1, 3, 5.5]) expect(at({ ...load, falls: 'anticlockwise' }, clock)).toBeCloseTo(at(load, 12 - clock), 9);
    expect(at({ ...load, falls: 'anticlockwise' }, 12)).toBe(at(load, 12));
    const smooth = collarLoad({ ...load, friction: 0 });
    for (const { kPa } of smooth.byClock) expect(kPa).toBeCloseTo(62.8, 1);
    expect(smooth.meanKPa).toBeCloseTo(smooth.peakKPa, 9);
  });
  it('its mean over the circle is that of a fine sum', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2, noNaN: true }), (friction) => {
        const { meanKPa, peakKPa } = collarLoad({ ...strap, kind: 'slip', friction });
        const parts = 4000;
        let sum = 0;
        for (let part = 0; part < parts; part += 1) sum += Math.exp((-friction * 2 * Math.PI * (part + 0.5)) / parts);
        expect(meanKPa / peakKPa).toBeCloseTo(sum / parts, 5);
      }),
    );
  });

  it('a prong’s tips share what a link turns: links times two tips push as hard as the leash’s half all round', () => {
    const prong = { kind: 'prong', leashForceN: 100, girthMm, pitchMm: 40, tipAreaMm2: 5 } as const;
    const { tipForceN, peakKPa, meanKPa } = collarLoad(prong);
    // Ten links of 40 mm make the round: twenty tips carry 2π·T together.
    expect(tipForceN! * 20).toBeCloseTo(2 * Math.PI * 50, 6);
    expect(tipForceN).toBeCloseTo(15.7, 1);
    expect(peakKPa).toBeCloseTo(3141.6, 0);
    expect(meanKPa).toBe(peakKPa);
    expect(collarLoad({ ...strap, kind: 'flat' }).tipForceN).toBeNull();
  });

  it('wider is gentler, and no leash no load', () => {
    expect(collarLoad({ ...strap, kind: 'flat', widthMm: 50 }).peakKPa).toBeCloseTo(collarLoad({ ...strap, kind: 'flat' }).peakKPa / 2, 9);
    expect(collarLoad({ ...strap, kind: 'flat', leashForceN: 0 }).peakKPa).toBe(0);
  });

  it('names what carries, and what the model leaves out', () => {
    const cases: LoadCase[] = [
      { ...strap, kind: 'flat' },
      { ...strap, kind: 'martingale-apart' },
      { ...strap, kind: 'slip', friction: 0.3 },
      { kind: 'prong', leashForceN: 60, girthMm, pitchMm: 31, tipAreaMm2: 4 },
    ];
    for (const load of cases) {
      const said = loadReasons(load, collarLoad(load)).map((reason) => wordReason(LOAD_REASON_WORDS, reason, contractSpeaker).text);
      expect(said[0]).toMatch(/^At \d+ N .*\d kPa/);
      expect(said[1]).toContain('Carter and others');
    }
  });
});
