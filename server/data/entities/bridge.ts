import type { BridgeFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** A program that may tell events; of its key only the SHA-256 is kept. */
export type BridgeRow = Omit<BridgeFacts, 'revokedAt'> & { id: string; kennelId: string; version: number; revokedAt: Date | null; lastSeenAt: Date | null };

export const BridgeEntity = new EntitySchema<BridgeRow>({
  name: 'bridge',
  tableName: 'bridges',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    name: { type: 'varchar', length: 60 },
    keyHash: { type: 'char', length: 64 },
    revokedAt: { type: 'datetime', precision: 3, nullable: true },
    lastSeenAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
