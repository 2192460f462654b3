import { readWrittenAmounts, type AmountProblem } from './number-words.ts';

/** What came of reading a written quantity: its size in the base unit, or why it could not be read. */
export type ReadQuantity<Unit extends string> = { kind: 'read'; size: number; unit: Unit; bare: boolean } | { kind: 'problem'; problem: AmountProblem };

/**
 * Reads a written quantity against a table of units.
 *
 * Two amounts may follow one another when both name a unit and the second is the smaller (`1 ft 3 in`,
 * `4 lb 6 oz`). `bare` says that no unit was written, so that the caller's was taken.
 */
export function readQuantity<Unit extends string>(
  text: string,
  bareUnit: Unit,
  spelled: Record<string, Unit>,
  sizes: Record<Unit, number>,
): ReadQuantity<Unit> {
  const read = readWrittenAmounts(text);
  if ('problem' in read) return { kind: 'problem', problem: read.problem };
  const [first, second, ...more] = read.amounts;
  const bare = first!.unit === '';
  const unit = bare ? bareUnit : spelled[first!.unit];
  if (unit === undefined) return { kind: 'problem', problem: 'unknown-unit' };
  let size = first!.value * sizes[unit];
  if (second) {
    const smaller = spelled[second.unit];
    if (bare || more.length > 0 || smaller === undefined || sizes[smaller] >= sizes[unit]) {
      return { kind: 'problem', problem: 'not-a-number' };
    }
    size += second.value * sizes[smaller];
  }
  return { kind: 'read', size, unit, bare };
}
