import { TodayChange, todayChanged, TodayPage } from '@banter/contract';
import { request as httpRequest, type ClientRequest } from 'node:http';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, someCollar, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let server: Server;
let cookie: string;
const open: ClientRequest[] = [];
beforeAll(async () => {
  banter = await openBanter();
  server = createServer(banter.app);
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await banter.close();
});
beforeEach(async () => {
  agent = await newKennel(banter.app);
  const { headers } = await agent.post('/api/sign-in').send({ email: (await agent.get('/api/doorstep')).body.me.person.email, password: 'a long password' });
  cookie = String(headers['set-cookie']?.[0] ?? '').split(';')[0]!;
});
afterEach(() => open.splice(0).forEach((one) => one.destroy()));

const page = async (who = agent) => TodayPage.parse((await who.get('/api/today')).body);

/** Listens to the stream; `next` waits for the next page it tells. */
function listen() {
  const heard: TodayPage[] = [];
  const waiting: ((page: TodayPage) => void)[] = [];
  let last: TodayPage | null = null;
  const address = server.address() as AddressInfo;
  const asked = httpRequest({ host: '127.0.0.1', port: address.port, path: '/api/today', headers: { accept: 'text/event-stream', cookie } }, (response) => {
    let text = '';
    response.setEncoding('utf8');
    response.on('data', (chunk: string) => {
      text += chunk;
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const data = /^data: (.*)$/m.exec(text.slice(0, end))?.[1];
        const changed = /^event: changed$/m.test(text.slice(0, end));
        text = text.slice(end + 2);
        if (data === undefined) continue;
        // After the whole, what changed alone is told.
        const told = changed ? todayChanged(last!, TodayChange.parse(JSON.parse(data)))! : TodayPage.parse(JSON.parse(data));
        last = told;
        const waiter = waiting.shift();
        if (waiter) waiter(told);
        else heard.push(told);
      }
    });
    response.on('error', () => {});
  });
  asked.on('error', () => {});
  asked.end();
  open.push(asked);
  return { next: () => new Promise<TodayPage>((resolve) => (heard.length > 0 ? resolve(heard.shift()!) : waiting.push(resolve))) };
}

describe('today', () => {
  it('a new kennel has nothing due; a dog that nobody screened is', async () => {
    expect((await page()).items).toEqual([]);
    const dog = await newDog(agent, { name: 'Bracken' });
    expect((await page()).items).toMatchObject([{ code: 'fit', dogId: dog, to: `/dogs/${dog}/screen`, does: 'Screen' }]);
  });

  it('one stream begins with the whole and tells each change, to every screen, once', async () => {
    const [one, other] = [listen(), listen()];
    expect((await one.next()).items).toEqual([]);
    expect((await other.next()).items).toEqual([]);
    const collar = uuidv7();
    await agent.put(`/api/collars/${collar}`).send(someCollar).expect(201);
    const [here, there] = [await one.next(), await other.next()];
    expect(here.items).toMatchObject([{ code: 'upkeep', title: 'Inspect Hook one.', to: `/upkeep?piece=${collar}` }]);
    expect({ ...there, asOf: '' }).toEqual({ ...here, asOf: '' });
    // A change that makes nothing due tells nothing: the next page heard is the dog’s.
    await agent
      .put('/api/me')
      .send({ finger: { thicknessMm: 15, widthMm: 18 } })
      .expect(200);
    await newDog(agent, { name: 'Sedge' });
    expect((await one.next()).items.map(({ code }) => code)).toEqual(['fit', 'upkeep']);
  });

  it('whose sign-in was ended elsewhere hears no more', async () => {
    const mine = listen();
    await mine.next();
    const ended = new Promise<void>((resolve) => open[0]!.on('close', resolve));
    const { email } = (await agent.get('/api/doorstep')).body.me.person as { email: string };
    const desk = supertest.agent(banter.app);
    await desk.post('/api/sign-in').send({ email, password: 'a long password' });
    expect((await desk.post('/api/my-sessions').send({ id: null })).status).toBe(200);
    await ended;
    expect((await agent.get('/api/today')).status).toBe(401);
  });

  it('whoever signs out or in breaks no stream', async () => {
    const mine = listen();
    await mine.next();
    const other = await newKennel(banter.app);
    expect((await other.post('/api/sign-out')).status).toBe(204);
    await newDog(agent, { name: 'Own' });
    expect((await mine.next()).items.map(({ dogName }) => dogName)).toEqual(['Own']);
  });

  it('another kennel’s work is not heard, and nobody listens without signing in', async () => {
    const mine = listen();
    await mine.next();
    const other = await newKennel(banter.app);
    await newDog(other, { name: 'Foreign' });
    await newDog(agent, { name: 'Own' });
    expect((await mine.next()).items.map(({ dogName }) => dogName)).toEqual(['Own']);
    expect((await page(other)).items.map(({ dogName }) => dogName)).toEqual(['Foreign']);
    cookie = 'banter.session=none';
    const address = server.address() as AddressInfo;
    const status = await new Promise<number>((resolve) => {
      const asked = httpRequest({ host: '127.0.0.1', port: address.port, path: '/api/today', headers: { accept: 'text/event-stream' } }, (response) => {
        resolve(response.statusCode!);
        response.resume();
      });
      asked.end();
    });
    expect(status).toBe(401);
  });
});
