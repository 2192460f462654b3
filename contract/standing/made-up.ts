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
  /** The links that are in it by the ledger, where it has any: fewer than it was found with once one has been scrapped. */
  links: z.number().int().nullable(),
  at: Instant,
});
export type MadeUp = z.infer<typeof MadeUp>;

type Fit = { plan: Plan; check: FitCheck | null };

/** How a fit wants its collar made up: as it was last found on its dog, else as it was planned. */
const wantedBy = ({ plan, check }: Fit): unknown => check?.on ?? collarKind(plan.kind).firstSetting(plan.choices);
const linksOfFit = ({ plan }: Fit) => collarKind(plan.kind).links?.(plan.inputs.collar.numbers) ?? null;

/**
 * What a fit's collar is made up as since, where that is another make-up than the fit's: for another dog, or with links that were put
 * in or taken out of it. The fit no longer stands then; null where it does.
 */
export function madeUpElsewhere(fit: Fit, madeUp: readonly MadeUp[]): MadeUp | null {
  const now = madeUp.find(({ collarId }) => collarId === fit.plan.collarId);
  if (!now) return null;
  if (now.dogId === fit.plan.dogId) {
    const wanted = fit.check && linksOfFit(fit)?.inIt(fit.check.on);
    return wanted != null && now.links !== null && now.links !== wanted ? now : null;
  }
  if (now.at <= (fit.check?.at ?? fit.plan.at)) return null;
  return JSON.stringify(now.on) === JSON.stringify(wantedBy(fit)) ? null : now;
}

/** What a collar is made up as now, and what makes it fit this dog again, as one sentence. */
export function madeUpWords(now: MadeUp, fit: Fit, speak: Speaker): string {
  const kind = collarKind(fit.plan.kind);
  const wanted = wantedBy(fit);
  const links = linksOfFit(fit);
  const has = links && (now.links ?? links.inIt(now.on));
  const is =
    now.dogId === fit.plan.dogId
      ? `«${now.collarName}» has ${countOf(has ?? 0, 'link')} now`
      : `«${now.collarName}» is made up for ${now.dogName} now, ${kind.describeSetting(now.on, speak)}`;
  const missing = links ? links.inIt(wanted) - has! : 0;
  if (missing > 0) return `${is}: put ${countOf(missing, 'link')} back in first.`;
  if (missing < 0) return `${is}: take ${countOf(-missing, 'link')} out first.`;
  return `${is}: make it up again first, ${kind.describeSetting(wanted, speak)}.`;
}
