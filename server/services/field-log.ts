import { group } from 'd3-array';
import { isDeepStrictEqual } from 'node:util';
import {
  CLOCK_OFF_MS,
  fieldErrors,
  NewFieldEvent,
  type FieldBatch,
  type FieldBatchSent,
  type FieldBatchKept,
  type FieldResult,
  type FieldSession,
  type FieldSessionPage,
  deviceOf,
} from '@banter/contract';
import { WORK_SETTINGS, MINUTE_MS, isWhole } from '@banter/core';
import { In, MoreThan } from 'typeorm';
import { isDatabaseAway } from '../data/database-away.ts';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { EventEntity, type EventRow } from '../data/entities/event.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { FieldEventEntity, FieldSessionEntity, type FieldEventRow, type FieldSessionRow } from '../data/entities/field-log.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { ProgrammeEntity, type ProgrammeRow } from '../data/entities/programme.ts';
import { writeDeed } from './deeds.ts';
import { Failure } from './failure.ts';
import { familyOf, rebuildFieldStories, fieldEventAsSent, sessionsTakeDevicePresses, fieldEventAsKept } from './field-stories.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';

/** A phone whose clock agrees may still be a little ahead. */
const AHEAD_MS = 2 * MINUTE_MS;

/** What is known of the sessions that a batch speaks of, before it and as it is read. */
type Known = {
  sessions: Map<string, { dogId: string; begunAt: number }>;
  events: Map<string, { event: NewFieldEvent['event']; sessionId: string; collarId: string | null }>;
};
type Around = {
  dogs: ReadonlySet<string>;
  people: ReadonlySet<string>;
  collars: ReadonlyMap<string, CollarRow>;
  fitted: ReadonlySet<string>;
  settings: ReadonlySet<string>;
  programmes: ReadonlyMap<string, ProgrammeRow>;
  now: number;
};

type Verdict = { status: 'refused' | 'waits'; message: string } | null;
const refused = (message: string): Verdict => ({ status: 'refused', message });
const waits = (message: string): Verdict => ({ status: 'waits', message });

/** What is wrong with an event, against what is known. `at` is the time that counts, ms. */
function verdictOn(event: NewFieldEvent, at: number, known: Known, around: Around): Verdict {
  if (at > around.now + AHEAD_MS) return refused('This time lies in the future.');
  const session = known.sessions.get(event.sessionId);
  if (event.event === 'begin') {
    if (session) return refused('This session has been begun already.');
    if (!around.dogs.has(event.dogId)) return refused('There is no such dog in this kennel.');
    if (!around.people.has(event.handlerId)) return refused('There is no such handler in this kennel.');
    return around.settings.has(event.setting) ? null : refused('This kennel has no such setting.');
  }
  if (!session) return waits('Its session has not arrived yet.');
  if (at < session.begunAt) return refused('This lies before the session began.');
  if (event.event === 'setting') return around.settings.has(event.setting) ? null : refused('This kennel has no such setting.');
  if (event.event === 'response') {
    const press = known.events.get(event.pressId);
    if (!press) return waits('Its press has not arrived yet.');
    return press.event === 'press' && press.sessionId === event.sessionId ? null : refused('What it answers is no press of this session.');
  }
  if (event.event === 'joins') {
    const into = known.sessions.get(event.intoId);
    if (!into) return waits('The session it joins has not arrived yet.');
    return into.dogId === session.dogId ? null : refused('A session joins only another of the same dog.');
  }
  if (event.event === 'result') {
    const programme = around.programmes.get(event.programmeId);
    if (programme?.dogId !== session.dogId) return refused('This is no programme of this dog.');
    return programme.stages.some(({ id }) => id === event.stageId) ? null : refused('This programme has no such stage.');
  }
  if (event.event === 'void') {
    const target = known.events.get(event.eventId);
    if (!target) return waits('What it takes back has not arrived yet.');
    if (target.sessionId !== event.sessionId || target.event === 'void') return refused('This is nothing of this session that can be taken back.');
    return target.event === 'begin' ? refused('A session’s beginning is not taken back; its other events are.') : null;
  }
  if (event.event !== 'press' && event.event !== 'looked-into' && event.event !== 'contact') return null;
  const collar = around.collars.get(event.collarId);
  const device = collar && deviceOf(collar);
  if (!collar || !device) return refused('There is no such device in this kennel.');
  if (!around.fitted.has(`${session.dogId} ${event.collarId}`)) return refused(`«${collar.name}» has not been fitted to this dog.`);
  if (event.event !== 'press' || event.mode === 'tone' || event.mode === 'vibration') return null;
  const { min, max, step } = device.scale;
  if (event.level < min || event.level > max || !isWhole((event.level - min) / step))
    return refused(`This device’s scale goes from ${min} to ${max} in steps of ${step}.`);
  return null;
}

/** What a batch is judged against: its sessions, dogs, people, devices, and what has been told before under its ids. */
async function surroundings(scope: KennelScope, batch: FieldBatch, now: number) {
  const ids = batch.events.map(({ id }) => id);
  const sessionIds = [...new Set(batch.events.flatMap((event) => (event.event === 'joins' ? [event.sessionId, event.intoId] : [event.sessionId])))];
  const before = await scope.all(FieldEventEntity, { sessionId: In(sessionIds), event: 'begin' }, { at: 'DESC', id: 'DESC' });
  const begins = batch.events.flatMap((event) => (event.event === 'begin' ? [event] : []));
  const dogIds = [...new Set([...before.map(({ dogId }) => dogId), ...begins.map(({ dogId }) => dogId)])];
  // One phone at a time works on a dog's sessions.
  const dogs = await scope.holdSome(DogEntity, dogIds);
  // Read again: another phone may have begun one while this waited for the dog.
  const beginnings = await scope.all(FieldEventEntity, { sessionId: In(sessionIds), event: 'begin' }, { at: 'DESC', id: 'DESC' });
  const targets = batch.events.flatMap((event) => (event.event === 'response' ? [event.pressId] : event.event === 'void' ? [event.eventId] : []));
  const collarIds = [...new Set(batch.events.flatMap((event) => ('collarId' in event ? [event.collarId] : [])))];
  const rows = await scope.someOf(FieldEventEntity, [...new Set([...ids, ...targets])]);
  const kennel = await kennelOf(scope);
  const plans = collarIds.length === 0 ? [] : await scope.all(PlanEntity, { dogId: In(dogIds), collarId: In(collarIds) }, { at: 'ASC' });
  const people = await scope.someOf(PersonEntity, [...new Set(begins.map(({ handlerId }) => handlerId))]);
  return {
    told: new Map(rows.map((row) => [row.id, row])),
    known: {
      // Out of their beginnings, for one that joined another has no record of its own left.
      sessions: new Map(beginnings.map(({ sessionId, dogId, at }) => [sessionId, { dogId, begunAt: at.getTime() }])),
      events: new Map(
        rows.map(({ id, event, sessionId, data }) => [id, { event, sessionId, collarId: typeof data.collarId === 'string' ? data.collarId : null }]),
      ),
    } satisfies Known,
    around: {
      dogs: new Set(dogs.map(({ id }) => id)),
      people: new Set(people.map(({ id }) => id)),
      collars: new Map((await scope.someOf(CollarEntity, collarIds)).map((row) => [row.id, row])),
      fitted: new Set(plans.map(({ dogId, collarId }) => `${dogId} ${collarId}`)),
      settings: new Set([...WORK_SETTINGS, ...kennel.moreSettings].map(({ id }) => id)),
      programmes: new Map(
        (await scope.someOf(ProgrammeEntity, [...new Set(batch.events.flatMap((event) => (event.event === 'result' ? [event.programmeId] : [])))])).map(
          (row) => [row.id, row],
        ),
      ),
      now,
    } satisfies Around,
  };
}

/** Contact felt in the field is told of the device, too: its morning routine and the check at the door go by it. */
function feltContact(
  { id, event, data, dogId, personId, at, recordedAt }: Omit<FieldEventRow, 'kennelId'>,
  known: Known['events'],
): Omit<EventRow, 'kennelId'> | null {
  const told = { id, personId, bridgeId: null, source: 'hand' as const, at, recordedAt };
  if (event === 'contact') return { ...told, event, dogId: null, collarId: String(data.collarId), eventId: null, data: { made: data.made } };
  const target = event === 'void' ? known.get(String(data.eventId)) : undefined;
  return target?.event === 'contact' ? { ...told, event: 'void', dogId, collarId: target.collarId, eventId: String(data.eventId), data: {} } : null;
}

/** Keeps the events of a batch in the caller’s transaction. */
export async function keepFieldEvents(scope: KennelScope, batch: FieldBatch, now: number): Promise<FieldResult[]> {
  const { told, known, around } = await surroundings(scope, batch, now);
  const aheadMs = batch.clock?.aheadMs ?? 0;
  const fresh: Omit<FieldEventRow, 'kennelId'>[] = [];
  const results = batch.events.map((event): FieldResult => {
    const { id, sessionId, at: said, event: name, ...data } = event;
    const result = (status: FieldResult['status'], message = ''): FieldResult => ({ id, status, message });
    const earlier = told.get(id);
    if (earlier)
      return isDeepStrictEqual(fieldEventAsSent(earlier), event) ? result('known') : result('refused', 'Something else is already recorded under this id.');
    const at = Date.parse(said) - aheadMs;
    const verdict = verdictOn(event, at, known, around);
    if (verdict) return result(verdict.status, verdict.message);
    if (event.event === 'begin') known.sessions.set(sessionId, { dogId: event.dogId, begunAt: at });
    known.events.set(id, { event: name, sessionId, collarId: 'collarId' in event ? event.collarId : null });
    const { dogId } = known.sessions.get(sessionId)!;
    fresh.push({
      id,
      sessionId,
      dogId,
      event: name,
      data,
      phone: batch.phone,
      personId: scope.personId,
      saidAt: new Date(said),
      at: new Date(at),
      recordedAt: new Date(now),
    });
    return result('kept');
  });
  await scope.insertMany(FieldEventEntity, fresh);
  for (const [sessionId, rows] of group(fresh, (row) => row.sessionId))
    await writeDeed(scope, { act: 'made', kind: 'fieldEvent', recordId: sessionId, dogId: rows[0]!.dogId, about: { count: rows.length }, at: rows[0]!.at });
  await scope.insertMany(
    EventEntity,
    fresh.flatMap((row) => feltContact(row, known.events) ?? []),
  );
  await rebuildFieldStories(scope, fresh);
  // A device may have told of a session that its phone tells of only now.
  await sessionsTakeDevicePresses(scope, [...new Set(fresh.flatMap(({ event, sessionId }) => (event === 'begin' || event === 'end' ? [sessionId] : [])))]);
  return results;
}

/** The events of a batch that can be read, by their place; of the others, what is wrong with each. */
function readEvents(sent: readonly unknown[]): { read: { index: number; event: NewFieldEvent }[]; wrong: Map<number, FieldResult> } {
  const read: { index: number; event: NewFieldEvent }[] = [];
  const wrong = new Map<number, FieldResult>();
  const seen = new Set<string>();
  for (const [index, one] of sent.entries()) {
    const said = (one as { id?: unknown } | null)?.id;
    const id = typeof said === 'string' ? said.slice(0, 60) : '';
    const parsed = NewFieldEvent.safeParse(one);
    if (!parsed.success) {
      const { path, message } = fieldErrors(parsed.error)[0]!;
      wrong.set(index, { id, status: 'refused', message: path ? `${path}: ${message}` : message });
    } else if (seen.has(parsed.data.id)) wrong.set(index, { id, status: 'refused', message: 'Another event of these has this id already.' });
    else {
      seen.add(parsed.data.id);
      read.push({ index, event: parsed.data });
    }
  }
  return { read, wrong };
}

/** Keeps events together; where that fails on something nobody foresaw, apart, until the one it fails on stands alone and is refused. */
async function keepApart(scope: KennelScope, batch: FieldBatch, now: number, failed: (error: unknown) => void): Promise<FieldResult[]> {
  try {
    return await scope.inOneAsItStands((within) => keepFieldEvents(within, batch, now));
  } catch (error) {
    if (error instanceof Failure || isDatabaseAway(error)) throw error;
    if (batch.events.length === 1) {
      failed(error);
      return [{ id: batch.events[0]!.id, status: 'refused', message: 'This could not be kept as it is. It has been noted.' }];
    }
    const half = Math.ceil(batch.events.length / 2);
    const first = await keepApart(scope, { ...batch, events: batch.events.slice(0, half) }, now, failed);
    return [...first, ...(await keepApart(scope, { ...batch, events: batch.events.slice(half) }, now, failed))];
  }
}

/**
 * Keeps what a phone logged: each event once by its id, however often it is sent; what cannot stand is named and stays with the
 * phone, and the rest goes on. A phone whose clock is off is asked about before anything of it is kept.
 */
export async function keepFieldBatch(scope: KennelScope, sent: FieldBatchSent, now: Date, failed: (error: unknown) => void): Promise<FieldBatchKept> {
  const aheadMs = Date.parse(sent.sentAt) - now.getTime();
  if (sent.clock === null && Math.abs(aheadMs) > CLOCK_OFF_MS)
    throw new Failure('clock-off', { current: { phoneAt: sent.sentAt, serverAt: now.toISOString(), aheadMs } });
  const { read, wrong } = readEvents(sent.events);
  const kept = read.length === 0 ? [] : await keepApart(scope, { ...sent, events: read.map(({ event }) => event) }, now.getTime(), failed);
  const results = new Map([...wrong, ...read.map(({ index }, at) => [index, kept[at]!] as const)]);
  return { results: sent.events.map((_one, index) => results.get(index)!), serverAt: now.toISOString() };
}

/** Sessions as they are answered, with the names of their handlers. */
export async function sessionAnswers(scope: KennelScope, rows: readonly FieldSessionRow[]): Promise<FieldSession[]> {
  const people = await scope.someOf(PersonEntity, [...new Set(rows.map(({ handlerId }) => handlerId))]);
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return rows.map(({ kennelId: _kennel, begunAt, endedAt, lastAt, ...row }) => ({
    ...row,
    handlerName: names.get(row.handlerId) ?? '',
    begunAt: begunAt.toISOString(),
    endedAt: endedAt?.toISOString() ?? null,
    lastAt: lastAt.toISOString(),
  }));
}

/** One session with everything that was told of it, or what arrived since an instant; one that joined another is answered as that one. */
export async function fieldSessionPage(scope: KennelScope, id: string, since: Date | null = null): Promise<FieldSessionPage> {
  const [begin] = await scope.all(FieldEventEntity, { sessionId: id, event: 'begin' }, { at: 'ASC' });
  if (!begin) throw new Failure('not-found');
  const [root, members] = [...(await familyOf(scope, [begin.dogId], [id]))].find(([, all]) => all.includes(id))!;
  const row = await scope.get(FieldSessionEntity, root);
  const later = since === null ? {} : { recordedAt: MoreThan(since) };
  const rows = await scope.all(FieldEventEntity, { sessionId: In(members), ...later }, { at: 'ASC', id: 'ASC' });
  const people = await scope.someOf(PersonEntity, [...new Set(rows.map(({ personId }) => personId))]);
  const names = new Map(people.map((person) => [person.id, person.name]));
  const [session] = await sessionAnswers(scope, [row]);
  return {
    session: session!,
    events: rows.map((one) => ({
      event: fieldEventAsKept(one),
      saidAt: one.saidAt.toISOString(),
      recordedAt: one.recordedAt.toISOString(),
      personName: names.get(one.personId) ?? '',
      phone: one.phone,
    })),
  };
}

/** A held session as calendars know it. */
export const heldAnswer = ({ id, dogId, begunAt, endedAt }: FieldSessionRow) => ({
  id,
  dogId,
  begunAt: begunAt.toISOString(),
  endedAt: endedAt?.toISOString() ?? null,
});
