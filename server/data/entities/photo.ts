import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** A photo as it was made anew here. */
export type PhotoRow = { id: string; kennelId: string; personId: string; jpeg: Buffer; widthPx: number; heightPx: number; createdAt: Date };

export const PhotoEntity = new EntitySchema<PhotoRow>({
  name: 'photo',
  tableName: 'photos',
  columns: {
    ...recordColumns,
    personId: { type: 'uuid' },
    jpeg: { type: 'mediumblob' },
    widthPx: { type: 'int' },
    heightPx: { type: 'int' },
    createdAt: { type: 'datetime', precision: 3 },
  },
});
