import type { InviteFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** An invitation; of its key only the SHA-256 is kept. */
export type InviteRow = Omit<InviteFacts, 'expiresAt' | 'revokedAt'> & {
  id: string;
  kennelId: string;
  version: number;
  expiresAt: Date;
  revokedAt: Date | null;
  usedAt: Date | null;
};

export const InviteEntity = new EntitySchema<InviteRow>({
  name: 'invite',
  tableName: 'invites',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    name: { type: 'varchar', length: 80 },
    role: { type: 'varchar', length: 10 },
    personId: { type: 'uuid', nullable: true },
    keyHash: { type: 'char', length: 64 },
    expiresAt: { type: 'datetime', precision: 3 },
    revokedAt: { type: 'datetime', precision: 3, nullable: true },
    usedAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
