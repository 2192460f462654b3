import { MM_PER_UNIT, type KennelLengthUnit } from '../units/length-units.ts';

const STEPS: Record<KennelLengthUnit, readonly number[]> = { in: [0.5, 1, 2, 4, 6], cm: [1, 2, 5, 10, 20] };

/**
 * A scale bar in the kennel's unit, about a fifth of a width: its length in mm and what it says.
 *
 * @example scaleBar(480, 'cm') // { mm: 100, label: '10 cm' }
 */
export function scaleBar(widthMm: number, unit: KennelLengthUnit): { mm: number; label: string } {
  const wanted = widthMm / 5 / MM_PER_UNIT[unit];
  const step = STEPS[unit].reduce((best, one) => (Math.abs(one - wanted) < Math.abs(best - wanted) ? one : best));
  return { mm: step * MM_PER_UNIT[unit], label: step === 0.5 ? '1/2 in' : `${step} ${unit}` };
}
