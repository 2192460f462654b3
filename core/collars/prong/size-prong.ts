import type { HouseRules } from '../../rules/house-rules.ts';
import { linkCount } from './link-count.ts';
import { evenSplit } from './link-split.ts';
import { mostLinksOut, type ProngCollar } from './prong-collar.ts';
import { prongGirths, type ProngGirths } from './prong-girths.ts';
import type { ProngReason } from './prong-reasons.ts';
import { slackMargin, slackWindow } from './slack-window.ts';
import { above, atLeast, atMost, below } from '../../units/tolerance.ts';

/** The neck a prong is sized for. Skin girth, as tips go through the coat; mm. */
export type ProngNeck = { girthMm: number; headGirthMm?: number | undefined };

export const PRONG_VERDICTS = ['fits', 'between', 'wrong-gauge', 'overhead'] as const;
export type ProngVerdict = (typeof PRONG_VERDICTS)[number];

/** One stocked collar made up for one neck. `links` without the centre plate; `change` signed, against stock. */
export type ProngFit = ProngGirths & {
  stockId: string;
  gaugeMm: number;
  links: number;
  change: number;
  left: number;
  right: number;
  startLinks: number;
  verdict: ProngVerdict;
  /** How far inside the window of slack it lies, mm, from the nearer end; negative outside. */
  marginMm: number;
  reasons: ProngReason[];
};

/** What makes a gauge wrong at this link count: links past the limit, no bite, or too much of it. */
export function gaugeFaults(collar: ProngCollar, links: number, girthMm: number, rules: HouseRules): ProngReason[] {
  const { closedGirthMm, biteMm, biteRatio } = prongGirths(collar, links, girthMm);
  const change = links - collar.links;
  const mostOut = mostLinksOut(collar.gaugeMm, rules.maxRemove);
  const faults: ProngReason[] = [];
  if (change > rules.maxAdd) faults.push({ code: 'too-many-added', change, limit: rules.maxAdd });
  if (-change > mostOut) faults.push({ code: 'too-many-removed', change, limit: mostOut });
  if (atMost(biteMm, 0)) faults.push({ code: 'does-not-bite', closedMm: closedGirthMm, girthMm });
  if (above(biteRatio, rules.biteMaxRatio)) {
    faults.push({ code: 'bites-too-deep', biteMm, ratio: biteRatio, limitRatio: rules.biteMaxRatio });
  }
  return faults;
}

/** The reason that a collar of this girth at rest would pass over the head, or that nobody knows; none when it cannot. */
export function headFault(relaxedMm: number, headMm: number | undefined): ProngReason | null {
  if (headMm === undefined) return { code: 'head-not-taped' };
  return atLeast(relaxedMm, headMm) ? { code: 'passes-head', relaxedMm, headMm } : null;
}

/** The least bite, where it and not the most slack ends the window: what the sentence has to name. */
export function windowEnds({ highMm }: { highMm: number }, rules: HouseRules): { biteMinMm?: number } {
  return below(highMm, rules.slackMaxMm) ? { biteMinMm: rules.biteMinMm } : {};
}

/** Links to begin with for the start-loose school: `loose` more than the fit, less what would pass over the head. */
function startLinks(collar: ProngCollar, links: number, loose: number, neck: ProngNeck): number {
  const passes = (count: number) => neck.headGirthMm !== undefined && atLeast(prongGirths(collar, count, neck.girthMm).relaxedGirthMm, neck.headGirthMm);
  let start = links + loose;
  while (start > links && passes(start)) start -= 1;
  return start;
}

/**
 * The link count, girths and verdict of one stocked collar for one neck. Precedence of verdicts: over the head, wrong
 * gauge, between two sizes, fits. `looseLinks` 0 to 2 is the start-loose school's extra. Common practice.
 *
 * @example sizeProng({ id: 'a', gaugeMm: 4, pitchMm: 42, insideGirthMm: 540, links: 12, closingMm: 30 },
 *   { girthMm: 500 }, 0, rules).verdict // 'between', at 11 links
 */
export function sizeProng(collar: ProngCollar, neck: ProngNeck, looseLinks: number, rules: HouseRules): ProngFit {
  const { links, lands } = linkCount(collar, neck.girthMm, rules);
  const girths = prongGirths(collar, links, neck.girthMm);
  const { slackMm, biteMm, biteRatio, relaxedGirthMm } = girths;
  const window = slackWindow(collar, rules);
  const { lowMm, highMm } = window;
  const ends = windowEnds(window, rules);
  const reasons: ProngReason[] = [];
  const head = headFault(relaxedGirthMm, neck.headGirthMm);
  const faults = gaugeFaults(collar, links, neck.girthMm, rules);

  if (head?.code === 'passes-head') reasons.push(head);
  reasons.push(...faults);
  if (lands === 'inside') reasons.push({ code: 'slack-inside', links, slackMm, lowMm, highMm, ...ends });
  if (lands === 'too-long-at-one-link') reasons.push({ code: 'too-long-at-one-link', slackMm, highMm, ...ends });
  if (lands === 'between') {
    reasons.push({ code: 'between-links', links, slackMm, looserSlackMm: slackMm + collar.pitchMm, lowMm, highMm, ...ends });
    if (above(-slackMm, rules.pressMaxMm)) reasons.push({ code: 'presses-at-rest', pressMm: -slackMm, limitMm: rules.pressMaxMm });
  }
  if (faults.length === 0) reasons.push({ code: 'bites', biteMm, ratio: biteRatio, limitRatio: rules.biteMaxRatio });
  if (head?.code === 'head-not-taped') reasons.push(head);

  const start = startLinks(collar, links, looseLinks, neck);
  if (start > links) reasons.push({ code: 'starts-loose', startLinks: start, links });
  if (start < links + looseLinks) {
    reasons.push({ code: 'starts-less-loose', startLinks: start, wanted: links + looseLinks, headMm: neck.headGirthMm! });
  }

  const verdict: ProngVerdict =
    head?.code === 'passes-head'
      ? 'overhead'
      : faults.length > 0 || lands === 'too-long-at-one-link'
        ? 'wrong-gauge'
        : lands === 'between'
          ? 'between'
          : 'fits';
  return {
    stockId: collar.id,
    gaugeMm: collar.gaugeMm,
    links,
    change: links - collar.links,
    ...evenSplit(links),
    startLinks: start,
    ...girths,
    verdict,
    marginMm: slackMargin(slackMm, window),
    reasons,
  };
}
