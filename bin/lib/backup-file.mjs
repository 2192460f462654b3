/**
 * A backup: the whole database as one consistent, compressed dump, and beside it what is in it: the steps the database had taken,
 * the rows of every table, and the checksum of the file.
 */
import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { createReadStream, createWriteStream, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { ask, clientOf, ended, reachOf } from './database-reach.mjs';
import { startMariadb } from './mariadb.mjs';
import { Refusal } from './say.mjs';

export const FORMAT = 1;

/** The checksum of a file, read through. */
export async function sha256Of(file) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

const TRIGGER = Buffer.from('\n/*!50003 CREATE*/ /*!50017 DEFINER=');
const OF_IT = Buffer.from('*/ ');
/** So much is held back, that a trigger's head is not cut in two. */
const HELD = 4096;

/**
 * A dump whose triggers name nobody: they become the restoring account's, which may be another one. Only the heads of triggers are
 * touched, which stand at the beginning of a line; what is in the tables goes through as it is.
 */
export function withoutDefiner() {
  let rest = Buffer.alloc(0);
  const cut = (bytes) => {
    let all = bytes;
    for (let at = all.indexOf(TRIGGER); at >= 0; at = all.indexOf(TRIGGER, at + 1)) {
      const named = at + '\n/*!50003 CREATE*/ '.length;
      const end = all.indexOf(OF_IT, named);
      if (end < 0) break;
      all = Buffer.concat([all.subarray(0, named), all.subarray(end + OF_IT.length)]);
    }
    return all;
  };
  return new Transform({
    transform(chunk, _encoding, done) {
      const all = cut(Buffer.concat([rest, chunk]));
      const out = Math.max(0, all.length - HELD);
      rest = all.subarray(out);
      done(null, all.subarray(0, out));
    },
    flush(done) {
      done(null, cut(rest));
    },
  });
}

/**
 * Writes the database down as it stands at one instant, while it is in use: one transaction sees all of it.
 * @param {import('./database-reach.mjs').Reach} reach @param {string} file
 */
export async function dumpTo(reach, file) {
  const child = clientOf('mariadb-dump', reach, [
    '--single-transaction',
    '--quick',
    '--no-tablespaces',
    '--hex-blob',
    '--skip-dump-date',
    '--add-drop-table',
    reach.schema,
  ]);
  child.stdin.end();
  await Promise.all([
    pipeline(child.stdout, withoutDefiner(), createGzip(), createWriteStream(file, { mode: 0o600 })),
    ended(child, 'the database could not be written down'),
  ]);
}

/**
 * Loads a dump into a schema. The client takes statements alone: in binary mode it knows none of its own commands but DELIMITER, so that no
 * line of a dump, whoever wrote it, opens a shell or a file (MariaDB: mariadb client, --binary-mode, --sandbox).
 */
export async function loadFrom(reach, file) {
  const child = clientOf('mariadb', reach, ['--binary-mode', '--loose-sandbox', reach.schema]);
  child.stdout.resume();
  const unpacked = new PassThrough();
  // A client that gives up closes its end: what it said is the reason then, not the broken pipe.
  child.stdin.on('error', () => {});
  const [written, done] = await Promise.allSettled([
    Promise.all([pipeline(createReadStream(file), createGunzip(), unpacked), pipeline(unpacked, child.stdin)]),
    ended(child, 'the backup could not be loaded'),
  ]);
  if (done.status === 'rejected') throw done.reason;
  if (written.status === 'rejected') throw new Refusal(`the file ${file} cannot be read through: ${written.reason.message}`);
}

/**
 * What is in a schema: the steps it has taken, and of every table its rows and checksum.
 * @param {import('./database-reach.mjs').Reach} reach
 */
export async function contentsOf(reach) {
  const names = (
    await ask(
      reach,
      `SELECT table_name FROM information_schema.tables WHERE table_schema = '${reach.schema}' AND table_type = 'BASE TABLE' ORDER BY table_name`,
    )
  ).flat();
  if (names.length === 0) return { steps: [], tables: {} };
  const counts = await ask(reach, names.map((name) => `SELECT '${name}', COUNT(*) FROM \`${name}\``).join(' UNION ALL '));
  const sums = await ask(reach, `CHECKSUM TABLE ${names.map((name) => `\`${name}\``).join(', ')} EXTENDED`);
  const sumOf = new Map(sums.map(([name, sum]) => [name.split('.').at(-1), sum]));
  const steps = names.includes('migrations') ? (await ask(reach, 'SELECT name FROM migrations ORDER BY id')).flat() : [];
  return { steps, tables: Object.fromEntries(counts.map(([name, rows]) => [name, { rows: Number(rows), checksum: sumOf.get(name) ?? null }])) };
}

/**
 * The first way in which two databases differ, as a sentence; null when they are the same. Checksums of tables are held against each
 * other only where both were taken by one MariaDB: another version may reckon them otherwise.
 */
export function differenceOf(expected, found) {
  const [before, after] = [Object.keys(expected.tables), Object.keys(found.tables)];
  const missing = before.find((name) => !after.includes(name));
  if (missing) return `the table ${missing} is missing`;
  const more = after.find((name) => !before.includes(name));
  if (more) return `there is a table ${more} that the backup does not have`;
  for (const name of before) {
    const [one, other] = [expected.tables[name], found.tables[name]];
    if (one.rows !== other.rows) return `the table ${name} has ${other.rows} rows instead of ${one.rows}`;
    if (one.checksum && other.checksum && one.checksum !== other.checksum) return `what is in the table ${name} is not what was backed up`;
  }
  return null;
}

/**
 * Loads a dump into a scratch database of its own and says what is in it.
 * @param {string} file
 */
export async function tryRestore(file) {
  const dir = mkdtempSync(join(tmpdir(), 'banter-scratch-'));
  const scratch = await startMariadb({ dir, password: 'scratch' });
  try {
    const reach = reachOf(scratch.url);
    await loadFrom(reach, file);
    return await contentsOf(reach);
  } finally {
    await scratch.stop();
    rmSync(dir, { recursive: true, force: true });
  }
}

const beside = (file) => `${file}.json`;

/** The seal of what is said of a backup: whoever has not the key cannot make one (HMAC-SHA-256, RFC 2104). */
const sealOf = ({ format, madeAt, sha256, steps, tables }, key) =>
  createHmac('sha256', key)
    .update(JSON.stringify([format, madeAt, sha256, steps, tables]))
    .digest('hex');

/** Writes down what is in a backup, beside it, and seals it. */
export async function writeManifest(file, contents, madeAt, key) {
  const rows = Object.fromEntries(Object.entries(contents.tables).map(([name, table]) => [name, { rows: table.rows }]));
  const manifest = { format: FORMAT, madeAt, sha256: await sha256Of(file), steps: contents.steps, tables: rows };
  writeFileSync(beside(file), `${JSON.stringify({ ...manifest, seal: sealOf(manifest, key) }, null, 2)}\n`, { mode: 0o600 });
  return manifest;
}

function fits(seal, right) {
  const [given, own] = [Buffer.from(String(seal ?? '')), Buffer.from(right)];
  return given.length === own.length && timingSafeEqual(given, own);
}

/**
 * Reads what is beside a backup, and holds the file against it. Throws a Refusal that says what is wrong.
 * @param {string} file @param {{ key: string, fromElsewhere?: boolean }} trust the key by which this folder seals its own; whether a backup
 * with another seal, or with none, is taken as well
 */
export async function readManifest(file, { key, fromElsewhere = false }) {
  if (!existsSync(file)) throw new Refusal(`there is no file ${file}.`);
  if (!existsSync(beside(file))) throw new Refusal(`${beside(file)} is missing: it says what is in the backup, and lies beside it.`);
  let manifest;
  try {
    manifest = JSON.parse(readFileSync(beside(file), 'utf8'));
  } catch {
    throw new Refusal(`${beside(file)} cannot be read.`);
  }
  if (manifest.format !== FORMAT) throw new Refusal(`this backup is of format ${manifest.format}; this Banter reads ${FORMAT}.`);
  if (!fromElsewhere && !fits(manifest.seal, sealOf(manifest, key)))
    throw new Refusal(
      `${file} was not made on this folder, or what lies beside it was changed since: its seal does not fit. If you know where it comes from, add --from-elsewhere.`,
    );
  if ((await sha256Of(file)) !== manifest.sha256) throw new Refusal(`${file} is not as it was written: its checksum differs.`);
  return manifest;
}
