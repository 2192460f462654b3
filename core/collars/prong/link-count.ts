import type { HouseRules } from '../../rules/house-rules.ts';
import type { ProngCollar } from './prong-collar.ts';
import { slackWindow } from './slack-window.ts';
import { wholeAbove, wholeBelow } from '../../units/tolerance.ts';

/** How many links fit: a count inside the window, or the tighter of the two it falls between, or one that still hangs. */
export type LinkCount = { links: number; lands: 'inside' | 'between' | 'too-long-at-one-link' };

/**
 * The number of links whose slack is inside the window and nearest the aim, a tie going to the tighter.
 *
 * None inside: the largest count with slack below the least, «between two sizes». A collar has at least one link; one
 * that hangs even then cannot be made short enough. Common practice.
 */
export function linkCount(collar: ProngCollar, girthMm: number, rules: HouseRules): LinkCount {
  const linksForSlack = (slackMm: number) => collar.links + (girthMm + slackMm - collar.insideGirthMm) / collar.pitchMm;
  const { lowMm, highMm } = slackWindow(collar, rules);
  const fewest = wholeAbove(linksForSlack(lowMm));
  const most = wholeBelow(linksForSlack(highMm));
  if (most < 1 && fewest <= 1) return { links: 1, lands: 'too-long-at-one-link' };
  if (fewest > most) return { links: fewest - 1, lands: 'between' };
  const aim = linksForSlack(rules.slackAimMm);
  // Half a link is a tie, and rounding down takes the tighter.
  const nearest = wholeAbove(aim - 0.5);
  return { links: Math.max(1, Math.min(most, Math.max(fewest, nearest))), lands: 'inside' };
}
