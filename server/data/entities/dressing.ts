import type { DressingFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** How a dog is dressed; its id is the dog's own, so that there is one for each. */
export type DressingRow = DressingFacts & { id: string; kennelId: string; version: number };

export const DressingEntity = new EntitySchema<DressingRow>({
  name: 'dressing',
  tableName: 'dressings',
  columns: { ...recordColumns, version: { type: 'int' }, stack: { type: 'json' }, rig: { type: 'json' } },
});
