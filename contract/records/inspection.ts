import { INSPECTION_ITEMS, INSPECTION_OUTCOMES, type InspectionGroup } from '@banter/core';
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

const BY_WEAR = { pinch: 'prong', closing: 'slip', loop: 'cloth', strap: 'cloth', nose: 'cloth', contacts: 'electronic' } as const;
/** How a kind of collar is inspected: by what wearing it is held to. */
export function inspectionGroupOf(kind: CollarKindName): InspectionGroup {
  const as = collarKind(kind).onNeck.wornAs;
  return BY_WEAR[as as keyof typeof BY_WEAR] ?? 'cloth';
}
/** How a piece of gear is inspected. */
export const GEAR_GROUPS: Record<GearName, InspectionGroup> = {
  leash: 'leash',
  'long line': 'leash',
  'slip leash': 'leash',
  snap: 'snap',
  carabiner: 'snap',
  coupler: 'cloth',
  'safety strap': 'cloth',
  'raised bed': 'bed',
  mat: 'bed',
  pouch: 'cloth',
};

/** Every item of a group with what may be found, to hold answers against: what is missing or not known, as sentences by item. */
export function inspectionFaults(group: InspectionGroup, answers: Readonly<Record<string, string>>): { item: string; message: string }[] {
  const items = INSPECTION_ITEMS[group];
  const unknown = Object.keys(answers).filter((id) => !items.some((item) => item.id === id));
  return [
    ...unknown.map((item) => ({ item, message: 'This is not looked at on such a piece.' })),
    ...items.flatMap(({ id, finds }) =>
      finds.some(({ value }) => value === answers[id])
        ? []
        : [{ item: id, message: answers[id] === undefined ? 'This has not been looked at.' : 'This cannot be found there.' }],
    ),
  ];
}
