import type { PlaceFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

export type PlaceRow = Omit<PlaceFacts, 'retiredAt'> & { id: string; kennelId: string; version: number; retiredAt: Date | null };

export const PlaceEntity = new EntitySchema<PlaceRow>({
  name: 'place',
  tableName: 'places',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    name: { type: 'varchar', length: 80 },
    collars: { type: 'json' },
    checkedBy: { type: 'varchar', length: 80 },
    checkedOn: { type: 'date', nullable: true },
    source: { type: 'varchar', length: 400 },
    retiredAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
