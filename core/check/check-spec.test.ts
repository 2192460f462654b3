import { FLAT_CHECK } from '../collars/flat/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkBySpec, fingerSlack, houseRules, slackOfFingersUnder, type CheckSpec, type FittingDog, type Setting } from '../index.ts';
import { electronicCheck } from '../collars/electronic/index.ts';
import { HEAD_COLLAR_CHECK } from '../collars/head-collar/index.ts';
import { MARTINGALE_CHECK } from '../collars/martingale/index.ts';

const rules = houseRules();
const finger = { thicknessMm: 15, widthMm: 18 };
const dogOf = (hairGirthMm: number): FittingDog => ({
  weightKg: 25,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 900,
  skinGirthMm: hairGirthMm - 20,
  tapedGirthMm: hairGirthMm,
  hairGirthMm,
  midGirthMm: hairGirthMm * 1.1,
  headGirthMm: hairGirthMm * 1.25,
  muzzleGirthMm: hairGirthMm * 0.55,
  stopGirthMm: hairGirthMm * 0.65,
  muzzleLengthMm: 90,
  neckLengthMm: 160,
  coatDepthMm: 4,
  finger,
});

/** What a hand finds on a real neck: the most fingers that go under so much slack. */
const fingersThatGoUnder = (slackMm: number, girthMm: number) => {
  const count = [4, 3, 2, 1].find((fingers) => slackOfFingersUnder(fingers, girthMm, finger).lowMm <= slackMm);
  return String(count ?? 0);
};

/**
 * Follows a check step by step on a simulated dog, whose true girth differs from the tape by `errorMm`, until it is good or
 * asks for something else than length. Answers the steps taken.
 */
function follow<Numbers, Options>(
  spec: CheckSpec<Numbers, Options>,
  right: Record<string, string>,
  girthMm: number,
  errorMm: number,
  start: Setting,
  lengthOf: (on: Setting) => number,
  context: { numbers: Numbers; options: Options },
  find: (slackMm: number) => Record<string, string> = () => ({}),
) {
  const dog = dogOf(girthMm);
  const steps: string[] = [];
  const lengths: number[] = [];
  const earlier: { on: Setting; answers: Record<string, string> }[] = [];
  let on = start;
  for (let turn = 0; turn < 12; turn += 1) {
    const slackMm = lengthOf(on) - (girthMm + errorMm);
    const answers = { ...right, under: fingersThatGoUnder(slackMm, girthMm), ...find(slackMm) };
    const result = checkBySpec(spec, answers, { dog, on, rules, ...context }, earlier);
    earlier.push({ on, answers });
    steps.push(result.step);
    lengths.push(lengthOf(on));
    if (result.verdict !== 'adjust' || result.then === on) return { steps, lengths, slackMm };
    on = result.then;
  }
  return { steps, lengths, slackMm: lengthOf(on) - girthMm - errorMm };
}

const girths = fc.integer({ min: 250, max: 620 });
const errors = fc.integer({ min: -12, max: 12 });
const offs = fc.integer({ min: -40, max: 60 });

describe('a fit check that is followed, on a dog whose tape was some millimetres out', () => {
  it('ends with two fingers under a flat collar that slides, in a few steps', () => {
    const right = { breathing: 'free', sits: 'high', shake: 'stays', comesOver: 'no', buckle: 'sound' };
    fc.assert(
      fc.property(girths, errors, offs, (girthMm, errorMm, off) => {
        const numbers = { minMm: 150, maxMm: 800, widthMm: 20, buckle: 'metal tongue' as const, holePitchMm: null };
        const start = { setMm: girthMm + fingerSlack(girthMm, 2, finger) + off };
        const { steps, slackMm } = follow(FLAT_CHECK, right, girthMm, errorMm, start, (on) => on.setMm!, { numbers, options: { fingers: 2, role: 'safety' } });
        expect(steps.at(-1)).toBe('good');
        expect(steps.length).toBeLessThanOrEqual(6);
        expect(Number(fingersThatGoUnder(slackMm, girthMm))).toBe(2);
      }),
    );
  });

  it('never goes back and forth between two holes', () => {
    const right = { breathing: 'free', sits: 'high', shake: 'stays', comesOver: 'no', buckle: 'sound' };
    fc.assert(
      fc.property(girths, errors, (girthMm, errorMm) => {
        const numbers = { minMm: 200, maxMm: 700, widthMm: 20, buckle: 'metal tongue' as const, holePitchMm: 25.4 };
        const hole = Math.round((girthMm + 16 - 200) / 25.4);
        const { lengths } = follow(FLAT_CHECK, right, girthMm, errorMm, { setMm: 200 + hole * 25.4 }, (on) => on.setMm!, {
          numbers,
          options: { fingers: 2, role: 'safety' },
        });
        expect(new Set(lengths.map(Math.round)).size).toBe(lengths.length);
      }),
    );
  });

  it('ends with one finger under the neck strap of a head collar', () => {
    const right = { breathing: 'free', mouth: 'yes', slides: 'leather', eyes: 'yes', angle: 'yes', safety: 'yes' };
    fc.assert(
      fc.property(girths, errors, offs, (girthMm, errorMm, off) => {
        const numbers = { neckMinMm: 150, neckMaxMm: 800, noseMinMm: 100, noseMaxMm: 400, widthMm: 16 };
        const start = { neckMm: girthMm + fingerSlack(girthMm, 1, finger) + off, noseMm: girthMm * 0.6 };
        const { steps } = follow(HEAD_COLLAR_CHECK, right, girthMm, errorMm, start, (on) => on.neckMm!, { numbers, options: {} });
        expect(steps.at(-1)).toBe('good');
        expect(steps.length).toBeLessThanOrEqual(6);
      }),
    );
  });

  it('ends with two fingers under the strap of a receiver', () => {
    const right = { breathing: 'free', skinMoves: 'yes', touch: 'both', place: 'side', skin: 'clear' };
    fc.assert(
      fc.property(girths, errors, offs, (girthMm, errorMm, off) => {
        const numbers = {
          scaleMin: 0,
          scaleMax: 100,
          scaleStep: 1,
          modes: ['tone' as const],
          massG: 90,
          footprintMm: 60,
          spacingMm: 36,
          postsMm: [9],
          strapMinMm: 150,
          strapMaxMm: 800,
        };
        const start = { strapMm: girthMm + fingerSlack(girthMm, 2, finger) + off, postMm: 9, clock: 3 };
        const { steps } = follow(electronicCheck('remote'), right, girthMm, errorMm, start, (on) => on.strapMm!, {
          numbers,
          options: { placement: 'upper-half' as const },
        });
        expect(steps.at(-1)).toBe('good');
        expect(steps.length).toBeLessThanOrEqual(6);
      }),
    );
  });

  it('sets a martingale by where its rings come, for either school, in a few steps', () => {
    const right = { breathing: 'free', through: 'strap', sits: 'high', comesOver: 'no', opens: 'yes', loop: 'no', under: '2' };
    const numbers = { strapMinMm: 100, strapMaxMm: 800, loopMm: 60, widthMm: 38, loop: 'cloth' as const, hardware: 'metal' as const, buckled: false };
    fc.assert(
      fc.property(girths, errors, offs, fc.constantFrom('rings-meet' as const, 'rings-apart' as const), (girthMm, errorMm, off, school) => {
        const pulled = (closedMm: number) => (closedMm > 6 ? 'meet-loose' : closedMm > -6 ? 'meet' : closedMm > -50.8 ? 'apart' : 'far');
        const start = { strapMm: girthMm + off, houseStrapMm: girthMm };
        const context = { numbers, options: { school } };
        const { steps, slackMm } = follow(
          MARTINGALE_CHECK,
          right,
          girthMm,
          errorMm,
          start,
          (on) => on.strapMm!,
          context,
          (closedMm) => ({
            rings: pulled(closedMm),
            under: '2',
          }),
        );
        expect(steps.at(-1)).toBe('good');
        expect(steps.length).toBeLessThanOrEqual(6);
        expect(pulled(slackMm)).toBe(school === 'rings-meet' ? 'meet' : 'apart');
      }),
    );
  });

  it('says when the collar has no more to give, and asks for another size', () => {
    const right = { breathing: 'free', sits: 'high', shake: 'stays', comesOver: 'no', buckle: 'sound' };
    const numbers = { minMm: 330, maxMm: 410, widthMm: 20, buckle: 'metal tongue' as const, holePitchMm: null };
    const { steps } = follow(FLAT_CHECK, right, 405, 0, { setMm: 408 }, (on) => on.setMm!, { numbers, options: { fingers: 2, role: 'safety' } });
    expect(steps).toEqual(['another-size']);
  });
});
