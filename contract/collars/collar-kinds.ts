import { COLLAR_KINDS } from './registry.ts';
import { rigCatalogue, type CorrectionWays } from '@banter/core';
import type { CheckOutcome, CollarKind, DeviceTraits, PlanOutcome } from './collar-kind.ts';

export { COLLAR_KINDS };
export type CollarKindName = keyof typeof COLLAR_KINDS;
export const COLLAR_KIND_NAMES = Object.keys(COLLAR_KINDS) as [CollarKindName, ...CollarKindName[]];

/** A kind as code that serves all of them sees it; what it takes has been parsed by the kind's own schemas. */
export type AnyCollarKind = CollarKind<unknown, unknown, PlanOutcome, unknown, unknown, CheckOutcome>;

export function collarKind(name: CollarKindName): AnyCollarKind {
  return COLLAR_KINDS[name] as unknown as AnyCollarKind;
}

/** What rigs are made of, with every kind of collar in its role. */
export const RIG_CATALOGUE = rigCatalogue(COLLAR_KIND_NAMES.map((name) => COLLAR_KINDS[name].traits.rig));

/** How corrections go, by the collars that are handled alike. */
export const CORRECTION_WAYS: readonly CorrectionWays[] = [
  ...new Map(COLLAR_KIND_NAMES.flatMap((name) => COLLAR_KINDS[name].traits.ways ?? []).map((ways) => [ways.id, ways])).values(),
];
/** The ways of correcting by their id; the first of all where an id is not known. */
export const correctionWays = (id: string): CorrectionWays => CORRECTION_WAYS.find((ways) => ways.id === id) ?? CORRECTION_WAYS[0]!;

/** The device that a collar is, by its own numbers; null for one that is none. */
export const deviceOf = ({ kind, numbers }: { kind: CollarKindName; numbers: unknown }): DeviceTraits | null => collarKind(kind).device?.(numbers) ?? null;
/** Whether a kind of collar is a device. */
export const isDevice = (kind: CollarKindName): boolean => collarKind(kind).device !== null;
/** Links that come in and out of a collar, by its own numbers; null for one that has none. */
export const linksOf = ({ kind, numbers }: { kind: CollarKindName; numbers: unknown }) => collarKind(kind).links?.(numbers) ?? null;
