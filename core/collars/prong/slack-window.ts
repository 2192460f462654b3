import type { HouseRules } from '../../rules/house-rules.ts';
import type { ProngCollar } from './prong-collar.ts';

/**
 * The window of slack at rest, mm: from the house's least to its most, and never so loose that the collar bites by less than the
 * least bite when it closes; so it ends at the smaller of `slackMaxMm` and closing − `biteMinMm`. May be empty. Common practice;
 * the least bite from memory.
 *
 * @example slackWindow({ closingMm: 28 }, houseRules()) // { lowMm: 0, highMm: 22 }
 */
export function slackWindow({ closingMm }: Pick<ProngCollar, 'closingMm'>, rules: HouseRules): { lowMm: number; highMm: number } {
  return { lowMm: rules.slackMinMm, highMm: Math.min(rules.slackMaxMm, closingMm - rules.biteMinMm) };
}

/** How far inside the window a slack lies, mm, from its nearer end; negative outside. */
export function slackMargin(slackMm: number, { lowMm, highMm }: { lowMm: number; highMm: number }): number {
  return Math.min(slackMm - lowMm, highMm - slackMm);
}
