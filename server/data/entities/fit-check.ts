import type { FitCheck } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { keptColumns, recordColumns } from '../columns.ts';

export type FitCheckRow = Omit<FitCheck, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const FitCheckEntity = new EntitySchema<FitCheckRow>({
  name: 'fit_check',
  tableName: 'fit_checks',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    planId: { type: 'uuid' },
    kind: { type: 'varchar', length: 40 },
    attempt: { type: 'int' },
    on: { type: 'json', name: 'setting' },
    answers: { type: 'json' },
    note: { type: 'varchar', length: 1000 },
    outcome: { type: 'json' },
    ...keptColumns,
  },
});
