import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { CsvTable, KeepImport, KennelImport } from '@banter/contract';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { Failure } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { rowWords, tableToFile } from './csv-in.ts';
import { bringIn, BrokenReference } from './bring-in.ts';
import { importFolder } from './import-folder.ts';
import { lookThrough } from './look-through.ts';
import { MINUTE_MS } from '@banter/core';

/** A file is not larger than this. */
export const FILE_LIMIT = 1024 * 1024 * 1024;
/** What nobody keeps is forgotten after this time. */
const FORGOTTEN_MS = 60 * MINUTE_MS;
/** Files of one kennel that are looked at at a time. */
const MOST_JOBS = 3;

/** `folder` is null until there is one. */
type Job = { scope: KennelScope; folder: string | null; file: string; view: KennelImport; timer: NodeJS.Timeout };

const TOO_LARGE = 'A kennel’s file is not larger than 1 GB.';

/** Writes a body down as it comes; answers its bytes. Throws a Failure past the limit. */
async function writeDown(body: Readable, file: string): Promise<number> {
  let bytes = 0;
  await pipeline(
    body,
    async function* (source: AsyncIterable<Buffer>) {
      for await (const chunk of source) {
        bytes += chunk.length;
        if (bytes > FILE_LIMIT) throw new Failure('too-large', { detail: TOO_LARGE });
        yield chunk;
      }
    },
    createWriteStream(file, { mode: 0o600 }),
  );
  return bytes;
}

/** Files that are being brought into kennels: taken, looked through, and kept when somebody says so. They live as long as the server. */
export class KennelImports {
  private readonly dataSource: DataSource;
  private readonly log: Logger;
  private readonly changed: (kennelId: string) => void;
  private readonly jobs = new Map<string, Job>();

  constructor(dataSource: DataSource, log: Logger, changed: (kennelId: string) => void) {
    this.dataSource = dataSource;
    this.log = log;
    this.changed = changed;
  }

  /** Takes a file as it comes and begins to look it through. Its place among the kennel's files is taken before a byte of it is read. */
  async take(scope: KennelScope, body: Readable, length: number | null, table: CsvTable | null): Promise<KennelImport> {
    if (length !== null && length > FILE_LIMIT) throw new Failure('too-large', { detail: TOO_LARGE });
    this.makeRoom(scope.kennelId);
    const view: KennelImport = {
      id: uuidv7(),
      state: 'reading',
      done: 0,
      of: 0,
      kennelName: '',
      exportedAt: null,
      counts: {},
      conflicts: [],
      conflictCount: 0,
      faults: [],
      faultCount: 0,
      leftOut: [],
    };
    const timer = setTimeout(() => void this.forget(view.id), FORGOTTEN_MS);
    timer.unref();
    const job: Job = { scope, folder: null, file: '', view, timer };
    this.jobs.set(view.id, job);
    try {
      job.folder = await importFolder();
      job.file = join(job.folder, 'kennel.json');
      const sent = table === null ? job.file : join(job.folder, 'table.csv');
      view.of = await writeDown(body, sent);
      void this.read(job, table, sent);
      return view;
    } catch (error) {
      await this.forget(view.id);
      throw error;
    }
  }

  /** Lets the oldest file of a kennel go that nobody is working on, where there are many; fails when all are busy. */
  private makeRoom(kennelId: string): void {
    const own = [...this.jobs.values()].filter(({ scope }) => scope.kennelId === kennelId);
    if (own.length < MOST_JOBS) return;
    const idle = own.find(({ view }) => view.state !== 'reading' && view.state !== 'keeping');
    if (!idle) throw new Failure('too-many', { detail: 'Three files of this kennel are being worked on already; wait for one of them.' });
    // Its place is free at once, its folder soon.
    void this.forget(idle.view.id);
  }

  private async read(job: Job, table: CsvTable | null, sent: string): Promise<void> {
    try {
      const rowsOf = table === null ? null : await tableToFile(job.scope, table, sent, job.file, job.view);
      await lookThrough(job.scope, job.file, job.view);
      if (rowsOf) job.view.faults = job.view.faults.map(({ where, message }) => ({ where: rowWords(where, rowsOf), message }));
      job.view.state = job.view.faultCount > 0 ? 'refused' : 'ready';
    } catch (error) {
      this.log.error({ error }, 'a file could not be checked');
      job.view.state = 'failed';
    }
  }

  private of(scope: KennelScope, id: string): Job {
    const job = this.jobs.get(id);
    if (!job || job.scope.kennelId !== scope.kennelId) throw new Failure('not-found');
    return job;
  }

  view(scope: KennelScope, id: string): KennelImport {
    return this.of(scope, id).view;
  }

  /** Begins to keep a file that is ready; asked again, it says how far that is. */
  keep(scope: KennelScope, id: string, choice: KeepImport): KennelImport {
    const job = this.of(scope, id);
    if (job.view.state !== 'ready') return job.view;
    const records = Object.values(job.view.counts).reduce((sum, { fresh, same, other }) => sum + fresh + same + other, 0);
    Object.assign(job.view, { state: 'keeping', done: 0, of: records });
    void this.bring(job, scope, choice);
    return job.view;
  }

  private async bring(job: Job, scope: KennelScope, choice: KeepImport): Promise<void> {
    try {
      await bringIn(this.dataSource, scope, job.file, choice, job.view);
      job.view.state = 'kept';
      this.changed(scope.kennelId);
    } catch (error) {
      if (!(error instanceof BrokenReference)) this.log.error({ error }, 'a file could not be brought in');
      job.view.faults.unshift({
        where: 'file',
        message:
          error instanceof BrokenReference
            ? `Something it refers to is no longer there (${error.message}). Nothing was saved.`
            : 'It could not be saved, and nothing of it was. The fault is noted.',
      });
      job.view.faultCount += 1;
      job.view.state = 'failed';
    } finally {
      if (job.folder) await rm(job.folder, { recursive: true, force: true });
    }
  }

  /** Lets a file go. */
  async drop(scope: KennelScope, id: string): Promise<void> {
    if (this.of(scope, id).view.state === 'keeping') throw new Failure('bad-input', { detail: 'It is being saved now.' });
    await this.forget(id);
  }

  private async forget(id: string): Promise<void> {
    const job = this.jobs.get(id);
    if (!job || job.view.state === 'keeping') return;
    this.jobs.delete(id);
    clearTimeout(job.timer);
    if (job.folder) await rm(job.folder, { recursive: true, force: true });
  }
}
