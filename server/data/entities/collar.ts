import type { CollarFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

export type CollarRow = Omit<CollarFacts, 'retiredAt'> & { id: string; kennelId: string; version: number; retiredAt: Date | null };

export const CollarEntity = new EntitySchema<CollarRow>({
  name: 'collar',
  tableName: 'collars',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    kind: { type: 'varchar', length: 40 },
    name: { type: 'varchar', length: 60 },
    metal: { type: 'varchar', length: 40, nullable: true },
    numbers: { type: 'json' },
    condition: { type: 'varchar', length: 10 },
    measuredOn: { type: 'date', nullable: true },
    owned: { type: 'boolean', default: true },
    note: { type: 'varchar', length: 400 },
    retiredAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
