import type { Taping } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { keptColumns, recordColumns } from '../columns.ts';

export type TapingRow = Omit<Taping, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const TapingEntity = new EntitySchema<TapingRow>({
  name: 'taping',
  tableName: 'tapings',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    site: { type: 'varchar', length: 20 },
    way: { type: 'varchar', length: 10 },
    readingsMm: { type: 'json' },
    typed: { type: 'json' },
    overCoat: { type: 'boolean' },
    coatDepthMm: { type: 'double', nullable: true },
    weightG: { type: 'double', nullable: true },
    settled: { type: 'boolean', default: false },
    neckBuild: { type: 'varchar', length: 10 },
    correctsId: { type: 'uuid', nullable: true },
    tapedMm: { type: 'double' },
    basis: { type: 'varchar', length: 10 },
    result: { type: 'json' },
    reasons: { type: 'json' },
    ...keptColumns,
  },
});
