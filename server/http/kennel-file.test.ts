import { existsSync, mkdirSync, statSync } from 'node:fs';
import { createServer, request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { KENNEL_PART_NAMES, type KennelImport } from '@banter/contract';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import Papa from 'papaparse';
import sharp from 'sharp';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '../demo/seed-demo.ts';
import { clearLeftImports, importFolder } from '../kennel-file/import-folder.ts';
import { fittedDog, newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';

type File = Record<string, { id: string }[]> & { kennel: Record<string, unknown> };
let banter: TestBanter;
let demo: TestAgent;
let file: File;
beforeAll(async () => {
  banter = await openBanter();
  await seedDemo(banter.dataSource, new Date('2026-11-20T12:00:00Z'));
  demo = supertest.agent(banter.app);
  await demo.post('/api/sign-in/demo').send({});
  file = await taken(demo);
}, 120_000);
afterAll(() => banter.close());

async function taken(agent: TestAgent): Promise<File> {
  const answer = await agent.get('/api/kennel.json');
  expect(answer.status).toBe(200);
  return answer.body as File;
}
async function looked(agent: TestAgent, body: unknown): Promise<KennelImport> {
  const sent = await agent
    .post('/api/imports')
    .set('Content-Type', 'application/json')
    .send(typeof body === 'string' ? body : JSON.stringify(body));
  expect(sent.status, sent.text).toBe(201);
  return until(agent, sent.body.id, ['reading']);
}
async function until(agent: TestAgent, id: string, while_: string[]): Promise<KennelImport> {
  for (;;) {
    const view = (await agent.get(`/api/imports/${id}`)).body as KennelImport;
    if (!while_.includes(view.state)) return view;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
async function kept(agent: TestAgent, id: string, conflicts: 'ours' | 'file' = 'ours'): Promise<KennelImport> {
  expect((await agent.post(`/api/imports/${id}/keep`).send({ conflicts })).status).toBe(200);
  return until(agent, id, ['keeping']);
}
const byId = (records: readonly { id: string }[]) => new Map(records.map((record) => [record.id, record]));

describe('a whole kennel as a file', () => {
  it('goes out and back into an empty kennel of the same database, and is record by record what it was', async () => {
    const agent = await newKennel(banter.app, 'New Fen');
    const view = await looked(agent, file);
    expect([view.state, view.faults, view.conflictCount]).toEqual(['ready', [], 0]);
    expect(view.counts.dogs).toEqual({ fresh: file.dogs!.length, same: 0, other: 0 });
    expect((await kept(agent, view.id)).state).toBe('kept');
    const again = await taken(agent);
    const { id: _own, ...settings } = file.kennel;
    expect(again.kennel).toMatchObject(settings);
    const me = (await agent.get('/api/doorstep')).body.me.person.id as string;
    for (const part of KENNEL_PART_NAMES) {
      const records = byId(again[part]!);
      if (part === 'people') records.delete(me);
      expect([part, records.size]).toEqual([part, file[part]!.length]);
      for (const record of file[part]!) expect(records.get(record.id)).toEqual(record);
    }
    // What is worked out from the records is the same, too.
    const presses = 'SELECT COUNT(*) AS count, SUM(level) AS level FROM presses p JOIN kennels k ON k.id = p.kennelId WHERE k.demo = ?';
    const [one, other] = [await banter.dataSource.query(presses, [true]), await banter.dataSource.query(presses, [false])];
    expect(Number(one[0].count)).toBeGreaterThan(500);
    expect(other).toEqual(one);
    for (const dog of file.dogs!.slice(0, 3)) {
      const levels = async (by: TestAgent) => JSON.stringify((await by.get(`/api/dogs/${dog.id}/levels`)).body.sessions);
      expect(await levels(agent)).toBe(await levels(demo));
    }
    // Nobody gets in by a file: those who stand in the records sign in nowhere.
    expect((await agent.get('/api/people')).body.people.filter(({ signsIn }: { signsIn: boolean }) => signsIn)).toHaveLength(1);
    expect((await agent.post('/api/my-leaving').send({})).body.code).toBe('last-lead');
    const deeds = (await agent.get('/api/deeds').query({ kind: 'kennel' })).body.deeds as { act: string }[];
    expect(deeds.map(({ act }) => act)).toEqual(['took', 'brought', 'made']);
  }, 120_000);

  it('is what its published schema says, by another validator', async () => {
    const schema = (await supertest(banter.app).get('/api/kennel-file.schema.json')).body;
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    addFormats.default(ajv);
    ajv.addFormat('base64', true);
    const valid = ajv.compile(schema);
    expect([valid(file), valid.errors?.slice(0, 5) ?? []]).toEqual([true, []]);
    expect(valid({ ...file, version: 1 })).toBe(false);
    expect(valid({ ...file, dogs: [{ ...file.dogs![0], colour: 'blue' }] })).toBe(false);
  });

  it('holds nothing that lets anybody in', () => {
    const text = JSON.stringify(file);
    for (const name of ['passwordHash', 'keyHash', '"email"', 'kennelId']) expect(text).not.toContain(name);
  });

  it('is a lead’s to take and to bring', async () => {
    expect((await supertest(banter.app).get('/api/kennel.json')).status).toBe(401);
    expect((await supertest(banter.app).post('/api/imports').send('{}')).status).toBe(401);
  });
});

describe('a file brought into a used kennel', () => {
  it('finds what is there already, lists what is otherwise first, and keeps ours or the file’s as was said', async () => {
    const agent = await newKennel(banter.app);
    const ids = await fittedDog(agent);
    const mine = await taken(agent);
    const same = await looked(agent, mine);
    expect(Object.values(same.counts).every(({ fresh, other }) => fresh === 0 && other === 0)).toBe(true);
    await agent
      .put(`/api/dogs/${ids.dog}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Renamed' });
    const view = await looked(agent, mine);
    expect(view.conflicts).toEqual([{ part: 'dogs', id: ids.dog, label: 'Renamed', versioned: true, fields: ['version', 'name'] }]);
    expect((await kept(agent, view.id, 'ours')).state).toBe('kept');
    expect((await agent.get(`/api/dogs/${ids.dog}`)).body.name).toBe('Renamed');
    const second = await looked(agent, mine);
    expect((await kept(agent, second.id, 'file')).state).toBe('kept');
    expect((await agent.get(`/api/dogs/${ids.dog}`)).body).toMatchObject({ name: 'Bracken', version: 3 });
  });

  it('never rewrites what happened: that stays ours', async () => {
    const agent = await newKennel(banter.app);
    const ids = await fittedDog(agent);
    const mine = await taken(agent);
    const changed = { ...mine, tapings: mine.tapings!.map((one) => ({ ...one, tapedMm: 999 })) };
    const view = await looked(agent, changed);
    expect(view.conflicts.map(({ part, versioned }) => [part, versioned])).toEqual([['tapings', false], ['tapings', false]]); // prettier-ignore
    await kept(agent, view.id, 'file');
    expect((await agent.get(`/api/tapings/${ids.high}`)).body.tapedMm).toBe(398);
  });
});

describe('a file that is not right', () => {
  const some = () => ({ format: 'banter-kennel', version: 2, exportedAt: '2026-01-01T00:00:00.000Z', kennel: file.kennel, dogs: file.dogs!.slice(0, 2).map((dog) => ({ ...dog, placeId: null })) }); // prettier-ignore
  const dogOf = () => some().dogs[0]!;
  const cases: [string, () => unknown, RegExp, string][] = [
    ['no JSON', () => 'id;name\n1;Rex', /no JSON/, 'file'],
    ['a list', () => [1, 2], /no object/, 'file'],
    ['cut off', () => JSON.stringify(some()).slice(0, -40), /no JSON|ends before/, 'file'],
    ['nothing', () => '', /no JSON|ends before/, 'file'],
    ['of another version', () => ({ ...some(), version: 7 }), /version 7/, 'file'],
    ['of another program', () => ({ animals: [] }), /not known here/, 'animals'],
    ['without a format', () => ({ dogs: [] }), /missing/, 'format'],
    ['with an id twice', () => ({ ...some(), dogs: [dogOf(), dogOf()] }), /stands twice/, 'dogs[1]'],
    ['with a broken reference', () => ({ ...some(), endings: [{ id: uuidv7(), dogId: dogOf().id, planId: uuidv7(), ended: true, note: '', at: '2026-01-01T00:00:00Z', recordedAt: '2026-01-01T00:00:00Z', personId: file.people![0]!.id }], people: file.people }), /refers to/, 'endings[0].planId'],
    ['with a field of the wrong kind', () => ({ ...some(), dogs: [{ ...dogOf(), weightG: 'heavy' }] }), /./, 'dogs[0].weightG'],
    ['with a field nobody knows', () => ({ ...some(), dogs: [{ ...dogOf(), colour: 'blue' }] }), /colour/, 'dogs[0]'],
    ['with a press off every scale', () => ({ ...some(), happenings: [{ ...file.happenings!.find((one) => (one as { event?: string }).event === 'press'), data: { level: -4, mode: 'momentary' } }] }), /./, 'happenings[0]'],
    ['with a photo that is none', () => ({ ...some(), photos: [{ id: uuidv7(), personId: file.people![0]!.id, jpeg: 'aGVsbG8=', widthPx: 10, heightPx: 10, createdAt: '2026-01-01T00:00:00Z' }] }), /JPEG/, 'photos[0]'],
  ]; // prettier-ignore
  it.each(cases)('%s: says what and where, and changes nothing', async (_what, make, message, where) => {
    const agent = await newKennel(banter.app);
    const before = JSON.stringify({ ...(await taken(agent)), exportedAt: '' });
    const view = await looked(agent, make());
    expect(view.state).toBe('refused');
    expect(view.faults[0]).toEqual({ where, message: expect.stringMatching(message) });
    expect((await agent.post(`/api/imports/${view.id}/keep`).send({ conflicts: 'file' })).body.state).toBe('refused');
    expect(JSON.stringify({ ...(await taken(agent)), exportedAt: '' })).toBe(before);
  });

  it('with a part whose fields do not go together is refused at its place: no page is ever to stumble over it', async () => {
    const agent = await newKennel(banter.app);
    const plan = (file.plans as unknown as Record<string, unknown>[]).find(({ kind }) => kind === 'prong')!;
    const check = (file.fitChecks as unknown as Record<string, unknown>[]).find(({ kind }) => kind === 'prong')!;
    const [collar] = file.collars as unknown as Record<string, unknown>[];
    const withPart = (part: string, record: object) => ({ ...file, [part]: (file[part] as unknown as { id: string }[]).map((one) => (one.id === (record as { id: string }).id ? record : one)) }); // prettier-ignore
    for (const [part, record, message] of [
      ['plans', { ...plan, choices: {} }, /^choices\./],
      ['plans', { ...plan, outcome: { keep: true, blocked: false } }, /^outcome: It is none that its kind of collar makes\.$/],
      ['plans', { ...plan, inputs: { ...(plan.inputs as object), collar: { id: collar!.id, name: 'x', numbers: {} } } }, /^inputs\.collar\.numbers\./],
      ['fitChecks', { ...check, on: {} }, /^on\./],
      ['fitChecks', { ...check, outcome: { verdict: 'good', step: 'none' } }, /^outcome: /],
      ['collars', { ...collar, numbers: { gaugeMm: 'thick' } }, /^numbers\./],
    ] as const) {
      const view = await looked(agent, withPart(part, record));
      expect([part, view.state]).toEqual([part, 'refused']);
      expect(view.faults[0]).toMatchObject({ where: expect.stringContaining(part), message: expect.stringMatching(message) });
      await agent.post(`/api/imports/${view.id}/drop`);
    }
  });

  it('that came in by whatever way breaks no page: what cannot be read is left out, and named in its dog’s record', async () => {
    const agent = await newKennel(banter.app);
    const { dog, plan, check } = await fittedDog(agent);
    const { id: kennelId } = (await agent.get('/api/kennel')).body;
    await banter.dataSource.query("UPDATE plans SET choices = '{}' WHERE kennelId = ? AND id = ?", [kennelId, plan]);
    await banter.dataSource.query("UPDATE fit_checks SET outcome = '{}' WHERE kennelId = ? AND id = ?", [kennelId, check]);
    for (const path of [
      'today',
      'dogs',
      'field',
      'wearing',
      'upkeep',
      'class',
      'locker',
      'calendar.ics',
      `dogs/${dog}/page`,
      `dogs/${dog}/neck`,
      `dogs/${dog}/levels`,
      `dogs/${dog}/growth`,
      `dogs/${dog}/handovers`,
      'kennel.json',
      'csv/fits.csv',
    ])
      // prettier-ignore
      expect([path, (await agent.get(`/api/${path}`)).status]).toEqual([path, 200]);
    const { unreadable, plans } = (await agent.get(`/api/dogs/${dog}/page`)).body;
    expect([plans, unreadable.map(({ kind, id }: { kind: string; id: string }) => [kind, id])]).toEqual([[], [['plan', plan], ['fitCheck', check]]]); // prettier-ignore
    expect((await agent.get(`/api/plans/${plan}`)).body).toMatchObject({ status: 410, code: 'cannot-be-read' });
  });

  it('takes its place among the kennel’s files before a byte of it is read, and gives it back', async () => {
    const agent = await newKennel(banter.app);
    const server = createServer(banter.app).listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const cookie = String((await agent.get('/api/doorstep')).headers['set-cookie']![0]).split(';')[0]!;
    const { port } = server.address() as AddressInfo;
    // None of them ever ends: three have a place, and the others are told at once that there is none.
    const refused: number[] = [];
    const sending = Array.from({ length: 6 }, () => {
      const asked = httpRequest({ host: '127.0.0.1', port, path: '/api/imports', method: 'POST', headers: { cookie } }, (response) => refused.push(response.statusCode!)); // prettier-ignore
      asked.on('error', () => {});
      asked.write('{');
      return asked;
    });
    for (let tries = 0; tries < 400 && refused.length < 3; tries += 1) await new Promise((resolve) => setTimeout(resolve, 25));
    expect(refused).toEqual([429, 429, 429]);
    for (const asked of sending) asked.destroy();
    let again = 0;
    for (let tries = 0; tries < 200 && again !== 201; tries += 1) {
      await new Promise((resolve) => setTimeout(resolve, 25));
      again = (await agent.post('/api/imports').set('Content-Type', 'application/json').send('{}')).status;
    }
    expect(again).toBe(201);
    server.closeAllConnections();
    server.close();
  });

  it('leaves nothing lying about, and what dead ones left is cleared away', async () => {
    const dead = join(tmpdir(), `banter-imports-${userInfo().username}`, '4194305', 'file-x');
    mkdirSync(dead, { recursive: true });
    const own = await importFolder();
    expect(statSync(own).mode & 0o077).toBe(0);
    await clearLeftImports();
    expect([existsSync(dead), existsSync(own)]).toEqual([false, false]);
  });

  it('with a photo keeps one that is made anew: nothing that came with it is kept', async () => {
    const agent = await newKennel(banter.app);
    const personId = (await agent.get('/api/doorstep')).body.me.person.id as string;
    const jpeg = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#c86' } }).withExif({ IFD0: { Copyright: 'somebody' } }).jpeg().toBuffer(); // prettier-ignore
    const bytes = Buffer.concat([jpeg, Buffer.from('<script>hidden behind it</script>')]);
    const id = uuidv7();
    const { id: kennel, version: _version, demo: _demo, ...settings } = (await agent.get('/api/kennel')).body;
    const photos = [{ id, personId, jpeg: bytes.toString('base64'), widthPx: 40, heightPx: 30, createdAt: '2026-03-01T09:00:00.000Z' }];
    const one = { format: 'banter-kennel', version: 1, exportedAt: '2026-03-01T09:00:00.000Z', kennel: { ...settings, id: kennel }, photos };
    const view = await looked(agent, one);
    expect([view.state, view.faults]).toEqual(['ready', []]);
    expect((await kept(agent, view.id)).state).toBe('kept');
    const photo = await agent.get(`/api/photos/${id}`).buffer(true).parse((response, done) => { const all: Buffer[] = []; response.on('data', (chunk: Buffer) => all.push(chunk)); response.on('end', () => done(null, Buffer.concat(all))); }); // prettier-ignore
    const said = (photo.body as Buffer).toString('latin1');
    expect(said).not.toMatch(/hidden behind it|somebody/);
    expect(await sharp(photo.body as Buffer).metadata()).toMatchObject({ format: 'jpeg', width: 40, height: 30 });
    // Brought in again it is the same photo.
    expect((await looked(agent, one)).counts.photos).toEqual({ fresh: 0, same: 1, other: 0 });
  });

  it('is let go, and is nobody else’s to see', async () => {
    const agent = await newKennel(banter.app);
    const view = await looked(agent, some());
    expect((await (await newKennel(banter.app)).get(`/api/imports/${view.id}`)).status).toBe(404);
    expect((await agent.post(`/api/imports/${view.id}/drop`).send({})).status).toBe(204);
    expect((await agent.get(`/api/imports/${view.id}`)).status).toBe(404);
  });
});

describe('a table as CSV', () => {
  const table = async (agent: TestAgent, name: string) => (await agent.get(`/api/csv/${name}.csv`)).text;
  async function tableLooked(agent: TestAgent, name: string, csv: string): Promise<KennelImport> {
    const sent = await agent.post('/api/imports').query({ table: name }).set('Content-Type', 'text/csv').send(csv);
    expect(sent.status, sent.text).toBe(201);
    return until(agent, sent.body.id, ['reading']);
  }

  it.each([
    ['dogs', 'dogs'],
    ['tape', 'tapings'],
    ['fits', 'plans'],
    ['skin', 'skinLooks'],
    ['locker', 'collars'],
  ])('%s goes out, is read by another parser, and comes back as the same records', async (name, part) => {
    const csv = await table(demo, name);
    const rows = Papa.parse<Record<string, string>>(csv.trimEnd(), { header: true }).data;
    expect(rows.length).toBe(file[part]!.length);
    const view = await tableLooked(demo, name, csv);
    expect([view.state, view.faults, view.leftOut]).toEqual(['ready', [], []]);
    expect(view.counts[part]).toEqual({ fresh: 0, same: rows.length, other: 0 });
    await demo.post(`/api/imports/${view.id}/drop`).send({});
  });

  it('of presses goes out with every press, and those that are here already are left alone', async () => {
    const csv = await table(demo, 'presses');
    const [{ count }] = await banter.dataSource.query('SELECT COUNT(*) AS count FROM presses p JOIN kennels k ON k.id = p.kennelId WHERE k.demo = TRUE');
    expect(csv.trimEnd().split('\r\n')).toHaveLength(Number(count) + 1);
    const view = await tableLooked(demo, 'presses', csv);
    expect([view.state, view.counts]).toEqual(['ready', {}]);
    await demo.post(`/api/imports/${view.id}/drop`).send({});
  }, 60_000);

  it('keeps a cell that a spreadsheet would take for a formula from being one, and reads it back', async () => {
    const agent = await newKennel(banter.app);
    const id = uuidv7();
    await agent.put(`/api/dogs/${id}`).send({ ...someDog, name: '=HYPERLINK("x")', notes: '+44, "quoted"\nand a line' });
    const csv = await table(agent, 'dogs');
    expect(csv).toContain("'=HYPERLINK");
    const view = await tableLooked(agent, 'dogs', csv);
    expect(view.counts.dogs).toEqual({ fresh: 0, same: 1, other: 0 });
  });

  it('of another program’s shape comes in as far as it says what is needed, and names the columns it takes nothing from', async () => {
    const agent = await newKennel(banter.app);
    const dogs = await tableLooked(agent, 'dogs', 'Call name;Gender;DOB;Weight (kg);Client;Favourite toy\nRush;Male;2024-03-31;29,5;Ida Fell;ball\nSedge;F;;;;'.replaceAll(';', ',').replace('29,5', '29.5'));
    expect([dogs.state, dogs.leftOut, dogs.counts.dogs!.fresh, dogs.counts.weighings!.fresh]).toEqual(['ready', ['Favourite toy'], 2, 1]);
    expect((await kept(agent, dogs.id)).state).toBe('kept');
    const { body } = await agent.get('/api/dog-cards');
    expect(body.rows.map(({ dog }: { dog: Record<string, unknown> }) => [dog.name, dog.sex, dog.bornOn, dog.weightG, dog.owner])).toEqual([['Rush', 'male', '2024-03-31', 29_500, 'Ida Fell'], ['Sedge', 'female', null, null, '']]);
    const tape = await tableLooked(agent, 'tape', 'dog,date,readings\nRush,2026-03-31,39.5;39.6;39.6\n');
    expect([tape.state, tape.faults]).toEqual(['ready', []]);
    await kept(agent, tape.id);
    expect((await agent.get('/api/dog-cards')).body.rows[0].girths[0]).toMatchObject({ site: 'high', tapedMm: 396, at: '2026-03-31T11:00:00.000Z' });
    const locker = await tableLooked(agent, 'locker', 'name,kind,gaugeMm,pitchMm,insideGirthMm,links,closingMm\nHook,prong,3,31,480,13,28\n');
    expect([locker.state, locker.faults]).toEqual(['ready', []]);
    await kept(agent, locker.id);
    const skin = await tableLooked(agent, 'skin', 'Dog,Clock,Grade,Date\nRush,3,1,2026-03-31\n');
    expect([skin.state, skin.counts.skinLooks]).toEqual(['ready', { fresh: 1, same: 0, other: 0 }]);
  }); // prettier-ignore

  it.each([
    ['dogs', 'colour,toy\nblue,ball\n', { where: 'file', message: expect.stringContaining('No column says which dog. The columns are: colour, toy.') }],
    ['dogs', 'name,weight\nRush,heavy\n', { where: 'row 2', message: expect.stringContaining('«heavy» is no weight') }],
    ['dogs', 'name,born\nRush,31/03/2024\n', { where: 'row 2', message: expect.stringContaining('no day that can be read one way only') }],
    ['tape', 'dog,date,girth\nNobody,2026-03-31,39.5;39.6\n', { where: 'row 2', message: 'There is no dog called «Nobody» in this kennel.' }],
    ['fits', 'dog,collar\nRush,Hook\n', { where: 'file', message: expect.stringContaining('decided at the bench') }],
    ['locker', 'name,kind\nHook,prong\n', { where: 'row 2', message: expect.stringContaining('numbers') }],
    ['locker', 'name,kind\nHook,choke\n', { where: 'row 2', message: expect.stringContaining('no kind of collar known here') }],
    ['skin', '', { where: 'file', message: 'There is no row in it.' }],
  ])('%s that cannot be taken (%j) says which row and why', async (name, csv, fault) => {
    const agent = await newKennel(banter.app);
    const view = await tableLooked(agent, name, csv || '\n');
    expect(view.state).toBe('refused');
    expect(view.faults[0]).toEqual(fault);
  });

  it('what happened goes out in lines as it comes in', async () => {
    const text = (await demo.get('/api/events.ndjson').buffer(true).parse((response, done) => {
      let all = '';
      response.setEncoding('utf8').on('data', (part: string) => (all += part)).on('end', () => done(null, all));
    })).body as string; // prettier-ignore
    const again = await demo.post('/api/events').set('Content-Type', 'application/x-ndjson').send(text);
    expect(again.body).toEqual({ kept: 0, known: file.happenings!.length, refused: [] });
  });
});
