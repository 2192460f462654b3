import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { Sizer } from '../../fit/sizer.ts';
import type { SlipMaterial } from '../slip/slip-strength.ts';
import { slipStrength } from '../slip/slip-strength.ts';
import { sizeClipOnSlip, type ClipOnReason, type ClipOnUse } from './size-clip-on-slip.ts';
import { above, below } from '../../units/tolerance.ts';

/** A clip-on slip by its own numbers: to the bottom of the clip, and the thickness of its cord or wire; mm. */
export type ClipOnNumbers = { lengthMm: number; material: SlipMaterial; thickMm: number };
export type ClipOnOptions = { use: ClipOnUse };

/** Sizing of a clip-on slip; it lies on the hair. A length within `clipOnOffMm` of the wanted one counts as it. Common practice. */
export const clipOnSlipSizer: Sizer<ClipOnNumbers, ClipOnOptions, ClipOnReason> = {
  settle: (_dog, numbers) => ({ lengthMm: numbers.lengthMm }),
  off: (dog, numbers, _setting, { use }) => {
    const { lengthMinMm, lengthMaxMm } = sizeClipOnSlip(dog.hairGirthMm!, use);
    return Math.abs(numbers.lengthMm - (lengthMinMm + lengthMaxMm) / 2);
  },
  judge: (dog, numbers, _setting, { use }, rules) => {
    const { lengthMinMm, lengthMaxMm, reasons } = sizeClipOnSlip(dog.hairGirthMm!, use);
    const low = lengthMinMm - rules.clipOnOffMm;
    const high = lengthMaxMm + rules.clipOnOffMm;
    const verdict = below(numbers.lengthMm, low) ? 'tight' : above(numbers.lengthMm, high) ? 'loose' : 'fits';
    const rows: FitRow[] = [
      {
        what: 'Length to the bottom of the clip',
        measure: girth(numbers.lengthMm),
        low: girth(low),
        high: girth(high),
        rule: 'clipOnOffMm',
        tone: verdict === 'fits' ? 'good' : 'stop',
      },
    ];
    if (dog.weightKg !== null) {
      const wanted = slipStrength(dog.weightKg, numbers.material);
      rows.push({
        what: 'Thickness',
        measure: gap(numbers.thickMm),
        low: gap(wanted[0]),
        high: gap(wanted[1]),
        rule: null,
        practice: 'in proportion to the dog',
        tone: numbers.thickMm < wanted[0] - 0.26 || numbers.thickMm > wanted[1] + 0.26 ? 'mind' : 'good',
      });
    }
    return { verdict, rows, reasons };
  },
};
