import type { DogFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

export type DogRow = Omit<DogFacts, 'archivedAt'> & { id: string; kennelId: string; version: number; archivedAt: Date | null };

export const DogEntity = new EntitySchema<DogRow>({
  name: 'dog',
  tableName: 'dogs',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    name: { type: 'varchar', length: 60 },
    breed: { type: 'varchar', length: 80 },
    sex: { type: 'varchar', length: 10 },
    bornOn: { type: 'date', nullable: true },
    bornGuessed: { type: 'boolean' },
    weightG: { type: 'double', nullable: true },
    neckBuild: { type: 'varchar', length: 10 },
    pull: { type: 'varchar', length: 10 },
    worksOn: { type: 'varchar', length: 5 },
    acquaintance: { type: 'varchar', length: 5, nullable: true },
    manner: { type: 'varchar', length: 13, nullable: true },
    nickel: { type: 'boolean', nullable: true },
    saltWater: { type: 'boolean', nullable: true },
    heelLine: { type: 'varchar', length: 120, default: '' },
    toolsWhere: { type: 'json', nullable: true },
    owner: { type: 'varchar', length: 120 },
    notes: { type: 'text' },
    placeId: { type: 'uuid', nullable: true },
    house: { type: 'json', nullable: true },
    archivedAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
