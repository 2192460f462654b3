import { MM_PER_UNIT, type KennelLengthUnit } from './length-units.ts';

/** The step in which a length is spoken, in mm: girths to 1/8 in or 0.5 cm, small gaps to 1/16 in or 1 mm. Common practice. */
const STEP_MM = {
  girth: { in: MM_PER_UNIT.in / 8, cm: 5 },
  gap: { in: MM_PER_UNIT.in / 16, cm: 1 },
} as const;

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

function inches(steps: number, perInch: number): string {
  const whole = Math.trunc(steps / perInch);
  const over = steps % perInch;
  if (over === 0) return `${whole} in`;
  const common = greatestCommonDivisor(over, perInch);
  const fraction = `${over / common}/${perInch / common}`;
  return whole === 0 ? `${fraction} in` : `${whole} ${fraction} in`;
}

/**
 * A girth or strap length as the bench says it: `15 3/8 in` (to 1/8) or `39.0 cm` (to 0.5).
 * Takes mm; a negative length gets a minus sign. Reading it back gives the same length to within half a step.
 *
 * @example speakGirth(390.525, 'in') // '15 3/8 in'
 */
export function speakGirth(mm: number, unit: KennelLengthUnit): string {
  const steps = Math.round(Math.abs(mm) / STEP_MM.girth[unit]);
  const sign = mm < 0 && steps > 0 ? '−' : '';
  return sign + (unit === 'in' ? inches(steps, 8) : `${(steps * 0.5).toFixed(1)} cm`);
}

/**
 * A small difference (slack, bite, spread) as the bench says it: `5/16 in` (to 1/16) or `8 mm`.
 * Takes mm, signed.
 *
 * @example speakGap(-6.2, 'cm') // '−6 mm'
 */
export function speakGap(mm: number, unit: KennelLengthUnit): string {
  const size = Math.abs(mm);
  const steps = Math.round(size / STEP_MM.gap[unit]);
  // A gap too small for a step is still there: «0 mm, below the 0 mm allowed» would explain nothing.
  if (steps === 0 && size >= 0.05)
    return `${mm < 0 ? '−' : ''}${unit === 'in' ? `${Math.max(0.01, size / MM_PER_UNIT.in).toFixed(2)} in` : `${size.toFixed(1)} mm`}`;
  const sign = mm < 0 && steps > 0 ? '−' : '';
  return sign + (unit === 'in' ? inches(steps, 16) : `${steps} mm`);
}

/**
 * A length as somebody would type it, without losing what was kept: `0.75 in`, `12.7 mm`, from 100 mm up `39.1 cm`. Takes mm.
 *
 * @example typedLength(12.7, 'in') // '0.5 in'
 */
export function typedLength(mm: number, unit: KennelLengthUnit): string {
  if (unit === 'in') return `${+(mm / MM_PER_UNIT.in).toFixed(3)} in`;
  return Math.abs(mm) < 100 ? `${+mm.toFixed(2)} mm` : `${+(mm / 10).toFixed(3)} cm`;
}

/**
 * A taped length without rounding it to the bench's step: `15.38 in` or `39.1 cm`. Takes mm.
 *
 * @example exactLength(391, 'cm') // '39.1 cm'
 */
export function exactLength(mm: number, unit: KennelLengthUnit): string {
  const size = mm / MM_PER_UNIT[unit];
  const digits = unit === 'in' ? 2 : 1;
  return `${size.toFixed(digits).replace('-', '−')} ${unit}`;
}
