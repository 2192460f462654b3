import type { HouseRules } from '../../rules/house-rules.ts';
import type { ReasonWords } from '../../reasons/reason.ts';
import { atLeast } from '../../units/tolerance.ts';

export const CONTACT_VERDICTS = ['fits', 'too-short'] as const;
export type ContactVerdict = (typeof CONTACT_VERDICTS)[number];

export type ContactReason =
  | { code: 'post-reaches'; postMm: number; neededMm: number; coatDepthMm: number; clearanceMm: number }
  | { code: 'posts-too-short'; longestMm: number; neededMm: number; coatDepthMm: number; clearanceMm: number };

export const CONTACT_REASON_WORDS: ReasonWords<ContactReason> = {
  'post-reaches': (r, speak) =>
    `Through ${speak.gap(r.coatDepthMm)} of flattened coat and ${speak.gap(r.clearanceMm)} beyond it takes ${speak.gap(r.neededMm)}: the shortest post that reaches is ${speak.gap(r.postMm)}.`,
  'posts-too-short': (r, speak) =>
    `Through ${speak.gap(r.coatDepthMm)} of flattened coat and ${speak.gap(r.clearanceMm)} beyond it takes ${speak.gap(r.neededMm)}, and the longest post is ${speak.gap(r.longestMm)}: part or trim the hair, never turn up the level.`,
};

/**
 * The shortest post that reaches the skin through the flattened coat: coat depth + `postClearanceMm`, all mm; null when none
 * does. `postsMm` must not be empty. Common practice.
 *
 * @example contactPosts(9, [9, 12, 16], rules).postMm // 12
 */
export function contactPosts(coatDepthMm: number, postsMm: readonly number[], rules: HouseRules) {
  const clearanceMm = rules.postClearanceMm;
  const neededMm = coatDepthMm + clearanceMm;
  const reaching = postsMm.filter((post) => atLeast(post, neededMm));
  const postMm = reaching.length === 0 ? null : Math.min(...reaching);
  const verdict: ContactVerdict = postMm === null ? 'too-short' : 'fits';
  const reason: ContactReason =
    postMm === null
      ? { code: 'posts-too-short', longestMm: Math.max(...postsMm), neededMm, coatDepthMm, clearanceMm }
      : { code: 'post-reaches', postMm, neededMm, coatDepthMm, clearanceMm };
  return { postMm, verdict, reasons: [reason] };
}
