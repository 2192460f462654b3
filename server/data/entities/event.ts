import type { EventName, NeckEvent } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { recordColumns } from '../columns.ts';

/** Something that happened to a collar, or that a device told. What is the event's own stands in `data`. */
export type EventRow = {
  id: string;
  kennelId: string;
  event: EventName;
  dogId: string | null;
  collarId: string | null;
  /** The event that this one takes back. */
  eventId: string | null;
  data: Record<string, unknown>;
  source: NeckEvent['source'];
  personId: string | null;
  bridgeId: string | null;
  at: Date;
  recordedAt: Date;
};

export const EventEntity = new EntitySchema<EventRow>({
  name: 'event',
  tableName: 'events',
  columns: {
    ...recordColumns,
    event: { type: 'varchar', length: 20 },
    dogId: { type: 'uuid', nullable: true },
    collarId: { type: 'uuid', nullable: true },
    eventId: { type: 'uuid', nullable: true },
    data: { type: 'json' },
    source: { type: 'varchar', length: 10 },
    personId: { type: 'uuid', nullable: true },
    bridgeId: { type: 'uuid', nullable: true },
    at: { type: 'datetime', precision: 3 },
    recordedAt: { type: 'datetime', precision: 3 },
  },
});
