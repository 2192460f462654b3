import type { ContactWear, PlacementSchool, Rotation } from '@banter/core';
import { rotateContacts, type HouseRules, type SkinLook } from '@banter/core';
import type { Plan } from '../records/plan.ts';
import { footprintOf, hasContacts, type DressedWear } from './dressed-wears.ts';

/** What a fit of an electronic collar says of its contacts: how long they are along the strap, mm, and by which school their places are chosen. */
export type ContactsOfFit = { collarId: string; footprintMm: number; placement: PlacementSchool };

/** The contacts of a fit; null where the collar has none. */
export function contactsOfFit({ kind, collarId, inputs, choices }: Pick<Plan, 'kind' | 'collarId' | 'inputs' | 'choices'>): ContactsOfFit | null {
  const footprintMm = footprintOf({ kind, numbers: inputs.collar.numbers });
  return footprintMm === null ? null : { collarId, footprintMm, placement: (choices as { options: { placement: PlacementSchool } }).options.placement };
}

/** Where contacts of any of a dog's electronic collars have sat, as the places of one of them are chosen: only its own wear lasts, ms. */
export const contactPlaces = (wears: readonly DressedWear[], collarId: string, now: number): ContactWear[] =>
  wears
    .filter(({ collar }) => hasContacts(collar))
    .flatMap(({ wear }) => wear.places.map(({ value, from, to }) => ({ clock: value, from, to: to ?? (wear.collarId === collarId ? null : now) })));

/** Where the contacts of a fit go next on this dog, by the school of the fit or by another. */
export const rotationOf = (
  { collarId, footprintMm, placement }: ContactsOfFit,
  wears: readonly DressedWear[],
  { girthMm, skin, now }: { girthMm: number; skin: readonly SkinLook[]; now: number },
  rules: HouseRules,
  school: PlacementSchool = placement,
): Rotation => rotateContacts({ girthMm, footprintMm, now, worn: contactPlaces(wears, collarId, now), skin, school }, rules);
