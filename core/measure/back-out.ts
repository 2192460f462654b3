import type { HouseRules } from '../rules/house-rules.ts';

/** Whether a dog can reverse out of a collar closed to a girth. */
export type BackOut = { ratio: number; holds: 'yes' | 'high-and-tight' | 'no' };

/**
 * Back-out ratio: head girth ÷ closed girth, both mm. Under `backOutMin` it does not hold; up to `backOutNarrow`
 * it holds only as long as it stays high and tight. Common practice.
 *
 * @example backOut(430, 400, rules) // { ratio: 1.075, holds: 'high-and-tight' }
 */
export function backOut(headGirthMm: number, closedGirthMm: number, rules: Pick<HouseRules, 'backOutMin' | 'backOutNarrow'>): BackOut {
  const ratio = headGirthMm / closedGirthMm;
  const holds = ratio < rules.backOutMin ? 'no' : ratio < rules.backOutNarrow ? 'high-and-tight' : 'yes';
  return { ratio, holds };
}
