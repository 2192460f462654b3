import type { Deed } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** A line of the log of who did what. The database refuses to change one or to take one out. */
export type DeedRow = Pick<Deed, 'id' | 'personId' | 'act' | 'kind' | 'recordId' | 'dogId' | 'label' | 'about'> & { kennelId: string; at: Date };

export const DeedEntity = new EntitySchema<DeedRow>({
  name: 'deed',
  tableName: 'deeds',
  columns: {
    ...recordColumns,
    at: { type: 'datetime', precision: 3 },
    personId: { type: 'uuid', nullable: true },
    act: { type: 'varchar', length: 10 },
    kind: { type: 'varchar', length: 40 },
    recordId: { type: 'uuid', nullable: true },
    dogId: { type: 'uuid', nullable: true },
    label: { type: 'varchar', length: 120 },
    about: { type: 'json' },
  },
});
