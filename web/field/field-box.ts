import { FieldPage, NewFieldEvent, z } from '@banter/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** How an event stands: to be sent, waiting for another that has not arrived there, kept by the server, or refused with a sentence. */
export const BoxStatus = z.enum(['to-send', 'waits', 'kept', 'refused']);
export type BoxStatus = z.infer<typeof BoxStatus>;

/** An event on this phone, in the order of the taps. */
export const BoxedEvent = z.object({ seq: z.number(), event: NewFieldEvent, status: BoxStatus, message: z.string() });
export type BoxedEvent = z.infer<typeof BoxedEvent>;

/** How far this phone's clock runs ahead, once somebody has decided; 0 when the phone is right. */
export const ClockDecision = z.object({ aheadMs: z.number(), measuredMs: z.number() });
export type ClockDecision = z.infer<typeof ClockDecision>;

interface FieldSchema extends DBSchema {
  events: { key: string; value: BoxedEvent & { id: string }; indexes: { seq: number; status: string } };
  facts: { key: string; value: unknown };
}

/** What could not go into the phone's own database lies here until it can: the last resort of a full disk. */
const spillKey = (kennelId: string) => `banter.field-spill.${kennelId}`;

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

  private spilled(): BoxedEvent[] {
    const parsed = z.array(BoxedEvent).safeParse(JSON.parse(localStorage.getItem(spillKey(this.kennelId)) ?? '[]'));
    return parsed.success ? parsed.data : [];
  }
  private spill(events: readonly BoxedEvent[]): boolean {
    try {
      if (events.length === 0) localStorage.removeItem(spillKey(this.kennelId));
      else localStorage.setItem(spillKey(this.kennelId), JSON.stringify(events));
      return true;
    } catch {
      return false;
    }
  }

  /** Every event on this phone, in order. What had spilled is taken back in where that works by now. */
  async all(): Promise<BoxedEvent[]> {
    const rows = this.database ? await this.database.getAllFromIndex('events', 'seq').catch(() => []) : [];
    const kept = z.array(BoxedEvent).parse(rows);
    const known = new Set(kept.map(({ event }) => event.id));
    const spilled = [...this.spilled(), ...this.homeless.values()].filter(({ event }) => !known.has(event.id));
    if (spilled.length > 0 && this.database) {
      try {
        await this.write(spilled);
        this.spill([]);
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

  /** Keeps events as they now stand; answers where they lie: in the database, in the last resort, or nowhere. */
  async put(events: readonly BoxedEvent[]): Promise<'kept' | 'spilled' | 'nowhere'> {
    try {
      if (!this.database) throw new Error('no database');
      await this.write(events);
      return 'kept';
    } catch {
      const ids = new Set(events.map(({ event }) => event.id));
      if (this.spill([...this.spilled().filter(({ event }) => !ids.has(event.id)), ...events])) return 'spilled';
      for (const one of events) this.homeless.set(one.event.id, one);
      return 'nowhere';
    }
  }

  /** Takes events away that nobody needs here any more. */
  async remove(ids: readonly string[]): Promise<void> {
    const gone = new Set(ids);
    for (const id of ids) this.homeless.delete(id);
    this.spill(this.spilled().filter(({ event }) => !gone.has(event.id)));
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
