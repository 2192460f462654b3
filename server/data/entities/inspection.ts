import type { Inspection } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type InspectionRow = Omit<Inspection, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const InspectionEntity = new EntitySchema<InspectionRow>({
  name: 'inspection',
  tableName: 'inspections',
  columns: {
    ...recordColumns,
    collarId: { type: 'uuid', nullable: true },
    gearId: { type: 'uuid', nullable: true },
    answers: { type: 'json' },
    outcome: { type: 'varchar', length: 10 },
    copy: { type: 'boolean' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});
