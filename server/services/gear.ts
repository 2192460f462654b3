import type { Gear, GearFacts, Want, WantFacts } from '@banter/contract';
import { GearEntity, WantEntity, type GearRow, type WantRow } from '../data/entities/gear.ts';
import type { VersionedKind } from '../records/record-base.ts';

export function gearAnswer({ kennelId: _kennel, retiredAt, ...row }: GearRow): Gear {
  return { ...row, retiredAt: retiredAt && retiredAt.toISOString() };
}

export const gearKind: VersionedKind<GearRow, GearFacts, Gear> = {
  entity: GearEntity,
  toColumns: ({ retiredAt, ...facts }) => ({ ...facts, retiredAt: retiredAt === null ? null : new Date(retiredAt) }),
  toAnswer: gearAnswer,
};

export function wantAnswer({ kennelId: _kennel, boughtAt, ...row }: WantRow): Want {
  return { ...row, boughtAt: boughtAt && boughtAt.toISOString() };
}

export const wantKind: VersionedKind<WantRow, WantFacts, Want> = {
  entity: WantEntity,
  toColumns: ({ boughtAt, ...facts }) => ({ ...facts, boughtAt: boughtAt === null ? null : new Date(boughtAt) }),
  toAnswer: wantAnswer,
};
