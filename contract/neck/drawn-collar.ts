import { ringClock, stackOnNeck, type FittingDog, type House } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { Dog } from '../records/dog.ts';
import type { Dressing } from '../records/dressing.ts';
import type { CurrentFit } from '../records/ending.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import { stackItems } from './dressed-dog.ts';
import type { DressedItem } from './dressed.ts';

/** What a drawing is told, whatever the kind: the collar, how it is made up, and where its ring sits. */
export type DrawnCollar = {
  kind: CollarKindName;
  collar: { id: string; name: string; numbers: Record<string, unknown> };
  setting: unknown;
  ringAt: number;
  /** Upper edge of the band, mm down from the ear base, where a stack has given it one. */
  topMm?: number;
};

/** A band that is no collar of ours: an owner's own strap, or one against parasites; mm down from the ear base. */
export type PlainBand = { key: string; label: string; topMm: number; widthMm: number; strap: boolean };

/** What the cross-section of a kind is told: the drawn collar and the neck it lies on. */
export type SectionProps = { drawn: DrawnCollar; dog: FittingDog };

/** Where the ring of a collar sits, o'clock: as its plan has it, else by the school of the dog or of the house. */
export function ringAtFor(kind: CollarKindName, choices: unknown, { schools }: Pick<House, 'schools'>, worksOn: Dog['worksOn']): number {
  return ringClock(collarKind(kind).held(choices).ringPlace ?? schools.ringPlace, worksOn);
}

/** A collar as it was decided, or as it was last found on the dog, for the drawing on the unrolled neck. */
export function drawnCollar(fit: Pick<CurrentFit, 'plan' | 'check'> | null, dog: Dog, kennel: Kennel): DrawnCollar | null {
  if (!fit) return null;
  const { plan, check } = fit;
  return {
    kind: plan.kind,
    collar: plan.inputs.collar,
    setting: check?.on ?? collarKind(plan.kind).firstSetting(plan.choices),
    ringAt: ringAtFor(plan.kind, plan.choices, houseOf(kennel, dog), dog.worksOn),
  };
}

/** Ear base to the first collar, mm: a training collar lies directly behind the ears. */
const FIRST_MM = 4;

/** The things of a stack where they lie: collars by their drawings, the rest as plain bands. */
export function drawnItems(
  items: readonly DressedItem<Pick<CurrentFit, 'plan' | 'check'>>[],
  dog: Dog,
  kennel: Kennel,
  clockOf: (kind: CollarKindName) => number | null = () => null,
) {
  const lying = items.filter(({ widthMm }) => widthMm > 0);
  const { places } = stackOnNeck(lying, null, houseOf(kennel, dog).rules);
  const topOf = (id: string) => FIRST_MM + places.find((place) => place.id === id)!.topMm;
  const collars = lying.flatMap(({ id, fit }): DrawnCollar[] => {
    const drawn = drawnCollar(fit, dog, kennel);
    if (!drawn) return [];
    const clock = clockOf(drawn.kind);
    return [{ ...drawn, ...(clock === null ? {} : { setting: { ...(drawn.setting as object), clock } }), topMm: topOf(id) }];
  });
  const bands = lying.flatMap(({ id, name, fit, layer, widthMm }): PlainBand[] =>
    fit ? [] : [{ key: id, label: name, topMm: topOf(id), widthMm, strap: layer === 'holding' }],
  );
  return { collars, bands, places: lying.map(({ id, name, widthMm }) => ({ id, name, widthMm, topMm: topOf(id) })) };
}

/** Everything that has been fitted on a dog, lying as it was laid out, else in the usual order. */
export function drawnFits(fits: readonly Pick<CurrentFit, 'plan' | 'check'>[], dog: Dog, kennel: Kennel, dressing: Dressing | null = null) {
  const { collars, bands } = drawnItems(stackItems({ dressing }, fits), dog, kennel);
  return { collars, bands };
}
