import type { KennelTemplate } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

export type KennelTemplateRow = KennelTemplate & { kennelId: string };
export const KennelTemplateEntity = new EntitySchema<KennelTemplateRow>({
  name: 'kennelTemplate',
  tableName: 'kennel_templates',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    basedOn: { type: 'varchar', length: 40, nullable: true },
    name: { type: 'varchar', length: 60 },
    about: { type: 'varchar', length: 300 },
    kinds: { type: 'json' },
    stages: { type: 'json' },
    retired: { type: 'boolean' },
  },
});
