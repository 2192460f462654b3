/** Technical error of measurement in the readings' unit, and the same as a percentage of their mean. */
export type TechnicalError = { tem: number; percent: number };

/**
 * Technical error of measurement over N subjects, each read K ≥ 2 times:
 * TEM = √( Σᵢ[Σⱼx² − (Σⱼx)²/K] / (N(K−1)) ), %TEM = 100·TEM / mean.
 *
 * Subjects may have different numbers of readings; N(K−1) is then the sum of (Kᵢ−1). For one subject it is the
 * sample standard deviation of its readings. Throws RangeError when no subject has two readings.
 * The inner bracket is computed as the sum of squared deviations, equal in algebra and exact in floating point.
 * Source: Ulijaszek & Kerr, British Journal of Nutrition 82 (1999), 165–177.
 *
 * @example technicalError([[390, 394]]) // { tem: 2.828…, percent: 0.7215… }
 */
export function technicalError(subjects: readonly (readonly number[])[]): TechnicalError {
  let squares = 0;
  let freedom = 0;
  let sum = 0;
  let count = 0;
  for (const readings of subjects) {
    if (readings.length < 2) continue;
    const total = readings.reduce((a, b) => a + b, 0);
    const mean = total / readings.length;
    for (const reading of readings) squares += (reading - mean) ** 2;
    freedom += readings.length - 1;
    sum += total;
    count += readings.length;
  }
  if (freedom === 0) throw new RangeError('technical error needs a subject with two readings');
  const tem = Math.sqrt(squares / freedom);
  return { tem, percent: sum === 0 ? 0 : (100 * tem) / (sum / count) };
}
