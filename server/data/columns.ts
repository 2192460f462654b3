import type { EntitySchemaColumnOptions } from 'typeorm';

/** The columns that every record of a kennel has. Ids are UUIDv7, made by whoever creates the record. */
export const recordColumns = {
  id: { type: 'uuid', primary: true },
  kennelId: { type: 'uuid' },
} satisfies Record<string, EntitySchemaColumnOptions>;

/** The columns of something that happened: who, when, and when it arrived. */
export const happenedColumns = {
  personId: { type: 'uuid' },
  at: { type: 'datetime', precision: 3 },
  recordedAt: { type: 'datetime', precision: 3 },
} satisfies Record<string, EntitySchemaColumnOptions>;

/** The columns of a kept verdict: who, when it happened, when it arrived, and what computed it. */
export const keptColumns = {
  ...happenedColumns,
  coreVersion: { type: 'varchar', length: 20 },
  rules: { type: 'json' },
} satisfies Record<string, EntitySchemaColumnOptions>;
