import { madeUpSays, madeUpStanding, type FitWants, type Speaker } from '@banter/core';
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

/** For which dog a collar that somebody may choose is made up now, and how. */
export const SetFor = MadeUp.pick({ collarId: true, dogName: true, on: true });
export type SetFor = z.infer<typeof SetFor>;

type Fit = { plan: Plan; check: FitCheck | null };

/** How a fit wants its collar made up: as it was last found on its dog, else as it was planned. */
function wantedBy({ plan, check }: Fit): FitWants {
  const kind = collarKind(plan.kind);
  const on = check?.on ?? kind.firstSetting(plan.choices);
  const links = kind.links?.(plan.inputs.collar.numbers).inIt(on) ?? null;
  return { dogId: plan.dogId, at: check?.at ?? plan.at, on, links };
}
const standingOf = (fit: Fit, now: MadeUp | null) => madeUpStanding(wantedBy(fit), fit.check !== null, now);

/** What a fit's collar is made up as since, where it is no longer as the fit wants it; null where it is. */
export function madeUpElsewhere(fit: Fit, madeUp: readonly MadeUp[]): MadeUp | null {
  const now = madeUp.find(({ collarId }) => collarId === fit.plan.collarId) ?? null;
  return standingOf(fit, now) === 'as-wanted' ? null : now;
}

/** What a collar is made up as now, and what makes it fit this dog again, as one sentence. */
export function madeUpWords(now: MadeUp, fit: Fit, speak: Speaker): string {
  const kind = collarKind(fit.plan.kind);
  const wanted = wantedBy(fit);
  const links = now.links ?? kind.links?.(fit.plan.inputs.collar.numbers).inIt(now.on) ?? null;
  const is = { collar: now.collarName, dog: now.dogName, links, is: kind.describeSetting(now.on, speak) };
  return madeUpSays(now.dogId === fit.plan.dogId ? 'other-links' : 'for-another', is, { links: wanted.links, is: kind.describeSetting(wanted.on, speak) });
}
