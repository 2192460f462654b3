import { countOf, type Speaker } from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Instant, RecordId } from '../records/common.ts';
import type { FitCheck } from '../records/fit-check.ts';
import type { Plan } from '../records/plan.ts';

/** For which dog a collar is made up now, and how: as it was last found on any dog. A physical collar is made up for one dog at a time. Common practice. */
export const MadeUp = z.object({
  collarId: RecordId,
  collarName: z.string(),
  kind: z.enum(COLLAR_KIND_NAMES),
  dogId: RecordId,
  dogName: z.string(),
  on: z.unknown(),
  /** The collar's own numbers now. */
  numbers: z.unknown(),
  at: Instant,
});
export type MadeUp = z.infer<typeof MadeUp>;

type Fit = { plan: Plan; check: FitCheck | null };

/** How a fit wants its collar made up: as it was last found on its dog, else as it was planned. */
const wantedBy = ({ plan, check }: Fit): unknown => check?.on ?? collarKind(plan.kind).firstSetting(plan.choices);

/**
 * The other dog for which a fit's collar has been made up since, where that is another make-up: the fit no longer stands. Null where
 * it does.
 */
export function madeUpElsewhere(fit: Fit, madeUp: readonly MadeUp[]): MadeUp | null {
  const now = madeUp.find(({ collarId }) => collarId === fit.plan.collarId);
  if (!now || now.dogId === fit.plan.dogId || now.at <= (fit.check?.at ?? fit.plan.at)) return null;
  return JSON.stringify(now.on) === JSON.stringify(wantedBy(fit)) ? null : now;
}

/** What a collar is made up as for another dog, and what makes it fit this one again, as one sentence. */
export function madeUpWords(now: MadeUp, fit: Fit, speak: Speaker): string {
  const kind = collarKind(fit.plan.kind);
  const wanted = wantedBy(fit);
  const links = kind.links?.(fit.plan.inputs.collar.numbers);
  const is = `«${now.collarName}» is made up for ${now.dogName} now, ${kind.describeSetting(now.on, speak)}`;
  const missing = links ? links.inIt(wanted) - links.inIt(now.on) : 0;
  if (missing > 0) return `${is}: put ${countOf(missing, 'link')} back in first.`;
  if (missing < 0) return `${is}: take ${countOf(-missing, 'link')} out first.`;
  return `${is}: make it up again first, ${kind.describeSetting(wanted, speak)}.`;
}
