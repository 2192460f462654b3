import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { judgeSlip, recommendedSlip, slipReasons, type SlipSchool } from './size-slip.ts';
import type { SlipReason } from './slip-reasons.ts';
import { LONG_COAT_MM, slipStrength, type SlipMaterial } from './slip-strength.ts';

/** A slip collar by its own numbers: ring to ring, the ring's inside, its material and the thickness of wire or cord; mm. */
export type SlipNumbers = { lengthMm: number; ringMm: number; material: SlipMaterial; thickMm: number; longLink: boolean };
export type SlipOptions = { school: SlipSchool };

/** Sizing of a slip that goes over the head; it lies on the hair. Common practice. */
export const slipSizer: Sizer<SlipNumbers, SlipOptions, SlipReason> = {
  settle: (_dog, numbers) => ({ lengthMm: numbers.lengthMm }),
  off: (dog, numbers, _setting, options, rules) => {
    const girthMm = dog.hairGirthMm!;
    return options.school === 'over-the-head' && dog.headGirthMm !== null
      ? Math.abs(numbers.lengthMm - numbers.ringMm - dog.headGirthMm)
      : Math.abs(numbers.lengthMm - girthMm - numbers.ringMm - rules.slipAimMm);
  },
  judge: (dog, numbers, _setting, _options, rules) => {
    const neck = { girthMm: dog.hairGirthMm!, headGirthMm: dog.headGirthMm ?? 0 };
    const fit = judgeSlip(numbers.lengthMm, numbers.ringMm, neck, rules);
    const known = dog.headGirthMm !== null;
    const rows: FitRow[] = [
      {
        what: 'Gap between the rings',
        measure: gap(fit.slackMm),
        low: gap(rules.slipMinMm),
        high: gap(rules.slipMaxMm),
        aim: gap(rules.slipAimMm),
        rule: 'ring gap of a slip',
        tone: fit.slackMm < rules.slipMinMm - 1e-9 ? 'stop' : fit.slackMm > rules.slipMaxMm + 1e-9 ? 'mind' : 'good',
      },
      {
        what: 'Over the head, one ear at a time',
        measure: girth(numbers.lengthMm - numbers.ringMm),
        low: known ? girth(dog.headGirthMm!) : undefined,
        limit: known ? undefined : 'head not taped',
        rule: 'the open loop passes the head',
        tone: !known ? 'open' : fit.passesHead ? 'good' : 'stop',
      },
    ];
    if (dog.weightKg !== null) {
      const wanted = slipStrength(dog.weightKg, numbers.material);
      rows.push({
        what: numbers.material === 'chain' ? 'Wire of the chain' : `Thickness of the ${numbers.material}`,
        measure: gap(numbers.thickMm),
        low: gap(wanted[0]),
        high: gap(wanted[1]),
        rule: 'in proportion to the dog',
        tone: numbers.thickMm < wanted[0] - 0.26 || numbers.thickMm > wanted[1] + 0.26 ? 'mind' : 'good',
      });
    }
    if (numbers.material === 'chain' && dog.coatDepthMm !== null && dog.coatDepthMm >= LONG_COAT_MM && !numbers.longLink) {
      rows.push({ what: 'Links', measure: null, limit: 'short; long links for a long coat', rule: 'long-link chain for long coats', tone: 'mind' });
    }
    const recommend = known ? recommendedSlip(neck, numbers.ringMm, rules) : 'slip';
    const reasons = slipReasons(fit, null, recommend, neck, numbers.ringMm, rules).filter((reason) => known || !/head|pass/.test(reason.code));
    return { verdict: known ? fit.verdict : fit.verdict === 'cannot-pass' ? 'fits' : fit.verdict, rows, reasons };
  },
};
