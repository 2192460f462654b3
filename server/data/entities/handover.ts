import type { Handover, OwnerLinkFacts, OwnerVisit } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { keptColumns, recordColumns } from '../columns.ts';

/** A dog as it was handed over: the sheet as it stood then. */
export type HandoverRow = Omit<Handover, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const HandoverEntity = new EntitySchema<HandoverRow>({
  name: 'handover',
  tableName: 'handovers',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    toWhom: { type: 'varchar', length: 120 },
    callWhom: { type: 'varchar', length: 160 },
    lengthUnit: { type: 'varchar', length: 2 },
    massUnit: { type: 'varchar', length: 2 },
    note: { type: 'text' },
    sheet: { type: 'json' },
    ...keptColumns,
  },
});

/** A private link for an owner; of its key only the SHA-256 is kept. */
export type OwnerLinkRow = Omit<OwnerLinkFacts, 'expiresAt' | 'revokedAt'> & {
  id: string;
  kennelId: string;
  version: number;
  expiresAt: Date;
  revokedAt: Date | null;
  lastSeenAt: Date | null;
};

export const OwnerLinkEntity = new EntitySchema<OwnerLinkRow>({
  name: 'ownerLink',
  tableName: 'owner_links',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    dogId: { type: 'uuid' },
    name: { type: 'varchar', length: 80 },
    keyHash: { type: 'char', length: 64 },
    expiresAt: { type: 'datetime', precision: 3 },
    revokedAt: { type: 'datetime', precision: 3, nullable: true },
    lastSeenAt: { type: 'datetime', precision: 3, nullable: true },
  },
});

/** What was done with an owner's link; never changed. */
export type OwnerVisitRow = Omit<OwnerVisit, 'at'> & { kennelId: string; dogId: string; at: Date };

export const OwnerVisitEntity = new EntitySchema<OwnerVisitRow>({
  name: 'ownerVisit',
  tableName: 'owner_visits',
  columns: {
    ...recordColumns,
    linkId: { type: 'uuid' },
    dogId: { type: 'uuid' },
    what: { type: 'varchar', length: 10 },
    item: { type: 'varchar', length: 60 },
    day: { type: 'date', nullable: true },
    at: { type: 'datetime', precision: 3 },
  },
});
