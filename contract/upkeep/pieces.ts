import { CONDITIONS, INSPECTION_OUTCOMES, inspectionDue, lookedAtOn, type HouseRules, type InspectionDue, type InspectionSpec, capital } from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind, linksOf } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import type { Collar } from '../records/collar.ts';
import { Instant, RecordId } from '../records/common.ts';
import { GEAR, type Gear } from '../records/gear.ts';
import { GEAR_INSPECTIONS, inspectionOf, type Inspection } from '../records/inspection.ts';

/** A piece of gear as upkeep sees it: what it is, how it was found last, how often it went on since, and who wears it. */
export const UpkeepPiece = z.object({
  id: RecordId,
  is: z.discriminatedUnion('of', [
    z.object({ of: z.literal('collar'), kind: z.enum(COLLAR_KIND_NAMES), numbers: z.record(z.string(), z.unknown()) }),
    z.object({ of: z.literal('gear'), what: z.enum(GEAR) }),
  ]),
  name: z.string(),
  condition: z.enum(CONDITIONS),
  scrapped: z.boolean(),
  last: z.object({ at: Instant, outcome: z.enum(INSPECTION_OUTCOMES), copy: z.boolean(), personName: z.string() }).nullable(),
  /** It was measured, and called sound, since it was inspected last: that day counts as its inspection. */
  measuredSince: z.string().nullable(),
  wears: z.number().int(),
  worn: z.array(z.object({ dogId: RecordId, dogName: z.string() })),
});
export type UpkeepPiece = z.infer<typeof UpkeepPiece>;

/** A piece by itself, whoever wears it. */
export type PieceAlone = Omit<UpkeepPiece, 'worn'>;

/** How a piece is looked at. */
export const pieceInspection = ({ is }: Pick<UpkeepPiece, 'is'>): InspectionSpec => (is.of === 'collar' ? inspectionOf(is) : GEAR_INSPECTIONS[is.what]);
/** What a piece is called by its kind. */
export const pieceWord = ({ is }: Pick<UpkeepPiece, 'is'>): string => (is.of === 'collar' ? collarKind(is.kind).name : capital(is.what));
/** The gauge of a piece's links, mm, where it has any: one that will not hold can be scrapped by itself. */
export const pieceLinkGaugeMm = ({ is }: Pick<UpkeepPiece, 'is'>): number | null => (is.of === 'collar' ? (linksOf(is)?.gaugeMm ?? null) : null);

const told = (last: Inspection | null): UpkeepPiece['last'] => last && { at: last.at, outcome: last.outcome, copy: last.copy, personName: last.personName };

/** A collar of the locker as upkeep sees it, with its last inspection and how often it went on since. */
export function collarPiece({ id, kind, numbers, name, condition, measuredOn, retiredAt }: Collar, last: Inspection | null, wears: number): PieceAlone {
  const inspectedOn = last?.at.slice(0, 10) ?? null;
  const lookedOn = lookedAtOn({ inspectedOn, measuredOn, saidSound: condition === 'sound' });
  const measuredSince = lookedOn === inspectedOn ? null : lookedOn;
  return { id, is: { of: 'collar', kind, numbers }, name, condition, scrapped: retiredAt !== null, last: told(last), measuredSince, wears };
}

/** A piece beside the collars as upkeep sees it. */
export const gearPiece = ({ id, what, name, condition, retiredAt }: Gear, last: Inspection | null): PieceAlone => ({
  id,
  is: { of: 'gear', what },
  name,
  condition,
  scrapped: retiredAt !== null,
  last: told(last),
  measuredSince: null,
  wears: 0,
});

/** Whether, why and since when (ms) a piece is to be looked at, at an instant (ms). */
export const pieceDue = (
  { last, measuredSince, wears }: Pick<UpkeepPiece, 'last' | 'measuredSince' | 'wears'>,
  now: number,
  rules: Pick<HouseRules, 'inspectDays' | 'inspectWears'>,
): InspectionDue =>
  measuredSince === null
    ? inspectionDue({ lastAt: last && Date.parse(last.at), outcome: last?.outcome ?? null, wears }, now, rules)
    : inspectionDue({ lastAt: Date.parse(measuredSince), outcome: 'ok', wears }, now, rules);

/** What is scrapped comes after all that is here. */
export const SCRAPPED_RANK = 9;

/**
 * The place of a piece in the list of Upkeep: what is to be mended first, then what was never looked at, then by when it is due (ms); each
 * with what a dog wears first. Due is what comes before `DUE_ALWAYS_RANK`, and of the rest what was due by now.
 */
export function pieceOrder(piece: PieceAlone, isWorn: boolean, rules: Pick<HouseRules, 'inspectDays' | 'inspectWears'>): { rank: number; at: number } {
  if (piece.scrapped) return { rank: SCRAPPED_RANK, at: 0 };
  // Of long ago: then only the wears since can make it due before its day.
  const { why, at } = pieceDue(piece, 0, rules);
  const after = isWorn ? 0 : 1;
  if (why === 'mend') return { rank: after, at: 0 };
  if (why === 'never') return { rank: 2 + after, at: 0 };
  return { rank: DUE_BY_TIME_RANK, at: why === 'wears' ? after : at };
}
/** From this rank on a piece is due by its instant. */
export const DUE_BY_TIME_RANK = 4;
