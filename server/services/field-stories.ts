import { fieldEventOf, NewFieldEvent } from '@banter/contract';
import { houseRules, joinedSessions, sessionStory, sessionTally, HOUR_MS } from '@banter/core';
import { isDeepStrictEqual } from 'node:util';
import { In } from 'typeorm';
import { EventEntity, type EventRow } from '../data/entities/event.ts';
import { FieldEventEntity, FieldSessionEntity, PressEntity, type FieldEventRow, type FieldSessionRow, type PressRow } from '../data/entities/field-log.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { StageResultEntity, type StageResultRow } from '../data/entities/programme.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';

/** The event as its phone told it, out of its row; `at` is what the phone's clock said. */
export function fieldEventAsSent({ id, event, sessionId, data, saidAt }: Omit<FieldEventRow, 'kennelId'>): NewFieldEvent {
  return NewFieldEvent.parse({ event, id, sessionId, at: saidAt.toISOString(), ...data });
}
/** The event with the time that counts. */
export const fieldEventAsKept = (row: Omit<FieldEventRow, 'kennelId'>): NewFieldEvent => ({ ...fieldEventAsSent(row), at: row.at.toISOString() });

/** What tells of joining for some dogs: every joining, and what took one back. */
async function joiningEvents(scope: KennelScope, dogIds: readonly string[]): Promise<FieldEventRow[]> {
  if (dogIds.length === 0) return [];
  const joins = await scope.all(FieldEventEntity, { dogId: In([...dogIds]), event: 'joins' }, { at: 'ASC' });
  if (joins.length === 0) return [];
  const voids = await scope
    .query(FieldEventEntity)
    .andWhere("record.event = 'void' AND JSON_VALUE(record.data, '$.eventId') IN (:...ids)", { ids: joins.map(({ id }) => id) })
    .getMany();
  return [...joins, ...voids];
}

/** The session that some count as, and all that count as it. */
export async function familyOf(scope: KennelScope, dogIds: readonly string[], sessionIds: readonly string[]): Promise<Map<string, string[]>> {
  const events = await joiningEvents(scope, dogIds);
  const joined = joinedSessions(events.map((row) => fieldEventOf(fieldEventAsKept(row))));
  // Those that a joining spoke of are looked at again, so that one taken back parts them.
  const touched = new Set([...sessionIds, ...events.flatMap(({ event, data }) => (event === 'joins' ? [String(data.intoId)] : []))]);
  const families = new Map<string, string[]>();
  for (const id of touched) {
    const root = joined.get(id) ?? id;
    if (!families.has(root)) families.set(root, [root, ...[...joined].filter(([, to]) => to === root).map(([from]) => from)]);
  }
  return families;
}

/** Results of stages that were told in the field stand beside those told at the desk, as long as nobody takes them back. */
function resultsOf(events: readonly NewFieldEvent[], rows: ReadonlyMap<string, FieldEventRow>, sessionId: string): Omit<StageResultRow, 'kennelId'>[] {
  return events.flatMap((event) => {
    if (event.event !== 'result') return [];
    const { id, programmeId, stageId, met, of, setback } = event;
    const row = rows.get(id)!;
    return [{ id, programmeId, stageId, sessionId, met, of, setback, note: '', personId: row.personId, at: row.at, recordedAt: row.recordedAt }];
  });
}

/** Works out anew what stands of sessions, of their presses, and of the results told in them. */
export async function rebuildFieldStories(scope: KennelScope, touched: readonly { sessionId: string; dogId: string }[]): Promise<void> {
  if (touched.length === 0) return;
  const dogIds = [...new Set(touched.map(({ dogId }) => dogId))];
  const families = await familyOf(scope, dogIds, [...new Set(touched.map(({ sessionId }) => sessionId))]);
  const all = [...new Set([...families.values()].flat())];
  const rows = await scope.all(FieldEventEntity, { sessionId: In(all) }, { at: 'ASC', id: 'ASC' });
  const before = new Map((await scope.all(PressEntity, { sessionId: In(all) }, { at: 'ASC' })).map((row) => [row.id, row]));
  const resultsBefore = new Map((await scope.all(StageResultEntity, { sessionId: In(all) }, { at: 'ASC' })).map((row) => [row.id, row]));
  const byId = new Map(rows.map((row) => [row.id, row]));
  const sessions: Omit<FieldSessionRow, 'kennelId'>[] = [];
  const changed: Omit<PressRow, 'kennelId'>[] = [];
  const results: Omit<StageResultRow, 'kennelId'>[] = [];
  const gone: string[] = [];
  for (const [root, members] of families) {
    const joined = new Map(members.map((id) => [id, root]));
    const own = rows.filter(({ sessionId }) => joined.has(sessionId));
    const story = sessionStory(
      root,
      own.map((row) => fieldEventOf(fieldEventAsKept(row))),
      joined,
    );
    if (!story?.dogId || !story.handlerId) continue;
    const { dogId, handlerId, purpose, settings, begunAt, endedAt, lastAt } = story;
    const told = story.events.map(({ id }) => fieldEventAsKept(byId.get(id)!));
    results.push(...resultsOf(told, byId, root));
    gone.push(...members.filter((id) => id !== root));
    sessions.push({
      id: root,
      dogId,
      handlerId,
      purpose,
      settings,
      begunAt: new Date(begunAt),
      endedAt: endedAt === null ? null : new Date(endedAt),
      lastAt: new Date(lastAt),
      tally: sessionTally(story),
    });
    for (const { id, at, collarId, level, mode, setting, response, latencyMs } of story.presses) {
      const row = { id, sessionId: root, dogId, collarId, setting, purpose, level, mode, response, latencyMs, at: new Date(at) };
      const { kennelId: _kennel, ...was } = before.get(id) ?? { kennelId: '' };
      if (!isDeepStrictEqual({ ...was }, row)) changed.push(row);
      before.delete(id);
    }
  }
  await scope.putMany(FieldSessionEntity, sessions);
  await scope.putMany(PressEntity, changed);
  await scope.removeMany(PressEntity, [...before.keys()]);
  // A result told at the desk of a session that is another's by now stays, as that one's.
  const fromDesk = [...resultsBefore.values()].filter(({ id }) => !byId.has(id));
  const rootOf = (id: string) => [...families].find(([, members]) => members.includes(id))?.[0] ?? id;
  const moved = fromDesk
    .filter(({ sessionId }) => sessionId !== null && rootOf(sessionId) !== sessionId)
    .map((row) => ({ ...row, sessionId: rootOf(row.sessionId!) }));
  await scope.putMany(StageResultEntity, [...results, ...moved]);
  const standing = new Set(results.map(({ id }) => id));
  await scope.removeMany(
    StageResultEntity,
    [...resultsBefore.keys()].filter((id) => byId.has(id) && !standing.has(id)),
  );
  await scope.removeMany(FieldSessionEntity, gone);
}

/** A press that a device told, as the session's phone would have told it. */
const asPress = ({ id, collarId, data, at, recordedAt }: Omit<EventRow, 'kennelId'>, { id: sessionId, dogId, handlerId }: FieldSessionRow) => ({
  id,
  sessionId,
  dogId,
  event: 'press' as const,
  data: { collarId, level: data.level, mode: data.mode },
  phone: 'device',
  personId: handlerId,
  saidAt: at,
  at,
  recordedAt,
});

/** The dogs that some collars were fitted to. */
const fittedTo = async (scope: KennelScope, collarIds: readonly string[]) =>
  collarIds.length === 0 ? [] : await scope.all(PlanEntity, { collarId: In([...collarIds]) }, { at: 'ASC' });

/** A session that nobody ended takes what its devices tell for so long after its last event. */
async function reachOf(scope: KennelScope): Promise<(session: FieldSessionRow) => number> {
  const { askEndHours } = houseRules((await kennelOf(scope)).rules);
  return ({ endedAt, lastAt }) => endedAt?.getTime() ?? lastAt.getTime() + askEndHours * HOUR_MS;
}

/**
 * Puts presses that devices told into the sessions in which they happened: of a dog that wears the device by its fit, from the
 * session's beginning to its end. Those of no session stay with the device, until a phone that was away tells of one.
 */
export async function devicePressesIntoSessions(scope: KennelScope, presses: readonly Omit<EventRow, 'kennelId'>[]): Promise<void> {
  if (presses.length === 0) return;
  const plans = await fittedTo(scope, [...new Set(presses.flatMap(({ collarId }) => collarId ?? []))]);
  if (plans.length === 0) return;
  const times = presses.map(({ at }) => at.getTime());
  const reach = await reachOf(scope);
  const sessions = await scope
    .query(FieldSessionEntity)
    .andWhere('record.dogId IN (:...dogs) AND record.begunAt <= :last AND (record.endedAt IS NULL OR record.endedAt >= :first)', {
      dogs: [...new Set(plans.map(({ dogId }) => dogId))],
      first: new Date(Math.min(...times)),
      last: new Date(Math.max(...times)),
    })
    .orderBy('record.begunAt', 'DESC')
    .getMany();
  const known = new Set(
    (
      await scope.someOf(
        FieldEventEntity,
        presses.map(({ id }) => id),
      )
    ).map(({ id }) => id),
  );
  const rows = presses.flatMap((press) => {
    if (known.has(press.id)) return [];
    const at = press.at.getTime();
    const session = sessions.find(
      (one) => one.begunAt.getTime() <= at && at <= reach(one) && plans.some(({ dogId, collarId }) => dogId === one.dogId && collarId === press.collarId),
    );
    return session ? [asPress(press, session)] : [];
  });
  await scope.insertMany(FieldEventEntity, rows);
  await rebuildFieldStories(scope, rows);
}

/** Looks whether devices told presses of sessions that have only now become known. */
export async function sessionsTakeDevicePresses(scope: KennelScope, sessionIds: readonly string[]): Promise<void> {
  const sessions = await scope.someOf(FieldSessionEntity, sessionIds);
  if (sessions.length === 0) return;
  const reach = await reachOf(scope);
  const first = new Date(Math.min(...sessions.map(({ begunAt }) => begunAt.getTime())));
  const last = new Date(Math.max(...sessions.map(reach)));
  const told = await scope.query(EventEntity).andWhere("record.event = 'press' AND record.at BETWEEN :first AND :last", { first, last }).getMany();
  if (told.length === 0) return;
  const voided = new Set((await scope.all(EventEntity, { event: 'void', eventId: In(told.map(({ id }) => id)) }, { at: 'ASC' })).map(({ eventId }) => eventId));
  await devicePressesIntoSessions(
    scope,
    told.filter(({ id }) => !voided.has(id)),
  );
}

/** A device takes a press back: it no longer stands in its session, either. */
export async function devicePressesTakenBack(scope: KennelScope, voids: readonly Omit<EventRow, 'kennelId'>[]): Promise<void> {
  const targets = await scope.someOf(
    FieldEventEntity,
    voids.flatMap(({ eventId }) => eventId ?? []),
  );
  const rows = voids.flatMap(({ id, eventId, at, recordedAt }) => {
    const press = targets.find((target) => target.id === eventId && target.event === 'press');
    return press ? [{ ...press, id, event: 'void' as const, data: { eventId }, saidAt: at, at, recordedAt }] : [];
  });
  await scope.insertMany(FieldEventEntity, rows);
  await rebuildFieldStories(scope, rows);
}
