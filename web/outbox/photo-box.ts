import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface PhotoSchema extends DBSchema {
  photos: { key: string; value: { bytes: ArrayBuffer; type: string } };
}

/** Bytes of photos that this device has taken and the kennel has not got yet, by their ids; beside the outbox, whose entries are read often and whole. One database a kennel. */
export class PhotoBox {
  private opened: Promise<IDBPDatabase<PhotoSchema>> | null = null;

  constructor(private readonly kennelId: string) {}

  private database(): Promise<IDBPDatabase<PhotoSchema>> {
    this.opened ??= openDB<PhotoSchema>(`banter-photos-${this.kennelId}`, 1, { upgrade: (made) => void made.createObjectStore('photos') });
    return this.opened;
  }

  /** Whether it lies here now: a device that is full, or gives no database, keeps none. */
  async keep(id: string, photo: Blob): Promise<boolean> {
    try {
      await (await this.database()).put('photos', { bytes: await photo.arrayBuffer(), type: photo.type }, id);
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

  /** Lets go of all but these. */
  async keepOnly(ids: ReadonlySet<string>): Promise<void> {
    try {
      const database = await this.database();
      for (const id of await database.getAllKeys('photos')) if (!ids.has(id)) await database.delete('photos', id);
    } catch {
      // Without a database nothing lies here.
    }
  }
}
