import { judgeLinks, shiftLinks, type LinkSplit, type LinksVerdict, type ProngCollar, type ProngNeck } from '@banter/core/collars/prong';
import { type HouseRules } from '@banter/core';

/** One link count on the rule: where it puts the collar at rest, and what it comes to. */
export type LinkStop = { links: number; slackMm: number; biteMm: number; verdict: LinksVerdict; split: LinkSplit };

/** The counts around the one that is made up, for the rule of link stops; `reach` on either side, never below one link. */
export function linkStops(collar: ProngCollar, split: LinkSplit, neck: ProngNeck, rules: HouseRules, reach: number): LinkStop[] {
  const now = split.left + split.right;
  const stops: LinkStop[] = [];
  for (let links = Math.max(1, now - reach); links <= now + reach; links += 1) {
    const at = shiftLinks(split, links - now);
    const { slackMm, biteMm, verdict } = judgeLinks(collar, at, neck, rules);
    stops.push({ links, slackMm, biteMm, verdict, split: at });
  }
  return stops;
}
