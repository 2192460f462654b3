import { collarKind, type CollarKindName, type Dog, type FitCheck, type Kennel, type Plan } from '@banter/contract';
import { ringClock } from '@banter/core';

/** What a drawing on the unrolled neck is told, whatever the kind: the collar, how it is made up, and where its ring sits. */
export type DrawnCollar = {
  kind: CollarKindName;
  collar: { id: string; name: string; numbers: Record<string, unknown> };
  setting: unknown;
  ringAt: number;
};

/** A collar as it was decided, or as it was last found on the dog, for the drawing on the unrolled neck. */
export function drawnCollar(plan: Plan | null, check: FitCheck | null, dog: Dog, kennel: Kennel): DrawnCollar | null {
  if (!plan) return null;
  return {
    kind: plan.kind,
    collar: plan.inputs.collar,
    setting: check?.on ?? collarKind(plan.kind).firstSetting(plan.choices),
    ringAt: ringClock(kennel.ringPlace, dog.worksOn),
  };
}
