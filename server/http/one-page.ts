import type { Request } from 'express';

/** What has been looked up, by what was asked. */
type LookedUp = Map<string, Promise<unknown>>;
/** What the questions of one page share: who asks, and the records they were told of, by kennel. */
export type OnePage = { people: LookedUp; records: Map<string, LookedUp> };
export const newPage = (): OnePage => ({ people: new Map(), records: new Map() });

const pages = new WeakMap<object, OnePage>();
/** What comes on this line is asked for a page: what is looked up for one question of it holds for all, and they tell of the same rows. */
export const joinPage = (line: object, page: OnePage): void => void pages.set(line, page);

/** Looks something up once for all questions of a page; for any other request each time. */
export function oncePerPage<Found>({ socket }: Request, key: string, look: () => Promise<Found>): Promise<Found> {
  const people = pages.get(socket)?.people;
  const found = (people?.get(key) as Promise<Found> | undefined) ?? look();
  people?.set(key, found);
  return found;
}

/** What was read of a kennel's records for the page that a request is a question of; null for any other request. */
export function readForPage({ socket }: Request, kennelId: string): LookedUp | null {
  const records = pages.get(socket)?.records;
  if (!records) return null;
  const read = records.get(kennelId) ?? new Map<string, Promise<unknown>>();
  records.set(kennelId, read);
  return read;
}
