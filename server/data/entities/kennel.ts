import type { KennelSettings } from '@banter/contract';
import { EntitySchema } from 'typeorm';

export type KennelRow = KennelSettings & { id: string; version: number; demo: boolean; createdAt: Date };

export const KennelEntity = new EntitySchema<KennelRow>({
  name: 'kennel',
  tableName: 'kennels',
  columns: {
    id: { type: 'uuid', primary: true },
    version: { type: 'int' },
    name: { type: 'varchar', length: 80 },
    lengthUnit: { type: 'varchar', length: 2 },
    massUnit: { type: 'varchar', length: 2 },
    timeZone: { type: 'varchar', length: 60 },
    schools: { type: 'json' },
    rules: { type: 'json' },
    screen: { type: 'json' },
    headCollarChart: { type: 'json' },
    moreSettings: { type: 'json' },
    demo: { type: 'boolean' },
    createdAt: { type: 'datetime', precision: 3 },
  },
});
