import type { Plan } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { keptColumns, recordColumns } from '../columns.ts';

export type PlanRow = Omit<Plan, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const PlanEntity = new EntitySchema<PlanRow>({
  name: 'plan',
  tableName: 'plans',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    collarId: { type: 'uuid' },
    kind: { type: 'varchar', length: 40 },
    choices: { type: 'json' },
    placeId: { type: 'uuid', nullable: true },
    note: { type: 'varchar', length: 1000 },
    inputs: { type: 'json' },
    outcome: { type: 'json' },
    ...keptColumns,
  },
});
