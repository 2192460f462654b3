import { isDeepStrictEqual } from 'node:util';
import {
  broughtUp,
  FileKennel,
  KENNEL_FILE_FORMAT,
  fromEarlierPart,
  isEarlierPart,
  KENNEL_FILE_VERSION,
  KENNEL_PART_NAMES,
  kennelPart,
  oneHappening,
  READABLE_KENNEL_FILES,
  type KennelImport,
  type KennelPartName,
} from '@banter/contract';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { kennelAnswer, kennelOf } from '../services/kennels.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { PHOTO_LIMIT, sizeOfJpeg } from '../services/photos.ts';
import { besides } from './besides.ts';
import { IdSets } from './id-sets.ts';
import { fromFile, PART_TABLES, toFile, type FileRecord } from './part-tables.ts';
import { readPieces, UnreadableFile } from './read-pieces.ts';
import { referencesOf } from './references.ts';

/** Records of one part, in today's shape, as they came in a file. */
export type Batch = { part: KennelPartName; earlier: boolean; records: FileRecord[] };

/** Records that are compared with the kennel's at a time. */
const AT_ONCE = 300;
const MOST_SHOWN = 100;
/** A file with so many faults is read no further. */
const ENOUGH_FAULTS = 1000;

export const isPart = (name: string): name is KennelPartName => (KENNEL_PART_NAMES as string[]).includes(name);

/** A record of a file in today's part of it; null where the part is none. `earlier` where it stood in another part, as files of an earlier version have it. */
export function partOf(name: string, value: unknown): { part: KennelPartName; record: FileRecord; earlier: boolean } | null {
  if (isPart(name)) return { part: name, record: value as FileRecord, earlier: false };
  const brought = fromEarlierPart(name, value);
  return brought && { part: brought.part, record: brought.record as FileRecord, earlier: true };
}

/** The parts of which a kennel has nothing yet: what comes in of them is compared with nothing. */
export async function emptyParts(scope: KennelScope): Promise<ReadonlySet<KennelPartName>> {
  const empty = new Set<KennelPartName>();
  for (const part of KENNEL_PART_NAMES) if (!(await scope.query(PART_TABLES[part]).select('record.id').limit(1).getRawOne())) empty.add(part);
  return empty;
}

/** Whether a kennel has nothing of its own yet: then a file's settings are taken with it. */
export async function isFresh(scope: KennelScope): Promise<boolean> {
  const counts = await Promise.all([scope.query(DogEntity).getCount(), scope.query(CollarEntity).getCount()]);
  return counts.every((count) => count === 0);
}

/** The settings of a kennel as they stand in a file, without what stays behind. */
export function settingsOf(kennel: object): object {
  const { id: _id, version: _version, demo: _demo, ...settings } = kennel as Record<string, unknown>;
  return settings;
}

/** Looks a file through, against itself and against the kennel, and writes down what would happen. Nothing is changed. */
export async function lookThrough(scope: KennelScope, file: string, job: KennelImport): Promise<void> {
  const seen = new IdSets();
  /** What was referred to before it came, with the first that did. */
  const missing = new Map<KennelPartName, Map<string, string>>();
  const own = kennelAnswer(await kennelOf(scope));
  const fresh = await isFresh(scope);
  let known: { format: boolean; version: boolean; kennel: boolean } = { format: false, version: false, kennel: false };

  const fault = (where: string, message: string) => {
    job.faultCount += 1;
    if (job.faults.length < MOST_SHOWN) job.faults.push({ where, message });
    if (job.faultCount >= ENOUGH_FAULTS) throw new UnreadableFile('There is so much wrong with it that it was read no further.');
  };
  const conflict = (one: KennelImport['conflicts'][number]) => {
    job.conflictCount += 1;
    if (job.conflicts.length < MOST_SHOWN) job.conflicts.push(one);
  };
  const countsOf = (part: KennelPartName) => (job.counts[part] ??= { fresh: 0, same: 0, other: 0 });

  const empty = await emptyParts(scope);
  async function compare({ part, earlier, records }: Batch) {
    if (empty.has(part)) {
      countsOf(part).fresh += records.length;
      return;
    }
    const entity = PART_TABLES[part];
    const rows = records.map((record) => fromFile(entity, record, scope.kennelId));
    const there = new Map(
      (
        await scope.someOf(
          entity,
          rows.map(({ id }) => id),
        )
      ).map((row) => [row.id, row]),
    );
    const counts = countsOf(part);
    for (const row of rows) {
      const ours = there.get(row.id);
      if (!ours) {
        counts.fresh += 1;
        continue;
      }
      const [sent, mine] = [broughtUp(part, toFile(entity, row)), broughtUp(part, toFile(entity, ours))];
      const theirs = earlier ? oneHappening({ ...sent, recordedAt: mine.recordedAt }, mine) : sent;
      // A photo is made anew when it is brought in: the same one is known by the rest of its record.
      const aside = new Set(part === 'photos' ? ['jpeg', 'widthPx', 'heightPx'] : ['lastSeenAt']);
      const fields = Object.keys(mine).filter((name) => !aside.has(name) && !isDeepStrictEqual(theirs[name], mine[name]));
      if (fields.length === 0) counts.same += 1;
      else {
        counts.other += 1;
        const label = String(mine.name ?? mine.what ?? mine.kind ?? '');
        conflict({ part, id: String(mine.id), label, versioned: kennelPart(part).versioned, fields });
      }
    }
  }

  function top(name: string, value: unknown) {
    if (name === 'format') {
      known = { ...known, format: true };
      if (value !== KENNEL_FILE_FORMAT) throw new UnreadableFile('It is no kennel’s file: its «format» is not «banter-kennel».');
    } else if (name === 'version') {
      known = { ...known, version: true };
      if (!READABLE_KENNEL_FILES.includes(value))
        throw new UnreadableFile(
          `It is of version ${JSON.stringify(value)?.slice(0, 40)}; this Banter reads versions up to ${KENNEL_FILE_VERSION}. Bring Banter up to date, or take the file again.`,
        );
    } else if (name === 'exportedAt') {
      if (typeof value === 'string' && !Number.isNaN(Date.parse(value))) job.exportedAt = new Date(value).toISOString();
      else fault('exportedAt', 'This is no instant.');
    } else if (name === 'kennel') {
      known = { ...known, kennel: true };
      const parsed = FileKennel.safeParse(value);
      if (!parsed.success) return fault(`kennel.${parsed.error.issues[0]!.path.join('.')}`, parsed.error.issues[0]!.message);
      job.kennelName = parsed.data.name;
      const fields = Object.entries(settingsOf(own))
        .filter(([field, mine]) => !isDeepStrictEqual(mine, (parsed.data as Record<string, unknown>)[field]))
        .map(([field]) => field);
      if (!fresh && fields.length > 0) conflict({ part: 'kennel', id: own.id, label: own.name, versioned: true, fields });
    } else fault(name, 'This name is not known here.');
    return undefined;
  }

  const batches = new Map<string, Batch>();
  const comparing = besides();
  try {
    for await (const piece of readPieces(file, (bytes) => (job.done = bytes))) {
      if (piece.at === 'top') {
        top(piece.name, piece.value);
        continue;
      }
      if (piece.at === 'array') {
        if (!isPart(piece.part) && !isEarlierPart(piece.part)) fault(piece.part, 'This name is not known here.');
        continue;
      }
      const found = partOf(piece.part, piece.value);
      if (!found) continue;
      const { part, record } = found;
      const where = `${piece.part}[${piece.index}]`;
      const value = broughtUp(part, record);
      const parsed = kennelPart(part).record.safeParse(value);
      if (!parsed.success) {
        const [issue] = parsed.error.issues;
        fault(
          [where, ...issue!.path].join('.'),
          issue!.code === 'unrecognized_keys' ? `${issue!.keys.join(', ')}: this name is not known here.` : issue!.message,
        );
        continue;
      }
      // What was sent is kept, not what a schema makes of it: nothing is lost on the way.
      const more = kennelPart(part).fault?.(value) ?? (part === 'photos' ? await photoFault(record) : null);
      if (more) {
        fault(where, more);
        continue;
      }
      const id = record.id === 'kennel' ? scope.kennelId : record.id.toLowerCase();
      if (!seen.add(piece.part, id)) {
        fault(where, `The id ${record.id} stands twice in ${piece.part}.`);
        continue;
      }
      // In an earlier file one thing may stand in two parts: once in each.
      if (found.earlier) seen.add(part, id);
      missing.get(part)?.delete(id);
      for (const reference of referencesOf(part, record)) {
        if (seen.has(reference.part, reference.id)) continue;
        const waiting = missing.get(reference.part) ?? new Map<string, string>();
        missing.set(reference.part, waiting);
        if (!waiting.has(reference.id)) waiting.set(reference.id, `${where}.${reference.field}`);
      }
      const batch = batches.get(piece.part) ?? { part, earlier: found.earlier, records: [] };
      batches.set(piece.part, batch);
      batch.records.push(record);
      if (batch.records.length >= (part === 'photos' ? 4 : AT_ONCE)) {
        const records = batch.records.splice(0);
        await comparing.next(() => compare({ ...batch, records }));
      }
    }
    for (const batch of batches.values()) if (batch.records.length > 0) await comparing.next(() => compare(batch));
    await comparing.done();
    for (const name of ['format', 'version', 'kennel'] as const) if (!known[name]) fault(name, 'This is missing: it is no kennel’s file.');
    for (const [part, waiting] of missing) {
      const ids = [...waiting.keys()];
      for (let from = 0; from < ids.length; from += AT_ONCE) {
        const there = new Set((await scope.someOf(PART_TABLES[part], ids.slice(from, from + AT_ONCE))).map(({ id }) => id));
        for (const id of ids.slice(from, from + AT_ONCE))
          if (!there.has(id)) fault(waiting.get(id)!, `It refers to ${id}, which is neither in the file’s ${part} nor in the kennel.`);
      }
    }
  } catch (error) {
    await comparing.done().catch(() => {});
    if (!(error instanceof UnreadableFile)) throw error;
    job.faultCount += 1;
    job.faults.unshift({ where: 'file', message: error.message });
  }
}

/** A photo is a JPEG of the size it says, opened as one that is sent is, and no larger than that. */
async function photoFault({ jpeg, widthPx, heightPx }: FileRecord): Promise<string | null> {
  const bytes = Buffer.from(jpeg as string, 'base64');
  if (bytes.length > PHOTO_LIMIT) return 'jpeg: It is larger than a photo may be, 15 MB.';
  const found = await sizeOfJpeg(bytes);
  return found !== null && found.widthPx === widthPx && found.heightPx === heightPx ? null : 'jpeg: It is no JPEG of the size it says.';
}
