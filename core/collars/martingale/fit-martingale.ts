import { gap, girth, holdRow, share, type FitRow } from '../../fit/fit-row.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { MM_PER_UNIT } from '../../units/length-units.ts';
import type { MartingaleReason } from './martingale-reasons.ts';
import {
  judgeMartingale,
  loopHang,
  martingaleReasons,
  restWindow,
  ringGapWindow,
  RINGS_MEET_MM,
  strapBySchool,
  type MartingaleSchool,
} from './size-martingale.ts';
import { above, atLeast, below } from '../../units/tolerance.ts';

/** A martingale by its own numbers; lengths mm. `buckled`: it opens, and need not go over the head. */
export type MartingaleNumbers = {
  strapMinMm: number;
  strapMaxMm: number;
  loopMm: number;
  widthMm: number;
  loop: 'cloth' | 'chain';
  hardware: 'metal' | 'plastic';
  buckled: boolean;
};
export type MartingaleOptions = { school: MartingaleSchool };

/** Wider is gentler: about 3/4 in small, 1 in usual, 1 1/2 in for pullers, up to 2 in for long delicate necks; mm. Common practice. */
export function martingaleWidth(dog: Pick<FittingDog, 'weightKg' | 'pull' | 'neckBuild'>, smallDogKg: number): number {
  const inches = dog.weightKg !== null && dog.weightKg < smallDogKg ? 0.75 : dog.neckBuild === 'slender' ? 2 : dog.pull === 'settled' ? 1 : 1.5;
  return inches * MM_PER_UNIT.in;
}

/** At home, without a leash, it hangs lower and looser: set to the girth half-way down, as far as the strap goes; mm. Common practice. */
export function houseStrap(dog: FittingDog, numbers: MartingaleNumbers): number {
  const midMm = dog.midGirthMm ?? dog.hairGirthMm! * 1.125;
  return Math.min(numbers.strapMaxMm, Math.max(numbers.strapMinMm, midMm));
}

/** By how much a strap's width may be under its name: an inch is sold as 22 to 25 mm. From memory. */
const NOMINAL_WIDTH_MM = 4;

/** Sizing of a martingale; it lies on the hair. `strapMm` is its walking setting, `houseStrapMm` the one for the house. Common practice. */
export const martingaleSizer: Sizer<MartingaleNumbers, MartingaleOptions, MartingaleReason> = {
  settle: (dog, numbers, { school }, rules) => ({
    strapMm: Math.min(numbers.strapMaxMm, Math.max(numbers.strapMinMm, strapBySchool(school, dog.hairGirthMm!, rules))),
    houseStrapMm: houseStrap(dog, numbers),
  }),
  off: (dog, _numbers, setting, { school }, rules) => Math.abs(setting.strapMm! - strapBySchool(school, dog.hairGirthMm!, rules)),
  judge: (dog, numbers, setting, { school }, rules) => {
    const girthMm = dog.hairGirthMm!;
    const strapMm = setting.strapMm!;
    const known = dog.headGirthMm !== null;
    const fit = judgeMartingale(numbers, strapMm, { girthMm, headGirthMm: dog.headGirthMm ?? 10 * girthMm }, rules);
    const wantedMm = strapBySchool(school, girthMm, rules);
    const rest = restWindow(girthMm, dog.finger);
    const rings = ringGapWindow(school, girthMm, rules);
    const restMm = fit.openGirthMm - girthMm;
    const hangs = below(fit.ringGapMm, -RINGS_MEET_MM);
    const rows: FitRow[] = [
      {
        what: 'Strap between the slides, walking',
        measure: girth(strapMm),
        low: girth(numbers.strapMinMm),
        high: girth(numbers.strapMaxMm),
        aim: girth(wantedMm),
        rule: null,
        practice: `school «${school === 'rings-meet' ? 'rings meet' : 'rings apart'}»`,
        tone: fit.verdict === 'out-of-range' ? 'stop' : 'good',
      },
      {
        what: 'Rings apart when pulled',
        measure: gap(fit.ringGapMm),
        low: gap(Math.max(0, rings.lowMm)),
        high: gap(rings.highMm),
        aim: gap(girthMm - wantedMm),
        rule: 'ringGapMm',
        tone:
          hangs || above(fit.squeezeRatio, rules.squeezeMaxRatio)
            ? 'stop'
            : below(fit.ringGapMm, Math.max(0, rings.lowMm)) || above(fit.ringGapMm, rings.highMm)
              ? 'mind'
              : 'good',
      },
      {
        what: 'Squeeze when pulled',
        measure: share(fit.squeezeRatio),
        high: share(rules.squeezeMaxRatio),
        rule: 'squeezeMaxRatio',
        tone: above(fit.squeezeRatio, rules.squeezeMaxRatio) ? 'stop' : 'good',
      },
      holdRow(dog.headGirthMm, fit.closedGirthMm, rules),
      numbers.buckled
        ? { what: 'Over the head', measure: null, limit: 'it buckles', rule: null, practice: 'over the head, or the buckled make', tone: 'good' }
        : {
            what: 'Over the head, let out',
            measure: girth(numbers.strapMaxMm + numbers.loopMm / 2),
            low: known ? girth(dog.headGirthMm!) : undefined,
            limit: known ? undefined : 'head not taped',
            rule: null,
            practice: 'let out, passed, then set',
            tone: !known ? 'open' : fit.passesHead ? 'good' : 'stop',
          },
      {
        what: 'Slack at rest',
        measure: gap(restMm),
        low: gap(rest.lowMm),
        high: gap(rest.highMm),
        rule: null,
        practice: 'two fingers at rest, never the flat hand',
        tone: below(restMm, rest.lowMm) || atLeast(restMm, rest.highMm) ? 'mind' : 'good',
      },
      {
        what: 'House setting, no leash',
        measure: girth(setting.houseStrapMm!),
        low: girth(numbers.strapMinMm),
        high: girth(numbers.strapMaxMm),
        limit: 'lower and looser',
        rule: null,
        practice: 'two settings are kept',
        tone: below(setting.houseStrapMm!, numbers.strapMinMm) || above(setting.houseStrapMm!, numbers.strapMaxMm) ? 'mind' : 'good',
      },
    ];
    if (dog.weightKg !== null && dog.weightKg < rules.smallDogKg) {
      const hangMm = loopHang(numbers.loopMm, Math.max(0, fit.ringGapMm));
      rows.push({
        what: 'Control loop hangs',
        measure: gap(hangMm),
        high: gap(rules.loopHangMm),
        rule: 'loopHangMm',
        tone: hangMm > rules.loopHangMm ? 'mind' : 'good',
      });
    }
    const widthMm = martingaleWidth(dog, rules.smallDogKg);
    rows.push({
      what: 'Width',
      measure: gap(numbers.widthMm),
      low: gap(widthMm - NOMINAL_WIDTH_MM),
      aim: gap(widthMm),
      rule: null,
      practice: 'wider is gentler',
      tone: below(numbers.widthMm, widthMm - NOMINAL_WIDTH_MM) ? 'mind' : 'good',
    });
    if (numbers.hardware === 'plastic')
      rows.push({ what: 'Hardware', measure: null, limit: 'plastic', rule: null, practice: 'metal, straight and unbent', tone: 'mind' });
    const verdict = hangs ? 'hangs' : above(fit.squeezeRatio, rules.squeezeMaxRatio) ? 'squeezes' : fit.verdict;
    const reasons = martingaleReasons(numbers, fit, { girthMm, headGirthMm: dog.headGirthMm ?? 10 * girthMm }, rules).filter(
      (reason) => known || !('headMm' in reason || 'limit' in reason),
    );
    const bySchool: MartingaleReason =
      school === 'rings-meet'
        ? { code: 'rings-meet', strapMm, girthMm }
        : { code: 'rings-apart', strapMm, gapMm: fit.ringGapMm, ratio: fit.squeezeRatio, limitRatio: rules.squeezeMaxRatio };
    if (atLeast(restMm, rest.highMm)) reasons.push({ code: 'loop-too-long', slackMm: restMm, flatHandMm: rest.highMm });
    if (below(restMm, rest.lowMm)) reasons.push({ code: 'loop-too-short', slackMm: restMm, twoFingersMm: rest.lowMm });
    return { verdict, rows, reasons: Math.abs(strapMm - wantedMm) < 1 ? [bySchool, ...reasons] : reasons };
  },
};
