import { DAY_MS } from '@banter/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface PhotoSchema extends DBSchema {
  photos: { key: string; value: { bytes: ArrayBuffer; type: string; at: number } };
}
/** Bytes whose entry is nowhere are let go of after so long; younger ones may be another tab's, which is just writing the entry down. */
const ORPHAN_MS = DAY_MS;

/** Bytes of photos that this device has taken and the kennel has not got yet, by their ids; beside the outbox, whose entries are read often and whole. One database a kennel. */
export class PhotoBox {
  private opened: Promise<IDBPDatabase<PhotoSchema>> | null = null;

  constructor(readonly kennelId: string) {}

  private database(): Promise<IDBPDatabase<PhotoSchema>> {
    this.opened ??= openDB<PhotoSchema>(`banter-photos-${this.kennelId}`, 1, { upgrade: (made) => void made.createObjectStore('photos') });
    return this.opened;
  }

  /** Whether it lies here now: a device that is full, or gives no database, keeps none. */
  async keep(id: string, photo: Blob): Promise<boolean> {
    try {
      await (await this.database()).put('photos', { bytes: await photo.arrayBuffer(), type: photo.type, at: Date.now() }, id);
      return true;
    } catch {
      return false;
    }
  }

  /** Null where it does not lie here. */
  async of(id: string): Promise<Blob | null> {
    const found = await this.database()
      .then((database) => database.get('photos', id))
      .catch(() => undefined);
    return found ? new Blob([found.bytes], { type: found.type }) : null;
  }

  /** Lets go of some: the kennel has them, or somebody dropped them. */
  async drop(ids: readonly string[]): Promise<void> {
    try {
      const database = await this.database();
      for (const id of ids) await database.delete('photos', id);
    } catch {
      // Without a database nothing lies here.
    }
  }

  /** Lets go of what no entry of this device speaks of any more. */
  async sweep(ids: ReadonlySet<string>, now = Date.now()): Promise<void> {
    try {
      const rows = (await this.database()).transaction('photos').store;
      const gone: string[] = [];
      for (let row = await rows.openCursor(); row; row = await row.continue()) if (!ids.has(row.key) && now - row.value.at > ORPHAN_MS) gone.push(row.key);
      await this.drop(gone);
    } catch {
      // Without a database nothing lies here.
    }
  }
}
