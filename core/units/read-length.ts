import { MM_PER_UNIT, type KennelLengthUnit, type LengthUnit } from './length-units.ts';
import { readQuantity } from './read-quantity.ts';
import type { AmountProblem } from './number-words.ts';

const SPELLED: Record<string, LengthUnit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  '′': 'ft',
};

/** What came of reading a written length. `asked` lists other readings that make sense where the bare one does not. */
export type ReadLength =
  | { kind: 'read'; mm: number; unit: LengthUnit }
  | { kind: 'asked'; mm: number; unit: LengthUnit; instead: { mm: number; unit: LengthUnit }[] }
  | { kind: 'outside'; mm: number; lowMm: number; highMm: number }
  | { kind: 'problem'; problem: AmountProblem };

/** Which lengths can be (`possible`) and which are likely here (`likely`), both in mm, both inclusive. */
export type LengthExpectation = { possibleMm: [number, number]; likelyMm?: [number, number] };

const within = (mm: number, [low, high]: [number, number]) => mm >= low && mm <= high;

/**
 * Reads a length as people write it (`15 3/8`, `15.375 in`, `39.1cm`, `391 mm`), in millimetres.
 *
 * A bare number is in the kennel's unit. When it makes no sense there but does in another unit it is *asked*
 * about, never changed: `39.1` at a kennel that speaks inches answers `asked` with 391 mm beside 993 mm.
 * Source: common practice.
 *
 * @example readLength('15 3/8', 'in', { possibleMm: [100, 1200] }) // { kind: 'read', mm: 390.525, unit: 'in' }
 */
export function readLength(text: string, kennelUnit: KennelLengthUnit, expected: LengthExpectation): ReadLength {
  const read = readQuantity<LengthUnit>(text, kennelUnit, SPELLED, MM_PER_UNIT);
  if (read.kind === 'problem') return read;
  const { size: mm, unit, bare } = read;
  const makesSense = expected.likelyMm ?? expected.possibleMm;
  if (bare && !within(mm, makesSense)) {
    const number = mm / MM_PER_UNIT[kennelUnit];
    const instead = (['in', 'cm', 'mm'] as const)
      .filter((other) => other !== kennelUnit)
      .map((other) => ({ mm: number * MM_PER_UNIT[other], unit: other }))
      .filter((other) => within(other.mm, makesSense));
    if (instead.length > 0) return { kind: 'asked', mm, unit, instead };
  }
  if (!within(mm, expected.possibleMm)) {
    return { kind: 'outside', mm, lowMm: expected.possibleMm[0], highMm: expected.possibleMm[1] };
  }
  return { kind: 'read', mm, unit };
}
