import type { ReasonWords } from '../reasons/reason.ts';
import type { TapeSite } from './sites.ts';

/** Measures of one dog that are unusual together. Asked about, never refused or changed; mm. */
export type TapeContradiction =
  | { code: 'head-under-neck'; headMm: number; highMm: number }
  | { code: 'muzzle-over-head'; muzzleMm: number; headMm: number }
  | { code: 'stop-over-head'; stopMm: number; headMm: number }
  | { code: 'base-under-high'; baseMm: number; highMm: number }
  | { code: 'muzzle-longer-than-round'; lengthMm: number; muzzleMm: number };

export const TAPE_CONTRADICTION_WORDS: ReasonWords<TapeContradiction> = {
  'head-under-neck': (r, speak) =>
    `The head, ${speak.taped(r.headMm)}, comes out smaller than the neck, ${speak.taped(r.highMm)}. That can be, in a few dogs; was the head taped round its broadest part, ears included, and the neck high?`,
  'muzzle-over-head': (r, speak) => `The muzzle, ${speak.taped(r.muzzleMm)}, comes out larger than the head, ${speak.taped(r.headMm)}. Were the two mixed up?`,
  'stop-over-head': (r, speak) => `The nose end, ${speak.taped(r.stopMm)}, comes out larger than the head, ${speak.taped(r.headMm)}. Were the two mixed up?`,
  'base-under-high': (r, speak) =>
    `The base, ${speak.taped(r.baseMm)}, comes out smaller than the high girth, ${speak.taped(r.highMm)}. The base is the widest place; were the two mixed up?`,
  'muzzle-longer-than-round': (r, speak) =>
    `The muzzle, ${speak.gap(r.lengthMm)} long, would be longer than it is round, ${speak.taped(r.muzzleMm)}. It is measured from between the eyes to the nose leather.`,
};

/** What is unusual among the measures of one dog, in the order in which it is asked. Common practice. */
export function tapeContradictions(taped: Partial<Record<TapeSite, number | null | undefined>>): TapeContradiction[] {
  const { high, base, head, muzzle, stop } = taped;
  const lengthMm = taped['muzzle-length'];
  const asked: TapeContradiction[] = [];
  if (head != null && high != null && head < high) asked.push({ code: 'head-under-neck', headMm: head, highMm: high });
  if (muzzle != null && head != null && muzzle >= head) asked.push({ code: 'muzzle-over-head', muzzleMm: muzzle, headMm: head });
  if (stop != null && head != null && stop >= head) asked.push({ code: 'stop-over-head', stopMm: stop, headMm: head });
  if (base != null && high != null && base < high) asked.push({ code: 'base-under-high', baseMm: base, highMm: high });
  if (lengthMm != null && muzzle != null && lengthMm > muzzle) asked.push({ code: 'muzzle-longer-than-round', lengthMm, muzzleMm: muzzle });
  return asked;
}
