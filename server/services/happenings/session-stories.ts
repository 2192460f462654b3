import { fieldEventOf, isOfSession } from '@banter/contract';
import { houseRules, joinedSessions, sessionStory, sessionTally, HOUR_MS } from '@banter/core';
import { group } from 'd3-array';
import { isDeepStrictEqual } from 'node:util';
import { Between, In, IsNull } from 'typeorm';
import { FieldSessionEntity, PressEntity, type FieldSessionRow, type PressRow } from '../../data/entities/field-log.ts';
import { HappeningEntity, type HappeningRow } from '../../data/entities/happening.ts';
import { PlanEntity } from '../../data/entities/plan.ts';
import { StageResultEntity, type StageResultRow } from '../../data/entities/programme.ts';
import type { KennelScope } from '../kennel-scope.ts';
import { kennelOf } from '../kennels.ts';
import { happeningAsKept } from './kept-happenings.ts';

type Row = Omit<HappeningRow, 'kennelId'>;

/** What was told of a session as the core counts it. */
const asFieldEvents = (rows: readonly Row[]) => rows.map(happeningAsKept).filter(isOfSession).map(fieldEventOf);

/** What tells of joining for some dogs: every joining, and what took one back. */
async function toldOfJoining(scope: KennelScope, dogIds: readonly string[]): Promise<HappeningRow[]> {
  if (dogIds.length === 0) return [];
  const joins = await scope.all(HappeningEntity, { dogId: In([...dogIds]), event: 'joins' }, { at: 'ASC' });
  if (joins.length === 0) return [];
  return [...joins, ...(await scope.all(HappeningEntity, { eventId: In(joins.map(({ id }) => id)) }, { at: 'ASC' }))];
}

/** The session that some count as, and all that count as it. */
export async function familyOf(scope: KennelScope, dogIds: readonly string[], sessionIds: readonly string[]): Promise<Map<string, string[]>> {
  const events = await toldOfJoining(scope, dogIds);
  const joined = joinedSessions(asFieldEvents(events));
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
const resultsOf = (rows: readonly Row[], sessionId: string): Omit<StageResultRow, 'kennelId'>[] =>
  rows.flatMap((row) => {
    const told = happeningAsKept(row);
    if (told.event !== 'result') return [];
    const { id, programmeId, stageId, met, of, setback } = told;
    return [{ id, programmeId, stageId, sessionId, met, of, setback, note: '', personId: row.personId!, at: row.at, recordedAt: row.recordedAt }];
  });

/** Works out anew what stands of sessions, of their presses, and of the results told in them. */
export async function rebuildSessionStories(scope: KennelScope, told: readonly Pick<Row, 'sessionId' | 'dogId'>[]): Promise<void> {
  const touched = told.filter(({ sessionId }) => sessionId !== null);
  if (touched.length === 0) return;
  const dogIds = [...new Set(touched.flatMap(({ dogId }) => dogId ?? []))];
  const families = await familyOf(scope, dogIds, [...new Set(touched.map(({ sessionId }) => sessionId!))]);
  const all = [...new Set([...families.values()].flat())];
  const rows = await scope.all(HappeningEntity, { sessionId: In(all) }, { at: 'ASC', id: 'ASC' });
  const before = new Map((await scope.all(PressEntity, { sessionId: In(all) }, { at: 'ASC' })).map((row) => [row.id, row]));
  const resultsBefore = new Map((await scope.all(StageResultEntity, { sessionId: In(all) }, { at: 'ASC' })).map((row) => [row.id, row]));
  const byId = new Map(rows.map((row) => [row.id, row]));
  const bySession = group(rows, ({ sessionId }) => sessionId!);
  const sessions: Omit<FieldSessionRow, 'kennelId'>[] = [];
  const changed: Omit<PressRow, 'kennelId'>[] = [];
  const results: Omit<StageResultRow, 'kennelId'>[] = [];
  const gone: string[] = [];
  for (const [root, members] of families) {
    const joined = new Map(members.map((id) => [id, root]));
    const own = members.flatMap((id) => bySession.get(id) ?? []);
    const story = sessionStory(root, asFieldEvents(own), joined);
    if (!story?.dogId || !story.handlerId) continue;
    const { dogId, handlerId, purpose, settings, begunAt, endedAt, lastAt } = story;
    results.push(
      ...resultsOf(
        story.events.map(({ id }) => byId.get(id)!),
        root,
      ),
    );
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

/** The dogs that some collars were fitted to. */
const fittedTo = async (scope: KennelScope, collarIds: readonly string[]) =>
  collarIds.length === 0 ? [] : await scope.all(PlanEntity, { collarId: In([...collarIds]) }, { at: 'ASC' });

/** A session that nobody ended takes what its devices tell for so long after its last event. */
async function reachOf(scope: KennelScope): Promise<(session: FieldSessionRow) => number> {
  const { askEndHours } = houseRules((await kennelOf(scope)).rules);
  return ({ endedAt, lastAt }) => endedAt?.getTime() ?? lastAt.getTime() + askEndHours * HOUR_MS;
}

/**
 * Puts presses that devices told into the sessions in which they happened, before they are kept: of a dog that wears the device by its fit, from
 * the session's beginning to its end. Those of no session stay with the device, until a phone that was away tells of one.
 */
export async function intoRunningSessions(scope: KennelScope, told: readonly Row[]): Promise<void> {
  const presses = told.filter(({ event, sessionId }) => event === 'press' && sessionId === null);
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
  for (const press of presses) {
    const at = press.at.getTime();
    const session = sessions.find(
      (one) => one.begunAt.getTime() <= at && at <= reach(one) && plans.some(({ dogId, collarId }) => dogId === one.dogId && collarId === press.collarId),
    );
    if (session) Object.assign(press, { sessionId: session.id, dogId: session.dogId });
  }
  // What takes one of them back goes with it.
  const placed = new Map(presses.map((press) => [press.id, press]));
  for (const one of told) {
    const press = one.eventId === null ? undefined : placed.get(one.eventId);
    if (press?.sessionId) Object.assign(one, { sessionId: press.sessionId, dogId: press.dogId });
  }
}

/** Looks whether devices told presses of sessions that have only now become known, and puts them there; answers those. */
export async function sessionsTakePresses(scope: KennelScope, sessionIds: readonly string[]): Promise<Row[]> {
  const sessions = await scope.someOf(FieldSessionEntity, sessionIds);
  if (sessions.length === 0) return [];
  const reach = await reachOf(scope);
  const first = new Date(Math.min(...sessions.map(({ begunAt }) => begunAt.getTime())));
  const last = new Date(Math.max(...sessions.map(reach)));
  const told = await scope.all(HappeningEntity, { event: 'press', at: Between(first, last), sessionId: IsNull() }, { at: 'ASC' });
  if (told.length === 0) return [];
  const voided = new Set((await scope.all(HappeningEntity, { eventId: In(told.map(({ id }) => id)) }, { at: 'ASC' })).map(({ eventId }) => eventId));
  const standing = told.filter(({ id }) => !voided.has(id));
  await intoRunningSessions(scope, standing);
  const placed = standing.filter(({ sessionId }) => sessionId !== null);
  await scope.putMany(HappeningEntity, placed);
  return placed;
}
