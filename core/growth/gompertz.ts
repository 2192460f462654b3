/** A Gompertz curve of weight: W(t) = asymptote · exp(−exp(−rate·(t − inflection))); kg, per day, days. */
export type GompertzCurve = { asymptoteKg: number; ratePerDay: number; inflectionDays: number };

/**
 * Weight in kg at an age in days by a Gompertz curve.
 * Source: Gompertz, Philosophical Transactions 115 (1825), 513–583; for dogs Hawthorne and others, Journal of Nutrition 134 (2004), 2027S–2030S.
 *
 * @example gompertzKg({ asymptoteKg: 30, ratePerDay: 0.02, inflectionDays: 100 }, 100) // 30/e, about 11.04
 */
export function gompertzKg({ asymptoteKg, ratePerDay, inflectionDays }: GompertzCurve, ageDays: number): number {
  return asymptoteKg * Math.exp(-Math.exp(-ratePerDay * (ageDays - inflectionDays)));
}

/** Days until a curve reaches a weight in kg; null where it never does. The inverse of `gompertzKg`. */
export function gompertzAge({ asymptoteKg, ratePerDay, inflectionDays }: GompertzCurve, weightKg: number): number | null {
  if (!(weightKg > 0 && weightKg < asymptoteKg)) return null;
  return inflectionDays - Math.log(-Math.log(weightKg / asymptoteKg)) / ratePerDay;
}

/** How the logarithm of the weight changes with ln asymptote, ln rate and inflection: the shape of every step and interval. */
export function gompertzSlopes({ ratePerDay, inflectionDays }: GompertzCurve, ageDays: number): readonly [number, number, number] {
  const x = ratePerDay * (ageDays - inflectionDays);
  const falls = Math.exp(-x);
  return [1, falls * x, -falls * ratePerDay];
}
