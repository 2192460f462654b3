import type { Drill } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type DrillRow = Omit<Drill, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };
export const DrillEntity = new EntitySchema<DrillRow>({
  name: 'drill',
  tableName: 'drills',
  columns: {
    ...recordColumns,
    seed: { type: 'int' },
    pace: { type: 'varchar', length: 10 },
    collar: { type: 'varchar', length: 20 },
    answers: { type: 'json' },
    score: { type: 'json' },
    coreVersion: { type: 'varchar', length: 20 },
    ...happenedColumns,
  },
});
