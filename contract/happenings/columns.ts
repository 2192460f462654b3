import { happeningFields, type HappeningName, type NewHappening } from './happening.ts';

/** Something that happened as a table and a kennel's file hold it: what others refer to in columns of its own, the rest in `data`. */
export type HappeningColumns = {
  event: HappeningName;
  dogId: string | null;
  collarId: string | null;
  sessionId: string | null;
  /** What it takes back. */
  eventId: string | null;
  data: Record<string, unknown>;
};

/** The columns of something that happened. */
export function happeningColumns(told: NewHappening): HappeningColumns {
  const { id: _id, at: _at, event, ...own } = told as NewHappening & Record<string, unknown>;
  const { dogId = null, collarId = null, sessionId = null, eventId = null, ...data } = own as Partial<HappeningColumns>;
  return { event, dogId, collarId, sessionId, eventId, data };
}

/** What was told, out of its columns, at an instant (ISO); unchecked. The session of one that was told of none is left to whoever asks for it. */
export function toldInColumns({ event, dogId, collarId, sessionId, eventId, data }: HappeningColumns, id: string, at: string): Record<string, unknown> {
  const fields = happeningFields(event);
  const told: Record<string, unknown> = { ...data, event, id, at };
  const named = { dogId, collarId, sessionId, eventId };
  for (const name of ['dogId', 'collarId', 'sessionId', 'eventId'] as const) if (named[name] !== null && fields.has(name)) told[name] = named[name];
  return told;
}
