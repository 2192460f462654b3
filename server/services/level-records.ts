import type { LevelRecordsOfDog, LevelsPage } from '@banter/contract';
import { askedUpTo, DAY_MS, type MoreCause } from '@banter/core';
import { group } from 'd3-array';
import { In, IsNull, MoreThanOrEqual, Not } from 'typeorm';
import { FieldSessionEntity, LevelCapEntity, PressEntity, type FieldSessionRow, type LevelCapRow } from '../data/entities/field-log.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
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

/** The records that levels are worked out from, of several dogs by a query a kind; each with the collars whose contact counts for it. */
export async function levelRows(scope: KennelScope, collarsOf: ReadonlyMap<string, readonly string[]>, now: Date): Promise<Map<string, LevelRows>> {
  const dogIds = [...collarsOf.keys()];
  if (dogIds.length === 0) return new Map();
  const since = MoreThanOrEqual(new Date(now.getTime() - LEVEL_DAYS * DAY_MS));
  const dogId = In(dogIds);
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
      { dogIds },
    ),
    toldOfDevices(scope, [...new Set([...collarsOf.values()].flat())], since),
    scope.all(HappeningEntity, { dogId, event: 'looked-through', at: since }, { at: 'ASC' }),
  ]);
  const byDog = <Row extends { dogId: string | null }>(rows: readonly Row[]) => {
    const groups = group(rows, (row) => row.dogId);
    return (id: string) => groups.get(id) ?? [];
  };
  const own = { sessions: byDog(sessions), caps: byDog(caps), findings: byDog(findings), ceilings: byDog(ceilings), looked: byDog(looked) };
  const ofCollar = { contactChecks: group(felt.contactChecks, (one) => one.collarId), causesAsked: group(felt.causesAsked, (one) => one.collarId) };
  return new Map(
    dogIds.map((id) => {
      const lookedInto = own.looked(id).map(({ collarId, data, at }) => ({
        collarId: collarId!,
        at: at.toISOString(),
        found: data.found as MoreCause | 'nothing',
      }));
      const devices = collarsOf.get(id)!;
      return [
        id,
        {
          sessions: own.sessions(id),
          findings: own.findings(id).map(({ collarId, setting, level, response, at, sessionId }) => ({
            collarId,
            setting,
            level,
            response: response!,
            at: at.toISOString(),
            sessionId,
          })),
          ceilings: own.ceilings(id).map(({ collarId, level, at }) => ({ collarId, level, at: at.toISOString() })),
          caps: own.caps(id),
          contactChecks: [
            ...devices.flatMap((collarId) => ofCollar.contactChecks.get(collarId) ?? []),
            ...lookedInto.map(({ found, ...one }) => ({ ...one, made: found !== 'contact' })),
          ].sort((a, b) => (a.at < b.at ? -1 : 1)),
          causesAsked: [
            ...devices.flatMap((collarId) => ofCollar.causesAsked.get(collarId) ?? []),
            ...lookedInto.flatMap(({ collarId, at, found }) => askedUpTo(found, 0).map(({ cause, was }) => ({ collarId, at, cause, was }))),
          ],
        },
      ];
    }),
  );
}

/** The first instant (ms) at which something of these records bears on a level no more; null while there is nothing. */
export function levelRowsUntil({ sessions, findings, contactChecks, causesAsked }: LevelRows): number | null {
  const begins = [sessions[0]?.begunAt.getTime(), ...[findings[0], contactChecks[0], causesAsked[0]].map((one) => one && Date.parse(one.at))];
  const first = Math.min(...begins.flatMap((at) => at ?? []));
  return Number.isFinite(first) ? first + LEVEL_DAYS * DAY_MS : null;
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
    scope.all(HappeningEntity, { collarId, event: In(['contact', 'looked-into']), at }, { at: 'ASC' }),
    scope.all(HappeningEntity, { event: 'void', collarId }, { at: 'ASC' }),
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
