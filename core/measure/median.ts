/**
 * The median of readings, in their unit; for an even number the mean of the middle two.
 * Throws RangeError on an empty list.
 *
 * @example median([391, 402, 389]) // 391
 */
export function median(readings: readonly number[]): number {
  if (readings.length === 0) throw new RangeError('the median of no readings');
  const sorted = [...readings].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
