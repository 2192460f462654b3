/**
 * Comparisons of measures with limits, forgiving what floating point leaves over: a number that stands exactly on a limit is on
 * it. Both in the same unit, whatever it is. A millionth of a thousandth is far under any ruler or scale.
 */
const ROUNDING = 1e-9;

/** @example atLeast(0.1 + 0.2, 0.3) // true */
export const atLeast = (measure: number, limit: number): boolean => measure >= limit - ROUNDING;
/** @example atMost(0.1 + 0.2, 0.3) // true */
export const atMost = (measure: number, limit: number): boolean => measure <= limit + ROUNDING;
/** @example below(0.3, 0.1 + 0.2) // false */
export const below = (measure: number, limit: number): boolean => !atLeast(measure, limit);
/** @example above(0.1 + 0.2, 0.3) // false */
export const above = (measure: number, limit: number): boolean => !atMost(measure, limit);
/** The whole number at or below; one that lacks only rounding counts. @example wholeBelow(2.9999999999) // 3 */
export const wholeBelow = (value: number): number => Math.floor(value + ROUNDING);
/** The whole number at or above; one that is over only by rounding counts. @example wholeAbove(3.0000000001) // 3 */
export const wholeAbove = (value: number): number => Math.ceil(value - ROUNDING);
/** Whether a number is whole but for rounding. @example isWhole(0.1 + 0.2 + 0.7) // true */
export const isWhole = (value: number): boolean => Math.abs(value - Math.round(value)) <= ROUNDING;
