import { collarKind, type CurrentFit, type NextStep } from '@banter/contract';
import type { Speaker } from '@banter/core';

/** A fit as the dog wears it: as it was last found on the dog, else as planned. */
export function wornFitLine({ plan, check }: Pick<CurrentFit, 'plan' | 'check'>, speak: Speaker): string {
  const kind = collarKind(plan.kind);
  return kind.describePlan(plan.inputs.collar, kind.wornChoices(plan.choices, check?.on ?? null), plan.outcome, speak);
}

/** Where a next step is done. */
export function goToStep(dogId: string, { goTo, kind }: NextStep): string {
  return `/dogs/${dogId}/${goTo}${goTo === 'check' && kind ? `?kind=${kind}` : ''}`;
}
