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

/**
 * A weight as the scales showed it: to ten grams below 3 kg, else to a tenth of the unit.
 *
 * @example exactMass(21700, 'kg') // '21.7 kg'
 */
export function exactMass(grams: number, unit: KennelMassUnit): string {
  const size = grams / GRAMS_PER_UNIT[unit];
  return `${unit === 'kg' && size < 3 ? size.toFixed(2) : size.toFixed(1)} ${unit}`;
}
