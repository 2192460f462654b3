import { INSPECT_BED, INSPECT_CLOTH, INSPECT_LEASH, INSPECT_SNAP, INSPECTION_OUTCOMES, type InspectionSpec } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Instant, passage, RecordId } from './common.ts';
import type { GearName } from './gear.ts';

/** A look at one piece of gear, whole: a collar or a piece beside them, and what was found by item. */
export const NewInspection = z
  .strictObject({
    collarId: RecordId.nullable(),
    gearId: RecordId.nullable(),
    answers: z.record(z.string().max(20), z.string().max(20)),
    note: passage(1000),
    at: Instant,
  })
  .check(({ value, issues }) => {
    if ((value.collarId === null) === (value.gearId === null))
      issues.push({ code: 'custom', path: ['collarId'], input: value.collarId, message: 'An inspection is of one piece: a collar, or a piece of gear.' });
  });
export type NewInspection = z.infer<typeof NewInspection>;

export const Inspection = z.object({
  ...NewInspection.shape,
  id: RecordId,
  outcome: z.enum(INSPECTION_OUTCOMES),
  copy: z.boolean(),
  recordedAt: Instant,
  personId: RecordId,
  personName: z.string(),
});
export type Inspection = z.infer<typeof Inspection>;

/** How a collar is inspected: as all of its kind are, and by what its own numbers say that it has. */
export function inspectionOf({ kind, numbers }: { kind: CollarKindName; numbers: unknown }): InspectionSpec {
  const { traits, looksAlso } = collarKind(kind);
  return { ...traits.inspection, items: [...traits.inspection.items, ...(looksAlso?.(numbers) ?? [])] };
}
/** How a piece of gear is inspected. */
export const GEAR_INSPECTIONS: Record<GearName, InspectionSpec> = {
  leash: INSPECT_LEASH,
  'long line': INSPECT_LEASH,
  'slip leash': INSPECT_LEASH,
  snap: INSPECT_SNAP,
  carabiner: INSPECT_SNAP,
  coupler: INSPECT_CLOTH,
  'safety strap': INSPECT_CLOTH,
  'raised bed': INSPECT_BED,
  mat: INSPECT_BED,
  pouch: INSPECT_CLOTH,
};

/** Every item of an inspection with what may be found, to hold answers against: what is missing or not known, as sentences by item. */
export function inspectionFaults({ items }: InspectionSpec, answers: Readonly<Record<string, string>>): { item: string; message: string }[] {
  const unknown = Object.keys(answers).filter((id) => !items.some((item) => item.id === id));
  return [
    ...unknown.map((item) => ({ item, message: 'This is not inspected on such a piece.' })),
    ...items.flatMap(({ id, finds }) =>
      finds.some(({ value }) => value === answers[id])
        ? []
        : [{ item: id, message: answers[id] === undefined ? 'This has not been inspected.' : 'This cannot be found there.' }],
    ),
  ];
}
