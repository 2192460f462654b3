import { randomBytes, createHash } from 'node:crypto';
import { createServer, request as httpRequest, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { LinesKept, MOST_PAIRS } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CalculationPool, SINGLE_LIMITS } from '../calculations/calculation-pool.ts';
import { newKennel, openBanter, someRemote, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let server: Server;
const collarId = uuidv7();
beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app);
  await agent.put(`/api/collars/${collarId}`).send(someRemote);
  server = createServer(banter.app);
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await banter.close();
});

const dogs = (count: number) => Array.from({ length: count }, (_none, index) => ({ id: `dog ${index}`, girthMm: 300 + (index % 200), weightKg: 20 }));
const prongs = (count: number) =>
  Array.from({ length: count }, (_none, index) => ({ id: `prong ${index}`, kind: 'prong', numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 400 + index, links: 13, closingMm: 28 } })); // prettier-ignore

describe('many dogs against one stock', () => {
  it('are bounded, dogs times collars, in words', async () => {
    const many = await supertest(banter.app)
      .post('/api/fits')
      .send({ dogs: dogs(2000), stock: prongs(300) });
    expect(many.status).toBe(422);
    expect(many.body.errors).toEqual([{ path: 'stock', message: '2,000 dogs against 300 collars are 600,000 pairs; at most 500,000 at once. Send them in parts.' }]); // prettier-ignore
    expect(MOST_PAIRS).toBe(500_000);
  });

  it('hold nobody else: while they are computed, others are answered', async () => {
    const [small, largest] = [{ girthMm: 520, use: 'training' }, 1600];
    // Both threads are there.
    await supertest(banter.app).post('/api/calc/clip-on-slip').send(small);
    await supertest(banter.app)
      .post('/api/fits')
      .send({ dogs: dogs(1), stock: prongs(1) });
    const done: string[] = [];
    const large = supertest(banter.app)
      .post('/api/fits')
      .send({ dogs: dogs(largest), stock: prongs(300) })
      .then((answer) => done.push(`fits ${answer.status}`));
    // Begun, and not over: from here on each of these goes past it.
    await new Promise((resolve) => setImmediate(resolve));
    for (let time = 0; time < 3; time += 1) {
      expect((await supertest(banter.app).get('/api/health')).status).toBe(200);
      expect((await supertest(banter.app).post('/api/calc/clip-on-slip').send(small)).status).toBe(200);
      done.push('others');
    }
    await large;
    expect(done.filter((one) => one === 'others')).toHaveLength(3);
    expect(done[0]).toBe('others');
    expect(done).toContain('fits 200');
  });

  it('wait for a place, are told when there is none, and are given up when they take too long', async () => {
    const calculations = new CalculationPool({ many: { limitMs: 60_000, places: 2, threads: 1 } });
    const narrow = banter.besides({ calculations });
    const ask = () => supertest(narrow).post('/api/fits').send({ dogs: dogs(500), stock: prongs(200) }); // prettier-ignore
    const statuses = (await Promise.all([ask(), ask(), ask(), ask(), ask(), ask()])).map(({ status, headers, body }) => ({ status, wait: headers['retry-after'], code: body.code })); // prettier-ignore
    expect(statuses.filter(({ status }) => status === 503).length).toBeGreaterThanOrEqual(3);
    expect(statuses.filter(({ status }) => status === 200).length).toBeGreaterThanOrEqual(1);
    for (const { status, wait, code } of statuses) if (status === 503) expect([wait, code]).toEqual(['2', 'busy']);
    await calculations.end();

    const hasty = new CalculationPool({ many: { limitMs: 1, places: 5, threads: 1 } });
    const late = await supertest(banter.besides({ calculations: hasty })).post('/api/fits').send({ dogs: dogs(500), stock: prongs(200) }); // prettier-ignore
    expect([late.status, late.body.code]).toEqual([503, 'took-too-long']);
    await hasty.end();
  });

  it('leave the small ones their own thread', () => {
    // A calculation that has to wait for many dogs would be a screen that stands still.
    expect(SINGLE_LIMITS.places).toBeGreaterThan(100);
  });
});

describe('lines of events', () => {
  const line = (more: object = {}) => JSON.stringify({ event: 'charged', id: uuidv7(), at: '2026-03-02T07:01:00Z', collarId, percent: 88, ...more });
  const bridge = async () => {
    const key = randomBytes(32).toString('hex');
    await agent.put(`/api/bridges/${uuidv7()}`).send({ name: 'Bridge', keyHash: createHash('sha256').update(key).digest('hex'), revokedAt: null });
    return key;
  };
  const send = async (body: string | Buffer, headers: Record<string, string> = {}) => {
    const answer = await supertest(banter.app)
      .post('/api/events')
      .set({ Authorization: `Bearer ${await bridge()}`, 'Content-Type': 'application/x-ndjson', ...headers })
      .send(body);
    return { status: answer.status, kept: answer.status === 200 ? LinesKept.parse(answer.body) : null };
  };

  it('are given up at the hundredth that is wrong; what came before is kept, and where it stopped is said', async () => {
    const good = [line(), line()];
    const { kept } = await send([...good, ...Array.from({ length: 5000 }, () => '{'), line()].join('\n'));
    expect(kept).toMatchObject({ kept: 2, known: 0, gaveUpAt: 102 });
    expect(kept!.refused).toHaveLength(100);
    expect(kept!.refused[0]).toEqual({ line: 3, id: null, message: 'This line is not JSON.' });
  });

  it('are read as they come: four million that are wrong are not waited for', async () => {
    const key = await bridge();
    const { port } = server.address() as AddressInfo;
    const answer = await new Promise<string>((resolve, reject) => {
      const asked = httpRequest({ host: '127.0.0.1', port, path: '/api/events', method: 'POST', headers: { Authorization: `Bearer ${key}` } }, (response) => {
        let text = '';
        response.on('data', (chunk) => (text += chunk));
        response.on('end', () => resolve(text));
      });
      asked.on('error', reject);
      // Its end is never sent: it is answered all the same.
      asked.write('x\n'.repeat(2000));
    });
    expect(LinesKept.parse(JSON.parse(answer))).toMatchObject({ kept: 0, gaveUpAt: 100 });
  });

  it('are no longer than a line may be, nor more than there may be, packed or not', async () => {
    const long = await send([line(), 'y'.repeat(5000), line()].join('\n'));
    expect(long.kept).toMatchObject({ kept: 2, refused: [{ line: 2, id: null, message: 'This line is too long for an event.' }] });
    expect(long.kept).not.toHaveProperty('gaveUpAt');
    const packed = await send(gzipSync([line(), line(), line()].join('\n')), { 'Content-Encoding': 'gzip' });
    expect(packed.kept).toMatchObject({ kept: 3, refused: [] });
    expect((await send(gzipSync('\n'.repeat(9 * 1024 * 1024)), { 'Content-Encoding': 'gzip' })).status).toBe(413);
    expect((await send('not packed', { 'Content-Encoding': 'gzip' })).status).toBe(400);
    expect((await send('x', { 'Content-Encoding': 'br' })).status).toBe(400);
    // A character cut in two by a piece off the wire is one character.
    expect((await send(`${' '.repeat(65_535)}\n`)).kept).toMatchObject({ kept: 0, refused: [{ line: 1 }] });
  });
});

describe('screens that listen', () => {
  it('are so many for one person, whatever the server, and a place is free again when one closes', async () => {
    const own = await newKennel(banter.app);
    const cookie = String((await own.get('/api/doorstep')).headers['set-cookie']![0]).split(';')[0]!;
    const other = createServer(banter.besides());
    await new Promise<void>((listening) => other.listen(0, '127.0.0.1', listening));
    const listen = (at: Server) =>
      new Promise<{ status: number; leave: () => void }>((resolve, reject) => {
        const asked = httpRequest({ host: '127.0.0.1', port: (at.address() as AddressInfo).port, path: '/api/today', headers: { accept: 'text/event-stream', cookie } }, (response) => { response.resume(); resolve({ status: response.statusCode!, leave: () => asked.destroy() }); }); // prettier-ignore
        asked.on('error', (error) => reject(error));
        asked.end();
      });
    const all = [];
    for (let index = 0; index < 20; index += 1) all.push(await listen(index % 2 ? server : other));
    expect(new Set(all.map(({ status }) => status))).toEqual(new Set([200]));
    expect((await listen(server)).status).toBe(429);
    expect((await listen(other)).status).toBe(429);
    // Somebody else of the same kennel, or of another, is not kept out.
    const stranger = await newKennel(banter.app);
    expect((await stranger.get('/api/today')).status).toBe(200);
    all[0]!.leave();
    let status = 0;
    for (let tries = 0; tries < 100 && status !== 200; tries += 1) {
      const one = await listen(server);
      status = one.status;
      one.leave();
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    expect(status).toBe(200);
    for (const { leave } of all) leave();
    other.closeAllConnections();
    other.close();
  });
});
