import { EventEntity, type EventRow } from '../data/entities/event.ts';
import type { KennelScope } from './kennel-scope.ts';

/** When what is on dogs of the kennel at an instant was put on, however long ago; of all of them unless some are named. */
export async function openPutOns(scope: KennelScope, now: Date, only?: readonly string[]): Promise<EventRow[]> {
  if (only?.length === 0) return [];
  return await scope
    .query(EventEntity)
    .andWhere('record.event = :on AND record.at <= :now', { on: 'put-on', now })
    .andWhere(only === undefined ? 'TRUE' : 'record.dogId IN (:...only)', { only })
    .andWhere(
      `NOT EXISTS (SELECT 1 FROM events later WHERE later.kennelId = record.kennelId AND later.collarId = record.collarId AND later.dogId = record.dogId
        AND later.event = 'taken-off' AND (later.at, later.id) > (record.at, record.id) AND later.at <= :now
        AND NOT EXISTS (SELECT 1 FROM events taken WHERE taken.kennelId = later.kennelId AND taken.eventId = later.id))`,
    )
    .andWhere('NOT EXISTS (SELECT 1 FROM events taken WHERE taken.kennelId = record.kennelId AND taken.eventId = record.id)')
    .getMany();
}
