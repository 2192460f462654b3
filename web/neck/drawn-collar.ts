import { collarKind, houseOf, type CollarKindName, type CurrentFit, type Dog, type Kennel } from '@banter/contract';
import { ringClock, type FittingDog } from '@banter/core';

/** What a drawing is told, whatever the kind: the collar, how it is made up, and where its ring sits. */
export type DrawnCollar = {
  kind: CollarKindName;
  collar: { id: string; name: string; numbers: Record<string, unknown> };
  setting: unknown;
  ringAt: number;
  /** Upper edge of the band, mm down from the ear base, where a stack has given it one. */
  topMm?: number;
};

/** What the cross-section of a kind is told: the drawn collar and the neck it lies on. */
export type SectionProps = { drawn: DrawnCollar; dog: FittingDog };

/** Where the ring of a dog's collar sits, by its own or the house's school. */
export const ringAtOf = (dog: Dog, kennel: Kennel): number => ringClock(houseOf(kennel, dog).schools.ringPlace, dog.worksOn);

/** A collar as it was decided, or as it was last found on the dog, for the drawing on the unrolled neck. */
export function drawnCollar(fit: Pick<CurrentFit, 'plan' | 'check'> | null, dog: Dog, kennel: Kennel): DrawnCollar | null {
  if (!fit) return null;
  const { plan, check } = fit;
  return {
    kind: plan.kind,
    collar: plan.inputs.collar,
    setting: check?.on ?? collarKind(plan.kind).firstSetting(plan.choices),
    ringAt: ringAtOf(dog, kennel),
  };
}
