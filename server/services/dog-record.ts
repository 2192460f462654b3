import { dayStart, dayStartOf, type DogRecord, type DogRecordAsked, type RecordPart } from '@banter/contract';
import { In, LessThan, MoreThanOrEqual, And, type FindOperator } from 'typeorm';
import { DogEntity } from '../data/entities/dog.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { FitCheckEntity } from '../data/entities/fit-check.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { LiftEntity, ScreeningEntity } from '../data/entities/screening.ts';
import { SkinLookEntity } from '../data/entities/skin-look.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { briefly, keptAnswers } from '../records/kept.ts';
import { endingKind } from './endings.ts';
import { sessionAnswers } from './field-sessions.ts';
import { fitCheckKind } from './fit-checks.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { cursorAfter, PAGE_ROWS, placeOf } from './list-page.ts';
import { planKind } from './plans.ts';
import { programmeKind } from './programmes.ts';
import { unreadable } from './readable.ts';
import { liftKind, screeningKind } from './screenings.ts';
import { skinLookKind } from './skin-looks.ts';
import { tapingKind } from './tapings.ts';

/** The tables of each part of a record, with what says when a row of them happened. A programme begins with its day. */
const TABLES: Readonly<Record<RecordPart, readonly (readonly [table: string, at: string])[]>> = {
  fits: [
    ['plans', 'at'],
    ['fit_checks', 'at'],
    ['endings', 'at'],
  ],
  tape: [['tapings', 'at']],
  skin: [['skin_looks', 'at']],
  training: [
    ['field_sessions', 'begunAt'],
    ['programmes', 'CAST(startsOn AS DATETIME(3))'],
  ],
  screening: [
    ['screenings', 'at'],
    ['lifts', 'at'],
  ],
};
const MOVES = `SELECT moves.at FROM stage_moves moves JOIN programmes ON programmes.kennelId = moves.kennelId AND programmes.id = moves.programmeId
  WHERE moves.kennelId = :kennelId AND programmes.dogId = :dogId AND moves.at < :before`;
const LATER_THAN_ALL = new Date('9000-01-01');

/** The instant of the row after which a page is full, of all parts that are asked for; null: all that is left fits on it. */
async function lastOf(scope: KennelScope, dogId: string, parts: readonly RecordPart[], before: Date): Promise<Date | null> {
  const each = parts
    .flatMap((part) => TABLES[part])
    .map(([table, at]) => `SELECT ${at} AS at FROM ${table} WHERE kennelId = :kennelId AND dogId = :dogId AND ${at} < :before`);
  const all = [...each, ...(parts.includes('training') ? [MOVES] : [])].map((select) => `(${select} ORDER BY at DESC LIMIT ${PAGE_ROWS + 1})`);
  const rows = await scope.raw<{ at: Date }>(`SELECT at FROM (${all.join(' UNION ALL ')}) told ORDER BY at DESC LIMIT 1 OFFSET ${PAGE_ROWS}`, {
    dogId,
    before,
  });
  return rows[0]?.at ?? null;
}

/** What happened to a dog, the latest days first: whole days of the kennel, about sixty things at a time, all of it or one part. */
export async function dogRecord(outer: KennelScope, dogId: string, { part, after }: DogRecordAsked): Promise<DogRecord> {
  const scope = outer.reading();
  await scope.get(DogEntity, dogId);
  const { timeZone } = await kennelOf(scope);
  const list = `record ${dogId} ${part ?? ''}`;
  const place = placeOf<[before: string]>(scope, list, after);
  const before = place ? new Date(place[0]) : LATER_THAN_ALL;
  const parts = part ? [part] : (Object.keys(TABLES) as RecordPart[]);
  const last = await lastOf(scope, dogId, parts, before);
  const from = last && new Date(dayStart(last.getTime(), timeZone));
  const at: FindOperator<Date> = from ? And(MoreThanOrEqual(from), LessThan(before)) : LessThan(before);
  const of = <Rows>(name: RecordPart, read: () => Promise<Rows[]>): Promise<Rows[]> => (parts.includes(name) ? read() : Promise.resolve([]));
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const [plans, checks, endings, tapings, looks, worked, programmes, screenings, lifts] = await Promise.all([
    of('fits', () => scope.all(PlanEntity, { dogId, at }, byTime)),
    of('fits', () => scope.all(FitCheckEntity, { dogId, at }, byTime)),
    of('fits', () => scope.all(EndingEntity, { dogId, at }, byTime)),
    of('tape', () => scope.all(TapingEntity, { dogId, at }, byTime)),
    of('skin', () => scope.all(SkinLookEntity, { dogId, at }, byTime)),
    of('training', () => scope.all(FieldSessionEntity, { dogId, begunAt: at }, { begunAt: 'ASC', id: 'ASC' })),
    of('training', () => scope.all(ProgrammeEntity, { dogId }, { startsOn: 'ASC', id: 'ASC' })),
    of('screening', () => scope.all(ScreeningEntity, { dogId, at }, byTime)),
    of('screening', () => scope.all(LiftEntity, { dogId, at }, byTime)),
  ]);
  const ids = tapings.map(({ id }) => id);
  const [corrections, ended, moves] = await Promise.all([
    ids.length === 0 ? [] : scope.all(TapingEntity, { correctsId: In(ids) }, { id: 'ASC' }),
    scope.someOf(PlanEntity, [...new Set(endings.map(({ planId }) => planId))]),
    programmes.length === 0 ? [] : scope.all(StageMoveEntity, { programmeId: In(programmes.map(({ id }) => id)), at }, byTime),
  ]);
  const begun = programmes.filter(({ startsOn }) => {
    const begins = dayStartOf(startsOn, timeZone);
    return begins < before.getTime() && (from === null || begins >= from.getTime());
  });
  const told = new Set([...begun.map(({ id }) => id), ...moves.map(({ programmeId }) => programmeId)]);
  const [readPlans, readChecks] = [await planKind.toAnswers(scope, plans), await fitCheckKind.toAnswers(scope, checks)];
  return {
    tapings: briefly(await tapingKind.toAnswers(scope, tapings)),
    corrected: corrections.flatMap(({ correctsId }) => correctsId ?? []),
    plans: briefly(readPlans),
    checks: briefly(readChecks),
    endings: await endingKind.toAnswers(scope, endings),
    ended: briefly(await planKind.toAnswers(scope, ended)),
    screenings: await screeningKind.toAnswers(scope, screenings),
    lifts: await liftKind.toAnswers(scope, lifts),
    skinLooks: await skinLookKind.toAnswers(scope, looks),
    worked: await sessionAnswers(scope, worked),
    programmes: programmes.filter(({ id }) => told.has(id)).map(programmeKind.toAnswer),
    begun: begun.map(({ id }) => id),
    moves: await keptAnswers(scope, moves),
    unreadable: [...unreadable('plan', plans, readPlans), ...unreadable('fitCheck', checks, readChecks)],
    next: from && cursorAfter(scope, list, [from.toISOString()]),
  };
}
