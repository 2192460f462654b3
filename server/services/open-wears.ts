import { joinTakenBack } from './happenings/taken-back.ts';
import type { KennelScope } from './kennel-scope.ts';

/** When a collar was put on a dog on which it still is. */
export type OpenWear = { dogId: string; collarId: string; at: Date };

/** When what is on some dogs at an instant was put on, however long ago: since it last came off that dog, if it ever did. */
export async function openPutOns(scope: KennelScope, now: Date, dogIds: readonly string[]): Promise<OpenWear[]> {
  if (dogIds.length === 0) return [];
  // Two at the same instant come in the order of their ids.
  const TOLD = `happenings told ${joinTakenBack('told')}`;
  const STANDS = 'told.kennelId = :kennelId AND told.dogId IN (:dogIds) AND told.at <= :now AND taken.id IS NULL';
  const rows = await scope.raw<{ dogId: string; collarId: string; at: Date | string }>(
    `SELECT told.dogId, told.collarId, told.at FROM ${TOLD}
       LEFT JOIN (SELECT told.dogId, told.collarId, MAX(CONCAT(told.at, ' ', told.id)) AS last FROM ${TOLD}
                   WHERE told.event = 'taken-off' AND ${STANDS} GROUP BY told.dogId, told.collarId) off
         ON off.dogId = told.dogId AND off.collarId = told.collarId
      WHERE told.event = 'put-on' AND ${STANDS} AND (off.last IS NULL OR CONCAT(told.at, ' ', told.id) > off.last)
      ORDER BY told.at, told.id`,
    { now, dogIds },
  );
  return rows.map(({ at, ...row }) => ({ ...row, at: new Date(at) }));
}
