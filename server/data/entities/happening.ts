import type { HappeningColumns, HappeningSource } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** Something that happened: to a collar, in a session, or as a device told it. What is its own alone stands in `data`. */
export type HappeningRow = HappeningColumns & {
  id: string;
  kennelId: string;
  source: HappeningSource;
  phone: string;
  personId: string | null;
  bridgeId: string | null;
  /** What the teller's clock said; `at` is the time that counts. */
  saidAt: Date;
  at: Date;
  recordedAt: Date;
};

const instant = { type: 'datetime', precision: 3 } as const;
export const HappeningEntity = new EntitySchema<HappeningRow>({
  name: 'happening',
  tableName: 'happenings',
  columns: {
    ...recordColumns,
    event: { type: 'varchar', length: 20 },
    dogId: { type: 'uuid', nullable: true },
    collarId: { type: 'uuid', nullable: true },
    sessionId: { type: 'uuid', nullable: true },
    eventId: { type: 'uuid', nullable: true },
    data: { type: 'json' },
    source: { type: 'varchar', length: 10 },
    phone: { type: 'varchar', length: 40 },
    personId: { type: 'uuid', nullable: true },
    bridgeId: { type: 'uuid', nullable: true },
    saidAt: instant,
    at: instant,
    recordedAt: instant,
  },
});
