import type { ReasonWords } from '../../reasons/reason.ts';
import { countOf } from '../../units/count-words.ts';
import { gaugeName } from './prong-collar.ts';

/** Why a check of a prong ends in its next step, beside what all checks say. Lengths mm. */
export type ProngCheckReason =
  | { code: 'tips-press' }
  | { code: 'too-loose'; highMm: number }
  | { code: 'gathered'; links: number }
  | { code: 'one-at-a-time' }
  | { code: 'slid-once' }
  | { code: 'slides-again' }
  | { code: 'could-pass-head' }
  | { code: 'passes-head-though-snug' }
  | { code: 'past-link-limit'; change: number; limit: number; gaugeMm: number }
  | { code: 'between-on-the-dog'; tighter: number; looser: number }
  | { code: 'snug-accepted'; limitMm: number }
  | { code: 'snug-not-known'; limitMm: number }
  | { code: 'uneven-sides'; left: number; right: number }
  | { code: 'loose-on-purpose'; links: number; to: number };

export const PRONG_CHECK_WORDS: ReasonWords<ProngCheckReason> = {
  'tips-press': () => 'No finger goes under or it does not turn: the tips press at rest.',
  'too-loose': (r, speak) => `It hangs: more than the ${speak.gap(r.highMm)} of slack that the house allows.`,
  gathered: (r) => `${countOf(r.links, 'link')} could be gathered on the dog.`,
  'one-at-a-time': () => 'From the dog one link at a time: re-hook, and look again.',
  'slid-once': () => 'It slid once with the head down.',
  'slides-again': () => 'It has slid again with a fit that feels right: a finer gauge holds better.',
  'could-pass-head': () => 'It could pass the head: too big, it must never.',
  'passes-head-though-snug': () => 'It could pass the head though it is not loose: this head is too narrow for it. Plan another collar, with a backup.',
  'past-link-limit': (r) =>
    r.change > 0
      ? `That would be ${countOf(r.change, 'link')} more than stocked, past the ${r.limit} that may be added to ${gaugeName(r.gaugeMm)}.`
      : `That would be ${countOf(-r.change, 'link')} fewer than stocked, past the ${r.limit} that may come out of ${gaugeName(r.gaugeMm)}.`,
  'between-on-the-dog': (r) => `Between two sizes on this dog: ${r.tighter} links press, ${r.looser} hang.`,
  'snug-accepted': (r, speak) => `School «snug» accepts it, as it presses by no more than ${speak.gap(r.limitMm)}.`,
  'snug-not-known': (r, speak) => `School «snug» accepts only up to ${speak.gap(r.limitMm)} of pressing, and that is not certain here.`,
  'uneven-sides': (r) => `${r.left} links on the dog’s left and ${r.right} on its right squeeze unevenly: even them out first.`,
  'loose-on-purpose': (r) => `School «start loose»: ${r.links} links now, a link tighter each session, ${r.to} in the end. It cannot pass the head.`,
};

/** What checks of before gave reasons by words of their own for; they are still read. */
export const EARLIER_CHECK_WORDS: Readonly<Record<string, string>> = {
  'breathing-not-free': 'It does not breathe freely: nothing else counts until it does.',
  'ear-caught': 'An ear is caught; it hurts, and the other answers are not to be trusted.',
  'sits-low': 'Lower down the neck is wider: a collar that feels right there is too big where it belongs.',
};
