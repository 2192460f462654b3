import { isDeepStrictEqual } from 'node:util';
import {
  CLOCK_OFF_MS,
  fieldErrors,
  happeningColumns,
  NewHappening,
  RecordId,
  WEAR_HAPPENINGS,
  type HappeningBatchSent,
  type HappeningResult,
  type HappeningsKept,
} from '@banter/contract';
import { WORK_SETTINGS } from '@banter/core';
import { group } from 'd3-array';
import { In, MoreThanOrEqual } from 'typeorm';
import { isDatabaseAway } from '../../data/database-away.ts';
import { CollarEntity } from '../../data/entities/collar.ts';
import { DogEntity } from '../../data/entities/dog.ts';
import { HappeningEntity, type HappeningRow } from '../../data/entities/happening.ts';
import { PersonEntity } from '../../data/entities/person.ts';
import { PlanEntity } from '../../data/entities/plan.ts';
import { ProgrammeEntity } from '../../data/entities/programme.ts';
import { writeDeed } from '../../records/deeds.ts';
import { Failure } from '../failure.ts';
import type { KennelScope } from '../kennel-scope.ts';
import { kennelOf } from '../kennels.ts';
import { verdictOn, type Around, type Known, type Teller, type Verdict } from './admit-happening.ts';
import { happeningAsKept, happeningAsTold } from './kept-happenings.ts';
import { intoRunningSessions, rebuildSessionStories, sessionsTakePresses } from './session-stories.ts';
import { joinTakenBack } from './taken-back.ts';
import { wearClashes } from './wear-clashes.ts';

type Row = Omit<HappeningRow, 'kennelId'>;
/** What is told at once: each unit is kept whole or not at all. */
export type Unit = readonly NewHappening[];
/** How it is told: by a hand as it happens (`strict`) or by lines; from which phone, whose clock runs ahead by so much, ms. */
export type Telling = { teller: Teller; strict: boolean; phone: string; aheadMs: number };
/** What became of one: with the field that is wrong, where one is. */
export type Outcome = Pick<HappeningResult, 'status' | 'message'> & { field?: string };

const WEAR: ReadonlySet<string> = new Set(WEAR_HAPPENINGS);

const idsIn = (told: readonly NewHappening[], ...fields: string[]) => [
  ...new Set(told.flatMap((one) => fields.flatMap((field) => (one as unknown as Record<string, string | undefined>)[field] ?? []))),
];

/** What is told is judged against: its sessions, dogs, people, collars, and what was told before under its ids or is spoken of. */
async function surroundings(scope: KennelScope, told: readonly NewHappening[], now: number) {
  const spokenOf = idsIn(told, 'id', 'eventId', 'pressId');
  const before = await scope.someOf(HappeningEntity, spokenOf);
  const sessionIds = [...new Set([...idsIn(told, 'sessionId', 'intoId'), ...before.flatMap(({ sessionId }) => sessionId ?? [])])];
  const beginnings = () =>
    sessionIds.length === 0 ? [] : scope.all(HappeningEntity, { sessionId: In(sessionIds), event: 'begin' }, { at: 'DESC', id: 'DESC' });
  const dogIds = [...new Set([...(await beginnings()).flatMap(({ dogId }) => dogId ?? []), ...idsIn(told, 'dogId')])];
  // One phone at a time works on a dog's sessions.
  const dogs = sessionIds.length > 0 ? await scope.holdSome(DogEntity, dogIds) : await scope.someOf(DogEntity, dogIds);
  // Read again: another phone may have begun one, or told the same, while this waited for the dog.
  const begun = await beginnings();
  const rows = new Map<string, Row>((sessionIds.length > 0 ? await scope.someOf(HappeningEntity, spokenOf) : before).map((row) => [row.id, row]));
  const collarIds = [...new Set([...idsIn(told, 'collarId'), ...[...rows.values()].flatMap(({ collarId }) => collarId ?? [])])];
  const kennel = await kennelOf(scope);
  const plans = sessionIds.length * collarIds.length === 0 ? [] : await scope.all(PlanEntity, { dogId: In(dogIds), collarId: In(collarIds) }, { at: 'ASC' });
  return {
    rows,
    known: {
      // Out of their beginnings, for one that joined another has no record of its own left.
      sessions: new Map(begun.map(({ sessionId, dogId, at }) => [sessionId!, { dogId: dogId!, begunAt: at.getTime() }])),
      happenings: new Map([...rows].map(([id, { event, sessionId, bridgeId }]) => [id, { event, sessionId, bridgeId }])),
    } satisfies Known,
    around: {
      dogs: new Set(dogs.map(({ id }) => id)),
      people: new Set((await scope.someOf(PersonEntity, idsIn(told, 'handlerId'))).map(({ id }) => id)),
      collars: new Map((await scope.someOf(CollarEntity, collarIds)).map((row) => [row.id, row])),
      fitted: new Set(plans.map(({ dogId, collarId }) => `${dogId} ${collarId}`)),
      settings: new Set([...WORK_SETTINGS, ...kennel.moreSettings].map(({ id }) => id)),
      programmes: new Map((await scope.someOf(ProgrammeEntity, idsIn(told, 'programmeId'))).map((row) => [row.id, row])),
      now,
    } satisfies Around,
  };
}

/**
 * What was told before of the wears of collars on which something told now bears, from an instant on, by collar; the collars are held meanwhile, so
 * that of two hands the second is judged by the first. A wear that begins before all that is told now is where it is judged from: what was before it
 * is as it was.
 */
async function wearsBefore(scope: KennelScope, told: ReadonlyMap<string, Date>): Promise<Map<string, NewHappening[]>> {
  if (told.size === 0) return new Map();
  await scope.holdSome(CollarEntity, [...told.keys()]);
  const ofEach = [...told].map(async ([collarId, from]): Promise<[string, NewHappening[]]> => {
    const [begun] = await scope.raw<{ at: Date }>(
      `SELECT told.at FROM happenings told FORCE INDEX (ofCollar) ${joinTakenBack('told')}
        WHERE told.kennelId = :kennelId AND told.collarId = :collarId AND told.event = 'put-on' AND told.at < :from AND taken.id IS NULL
        ORDER BY told.at DESC LIMIT 1`,
      { collarId, from },
    );
    const since = begun ? { at: MoreThanOrEqual(new Date(begun.at)) } : {};
    const byTime = { at: 'ASC', id: 'ASC' } as const;
    const [wears, voids] = await Promise.all([
      scope.all(HappeningEntity, { collarId, event: In([...WEAR_HAPPENINGS]), ...since }, byTime),
      scope.all(HappeningEntity, { collarId, event: 'void' }, byTime),
    ]);
    return [collarId, [...wears, ...voids].map(happeningAsKept)];
  });
  return new Map(await Promise.all(ofEach));
}

/** Whether what was told again is what is kept; of what a device told, the session was found here. */
function isSame(row: Row, told: NewHappening): boolean {
  const { sessionId, ...kept } = happeningAsTold(row) as NewHappening & { sessionId?: string };
  return isDeepStrictEqual('sessionId' in told && told.sessionId !== undefined ? { ...kept, sessionId } : kept, JSON.parse(JSON.stringify(told)));
}

/**
 * Keeps what is told, each once by its id, whatever order it comes in, and says of each what became of it. A hand is refused what would make
 * wears overlap or end before they begin; a device that tells late or twice is taken as it is, and what is odd is seen in the wears. Runs in the
 * caller's transaction.
 */
export async function keepHappenings(
  scope: KennelScope,
  units: readonly Unit[],
  { teller, strict, phone, aheadMs }: Telling,
  now: number,
): Promise<Outcome[][]> {
  const all = units.flat();
  const { rows, known, around } = await surroundings(scope, all, now);
  const collarOfWear = (told: NewHappening): string[] => {
    const target = told.event === 'void' ? rows.get(told.eventId) : undefined;
    if (WEAR.has(told.event) && 'collarId' in told) return [told.collarId];
    return target?.collarId && WEAR.has(target.event) ? [target.collarId] : [];
  };
  const firstOf = new Map<string, Date>();
  for (const told of strict ? all : []) {
    const target = told.event === 'void' ? rows.get(told.eventId) : undefined;
    const at = new Date(Math.min(Date.parse(told.at) - aheadMs, target?.at.getTime() ?? Infinity));
    for (const id of collarOfWear(told)) if (!(firstOf.get(id)! <= at)) firstOf.set(id, at);
  }
  const wears = await wearsBefore(scope, firstOf);
  const fresh: Row[] = [];
  const whose = teller.bridgeId === null ? { personId: scope.personId, bridgeId: null } : { personId: null, bridgeId: teller.bridgeId };

  const rowOf = (told: NewHappening, at: number): Row => {
    const columns = happeningColumns(told);
    const target = columns.eventId === null ? undefined : rows.get(columns.eventId);
    // What takes something back is found with the session, the dog and the collar of that.
    const sessionId = columns.sessionId ?? target?.sessionId ?? null;
    const dogId = columns.dogId ?? (sessionId === null ? null : known.sessions.get(sessionId)?.dogId) ?? target?.dogId ?? null;
    const found = { sessionId, dogId, collarId: columns.collarId ?? target?.collarId ?? null };
    return {
      ...columns,
      ...found,
      id: told.id,
      source: teller.source,
      phone,
      ...whose,
      saidAt: new Date(told.at),
      at: new Date(at),
      recordedAt: new Date(now),
    };
  };

  const keepUnit = (unit: Unit): Outcome[] => {
    const added: Row[] = [];
    const outcomes = unit.map((told): Outcome => {
      const earlier = rows.get(told.id);
      if (earlier) {
        if (isSame(earlier, told)) return { status: 'known', message: '' };
        return { status: 'refused', field: 'id', message: 'Something else is already recorded under this id.' };
      }
      const at = Date.parse(told.at) - aheadMs;
      const verdict: Verdict | null = verdictOn(told, at, { known, around, teller, strict });
      if (verdict) return verdict;
      const row = rowOf(told, at);
      added.push(row);
      rows.set(row.id, row);
      known.happenings.set(row.id, { event: row.event, sessionId: row.sessionId, bridgeId: row.bridgeId });
      if (told.event === 'begin') known.sessions.set(told.sessionId, { dogId: told.dogId, begunAt: at });
      return { status: 'kept', message: '' };
    });
    const told = added.map(happeningAsKept);
    const collars = strict ? [...new Set(told.flatMap(collarOfWear))] : [];
    if (collars.length > 0 && outcomes.every(({ status }) => status === 'kept' || status === 'known'))
      for (const { index, message } of wearClashes(
        collars.flatMap((id) => wears.get(id) ?? []),
        told,
      ).reverse())
        outcomes[unit.findIndex(({ id }) => id === added[index]!.id)] = { status: 'refused', field: 'at', message };
    const worst = outcomes.find(({ status }) => status === 'refused') ?? outcomes.find(({ status }) => status === 'waits');
    if (!worst) {
      fresh.push(...added);
      for (const id of collars) wears.set(id, [...(wears.get(id) ?? []), ...told.filter((one) => collarOfWear(one).includes(id))]);
      return outcomes;
    }
    for (const { id, event, sessionId } of added) {
      rows.delete(id);
      known.happenings.delete(id);
      if (event === 'begin') known.sessions.delete(sessionId!);
    }
    // Of what is kept whole or not at all, each says what is wrong with the one.
    return outcomes.map((one): Outcome => (one.status === 'kept' ? { status: worst.status, message: worst.message } : one));
  };
  const outcomes = units.map(keepUnit);

  await intoRunningSessions(scope, fresh);
  await scope.insertMany(HappeningEntity, fresh);
  // A bridge's say themselves where they came from; the log tells of people.
  if (teller.bridgeId === null)
    for (const [, told] of group(fresh, ({ sessionId, dogId }) => sessionId ?? dogId)) {
      const { id, sessionId, dogId, at } = told[0]!;
      await writeDeed(scope, { act: 'made', kind: 'happening', recordId: sessionId ?? id, dogId, about: { count: told.length }, at });
    }
  // A device may have told of a session that its phone tells of only now.
  const spans = fresh.flatMap(({ event, sessionId }) => (event === 'begin' || event === 'end' ? [sessionId!] : []));
  await rebuildSessionStories(scope, fresh);
  await rebuildSessionStories(scope, await sessionsTakePresses(scope, [...new Set(spans)]));
  return outcomes;
}

/** Two may tell the same at the same instant: whoever comes second is told again, and finds it there. */
async function onceMore<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if ((error as { code?: string }).code !== 'ER_DUP_ENTRY') throw error;
    return await work();
  }
}

/** Keeps units together; where that fails on something nobody foresaw, apart, until the one it fails on stands alone and is refused. */
export async function keepApart(
  scope: KennelScope,
  units: readonly Unit[],
  telling: Telling,
  now: number,
  failed: (error: unknown) => void,
): Promise<Outcome[][]> {
  if (units.length === 0) return [];
  try {
    return await onceMore(() => scope.inOneAsItStands((within) => keepHappenings(within, units, telling, now)));
  } catch (error) {
    if (error instanceof Failure || isDatabaseAway(error)) throw error;
    if (units.length === 1) {
      failed(error);
      return [units[0]!.map(() => ({ status: 'refused', message: 'This could not be saved as it is. The fault is noted.' }))];
    }
    const half = Math.ceil(units.length / 2);
    const first = await keepApart(scope, units.slice(0, half), telling, now, failed);
    return [...first, ...(await keepApart(scope, units.slice(half), telling, now, failed))];
  }
}

/** Those of a batch that can be read, by their place; of the others, what is wrong with each. */
function readEach(sent: readonly unknown[]): { read: Map<number, NewHappening>; wrong: Map<number, HappeningResult> } {
  const read = new Map<number, NewHappening>();
  const wrong = new Map<number, HappeningResult>();
  const seen = new Set<string>();
  for (const [index, one] of sent.entries()) {
    const said = RecordId.safeParse((one as { id?: unknown } | null)?.id);
    const id = said.success ? said.data : '';
    const parsed = NewHappening.safeParse(one);
    if (!parsed.success) {
      const { path, message } = fieldErrors(parsed.error)[0]!;
      wrong.set(index, { id, status: 'refused', message: path ? `${path}: ${message}` : message });
    } else if (seen.has(parsed.data.id)) wrong.set(index, { id, status: 'refused', message: 'Another of these has this id already.' });
    else {
      seen.add(parsed.data.id);
      read.set(index, parsed.data);
    }
  }
  return { read, wrong };
}

/**
 * Keeps what a phone or a desk tells: each once by its id, however often it is sent; what cannot stand is named and stays where it was told, and
 * the rest goes on. A device whose clock is off is asked about before anything of it is kept.
 */
export async function keepBatch(scope: KennelScope, sent: HappeningBatchSent, now: Date, failed: (error: unknown) => void): Promise<HappeningsKept> {
  const aheadMs = Date.parse(sent.sentAt) - now.getTime();
  if (sent.clock === null && Math.abs(aheadMs) > CLOCK_OFF_MS)
    throw new Failure('clock-off', { current: { phoneAt: sent.sentAt, serverAt: now.toISOString(), aheadMs } });
  const { read, wrong } = readEach(sent.happenings);
  const indexOf = new Map([...read].map(([index, { id }]) => [id, index]));
  const withOthers = new Map((sent.together ?? []).flatMap((ids) => ids.map((id) => [id, ids] as const)));
  const units: number[][] = [];
  const placed = new Set<number>();
  for (const [index, { id }] of read) {
    if (placed.has(index)) continue;
    const ids = withOthers.get(id) ?? [id];
    const unit = ids.flatMap((one) => indexOf.get(one) ?? []).filter((one) => !placed.has(one));
    for (const one of unit) placed.add(one);
    // Of what is kept whole or not at all, something cannot even be read.
    if (ids.every((one) => indexOf.has(one))) units.push(unit);
    else {
      const fault = [...wrong.values()].find((one) => ids.includes(one.id));
      for (const one of unit)
        wrong.set(one, { id: read.get(one)!.id, status: 'refused', message: fault?.message ?? 'Something that belongs to it is missing.' });
    }
  }
  const telling: Telling = { teller: { source: sent.source, bridgeId: null }, strict: true, phone: sent.phone, aheadMs: sent.clock?.aheadMs ?? 0 };
  const told = units.map((unit) => unit.map((index) => read.get(index)!));
  const kept = await keepApart(scope, told, telling, now.getTime(), failed);
  const results = new Map(wrong);
  for (const [at, unit] of units.entries())
    for (const [place, index] of unit.entries()) {
      const { status, message } = kept[at]![place]!;
      results.set(index, { id: read.get(index)!.id, status, message });
    }
  return { results: sent.happenings.map((_one, index) => results.get(index)!), serverAt: now.toISOString() };
}
