import type { z } from '@banter/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface AnswersSchema extends DBSchema {
  answers: { key: string; value: { path: string; at: number; body: unknown }; indexes: { at: number } };
}

/** So many answers are kept, those asked for last. */
const MOST_KEPT = 120;

/**
 * What the kennel answered to this device, by the address that was asked, so that a screen opens without a connection as it was known last. One
 * database a kennel. A copy: where the browser gives no database, or it is full, everything but that works.
 */
export class KeptAnswers {
  private constructor(private readonly database: IDBPDatabase<AnswersSchema> | null) {}

  static async open(kennelId: string): Promise<KeptAnswers> {
    const database = await openDB<AnswersSchema>(`banter-answers-${kennelId}`, 1, {
      upgrade(made) {
        made.createObjectStore('answers', { keyPath: 'path' }).createIndex('at', 'at');
      },
    }).catch(() => null);
    return new KeptAnswers(database);
  }

  /** Keeps an answer of an instant, ms; the oldest makes room. */
  async put(path: string, body: unknown, at: number): Promise<void> {
    try {
      await this.database?.put('answers', { path, at, body });
      const keys = (await this.database?.getAllKeysFromIndex('answers', 'at')) ?? [];
      for (const old of keys.slice(0, Math.max(0, keys.length - MOST_KEPT))) await this.database?.delete('answers', old);
    } catch {
      // The screen has it; only the copy is missing.
    }
  }

  /** What was answered last, with when; null where nothing was, or what is kept is not what this version reads. */
  async get<Schema extends z.ZodType>(path: string, schema: Schema): Promise<{ body: z.output<Schema>; at: number } | null> {
    const kept = await this.database?.get('answers', path).catch(() => undefined);
    const parsed = kept && schema.safeParse(kept.body);
    return parsed?.success ? { body: parsed.data, at: kept!.at } : null;
  }

  /** When an address was answered last, ms; null where never. */
  async at(path: string): Promise<number | null> {
    return (await this.database?.get('answers', path).catch(() => undefined))?.at ?? null;
  }

  async clear(): Promise<void> {
    await this.database?.clear('answers').catch(() => {});
  }
}
