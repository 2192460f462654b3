import type { Weighing } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type WeighingRow = Omit<Weighing, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const WeighingEntity = new EntitySchema<WeighingRow>({
  name: 'weighing',
  tableName: 'weighings',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    weightG: { type: 'double', nullable: true },
    correctsId: { type: 'uuid', nullable: true },
    note: { type: 'varchar', length: 400 },
    ...happenedColumns,
  },
});
