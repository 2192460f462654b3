import { FieldPage, NewFieldEvent, z } from '@banter/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** How an event stands: to be sent, waiting for another that has not arrived there, kept by the server, or refused with a sentence. */
export const BoxStatus = z.enum(['to-send', 'waits', 'kept', 'refused']);
export type BoxStatus = z.infer<typeof BoxStatus>;

/** An event on this phone, in the order of the taps. */
export const BoxedEvent = z.object({ seq: z.number(), event: NewFieldEvent, status: BoxStatus, message: z.string() });
export type BoxedEvent = z.infer<typeof BoxedEvent>;

/** An entry of this phone that this Banter cannot read: it is sent nowhere and holds up nothing, and stays until somebody drops it. */
export type UnreadEntry = { id: string; what: string; at: string };
const text = (value: unknown) => (typeof value === 'string' ? value : '');
/** The entries that can be read, and the others. */
function readRows(rows: readonly unknown[]): { read: BoxedEvent[]; unread: UnreadEntry[] } {
  const read: BoxedEvent[] = [];
  const unread: UnreadEntry[] = [];
  for (const row of rows) {
    const parsed = BoxedEvent.safeParse(row);
    if (parsed.success) read.push(parsed.data);
    else {
      const { id, event } = row as { id?: unknown; event?: { id?: unknown; event?: unknown; at?: unknown } };
      unread.push({ id: text(id) || text(event?.id), what: text(event?.event), at: text(event?.at) });
    }
  }
  return { read, unread };
}

/** How far this phone's clock runs ahead, once somebody has decided; 0 when the phone is right. */
export const ClockDecision = z.object({ aheadMs: z.number(), measuredMs: z.number() });
export type ClockDecision = z.infer<typeof ClockDecision>;

interface FieldSchema extends DBSchema {
  events: { key: string; value: BoxedEvent & { id: string }; indexes: { seq: number; status: string } };
  facts: { key: string; value: unknown };
}

/**
 * Where a tap lies from the moment it is made, before the phone's own database has it: this store answers at once, the database
 * in its own time, and a tab may be killed in between. What the database cannot take (a full disk) stays here until it can. One
 * entry an event, so that two tabs never write over each other.
 */
const spillKey = (kennelId: string, eventId = '') => `banter.field-spill.${kennelId}.${eventId}`;
const parsed = (json: string | null): unknown => {
  try {
    return JSON.parse(json ?? '{}') ?? {};
  } catch {
    return {};
  }
};
/** All of a kennel's lay in one list before: each becomes an entry of its own. */
function splitList(kennelId: string): void {
  const list = `banter.field-spill.${kennelId}`;
  const rows = parsed(localStorage.getItem(list));
  if (!Array.isArray(rows)) return;
  for (const row of rows) localStorage.setItem(spillKey(kennelId, text((row as BoxedEvent).event?.id)), JSON.stringify(row));
  localStorage.removeItem(list);
}

/**
 * The phone's own memory of the field log: every tap at once, in order, until the server has it. One database a kennel, so that
 * nobody who signs in to another kennel sees or sends it.
 */
export class FieldBox {
  /** What could be written nowhere: it lives as long as the page does. */
  private readonly homeless = new Map<string, BoxedEvent>();

  private constructor(
    private readonly database: IDBPDatabase<FieldSchema> | null,
    private readonly kennelId: string,
  ) {}

  /** Opens it. Where the browser gives no database, what is told goes to the last resort alone. */
  static async open(kennelId: string): Promise<FieldBox> {
    try {
      const database = await openDB<FieldSchema>(`banter-field-${kennelId}`, 1, {
        upgrade(made) {
          const events = made.createObjectStore('events', { keyPath: 'id' });
          events.createIndex('seq', 'seq');
          events.createIndex('status', 'status');
          made.createObjectStore('facts');
        },
      });
      return new FieldBox(database, kennelId);
    } catch {
      return new FieldBox(null, kennelId);
    }
  }

  private spilledRows(): unknown[] {
    try {
      splitList(this.kennelId);
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(spillKey(this.kennelId)));
      return keys.map((key) => parsed(localStorage.getItem(key)));
    } catch {
      return [];
    }
  }
  private spilled(): BoxedEvent[] {
    return readRows(this.spilledRows()).read;
  }
  private spill(events: readonly BoxedEvent[]): boolean {
    try {
      for (const one of events) localStorage.setItem(spillKey(this.kennelId, one.event.id), JSON.stringify(one));
      return true;
    } catch {
      return false;
    }
  }
  private unspill(ids: readonly string[]): void {
    try {
      for (const id of ids) localStorage.removeItem(spillKey(this.kennelId, id));
    } catch {
      // Without the store nothing lies there.
    }
  }

  private async rows(): Promise<unknown[]> {
    return this.database ? await this.database.getAllFromIndex('events', 'seq').catch(() => []) : [];
  }

  /** What lies here and cannot be read. */
  async unread(): Promise<UnreadEntry[]> {
    return [...readRows(await this.rows()).unread, ...readRows(this.spilledRows()).unread];
  }

  /** Every event on this phone that can be read, in order. What had spilled is taken back in where that works by now. */
  async all(): Promise<BoxedEvent[]> {
    const kept = readRows(await this.rows()).read;
    const known = new Set(kept.map(({ event }) => event.id));
    const lying = this.spilled();
    this.unspill(lying.flatMap(({ event }) => (known.has(event.id) ? event.id : [])));
    const spilled = [...lying, ...this.homeless.values()].filter(({ event }) => !known.has(event.id));
    if (spilled.length > 0 && this.database) {
      try {
        await this.write(spilled);
        this.unspill(spilled.map(({ event }) => event.id));
        this.homeless.clear();
      } catch {
        // Still full; they stay where they are.
      }
    }
    return [...kept, ...spilled].sort((a, b) => a.seq - b.seq);
  }

  private async write(events: readonly BoxedEvent[]): Promise<void> {
    const transaction = this.database!.transaction('events', 'readwrite', { durability: 'strict' });
    await Promise.all([...events.map((one) => transaction.store.put({ ...one, id: one.event.id })), transaction.done]);
  }

  /**
   * Keeps events as they now stand; answers where they lie: in the database, in the last resort, or nowhere. Before it returns
   * for the first time, what is still to be sent lies where a killed tab cannot take it along.
   */
  async put(events: readonly BoxedEvent[]): Promise<'kept' | 'spilled' | 'nowhere'> {
    const ids = events.map(({ event }) => event.id);
    const laid = this.spill(events.filter(({ status }) => status === 'to-send'));
    try {
      if (!this.database) throw new Error('no database');
      await this.write(events);
      this.unspill(ids);
      return 'kept';
    } catch {
      if (laid && this.spill(events)) return 'spilled';
      for (const one of events) this.homeless.set(one.event.id, one);
      return 'nowhere';
    }
  }

  /** Takes events away that nobody needs here any more. */
  async remove(ids: readonly string[]): Promise<void> {
    for (const id of ids) this.homeless.delete(id);
    this.unspill(ids);
    if (!this.database) return;
    const transaction = this.database.transaction('events', 'readwrite');
    await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
  }

  private async fact<Schema extends z.ZodType>(key: string, schema: Schema): Promise<z.output<Schema> | null> {
    const parsed = schema.safeParse(await this.database?.get('facts', key).catch(() => null));
    return parsed.success ? parsed.data : null;
  }
  private async putFact(key: string, value: unknown): Promise<void> {
    // A copy of what the server has; the log goes on without it.
    await this.database?.put('facts', value, key).catch(() => {});
  }

  page = (): Promise<FieldPage | null> => this.fact('page', FieldPage);
  putPage = (page: FieldPage): Promise<void> => this.putFact('page', JSON.parse(JSON.stringify(page)));
  clock = (): Promise<ClockDecision | null> => this.fact('clock', ClockDecision);
  putClock = (clock: ClockDecision | null): Promise<void> => this.putFact('clock', clock);
  async phone(make: () => string): Promise<string> {
    const known = await this.fact('phone', z.string());
    if (known) return known;
    const made = make();
    await this.putFact('phone', made);
    return made;
  }
}
