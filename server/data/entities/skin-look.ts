import type { SkinLook } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type SkinLookRow = Omit<SkinLook, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const SkinLookEntity = new EntitySchema<SkinLookRow>({
  name: 'skinLook',
  tableName: 'skin_looks',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    clock: { type: 'decimal', precision: 3, scale: 1, transformer: { to: (clock: number) => clock, from: (text: string) => Number(text) } },
    under: { type: 'varchar', length: 10 },
    grade: { type: 'int' },
    sore: { type: 'json', nullable: true },
    note: { type: 'varchar', length: 1000 },
    photoId: { type: 'uuid', nullable: true },
    ...happenedColumns,
    personId: { type: 'uuid', nullable: true },
    linkId: { type: 'uuid', nullable: true },
  },
});
