import { GRAMS_PER_UNIT, type KennelMassUnit } from './mass-units.ts';

/**
 * A dog's weight in the kennel's unit, to a tenth below ten and to the half above, without a useless `.0`.
 *
 * @example speakMass(28123, 'lb') // '62 lb'
 */
export function speakMass(grams: number, unit: KennelMassUnit): string {
  const size = grams / GRAMS_PER_UNIT[unit];
  const rounded = size < 10 ? Math.round(size * 10) / 10 : Math.round(size * 2) / 2;
  return `${rounded} ${unit}`;
}
