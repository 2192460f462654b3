import { KENNEL_PART_NAMES, kennelPart, oneHappening, type KeepImport, type KennelImport, type KennelPartName, type KennelSettings } from '@banter/contract';
import { group } from 'd3-array';
import { isDeepStrictEqual } from 'node:util';
import type { DataSource } from 'typeorm';
import type { KennelRow } from '../data/entities/kennel.ts';
import { letTakeTime } from '../data/patient-pool.ts';
import { madeAnew } from '../services/photos.ts';
import { writeDeed } from '../records/deeds.ts';
import { rebuildSessionStories } from '../services/happenings/session-stories.ts';
import { kennelOf } from '../services/kennels.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { besides } from './besides.ts';
import { emptyParts, isFresh, partOf, settingsOf, type Batch } from './look-through.ts';
import { fromFile, PART_TABLES, type AnyRow } from './part-tables.ts';
import { readPieces } from './read-pieces.ts';

const AT_ONCE = 300;
/** Sessions that are worked out anew at a time. */
const SESSIONS_AT_ONCE = 60;

/** Something in the file refers to what is not there: nothing of it is kept. */
export class BrokenReference extends Error {}

/**
 * Brings a file that was looked through into a kennel, in one transaction: all of it or nothing. What the kennel has already and
 * otherwise stays, or takes the file's place where `conflicts` says so and it is a record that is changed in place.
 */
export async function bringIn(dataSource: DataSource, who: KennelScope, file: string, { conflicts }: KeepImport, job: KennelImport): Promise<void> {
  const runner = dataSource.createQueryRunner();
  await runner.connect();
  const writing = besides();
  let beBrisk = () => Promise.resolve();
  try {
    beBrisk = await letTakeTime(runner);
    await runner.startTransaction('READ COMMITTED');
    const scope = new KennelScope(runner.manager, who);
    await scope.holdKennel();
    // The parts of a file may come in any order; what they refer to is held against what is there before anything stands.
    await runner.query('SET SESSION foreign_key_checks = 0');
    const fresh = await isFresh(scope);
    const batches = new Map<string, Batch>();
    const empty = await emptyParts(scope);
    const touched = new Map<string, string>();
    let brought = 0;

    const put = async ({ part, earlier, records }: Batch) => {
      const entity = PART_TABLES[part];
      const rows = records.map((record) => fromFile(entity, record, scope.kennelId));
      const ids = rows.map(({ id }) => id);
      // In a file of an earlier version one thing may come twice.
      const known = empty.has(part) && !earlier ? [] : await scope.someOf(entity, ids);
      const there = new Map(known.map((row) => [row.id, row]));
      const added = rows.filter(({ id }) => !there.has(id));
      // Whatever a photo came with, what is kept is made here.
      if (part === 'photos') for (const row of added) Object.assign(row, await madeAnew(row.jpeg as Buffer));
      await scope.insertMany(entity, added);
      if (conflicts === 'file' && kennelPart(part).versioned) {
        for (const row of rows.filter(({ id }) => there.has(id))) {
          const ours = there.get(row.id)! as AnyRow & { version: number };
          // What lets somebody in stays the kennel's own.
          const change = Object.fromEntries(Object.entries(row).filter(([name]) => !['id', 'kennelId', 'keyHash', 'version', 'lastSeenAt'].includes(name)));
          await scope.updateAt(entity as never, row.id, ours.version, change as never);
        }
      }
      // What a file of an earlier version tells in two parts is one.
      const again = earlier ? rows.filter(({ id }) => there.has(id)).map((row) => oneHappening(there.get(row.id)!, row)) : [];
      const joined = again.filter((row) => !isDeepStrictEqual({ ...row }, { ...there.get(row.id)! }));
      await scope.putMany(entity, joined);
      if (part === 'happenings')
        for (const { sessionId, dogId } of [...added, ...joined]) if (typeof sessionId === 'string') touched.set(sessionId, String(dogId));
      brought += added.length;
      job.done += records.length;
    };

    for await (const piece of readPieces(file, () => {})) {
      if (piece.at === 'top') {
        if (piece.name !== 'kennel' || !(fresh || conflicts === 'file')) continue;
        const { version } = (await kennelOf(scope)) as KennelRow;
        await scope.changeKennel({ ...(settingsOf(piece.value as object) as KennelSettings), version: version + 1 });
        continue;
      }
      const found = piece.at === 'array' ? null : partOf(piece.part, piece.value);
      if (!found || piece.at === 'array') continue;
      const batch = batches.get(piece.part) ?? { part: found.part, earlier: found.earlier, records: [] };
      batches.set(piece.part, batch);
      batch.records.push(found.record);
      if (batch.records.length >= (found.part === 'photos' ? 4 : AT_ONCE)) {
        const records = batch.records.splice(0);
        await writing.next(() => put({ ...batch, records }));
      }
    }
    for (const batch of batches.values()) if (batch.records.length > 0) await writing.next(() => put(batch));
    await writing.done();

    for (const [, sessions] of group([...touched], ([, dogId]) => dogId)) {
      for (let from = 0; from < sessions.length; from += SESSIONS_AT_ONCE)
        await rebuildSessionStories(
          scope,
          sessions.slice(from, from + SESSIONS_AT_ONCE).map(([sessionId, dogId]) => ({ sessionId, dogId })),
        );
    }
    await referencesHold(scope);
    await writeDeed(scope, { act: 'brought', kind: 'kennel', label: job.kennelName, about: { count: brought } });
    await runner.query('SET SESSION foreign_key_checks = 1');
    // That it is kept is kept with it: whoever asks later goes by nothing else.
    await runner.query("UPDATE imports SET state = 'kept' WHERE kennelId = ? AND id = ?", [scope.kennelId, job.id]);
    await runner.commitTransaction();
  } finally {
    // What is being written still would else be written after the rest was undone, and stay.
    await writing.done().catch(() => {});
    if (runner.isTransactionActive) await runner.rollbackTransaction();
    await runner.query('SET SESSION foreign_key_checks = 1').catch(() => {});
    await beBrisk();
    await runner.release();
  }
}

/** Holds everything that refers to something against what is there; throws BrokenReference. */
async function referencesHold(scope: KennelScope): Promise<void> {
  const table = (part: KennelPartName) => PART_TABLES[part].options.tableName!;
  const all = KENNEL_PART_NAMES.flatMap((part) => Object.entries(kennelPart(part).refs).map(([field, target]) => [table(part), field, table(target)] as const));
  // All that one table refers to is looked up in one walk over it.
  for (const [child, refs] of group([...all, ['stage_results', 'sessionId', 'field_sessions'] as const], ([table]) => table)) {
    const joins = refs.map(
      ([, field, parent], at) =>
        `LEFT JOIN \`${parent}\` other${at} FORCE INDEX (PRIMARY) ON other${at}.kennelId = own.kennelId AND other${at}.id = own.\`${field}\``,
    );
    const broken = refs.map(([, field], at) => `(own.\`${field}\` IS NOT NULL AND other${at}.id IS NULL)`);
    const [row] = await scope.raw<{ id: string }>(
      `SELECT own.id FROM \`${child}\` own FORCE INDEX (PRIMARY) ${joins.join(' ')} WHERE own.kennelId = :kennelId AND (${broken.join(' OR ')}) LIMIT 1`,
    );
    if (row) throw new BrokenReference(`${child} ${row.id}`);
  }
}
