import { gompertzKg, type GompertzCurve } from './gompertz.ts';

/** A girth taped at an age: days, mm. */
export type AgedGirth = { ageDays: number; girthMm: number };

/**
 * The dog's own factor in girth = factor · weight^⅓, mm per kg^⅓, by least squares over its tapes and the weights of its curve at
 * those ages; null without a tape. Source: cube-root law, lengths scale with the cube root of mass.
 *
 * @example girthFactor({ asymptoteKg: 27, ratePerDay: 1, inflectionDays: 0 }, [{ ageDays: 900, girthMm: 390 }]) // 130
 */
export function girthFactor(curve: GompertzCurve, girths: readonly AgedGirth[]): number | null {
  if (girths.length === 0) return null;
  const roots = girths.map(({ ageDays }) => Math.cbrt(gompertzKg(curve, ageDays)));
  const squares = roots.reduce((sum, root) => sum + root * root, 0);
  return squares === 0 ? null : girths.reduce((sum, { girthMm }, index) => sum + girthMm * roots[index]!, 0) / squares;
}

/** The girth, mm, of a dog of this weight, kg, by its own factor, mm per kg^⅓. Source: cube-root law. */
export const girthAtWeight = (factor: number, weightKg: number): number => factor * Math.cbrt(weightKg);
/** The weight, kg, at which it has a girth, mm: the same law the other way round. */
export const weightAtGirth = (factor: number, girthMm: number): number => (girthMm / factor) ** 3;
