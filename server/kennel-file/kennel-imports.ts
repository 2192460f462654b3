import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setTimeout as pause } from 'node:timers/promises';
import type { CsvTable, KeepImport, KennelImport } from '@banter/contract';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { Failure } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { rowWords, tableToFile } from './csv-in.ts';
import { bringIn, BrokenReference } from './bring-in.ts';
import { importFolder } from './import-folder.ts';
import { ImportRows } from './import-rows.ts';
import { lookThrough } from './look-through.ts';
import { MINUTE_MS } from '@banter/core';

/** A file is not larger than this. */
export const FILE_LIMIT = 1024 * 1024 * 1024;
/** What nobody keeps is forgotten after this time. */
const FORGOTTEN_MS = 60 * MINUTE_MS;
/** Files of one kennel that are looked at at a time. */
const MOST_JOBS = 3;
/** How often it is told how far a file is, ms. */
const TOLD_MS = 500;

/** A file that this server works on, or has lying here; `folder` is null until there is one. */
type Job = { scope: KennelScope; folder: string | null; file: string; view: KennelImport };

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

/**
 * Files that are being brought into kennels: taken, looked through, and kept when somebody says so. Whichever server took a file, any may be asked
 * how far it is, and any may keep it. One whose server has died while it worked on it has failed.
 */
export class KennelImports {
  private readonly log: Logger;
  private readonly rows: ImportRows;
  private readonly dataSource: DataSource;
  private readonly changed: (kennelId: string) => void;
  private readonly jobs = new Map<string, Job>();

  constructor(dataSource: DataSource, log: Logger, changed: (kennelId: string) => void) {
    this.dataSource = dataSource;
    this.rows = new ImportRows(dataSource);
    this.log = log;
    this.changed = changed;
  }

  /** Takes a file as it comes and begins to look it through. Its place among the kennel's files is taken before a byte of it is read. */
  async take(scope: KennelScope, body: Readable, length: number | null, table: CsvTable | null): Promise<KennelImport> {
    if (length !== null && length > FILE_LIMIT) throw new Failure('too-large', { detail: TOO_LARGE });
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
    const taken = await this.rows.take(scope.kennelId, view, MOST_JOBS);
    if (!taken) throw new Failure('too-many', { detail: 'Three files of this kennel are being worked on already; wait for one of them.' });
    if (taken.gone !== null) await this.clear(taken.gone);
    const job: Job = { scope, folder: null, file: '', view };
    this.jobs.set(view.id, job);
    try {
      job.folder = await importFolder();
      job.file = join(job.folder, 'kennel.json');
      const sent = table === null ? job.file : join(job.folder, 'table.csv');
      view.of = await writeDown(body, sent);
      void this.worksOn(job, () => this.read(job, table, sent));
      return view;
    } catch (error) {
      await this.forget(scope.kennelId, view.id);
      throw error;
    }
  }

  /** Works on a file, and tells how far it is until that is done: one word after another, so that one that lingers never comes after the last. */
  private async worksOn(job: Job, work: () => Promise<void>): Promise<void> {
    const { scope, view } = job;
    const worked = work().then(() => false);
    for (let working = true; working;) {
      working = await Promise.race([worked, pause(TOLD_MS, true, { ref: false })]);
      await this.rows.tell(scope.kennelId, view).catch((error: unknown) => this.log.warn({ error }, 'it was not told how far a file is'));
    }
    // From now on any server may be asked for it.
    if (view.state !== 'ready') await this.clear(view.id);
  }

  private async read(job: Job, table: CsvTable | null, sent: string): Promise<void> {
    const { scope, view } = job;
    try {
      const rowsOf = table === null ? null : await tableToFile(scope, table, sent, job.file, view);
      await lookThrough(scope, job.file, view);
      if (rowsOf) view.faults = view.faults.map(({ where, message }) => ({ where: rowWords(where, rowsOf), message }));
      if (view.faultCount === 0) await this.rows.putFile(scope.kennelId, view.id, job.file);
      // Let go of meanwhile, nothing of it stays.
      if (!(await this.rows.find(scope.kennelId, view.id))) await this.rows.dropFile(scope.kennelId, view.id);
      view.state = view.faultCount > 0 ? 'refused' : 'ready';
    } catch (error) {
      this.log.error({ error }, 'a file could not be checked');
      view.state = 'failed';
    }
  }

  /** How far a file of a kennel is. */
  async view({ kennelId }: KennelScope, id: string): Promise<KennelImport> {
    const here = this.jobs.get(id);
    if (here?.scope.kennelId === kennelId && isBusy(here.view)) return here.view;
    const row = await this.rows.find(kennelId, id);
    if (!row) throw new Failure('not-found');
    if (!row.quiet || !isBusy(row.view)) return row.view;
    const where = { where: 'file', message: 'The server that worked on it has stopped. Nothing was saved; send it again.' };
    return { ...row.view, state: 'failed', faults: [where, ...row.view.faults], faultCount: row.view.faultCount + 1 };
  }

  /** Begins to keep a file that is ready; asked again, it says how far that is. */
  async keep(scope: KennelScope, id: string, choice: KeepImport): Promise<KennelImport> {
    const view = await this.view(scope, id);
    if (view.state !== 'ready') return view;
    const records = Object.values(view.counts).reduce((sum, { fresh, same, other }) => sum + fresh + same + other, 0);
    const keeping: KennelImport = { ...view, state: 'keeping', done: 0, of: records };
    if (!(await this.rows.beginKeeping(scope.kennelId, keeping))) return await this.view(scope, id);
    const here = this.jobs.get(id);
    const job: Job = { scope, folder: here?.folder ?? null, file: here?.file ?? '', view: keeping };
    this.jobs.set(id, job);
    void this.worksOn(job, () => this.bring(job, choice));
    return keeping;
  }

  private async bring(job: Job, choice: KeepImport): Promise<void> {
    const { scope, view } = job;
    try {
      if (job.folder === null) {
        job.folder = await importFolder();
        job.file = join(job.folder, 'kennel.json');
        await this.rows.fetchFile(scope.kennelId, view.id, job.file);
      }
      await bringIn(this.dataSource, scope, job.file, choice, view);
      view.state = 'kept';
      this.changed(scope.kennelId);
    } catch (error) {
      // The answer to the last word may have been lost, and not the word.
      const row = await this.rows.find(scope.kennelId, view.id).catch(() => null);
      if (row?.view.state === 'kept') {
        view.state = 'kept';
        this.changed(scope.kennelId);
        return;
      }
      if (!(error instanceof BrokenReference)) this.log.error({ error }, 'a file could not be brought in');
      view.faults.unshift({
        where: 'file',
        message:
          error instanceof BrokenReference
            ? `Something it refers to is no longer there (${error.message}). Nothing was saved.`
            : 'It could not be saved, and nothing of it was. The fault is noted.',
      });
      view.faultCount += 1;
      view.state = 'failed';
    } finally {
      await this.rows.dropFile(scope.kennelId, view.id).catch(() => {});
    }
  }

  /** Lets a file go. */
  async drop(scope: KennelScope, id: string): Promise<void> {
    if ((await this.view(scope, id)).state === 'keeping') throw new Failure('bad-input', { detail: 'It is being saved now.' });
    await this.forget(scope.kennelId, id);
  }

  /** Forgets the files that nobody keeps. */
  async sweep(): Promise<void> {
    await this.rows.forgetOld(FORGOTTEN_MS / 1000);
    for (const { scope, view } of [...this.jobs.values()]) if (!isBusy(view) && !(await this.rows.find(scope.kennelId, view.id))) await this.clear(view.id);
  }

  private async forget(kennelId: string, id: string): Promise<void> {
    await this.rows.forget(kennelId, id);
    await this.clear(id);
  }

  /** Takes away what lies of a file on this server. */
  private async clear(id: string): Promise<void> {
    const job = this.jobs.get(id);
    this.jobs.delete(id);
    if (job?.folder) await rm(job.folder, { recursive: true, force: true });
  }
}

const isBusy = ({ state }: KennelImport): boolean => state === 'reading' || state === 'keeping';
