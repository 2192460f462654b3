import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import type { KennelImport } from '@banter/contract';
import type { DataSource } from 'typeorm';
import { doneAgain } from '../data/done-again.ts';
import { hold } from '../data/hold.ts';

/** What goes into one row of a file, bytes: a cluster copies each row to all nodes as it is kept. */
const PART_BYTES = 1024 * 1024;
/** A server that said nothing of a file it works on for so long has died, s. Far longer than clocks of nodes are apart. */
const DEAD_SECONDS = 600;
/** What is held while places of a kennel's files are counted: not the kennel, which a file that is being brought in holds for as long as that takes. */
const PLACES = '00000000-0000-0000-0000-000000000001';
const BUSY = "('reading', 'keeping')";

/** How far a file is, and whether nobody has said so for too long. */
type ImportRow = { view: KennelImport; quiet: boolean };

/** Files that are being brought in, as all servers on the database know them: how far each is, and the file of one that is ready. */
export class ImportRows {
  constructor(private readonly dataSource: DataSource) {}

  /** Takes a place among the kennel's files; null when all are worked on. Answers which file had to go for it, where one had. */
  async take(kennelId: string, view: KennelImport, most: number): Promise<{ gone: string | null } | null> {
    return await doneAgain(() =>
      this.dataSource.transaction('READ COMMITTED', async (manager) => {
        await hold(manager, kennelId, [PLACES]);
        const rows = await manager.query<{ id: string; busy: string }[]>(
          `SELECT id, state IN ${BUSY} AND seenAt > DATE_SUB(UTC_TIMESTAMP(3), INTERVAL ${DEAD_SECONDS} SECOND) AS busy FROM imports WHERE kennelId = ? ORDER BY id`,
          [kennelId],
        );
        const idle = rows.length < most ? null : rows.find(({ busy }) => Number(busy) === 0);
        if (idle === undefined) return null;
        if (idle) await this.forget(kennelId, idle.id, manager);
        await manager.query('INSERT INTO imports (kennelId, id, state, view, seenAt) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))', [
          kennelId,
          view.id,
          view.state,
          JSON.stringify(view),
        ]);
        return { gone: idle?.id ?? null };
      }),
    );
  }

  async find(kennelId: string, id: string): Promise<ImportRow | null> {
    const [row] = await this.dataSource.query<{ state: KennelImport['state']; view: string; quiet: string }[]>(
      `SELECT state, view, seenAt < DATE_SUB(UTC_TIMESTAMP(3), INTERVAL ${DEAD_SECONDS} SECOND) AS quiet FROM imports WHERE kennelId = ? AND id = ?`,
      [kennelId, id],
    );
    return row ? { view: { ...(JSON.parse(row.view) as KennelImport), state: row.state }, quiet: Number(row.quiet) === 1 } : null;
  }

  /** Tells how far a file is. One that is kept is so with its rows, and is never told to be anything else. */
  async tell(kennelId: string, view: KennelImport): Promise<void> {
    await doneAgain(() =>
      this.dataSource.query("UPDATE imports SET state = IF(state = 'kept', state, ?), view = ?, seenAt = UTC_TIMESTAMP(3) WHERE kennelId = ? AND id = ?", [
        view.state,
        JSON.stringify(view),
        kennelId,
        view.id,
      ]),
    );
  }

  /** Whether this server is the one that keeps it: asked of two at once, one does. */
  async beginKeeping(kennelId: string, view: KennelImport): Promise<boolean> {
    const { affectedRows } = await doneAgain(() =>
      this.dataSource.query<{ affectedRows: number }>(
        "UPDATE imports SET state = 'keeping', view = ?, seenAt = UTC_TIMESTAMP(3) WHERE kennelId = ? AND id = ? AND state = 'ready'",
        [JSON.stringify(view), kennelId, view.id],
      ),
    );
    return affectedRows === 1;
  }

  /** Puts a file where every server finds it. */
  async putFile(kennelId: string, id: string, file: string): Promise<void> {
    let part = 0;
    for await (const bytes of createReadStream(file, { highWaterMark: PART_BYTES }) as AsyncIterable<Buffer>) {
      const place = part;
      await doneAgain(() =>
        this.dataSource.query('INSERT INTO import_parts (kennelId, importId, part, bytes) VALUES (?, ?, ?, ?)', [kennelId, id, place, bytes]),
      );
      part += 1;
    }
  }

  /** Writes a file down here that another server took. */
  async fetchFile(kennelId: string, id: string, file: string): Promise<void> {
    const out = await open(file, 'wx', 0o600);
    try {
      for (let part = 0; ; part += 1) {
        const [row] = await this.dataSource.query<{ bytes: Buffer }[]>('SELECT bytes FROM import_parts WHERE kennelId = ? AND importId = ? AND part = ?', [
          kennelId,
          id,
          part,
        ]);
        if (!row) return;
        await out.write(row.bytes);
      }
    } finally {
      await out.close();
    }
  }

  async dropFile(kennelId: string, id: string, by: Pick<DataSource, 'query'> = this.dataSource): Promise<void> {
    await by.query('DELETE FROM import_parts WHERE kennelId = ? AND importId = ?', [kennelId, id]);
  }

  async forget(kennelId: string, id: string, by: Pick<DataSource, 'query'> = this.dataSource): Promise<void> {
    await this.dropFile(kennelId, id, by);
    await by.query('DELETE FROM imports WHERE kennelId = ? AND id = ?', [kennelId, id]);
  }

  /** Forgets what nobody has kept or looked after for so long, of every kennel. */
  async forgetOld(seconds: number): Promise<void> {
    const rows = await this.dataSource.query<{ kennelId: string; id: string }[]>(
      'SELECT kennelId, id FROM imports WHERE seenAt < DATE_SUB(UTC_TIMESTAMP(3), INTERVAL ? SECOND)',
      [seconds],
    );
    for (const { kennelId, id } of rows) await this.forget(kennelId, id);
  }
}
