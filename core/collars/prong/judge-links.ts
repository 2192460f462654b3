import type { HouseRules } from '../../rules/house-rules.ts';
import { evenness, type LinkSplit } from './link-split.ts';
import type { ProngCollar } from './prong-collar.ts';
import { prongGirths, type ProngGirths } from './prong-girths.ts';
import type { ProngReason } from './prong-reasons.ts';
import { slackWindow } from './slack-window.ts';
import { gaugeFaults, headFault, sizeProng, windowEnds, type ProngNeck, type ProngVerdict } from './size-prong.ts';
import { above, below } from '../../units/tolerance.ts';

/** What a hand-made link count comes to: one of the sizing verdicts, or that it presses, hangs, or is lopsided. */
export type LinksVerdict = ProngVerdict | 'presses' | 'hangs' | 'lopsided';

export type LinksJudgement = ProngGirths & { links: number; change: number; verdict: LinksVerdict; reasons: ProngReason[] };

/**
 * Judges a collar as somebody has made it up by hand, link by link and side by side, by the same rules that size it.
 *
 * At the count that sizing would choose the verdict is the sizing's own; elsewhere it presses or hangs. A difference
 * between the sides of two is mentioned, of three or more refused. Common practice.
 */
export function judgeLinks(collar: ProngCollar, split: LinkSplit, neck: ProngNeck, rules: HouseRules): LinksJudgement {
  const links = split.left + split.right;
  const sized = sizeProng(collar, neck, 0, rules);
  const girths = prongGirths(collar, links, neck.girthMm);
  const sides = evenness(split);
  const uneven: ProngReason[] = sides === 'even' ? [] : [{ code: 'uneven-sides', ...split }];
  const base = { ...girths, links, change: links - collar.links };
  if (links === sized.links) {
    const verdict = sides === 'lopsided' && sized.verdict === 'fits' ? 'lopsided' : sized.verdict;
    return { ...base, verdict, reasons: [...uneven, ...sized.reasons] };
  }

  const head = headFault(girths.relaxedGirthMm, neck.headGirthMm);
  const faults = gaugeFaults(collar, links, neck.girthMm, rules);
  const slackMm = girths.slackMm;
  const window = slackWindow(collar, rules);
  const { lowMm, highMm } = window;
  const ends = windowEnds(window, rules);
  const place: ProngReason = below(slackMm, lowMm)
    ? { code: 'presses', slackMm, lowMm }
    : above(slackMm, highMm)
      ? { code: 'hangs', slackMm, highMm, ...ends }
      : { code: 'slack-inside', links, slackMm, lowMm, highMm, ...ends };
  const verdict: LinksVerdict =
    head?.code === 'passes-head'
      ? 'overhead'
      : faults.length > 0
        ? 'wrong-gauge'
        : place.code === 'presses'
          ? 'presses'
          : place.code === 'hangs'
            ? 'hangs'
            : sides === 'lopsided'
              ? 'lopsided'
              : 'fits';
  return { ...base, verdict, reasons: [...(head ? [head] : []), ...faults, place, ...uneven] };
}
