import { GRAMS_PER_UNIT, type KennelMassUnit, type MassUnit } from './mass-units.ts';
import { readQuantity } from './read-quantity.ts';
import type { AmountProblem } from './number-words.ts';

const SPELLED: Record<string, MassUnit> = {
  g: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
};

export type ReadMass =
  { kind: 'read'; grams: number } | { kind: 'outside'; grams: number; lowGrams: number; highGrams: number } | { kind: 'problem'; problem: AmountProblem };

/** Dogs weigh between these, in grams; outside it is a slip of the pen (contract). */
export const DOG_GRAMS: [number, number] = [50, 120_000];

/**
 * Reads a dog's weight as people write it (`62 lb`, `28.1kg`, `4 lb 6 oz`), in grams; a bare number is in the kennel's unit.
 *
 * @example readMass('62 lb', 'kg') // { kind: 'read', grams: 28122.7… }
 */
export function readMass(text: string, kennelUnit: KennelMassUnit): ReadMass {
  const read = readQuantity<MassUnit>(text, kennelUnit, SPELLED, GRAMS_PER_UNIT);
  if (read.kind === 'problem') return read;
  const [lowGrams, highGrams] = DOG_GRAMS;
  if (read.size < lowGrams || read.size > highGrams) return { kind: 'outside', grams: read.size, lowGrams, highGrams };
  return { kind: 'read', grams: read.size };
}
