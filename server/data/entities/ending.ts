import type { Ending } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type EndingRow = Omit<Ending, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const EndingEntity = new EntitySchema<EndingRow>({
  name: 'ending',
  tableName: 'endings',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    planId: { type: 'uuid' },
    ended: { type: 'boolean' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});
