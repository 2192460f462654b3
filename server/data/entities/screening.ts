import type { Lift, Screening } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type ScreeningRow = Omit<Screening, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const ScreeningEntity = new EntitySchema<ScreeningRow>({
  name: 'screening',
  tableName: 'screenings',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    answers: { type: 'json' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});

export type LiftRow = Omit<Lift, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const LiftEntity = new EntitySchema<LiftRow>({
  name: 'lift',
  tableName: 'lifts',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    item: { type: 'varchar', length: 40 },
    lifted: { type: 'boolean' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});
