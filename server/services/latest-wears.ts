import { WEAR_HAPPENINGS, wearAndDeviceEvents } from '@banter/contract';
import { wearsOf, type Wear } from '@banter/core';
import { Between, In } from 'typeorm';
import { HappeningEntity } from '../data/entities/happening.ts';
import { happeningAsKept } from './happenings/kept-happenings.ts';
import { joinTakenBack } from './happenings/taken-back.ts';
import type { KennelScope } from './kennel-scope.ts';

type DogAndCollar = { dogId: string; collarId: string };
/** When a collar was put on a dog on which it still is. */
export type OpenWear = DogAndCollar & { at: Date };

const PUT_ON = `SELECT DISTINCT dogId, collarId FROM happenings FORCE INDEX (ofDog) WHERE kennelId = :kennelId AND dogId IN (:dogIds) AND event = 'put-on'`;

/** Which collars were ever put on some dogs. */
export async function everPutOn(scope: KennelScope, dogIds: readonly string[]): Promise<DogAndCollar[]> {
  return dogIds.length === 0 ? [] : await scope.raw<DogAndCollar>(PUT_ON, { dogIds });
}

const TOLD = `happenings told FORCE INDEX (ofCollar) ${joinTakenBack('told')}`;
/** What was told of a collar of one event and one dog up to an instant, and stands. */
const stands = (event: string, dogId: string, collarId: string) =>
  `told.kennelId = :kennelId AND told.collarId = ${collarId} AND told.event = '${event}' AND told.dogId = ${dogId} AND told.at <= :now AND taken.id IS NULL`;
/** The latest of these, by its instant and, of several at the same, by its id: it is found from the end, however long the collar has been worn. */
const latest = (event: string) =>
  `(SELECT CONCAT(told.at, ' ', told.id) FROM ${TOLD} WHERE ${stands(event, 'worn.dogId', 'worn.collarId')} ORDER BY told.at DESC, told.id DESC LIMIT 1)`;

/** When what is on some dogs at an instant was put on, however long ago: since it last came off that dog, if it ever did. */
export async function openPutOns(scope: KennelScope, now: Date, dogIds: readonly string[]): Promise<OpenWear[]> {
  if (dogIds.length === 0) return [];
  const on = await scope.raw<DogAndCollar & { offAt: string | null }>(
    `SELECT dogId, collarId, offAt FROM (SELECT worn.dogId, worn.collarId, ${latest('put-on')} AS onAt, ${latest('taken-off')} AS offAt FROM (${PUT_ON}) worn) wears
      WHERE onAt > COALESCE(offAt, '')`,
    { now, dogIds },
  );
  // Put on twice, the first counts.
  const since = await Promise.all(
    on.map(({ dogId, collarId, offAt }) =>
      scope.raw<{ dogId: string; collarId: string; id: string; at: Date | string }>(
        `SELECT told.dogId, told.collarId, told.id, told.at FROM ${TOLD}
          WHERE ${stands('put-on', ':dogId', ':collarId')} AND told.at >= :from AND CONCAT(told.at, ' ', told.id) > :off`,
        { now, dogId, collarId, from: offAt?.slice(0, 23) ?? '1970-01-01', off: offAt ?? '' },
      ),
    ),
  );
  return since
    .flat()
    .map(({ at, ...row }) => ({ ...row, at: new Date(at) }))
    .sort((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1))
    .map(({ id: _id, ...row }) => row);
}

/** How a collar was worn by a dog last, up to an instant; what was taken back never was. Null: never. It is read from the end: since the collar came off that dog the time before. */
export async function lastWearOf(scope: KennelScope, dogId: string, collarId: string, until: Date): Promise<Wear | null> {
  const first = async (event: string, order: 'ASC' | 'DESC', before: Date) => {
    const [row] = await scope.raw<{ at: Date }>(
      `SELECT told.at FROM ${TOLD} WHERE ${stands(event, ':dogId', ':collarId')} AND told.at <= :before ORDER BY told.at ${order}, told.id ${order} LIMIT 1`,
      { now: until, dogId, collarId, before },
    );
    return row && new Date(row.at);
  };
  const put = await first('put-on', 'DESC', until);
  if (!put) return null;
  const from = (await first('taken-off', 'DESC', new Date(put.getTime() - 1))) ?? (await first('put-on', 'ASC', put))!;
  const [told, voids] = await Promise.all([
    scope.all(HappeningEntity, { collarId, event: In([...WEAR_HAPPENINGS]), at: Between(from, until) }, { at: 'ASC', id: 'ASC' }),
    scope.all(HappeningEntity, { collarId, event: 'void' }, { at: 'ASC' }),
  ]);
  return wearsOf(wearAndDeviceEvents([...told, ...voids].map(happeningAsKept)).wear).wears.findLast((wear) => wear.dogId === dogId) ?? null;
}
