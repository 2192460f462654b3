import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { judgeSlip, recommendedSlip, slipReasons, slipVerdict, type SlipSchool } from './size-slip.ts';
import type { SlipReason } from './slip-reasons.ts';
import { LONG_COAT_MM, slipStrength, type SlipMaterial } from './slip-strength.ts';
import { above, atLeast, below } from '../../units/tolerance.ts';

/** A slip that misses the head by no more than half an inch still goes over it, the ears one at a time; mm. Common practice. */
const TIGHT_OVER_HEAD_MM = 12.7;
/** Reasons that nobody can give while the head is not taped. */
const ABOUT_THE_HEAD = new Set<SlipReason['code']>(['passes-head', 'cannot-pass', 'clip-on-instead']);

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
    // What misses the head by no more than half an inch goes over it an ear at a time.
    const overHead = known && !fit.passesHead && atLeast(fit.headClearanceMm, -TIGHT_OVER_HEAD_MM);
    const rows: FitRow[] = [
      {
        what: 'Gap between the rings',
        measure: gap(fit.slackMm),
        low: gap(rules.slipMinMm),
        high: gap(rules.slipMaxMm),
        aim: gap(rules.slipAimMm),
        rule: above(fit.slackMm, rules.slipMaxMm) ? 'slipMaxMm' : 'slipMinMm',
        tone: below(fit.slackMm, rules.slipMinMm) ? 'stop' : above(fit.slackMm, rules.slipMaxMm) ? 'mind' : 'good',
      },
      {
        what: 'Over the head, one ear at a time',
        measure: girth(numbers.lengthMm - numbers.ringMm),
        low: known ? girth(dog.headGirthMm!) : undefined,
        limit: !known ? 'head not taped' : overHead ? 'tight over the head: ears one at a time; if it will not go, the next size' : undefined,
        rule: null,
        practice: 'the open loop passes the head',
        tone: !known ? 'open' : fit.passesHead ? 'good' : overHead ? 'mind' : 'stop',
      },
    ];
    if (dog.weightKg !== null) {
      const wanted = slipStrength(dog.weightKg, numbers.material);
      rows.push({
        what: numbers.material === 'chain' ? 'Wire of the chain' : `Thickness of the ${numbers.material}`,
        measure: gap(numbers.thickMm),
        low: gap(wanted[0]),
        high: gap(wanted[1]),
        rule: null,
        practice: 'in proportion to the dog',
        tone: numbers.thickMm < wanted[0] - 0.26 || numbers.thickMm > wanted[1] + 0.26 ? 'mind' : 'good',
      });
    }
    if (numbers.material === 'chain' && dog.coatDepthMm !== null && dog.coatDepthMm >= LONG_COAT_MM && !numbers.longLink) {
      rows.push({
        what: 'Links',
        measure: null,
        limit: 'short; long links for a long coat',
        rule: null,
        practice: 'long-link chain for long coats',
        tone: 'mind',
      });
    }
    const recommend = known ? recommendedSlip(neck, numbers.ringMm, rules) : 'slip';
    const reasons = slipReasons(fit, null, recommend, neck, numbers.ringMm, rules).filter(({ code }) => known || !ABOUT_THE_HEAD.has(code));
    const passing = fit.verdict === 'cannot-pass' && (!known || overHead) ? slipVerdict(fit.slackMm, rules) : fit.verdict;
    return { verdict: overHead && passing === 'fits' ? 'tight-over-head' : passing, rows, reasons };
  },
};
