import type { CalendarFeedFacts } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** A private address of the kennel's calendar; of its key only the SHA-256 is kept. */
export type CalendarFeedRow = Omit<CalendarFeedFacts, 'revokedAt'> & {
  id: string;
  kennelId: string;
  version: number;
  revokedAt: Date | null;
  lastSeenAt: Date | null;
};

export const CalendarFeedEntity = new EntitySchema<CalendarFeedRow>({
  name: 'calendarFeed',
  tableName: 'calendar_feeds',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    name: { type: 'varchar', length: 60 },
    keyHash: { type: 'char', length: 64 },
    personId: { type: 'uuid', nullable: true },
    revokedAt: { type: 'datetime', precision: 3, nullable: true },
    lastSeenAt: { type: 'datetime', precision: 3, nullable: true },
  },
});
