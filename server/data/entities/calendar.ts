import type { Hours, PlannedSession } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** When the kennel or one of its people is there; its id is theirs, so that there is one for each. */
export type HoursRow = Hours & { kennelId: string };
export const HoursEntity = new EntitySchema<HoursRow>({
  name: 'hours',
  tableName: 'hours',
  columns: { ...recordColumns, version: { type: 'int' }, personId: { type: 'uuid', nullable: true }, week: { type: 'json' }, away: { type: 'json' } },
});

export type PlannedSessionRow = PlannedSession & { kennelId: string };
export const PlannedSessionEntity = new EntitySchema<PlannedSessionRow>({
  name: 'plannedSession',
  tableName: 'planned_sessions',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    dogId: { type: 'uuid' },
    programmeId: { type: 'uuid', nullable: true },
    stageId: { type: 'varchar', length: 40, nullable: true },
    personId: { type: 'uuid' },
    day: { type: 'date' },
    // A word of SQL's own.
    from: { type: 'int', name: 'beginsAt' },
    minutes: { type: 'int' },
    aroundMinutes: { type: 'int' },
    state: { type: 'varchar', length: 10 },
    note: { type: 'varchar', length: 200 },
  },
});
