import type { GearFacts, WantFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

export type GearRow = Omit<GearFacts, 'retiredAt'> & { id: string; kennelId: string; version: number; retiredAt: Date | null };

export const GearEntity = new EntitySchema<GearRow>({
  name: 'gear',
  tableName: 'gear',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    what: { type: 'varchar', length: 20 },
    name: { type: 'varchar', length: 60 },
    lengthMm: { type: 'double', nullable: true },
    widthMm: { type: 'double', nullable: true },
    colour: { type: 'varchar', length: 40 },
    material: { type: 'varchar', length: 60 },
    condition: { type: 'varchar', length: 10 },
    massG: { type: 'double', nullable: true },
    loadRated: { type: 'boolean', nullable: true },
    note: { type: 'varchar', length: 400 },
    retiredAt: { type: 'datetime', precision: 3, nullable: true },
  },
});

export type WantRow = Omit<WantFacts, 'boughtAt'> & { id: string; kennelId: string; version: number; boughtAt: Date | null };

export const WantEntity = new EntitySchema<WantRow>({
  name: 'want',
  tableName: 'wants',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    what: { type: 'varchar', length: 300 },
    dogId: { type: 'uuid', nullable: true },
    boughtAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
