import type { LevelRecordsOfDog, LevelsPage } from '@banter/contract';
import { askedUpTo, DAY_MS, type MoreCause } from '@banter/core';
import { In, IsNull, MoreThanOrEqual, Not } from 'typeorm';
import { EventEntity } from '../data/entities/event.ts';
import { FieldEventEntity, FieldSessionEntity, LevelCapEntity, PressEntity, type FieldSessionRow, type LevelCapRow } from '../data/entities/field-log.ts';
import type { KennelScope } from './kennel-scope.ts';

/** Sessions and findings bear on a level for two years. */
const LEVEL_DAYS = 730;

/** What the levels of one dog are worked out from, but its collars. */
export type LevelRows = {
  sessions: FieldSessionRow[];
  findings: LevelsPage['findings'];
  ceilings: LevelsPage['ceilings'];
  caps: LevelCapRow[];
  contactChecks: LevelsPage['contactChecks'];
  causesAsked: LevelsPage['causesAsked'];
};

/** The records that levels are worked out from, of several dogs by a query a kind; `collarIds` are those whose contact counts. */
export async function levelRows(scope: KennelScope, dogIds: readonly string[], collarIds: readonly string[], now: Date): Promise<Map<string, LevelRows>> {
  if (dogIds.length === 0) return new Map();
  const since = MoreThanOrEqual(new Date(now.getTime() - LEVEL_DAYS * DAY_MS));
  const dogId = In([...dogIds]);
  const [sessions, caps, findings, ceilings, felt, looked] = await Promise.all([
    scope.all(FieldSessionEntity, { dogId, begunAt: since }, { begunAt: 'ASC', id: 'ASC' }),
    scope.all(LevelCapEntity, { dogId }, { at: 'ASC', id: 'ASC' }),
    scope.all(PressEntity, { dogId, purpose: 'finding', response: Not(IsNull()), at: since }, { at: 'ASC' }),
    scope.raw<{ dogId: string; collarId: string; level: number; at: Date }>(
      `SELECT much.dogId, much.collarId, much.level, MAX(much.at) AS at FROM presses much
         JOIN (SELECT dogId, collarId, MIN(level) AS level FROM presses
               WHERE kennelId = :kennelId AND dogId IN (:dogIds) AND response = 'too-much' GROUP BY dogId, collarId) lowest
           ON lowest.dogId = much.dogId AND lowest.collarId = much.collarId AND lowest.level = much.level
       WHERE much.kennelId = :kennelId AND much.response = 'too-much' GROUP BY much.dogId, much.collarId, much.level`,
      { dogIds: [...dogIds] },
    ),
    toldOfDevices(scope, collarIds, since),
    scope.all(FieldEventEntity, { dogId, event: 'looked-into', at: since }, { at: 'ASC' }),
  ]);
  return new Map(
    dogIds.map((id) => {
      const own = <Row extends { dogId: string | null }>(rows: readonly Row[]) => rows.filter((row) => row.dogId === id);
      const lookedInto = own(looked).map(({ data, at }) => ({
        collarId: String(data.collarId),
        at: at.toISOString(),
        found: data.found as MoreCause | 'nothing',
      }));
      return [
        id,
        {
          sessions: own(sessions),
          findings: own(findings).map(({ collarId, setting, level, response, at, sessionId }) => ({
            collarId,
            setting,
            level,
            response: response!,
            at: at.toISOString(),
            sessionId,
          })),
          ceilings: own(ceilings).map(({ collarId, level, at }) => ({ collarId, level, at: at.toISOString() })),
          caps: own(caps),
          contactChecks: [...felt.contactChecks, ...lookedInto.map(({ found, ...one }) => ({ ...one, made: found !== 'contact' }))].sort((a, b) =>
            a.at < b.at ? -1 : 1,
          ),
          causesAsked: [
            ...felt.causesAsked,
            ...lookedInto.flatMap(({ collarId, at, found }) => askedUpTo(found, 0).map(({ cause, was }) => ({ collarId, at, cause, was }))),
          ],
        },
      ];
    }),
  );
}

/** When contact was felt on devices and what was asked of levels that rose, told by a device or a hand, but what was taken back. */
async function toldOfDevices(
  scope: KennelScope,
  collarIds: readonly string[],
  at: ReturnType<typeof MoreThanOrEqual<Date>>,
): Promise<Pick<LevelsPage, 'contactChecks' | 'causesAsked'>> {
  if (collarIds.length === 0) return { contactChecks: [], causesAsked: [] };
  const collarId = In([...collarIds]);
  const [told, voids] = await Promise.all([
    scope.all(EventEntity, { collarId, event: In(['contact', 'looked-into']), at }, { at: 'ASC' }),
    scope.all(EventEntity, { event: 'void', collarId }, { at: 'ASC' }),
  ]);
  const gone = new Set(voids.flatMap(({ eventId }) => eventId ?? []));
  const own = told.filter(({ id }) => !gone.has(id)).map((one) => ({ event: one.event, collarId: one.collarId!, at: one.at.toISOString(), data: one.data }));
  return {
    // What is only to be felt again was not felt.
    contactChecks: own
      .filter(({ event, data }) => event === 'contact' && data.made !== null)
      .map(({ event: _event, data, ...one }) => ({ ...one, made: data.made === true })),
    causesAsked: own
      .filter(({ event }) => event === 'looked-into')
      .map(({ event: _event, data, ...one }) => ({ ...one, cause: data.cause as MoreCause, was: data.was === true })),
  };
}

/** The rows of a dog as its levels are worked out from them, with its collars. */
export const asLevelRecords = (rows: LevelRows, collars: LevelRecordsOfDog['collars']): LevelRecordsOfDog => ({
  ...rows,
  collars,
  sessions: rows.sessions.map(({ id, purpose, begunAt, lastAt, tally }) => ({
    id,
    purpose,
    tally,
    begunAt: begunAt.toISOString(),
    lastAt: lastAt.toISOString(),
  })),
});
