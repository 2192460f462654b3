import { isDeepStrictEqual } from 'node:util';
import { NewEvent, RecordId, wearAndDeviceEvents, type EventsKept, type NeckEvent, deviceOf } from '@banter/contract';
import { wearsOf, type WearOddity } from '@banter/core';
import { group } from 'd3-array';
import { In } from 'typeorm';
import { BridgeEntity } from '../data/entities/bridge.ts';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { EventEntity, type EventRow } from '../data/entities/event.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { writeDeed } from './deeds.ts';
import { Failure } from './failure.ts';
import { devicePressesIntoSessions, devicePressesTakenBack } from './field-stories.ts';
import type { KennelScope } from './kennel-scope.ts';
import { CLOCK_AHEAD_MS } from './kept.ts';

/** Who tells: somebody on a screen, the stand-in on somebody's screen, or a bridge. */
export type Teller = { source: 'hand' | 'stand-in'; bridgeId: null } | { source: 'bridge'; bridgeId: string };

/** An event that is not kept, by its place among those told. */
export type RefusedEvent = { index: number; field: string; message: string };

/** The event as it was told, out of its row. */
export function eventAsSent({ id, event, dogId, collarId, eventId, data, at }: EventRow): NewEvent {
  const own = event === 'void' ? { eventId } : { ...(dogId === null ? {} : { dogId }), collarId };
  return NewEvent.parse({ event, id, at: at.toISOString(), ...own, ...data });
}

export async function eventAnswers(scope: KennelScope, rows: EventRow[]): Promise<NeckEvent[]> {
  const ids = (of: (row: EventRow) => string | null) => [...new Set(rows.flatMap((row) => of(row) ?? []))];
  const people = new Map(
    (
      await scope.someOf(
        PersonEntity,
        ids((row) => row.personId),
      )
    ).map(({ id, name }) => [id, name]),
  );
  const bridges = new Map(
    (
      await scope.someOf(
        BridgeEntity,
        ids((row) => row.bridgeId),
      )
    ).map(({ id, name }) => [id, name]),
  );
  return rows.map((row): NeckEvent => ({
    ...eventAsSent(row),
    source: row.source,
    recordedAt: row.recordedAt.toISOString(),
    personId: row.personId,
    personName: (row.personId === null ? bridges.get(row.bridgeId!) : people.get(row.personId)) ?? '',
  }));
}

/** What is wrong with an event for itself, against the dogs, collars and events there are. */
function faultOf(
  event: NewEvent,
  by: { dogs: ReadonlySet<string>; collars: ReadonlyMap<string, CollarRow>; known: ReadonlySet<string>; mayTakeBack: (id: string) => boolean; now: number },
): Omit<RefusedEvent, 'index'> | null {
  if (Date.parse(event.at) > by.now + CLOCK_AHEAD_MS) return { field: 'at', message: 'This time lies in the future.' };
  if (event.event === 'void') {
    if (!by.known.has(event.eventId)) return { field: 'eventId', message: 'There is no such event in this kennel.' };
    return by.mayTakeBack(event.eventId) ? null : { field: 'eventId', message: 'A bridge takes back only what it told itself.' };
  }
  if ('dogId' in event && !by.dogs.has(event.dogId)) return { field: 'dogId', message: 'There is no such dog in this kennel.' };
  const collar = by.collars.get(event.collarId);
  if (!collar) return { field: 'collarId', message: 'There is no such collar in this kennel.' };
  if ('dogId' in event) return null;
  const device = deviceOf(collar);
  if (!device) return { field: 'collarId', message: 'This collar is no device.' };
  if (event.event === 'tried' || (event.event === 'press' && event.mode !== 'tone' && event.mode !== 'vibration')) {
    const { min, max } = device.scale;
    if (event.level < min || event.level > max) return { field: 'level', message: `This device’s scale goes from ${min} to ${max}.` };
  }
  return null;
}

const ODD: Partial<Record<WearOddity['code'], string>> = {
  'put-on-twice': 'This collar is on this dog already at that time: the two wears would overlap.',
  'end-unknown': 'This collar is on another dog at that time: take it off there first.',
};

/** What told events would make of the wears of their collars that hands should look at first; a second «off» is none of it. */
function clashes(before: readonly NewEvent[], told: readonly NewEvent[]): RefusedEvent[] {
  const odd = (events: readonly NewEvent[]) => {
    const { wears, strays } = wearsOf(wearAndDeviceEvents(events).wear);
    return [...wears.flatMap(({ oddities }) => oddities), ...strays];
  };
  const was = new Set(odd(before).map(({ code, eventId }) => `${code} ${eventId}`));
  const fresh = odd([...before, ...told]).filter(({ code, eventId }) => !was.has(`${code} ${eventId}`) && code !== 'taken-off-twice');
  return fresh.map((one): RefusedEvent => {
    const index = told.findIndex(({ id }) => id === one.eventId);
    // What was kept before clashes through the event told now.
    const at = index >= 0 ? index : 0;
    if (one.code === 'never-on') {
      const before = told[at]!.event === 'taken-off' ? 'It was not on this dog then: a wear cannot end before it begins.' : 'It was not on this dog then.';
      return { index: at, field: 'at', message: before };
    }
    return { index: at, field: 'at', message: ODD[one.code]! };
  });
}

/**
 * Keeps events, each once by its id, whatever order they come in. A `strict` teller, a hand, is refused what would make wears
 * overlap or end before they begin; a device that tells late or twice is taken as it is, and what is odd is seen in the wears.
 * Runs in the caller's transaction.
 */
export async function tellEvents(
  scope: KennelScope,
  told: readonly NewEvent[],
  teller: Teller,
  strict: boolean,
): Promise<{ fresh: string[]; known: number; refused: RefusedEvent[] }> {
  const ids = told.map(({ id }) => id);
  const voided = told.flatMap((event) => (event.event === 'void' ? [event.eventId] : []));
  const there = new Map((await scope.someOf(EventEntity, [...ids, ...voided])).map((row) => [row.id, row]));
  const collarIds = [...new Set(told.flatMap((event) => ('collarId' in event ? [event.collarId] : (there.get(event.eventId)?.collarId ?? []))))];
  const collars = new Map((strict ? await scope.holdSome(CollarEntity, collarIds) : await scope.someOf(CollarEntity, collarIds)).map((row) => [row.id, row]));
  const dogs = new Set((await scope.someOf(DogEntity, [...new Set(told.flatMap((event) => ('dogId' in event ? [event.dogId] : [])))])).map(({ id }) => id));
  /** People correct whatever was told; a bridge only itself. */
  const mayTakeBack = (id: string) => teller.bridgeId === null || fresh.has(id) || there.get(id)?.bridgeId === teller.bridgeId;
  const now = Date.now();
  const refused: RefusedEvent[] = [];
  const fresh = new Map<string, NewEvent>();
  let known = 0;
  for (const [index, event] of told.entries()) {
    const row = there.get(event.id);
    const earlier = row ? eventAsSent(row) : fresh.get(event.id);
    if (earlier) {
      if (isDeepStrictEqual(earlier, event)) known += 1;
      else refused.push({ index, field: 'id', message: 'Something else is already recorded under this id.' });
      continue;
    }
    const fault = faultOf(event, { dogs, collars, known: new Set([...there.keys(), ...fresh.keys()]), mayTakeBack, now });
    if (fault) refused.push({ index, ...fault });
    else fresh.set(event.id, event);
  }
  if (strict && fresh.size > 0) {
    const before = (await scope.all(EventEntity, { collarId: In(collarIds) }, { at: 'ASC', id: 'ASC' })).map(eventAsSent);
    const list = [...fresh.values()];
    for (const { index, ...clash } of clashes(before, list)) refused.push({ index: told.indexOf(list[index]!), ...clash });
  }
  if (strict && refused.length > 0) return { fresh: [], known, refused };
  const whose = teller.bridgeId === null ? { personId: scope.personId, bridgeId: null } : { personId: null, bridgeId: teller.bridgeId };
  const rows = [...fresh.values()].map((event): Omit<EventRow, 'kennelId'> => {
    const { id, at, event: name, ...own } = event;
    const { dogId = null, collarId = null, eventId = null, ...data } = own as { dogId?: string; collarId?: string; eventId?: string };
    // What takes an event back is found with the dog and collar of that event.
    const target = eventId === null ? null : (there.get(eventId) ?? (fresh.get(eventId) as { dogId?: string; collarId?: string } | undefined));
    return {
      id,
      event: name,
      dogId: dogId ?? target?.dogId ?? null,
      collarId: collarId ?? target?.collarId ?? null,
      eventId,
      data,
      source: teller.source,
      ...whose,
      at: new Date(at),
      recordedAt: new Date(),
    };
  });
  await scope.insertMany(EventEntity, rows);
  // A bridge's events say themselves where they came from; the log tells of people.
  if (teller.bridgeId === null)
    for (const [dogId, of] of group(rows, (row) => row.dogId))
      await writeDeed(scope, { act: 'made', kind: 'event', recordId: of[0]!.id, dogId, about: { count: of.length }, at: of[0]!.at });
  await devicePressesIntoSessions(
    scope,
    rows.filter(({ event }) => event === 'press'),
  );
  await devicePressesTakenBack(
    scope,
    rows.filter(({ event }) => event === 'void'),
  );
  return { fresh: [...fresh.keys()], known, refused };
}

/** Two may tell the same events at the same instant: whoever comes second is told again, and finds them there. */
async function onceMore<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const { code } = error as { code?: string };
    if (code !== 'ER_DUP_ENTRY') throw error;
    return await work();
  }
}

/** One entry of a hand: all of its events, or a failure that names what is wrong at its field. */
export async function keepEntry(
  scope: KennelScope,
  told: readonly NewEvent[],
  source: 'hand' | 'stand-in',
): Promise<{ created: boolean; events: NeckEvent[] }> {
  const { fresh, refused } = await onceMore(() => scope.inOneAsItStands((within) => tellEvents(within, told, { source, bridgeId: null }, true)));
  if (refused.length > 0) {
    if (refused.some(({ field }) => field === 'id')) throw new Failure('already-recorded');
    throw new Failure('bad-input', { errors: refused.map(({ index, field, message }) => ({ path: `events[${index}].${field}`, message })) });
  }
  const rows = await scope.someOf(
    EventEntity,
    told.map(({ id }) => id),
  );
  return { created: fresh.length > 0, events: await eventAnswers(scope, rows) };
}

/** Lines that are kept in one transaction. */
const AT_ONCE = 400;
/** With so many faults the rest is not read: who sends them sends no events. */
export const MOST_FAULTS = 100;

type Fault = EventsKept['refused'][number];

/** The event that a line tells, or what is wrong with it. */
function eventOfLine({ line, text }: { line: number; text: string | null }): { line: number; event: NewEvent } | Fault {
  if (text === null) return { line, id: null, message: 'This line is too long for an event.' };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { line, id: null, message: 'This line is not JSON.' };
  }
  const parsed = NewEvent.safeParse(json);
  if (parsed.success) return { line, event: parsed.data };
  const [issue] = parsed.error.issues;
  const id = RecordId.safeParse((json as { id?: unknown } | null)?.id);
  return { line, id: id.success ? id.data : null, message: `${issue!.path.join('.') || 'line'}: ${issue!.message}` };
}

/**
 * Events a line each, as a bridge tells them: those that can be kept are, as they come; the others are named by their line, from 1.
 * At the hundredth fault the rest is given up, and the answer says at which line.
 */
export async function keepLines(scope: KennelScope, lines: AsyncIterable<{ line: number; text: string | null }>, teller: Teller): Promise<EventsKept> {
  const answer: EventsKept = { kept: 0, known: 0, refused: [] };
  let part: { line: number; event: NewEvent }[] = [];
  const keepPart = async () => {
    if (part.length === 0) return;
    const [read, events] = [part, part.map(({ event }) => event)];
    part = [];
    const told = await onceMore(() => scope.inOneAsItStands((within) => tellEvents(within, events, teller, false)));
    answer.kept += told.fresh.length;
    answer.known += told.known;
    for (const { index, field, message } of told.refused)
      answer.refused.push({ line: read[index]!.line, id: read[index]!.event.id, message: `${field}: ${message}` });
  };
  for await (const one of lines) {
    const read = eventOfLine(one);
    if ('event' in read) part.push(read);
    else answer.refused.push(read);
    if (part.length >= AT_ONCE) await keepPart();
    if (answer.refused.length >= MOST_FAULTS) {
      answer.gaveUpAt = one.line;
      break;
    }
  }
  await keepPart();
  answer.refused = answer.refused.sort((a, b) => a.line - b.line).slice(0, MOST_FAULTS);
  return answer;
}
