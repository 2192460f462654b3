import { createHash } from 'node:crypto';
import { appendFileSync, copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { folder, freePort, project, runScript, start, until } from './start-hand.ts';

const over = async (script: string, env: Record<string, string>, args: readonly string[] = []) => {
  const run = runScript(script, env, args);
  await until(() => run.code !== null, `the end of ${script}; it said: ${run.said}`, 90_000);
  return run;
};
const stopped = async (run: ReturnType<typeof start>) => {
  run.child.kill('SIGTERM');
  await until(() => run.code !== null, 'the end of Banter');
};
/** Starts Banter on a folder and signs in, to the demo or as somebody. */
async function serving(dir: string, demo: 'on' | 'off', who?: object) {
  const port = await freePort();
  const run = start({ PORT: String(port), BANTER_DATA: dir, BANTER_DEMO: demo });
  await until(() => run.said.includes('Banter is at'), `the address; it said: ${run.said}`, 60_000);
  const base = `http://127.0.0.1:${port}`;
  const entered = await fetch(`${base}/api/sign-in${who ? '' : '/demo'}`, {
    method: 'POST',
    ...(who ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(who) } : {}),
  });
  expect(entered.status).toBe(200);
  const cookie = entered.headers.get('set-cookie')!.split(';')[0]!;
  const get = async (path: string) => (await (await fetch(base + path, { headers: { cookie } })).json()) as Record<string, unknown>;
  const put = (path: string, body: object) =>
    fetch(base + path, { method: 'PUT', headers: { cookie, 'content-type': 'application/json' }, body: JSON.stringify(body) });
  return { run, get, put };
}
const NEW_DOG = { name: 'Latecomer', breed: '', sex: 'male', bornOn: null, bornGuessed: false, weightG: null, neckBuild: 'average', pull: 'settled', worksOn: 'left', owner: '', notes: '', placeId: null, house: null, archivedAt: null }; // prettier-ignore

describe('npm run backup and npm run restore', () => {
  it('back up while Banter is used, and put all of it back as it was, with what it replaces kept', async () => {
    const dir = folder();
    const file = join(folder(), 'kept', 'all.sql.gz');
    const first = await serving(dir, 'on');
    const before = await first.get('/api/dogs');
    const made = await over('backup.mjs', { BANTER_DATA: dir }, [file]);
    expect([made.code, made.said]).toEqual([0, expect.stringMatching(/Backed up: .* tables, \d+ rows\. Loaded again, all of it was there\./)]);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    // What the database itself refuses comes along, and belongs to whoever restores it.
    const dump = gunzipSync(readFileSync(file)).toString('latin1');
    expect(dump).toContain('TRIGGER `deeds_no_update` BEFORE UPDATE');
    expect(dump).not.toContain('DEFINER=');
    // What happens after it is not in it.
    expect((await first.put('/api/dogs/0198a000-0000-7000-8000-000000000001', NEW_DOG)).status).toBe(201);
    expect(JSON.stringify(await first.get('/api/dogs'))).toContain('Latecomer');

    // Over a kennel in use it is refused, and nothing is changed.
    const refused = await over('restore.mjs', { BANTER_DATA: dir }, [file]);
    expect([refused.code, refused.said.trim()]).toEqual([1, expect.stringMatching(/^The backup cannot be restored: Banter already runs on .*/)]);
    expect(JSON.stringify(await first.get('/api/dogs'))).toContain('Latecomer');
    await stopped(first.run);

    const restored = await over('restore.mjs', { BANTER_DATA: dir }, [file]);
    expect([restored.code, restored.said]).toEqual([0, expect.stringContaining('Restored as of')]);
    expect(readdirSync(join(dir, 'backups')).some((name) => name.startsWith('before-restore-') && name.endsWith('.sql.gz'))).toBe(true);
    const second = await serving(dir, 'on');
    expect(await second.get('/api/dogs')).toEqual(before);
    await stopped(second.run);

    // Killed in the middle, it is undone by the next start: everything is there as it was before.
    const half = runScript('restore.mjs', { BANTER_DATA: dir }, [file]);
    await until(() => existsSync(join(dir, 'restoring.json')), `the restore to begin; it said: ${half.said}`, 60_000);
    half.child.kill('SIGKILL');
    await until(() => half.code !== null, 'the end of the restore');
    const third = await serving(dir, 'on');
    expect(third.run.said).toContain('A restore was broken off');
    expect(await third.get('/api/dogs')).toEqual(before);
    expect(existsSync(join(dir, 'restoring.json'))).toBe(false);
    await stopped(third.run);
  }, 240_000);

  it('a backup from before later steps still restores, into an empty folder, and is brought up to date', async () => {
    const dir = folder();
    const file = join(project, 'bin', 'fixtures', 'backup-of-33-steps.sql.gz');
    const steps = (JSON.parse(readFileSync(`${file}.json`, 'utf8')) as { steps: string[] }).steps;
    expect(steps).toHaveLength(33);
    // Made elsewhere, it is taken only when somebody says so.
    const asked = await over('restore.mjs', { BANTER_DATA: dir }, [file]);
    expect([asked.code, asked.said]).toEqual([1, expect.stringContaining('its seal does not fit')]);
    const restored = await over('restore.mjs', { BANTER_DATA: dir }, [file, '--from-elsewhere']);
    expect([restored.code, restored.said]).toEqual([0, expect.stringContaining('Restored as of')]);
    const then = await serving(dir, 'off', { email: 'keeper@example.test', password: 'heather and gorse' });
    const { rows: dogs } = (await then.get('/api/dog-cards')) as { rows: { dog: { id: string; name: string } }[] };
    expect(dogs.map(({ dog }) => dog.name)).toEqual(['Bracken']);
    // A step that came later: weighings.
    expect(await then.get(`/api/dogs/${dogs[0]!.dog.id}/growth`)).toMatchObject({ weighings: [] });
    await stopped(then.run);
  }, 120_000);

  it('says in one sentence what is wrong with a file, and leaves everything as it is', async () => {
    const dir = folder();
    const kept = folder();
    const file = join(kept, 'all.sql.gz');
    const fixture = join(project, 'bin', 'fixtures', 'backup-of-33-steps.sql.gz');
    const said = async (args: string[]) => {
      const run = await over('restore.mjs', { BANTER_DATA: dir }, [...args, '--from-elsewhere']);
      expect(run.code).toBe(1);
      return run.said.trim();
    };
    expect(await said([])).toMatch(/name the backup/);
    expect(await said([join(kept, 'none.sql.gz')])).toMatch(/there is no file/);
    copyFileSync(fixture, file);
    expect(await said([file])).toMatch(/all\.sql\.gz\.json is missing/);
    copyFileSync(`${fixture}.json`, `${file}.json`);
    appendFileSync(file, 'x');
    expect(await said([file])).toMatch(/is not as it was written: its checksum differs/);
    copyFileSync(fixture, file);
    const manifest = JSON.parse(readFileSync(`${fixture}.json`, 'utf8')) as { format: number; tables: Record<string, { rows: number }> };
    writeFileSync(`${file}.json`, JSON.stringify({ ...manifest, format: 2 }));
    expect(await said([file])).toMatch(/format 2; this Banter reads 1/);
    writeFileSync(`${file}.json`, JSON.stringify({ ...manifest, tables: { ...manifest.tables, dogs: { ...manifest.tables.dogs, rows: 7 } } }));
    expect(await said([file])).toMatch(/the backup does not hold what it says: the table dogs has 1 rows instead of 7\. Nothing has been changed/);
    // A dump with commands of the client in it: none of them is run, whatever is said of it.
    const touched = join(kept, 'touched');
    const hostile = gzipSync(`\\! touch ${touched}\nsystem touch ${touched}\n\\. /etc/passwd\nSELECT 1;\n`);
    writeFileSync(file, hostile);
    writeFileSync(`${file}.json`, JSON.stringify({ ...manifest, sha256: createHash('sha256').update(hostile).digest('hex') }));
    expect(await said([file])).toMatch(/the backup could not be loaded/);
    expect(existsSync(touched)).toBe(false);
    mkdirSync(join(dir, 'nothing'), { recursive: true });
    const nothing = await over('backup.mjs', { BANTER_DATA: join(dir, 'nothing') });
    expect([nothing.code, nothing.said.trim()]).toEqual([1, expect.stringMatching(/^Banter cannot be backed up: there is no database in/)]);
  }, 240_000);
});
