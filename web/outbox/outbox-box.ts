import { FieldPage, z } from '@banter/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { fromEarlierBoxes } from './earlier-boxes.ts';
import { OutboxEntry, type UnreadEntry } from './outbox-entry.ts';

const text = (value: unknown) => (typeof value === 'string' ? value : '');
/** The entries that can be read, and the others. */
function readRows(rows: readonly unknown[]): { read: OutboxEntry[]; unread: UnreadEntry[] } {
  const read: OutboxEntry[] = [];
  const unread: UnreadEntry[] = [];
  for (const row of rows) {
    const parsed = OutboxEntry.safeParse(row);
    if (parsed.success) read.push(parsed.data);
    else {
      const { id, at, words, sent } = row as { id?: unknown; at?: unknown; words?: unknown; sent?: { happenings?: { event?: unknown }[] } };
      unread.push({ id: text(id), what: text(words) || text(sent?.happenings?.[0]?.event), at: text(at) });
    }
  }
  return { read, unread };
}

/** How far this device's clock runs ahead, once somebody has decided; 0 when the device is right. */
export const ClockDecision = z.object({ aheadMs: z.number(), measuredMs: z.number() });
export type ClockDecision = z.infer<typeof ClockDecision>;

interface OutboxSchema extends DBSchema {
  entries: { key: string; value: OutboxEntry; indexes: { seq: number } };
  facts: { key: string; value: unknown };
}

/**
 * Where an entry lies from the moment it is made, before the device's own database has it: this store answers at once, the database
 * in its own time, and a tab may be killed in between. What the database cannot take (a full disk) stays here until it can. One
 * key an entry, so that two tabs never write over each other.
 */
const spillKey = (kennelId: string, id = '') => `banter.outbox-spill.${kennelId}.${id}`;
const parsed = (json: string | null): unknown => {
  try {
    return JSON.parse(json ?? '{}') ?? {};
  } catch {
    return {};
  }
};

/**
 * The device's own memory of what was done and is to be sent: at once, in order, until the kennel has it. One database a kennel, so that
 * nobody who signs in to another kennel sees or sends it.
 */
export class OutboxBox {
  /** What could be written nowhere: it lives as long as the page does. */
  private readonly homeless = new Map<string, OutboxEntry>();

  private constructor(
    private readonly database: IDBPDatabase<OutboxSchema> | null,
    private readonly kennelId: string,
  ) {}

  /** Opens it, and takes over what lies in the boxes of earlier versions. Where the browser gives no database, what is told goes to the last resort alone. */
  static async open(kennelId: string): Promise<OutboxBox> {
    const database = await openDB<OutboxSchema>(`banter-outbox-${kennelId}`, 1, {
      upgrade(made) {
        made.createObjectStore('entries', { keyPath: 'id' }).createIndex('seq', 'seq');
        made.createObjectStore('facts');
      },
    }).catch(() => null);
    const box = new OutboxBox(database, kennelId);
    if (database) await box.takeOver();
    return box;
  }

  /** What an earlier version left is written down here before it is gone there. */
  private async takeOver(): Promise<void> {
    const earlier = await fromEarlierBoxes(this.kennelId).catch(() => null);
    if (earlier === null) return;
    try {
      await this.write(earlier.entries as OutboxEntry[]);
      for (const [key, value] of Object.entries(earlier.facts)) await this.putFact(key, value);
      await earlier.done();
    } catch {
      // It stays where it was, and is taken over another time.
    }
  }

  private spilledRows(): unknown[] {
    try {
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(spillKey(this.kennelId)));
      return keys.map((key) => parsed(localStorage.getItem(key)));
    } catch {
      return [];
    }
  }
  private spill(entries: readonly OutboxEntry[]): boolean {
    try {
      for (const one of entries) localStorage.setItem(spillKey(this.kennelId, one.id), JSON.stringify(one));
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
    return this.database ? await this.database.getAllFromIndex('entries', 'seq').catch(() => []) : [];
  }

  /** What lies here and cannot be read. */
  async unread(): Promise<UnreadEntry[]> {
    return [...readRows(await this.rows()).unread, ...readRows(this.spilledRows()).unread];
  }

  /** Every entry on this device that can be read, in order. What had spilled is taken back in where that works by now. */
  async all(): Promise<OutboxEntry[]> {
    const kept = readRows(await this.rows()).read;
    const known = new Set(kept.map(({ id }) => id));
    const lying = readRows(this.spilledRows()).read;
    this.unspill(lying.flatMap(({ id }) => (known.has(id) ? id : [])));
    const spilled = [...lying, ...this.homeless.values()].filter(({ id }) => !known.has(id));
    if (spilled.length > 0 && this.database) {
      try {
        await this.write(spilled);
        this.unspill(spilled.map(({ id }) => id));
        this.homeless.clear();
      } catch {
        // Still full; they stay where they are.
      }
    }
    return [...kept, ...spilled].sort((a, b) => a.seq - b.seq);
  }

  private async write(entries: readonly OutboxEntry[]): Promise<void> {
    if (entries.length === 0) return;
    const transaction = this.database!.transaction('entries', 'readwrite', { durability: 'strict' });
    await Promise.all([...entries.map((one) => transaction.store.put(one)), transaction.done]);
  }

  /**
   * Keeps entries as they now stand; answers where they lie: in the database, in the last resort, or nowhere. Before it returns
   * for the first time, what is still to be sent lies where a killed tab cannot take it along.
   */
  async put(entries: readonly OutboxEntry[]): Promise<'kept' | 'spilled' | 'nowhere'> {
    const laid = this.spill(entries.filter(({ status }) => status === 'to-send'));
    try {
      if (!this.database) throw new Error('no database');
      await this.write(entries);
      this.unspill(entries.map(({ id }) => id));
      return 'kept';
    } catch {
      if (laid && this.spill(entries)) return 'spilled';
      for (const one of entries) this.homeless.set(one.id, one);
      return 'nowhere';
    }
  }

  /** Takes entries away that nobody needs here any more. */
  async remove(ids: readonly string[]): Promise<void> {
    for (const id of ids) this.homeless.delete(id);
    this.unspill(ids);
    if (!this.database) return;
    const transaction = this.database.transaction('entries', 'readwrite');
    await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
  }

  private async fact<Schema extends z.ZodType>(key: string, schema: Schema): Promise<z.output<Schema> | null> {
    const found = schema.safeParse(await this.database?.get('facts', key).catch(() => null));
    return found.success ? found.data : null;
  }
  private async putFact(key: string, value: unknown): Promise<void> {
    // A copy of what the kennel has; the work goes on without it.
    await this.database?.put('facts', value, key).catch(() => {});
  }

  page = (): Promise<FieldPage | null> => this.fact('page', FieldPage);
  putPage = (page: FieldPage | null): Promise<void> => this.putFact('page', JSON.parse(JSON.stringify(page)));
  clock = (): Promise<ClockDecision | null> => this.fact('clock', ClockDecision);
  putClock = (clock: ClockDecision | null): Promise<void> => this.putFact('clock', clock);
  async phone(make: () => string): Promise<string> {
    const known = await this.fact('phone', z.string());
    if (known) return known;
    const made = make();
    await this.putFact('phone', made);
    return made;
  }

  /** Forgets what the kennel has, too; what is to be sent, or was refused, stays. */
  async forgetKept(): Promise<void> {
    await this.putPage(null);
    await this.remove((await this.all()).filter(({ status }) => status === 'kept').map(({ id }) => id));
  }
}
