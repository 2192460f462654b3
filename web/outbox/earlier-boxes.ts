import { broughtUpHappening } from '@banter/contract';
import { openDB } from 'idb';

type Fields = Record<string, unknown>;
const object = (value: unknown): Fields => (typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Fields) : {});
const parsed = (json: string | null): unknown => {
  try {
    return JSON.parse(json ?? 'null');
  } catch {
    return null;
  }
};

/** One tap of a session, as version 1 kept it: in a database of its own, or in the last resort. */
function fromTap(row: unknown): Fields {
  const { seq, event, status, message, id } = object(row);
  const told = broughtUpHappening(object(event));
  return { id: told.id ?? id, seq, at: told.at, status, message, words: '', sent: { is: 'happenings', source: 'hand', happenings: [told] } };
}
/** What was told at the neck, as version 1 kept it in a row for each dog. */
function fromRow(row: unknown, seq: number): Fields {
  const { source, events } = object(row);
  const happenings = Array.isArray(events) ? events : [];
  const first = object(happenings[0]);
  return { id: first.id, seq, at: first.at, status: 'to-send', message: '', words: '', sent: { is: 'happenings', source, happenings } };
}

/**
 * What waits on this device in the boxes of version 1: taps of the field log, in IndexedDB and in the last resort, and what was told at the
 * neck. Null where there is nothing. `done` takes it away there, once it lies here. Unchecked: what cannot be read is said where entries are read.
 */
export async function fromEarlierBoxes(kennelId: string): Promise<{ entries: Fields[]; facts: Fields; done: () => Promise<void> } | null> {
  const name = `banter-field-${kennelId}`;
  const taps: unknown[] = [];
  const facts: Fields = {};
  const database = await openDB(name, 1).catch(() => null);
  const stores = [...(database?.objectStoreNames ?? [])];
  const boxed = database && stores.includes('events') ? ((await database.getAll('events')) as unknown[]) : [];
  taps.push(...boxed);
  if (database && stores.includes('facts')) for (const key of ['page', 'clock', 'phone']) facts[key] = (await database.get('facts', key)) as unknown;
  database?.close();
  const keys = Object.keys(localStorage);
  const spills = keys.filter((key) => key.startsWith(`banter.field-spill.${kennelId}`));
  for (const key of spills) {
    const lying = parsed(localStorage.getItem(key));
    taps.push(...(Array.isArray(lying) ? (lying as unknown[]) : [lying]));
  }
  const rows = keys.filter((key) => key.startsWith(`banter.told.${kennelId}.`));
  const told = rows.flatMap((key) => (parsed(localStorage.getItem(key)) ?? []) as unknown[]);
  const last = Math.max(0, ...taps.map((row) => Number(object(row).seq) || 0));
  const entries = [...taps.map(fromTap), ...told.map((row, index) => fromRow(row, last + 1 + index))].filter(({ id }) => typeof id === 'string');
  const done = async () => {
    for (const key of [...spills, ...rows]) localStorage.removeItem(key);
    // Emptied and not deleted: a tab of the earlier version that is still open would hold that up, and may tap meanwhile.
    const again = await openDB(name, 1);
    if (again.objectStoreNames.contains('events')) for (const row of boxed) await again.delete('events', String(object(row).id));
    if (again.objectStoreNames.contains('facts')) await again.clear('facts');
    again.close();
  };
  if (entries.length === 0 && Object.keys(facts).length === 0) {
    await done();
    return null;
  }
  return { entries, facts: Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)), done };
}
