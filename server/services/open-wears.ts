import type { KennelScope } from './kennel-scope.ts';

/** When a collar was put on a dog on which it still is. */
export type OpenWear = { dogId: string; collarId: string; at: Date };

/** When what is on some dogs at an instant was put on, however long ago: since it last came off that dog, if it ever did. */
export async function openPutOns(scope: KennelScope, now: Date, dogIds: readonly string[]): Promise<OpenWear[]> {
  if (dogIds.length === 0) return [];
  // Two at the same instant come in the order of their ids.
  const TOLD = `events.kennelId = :kennelId AND events.dogId IN (:dogIds) AND events.at <= :now
      AND NOT EXISTS (SELECT 1 FROM events taken WHERE taken.kennelId = events.kennelId AND taken.eventId = events.id)`;
  const rows = await scope.raw<{ dogId: string; collarId: string; at: Date | string }>(
    `SELECT events.dogId, events.collarId, events.at FROM events
       LEFT JOIN (SELECT events.dogId, events.collarId, MAX(CONCAT(events.at, ' ', events.id)) AS last FROM events
                   WHERE events.event = 'taken-off' AND ${TOLD} GROUP BY events.dogId, events.collarId) off
         ON off.dogId = events.dogId AND off.collarId = events.collarId
      WHERE events.event = 'put-on' AND ${TOLD} AND (off.last IS NULL OR CONCAT(events.at, ' ', events.id) > off.last)
      ORDER BY events.at, events.id`,
    { now, dogIds },
  );
  return rows.map(({ at, ...row }) => ({ ...row, at: new Date(at) }));
}
