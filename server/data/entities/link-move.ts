import type { LinkMove } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

/** A wire gauge comes back from the database as a number, two digits behind the point. */
const gauge = { to: (mm: number) => mm, from: (text: string) => Number(text) };

export type LinkMoveRow = Omit<LinkMove, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const LinkMoveEntity = new EntitySchema<LinkMoveRow>({
  name: 'link_move',
  tableName: 'link_moves',
  columns: {
    ...recordColumns,
    gaugeMm: { type: 'decimal', precision: 5, scale: 2, transformer: gauge },
    count: { type: 'int' },
    from: { type: 'varchar', length: 60, name: 'fromAccount' },
    to: { type: 'varchar', length: 60, name: 'toAccount' },
    why: { type: 'varchar', length: 20 },
    note: { type: 'varchar', length: 400 },
    ...happenedColumns,
  },
});
