import fc from 'fast-check';
import { ENDPOINTS } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fittedDog, newKennel, openBanter, someRemote, type TestBanter } from '../test-kennels.ts';
import { HOSTILE, spoiled, valuesOf, type JsonSchema } from './hostile-requests.ts';

let banter: TestBanter;
let agent: TestAgent;
let ids: string[];
beforeAll(async () => {
  banter = await openBanter({ pauses: { free: 1e6 } });
  agent = await newKennel(banter.app);
  const fitted = await fittedDog(agent);
  const remote = uuidv7();
  await agent.put(`/api/collars/${remote}`).send(someRemote);
  ids = [...Object.values(fitted), remote, uuidv7(), uuidv7(), (await agent.get('/api/doorstep')).body.me.person.id];
});
afterAll(() => banter.close());

type Operation = {
  parameters?: { name: string; in: string; schema: JsonSchema }[];
  requestBody?: { content: Record<string, { schema: JsonSchema }> };
};
/** Requests at one address. The whole is bounded: a hundred and fifty addresses, a few ms each. */
const RUNS = 10;
/** These end the sign-in they are asked by. */
const ENDS = new Set(['/api/my-leaving', '/api/sign-out']);

describe('requests made from the OpenAPI document, with hostile values in them', () => {
  it('are answered, and never as a fault of ours; what was kept of them breaks no page', async () => {
    const document = (await supertest(banter.app).get('/api/openapi.json')).body as { paths: Record<string, Record<string, Operation>> };
    const faults: string[] = [];
    for (const [path, methods] of Object.entries(document.paths)) {
      for (const [method, { parameters = [], requestBody }] of Object.entries(methods)) {
        if (ENDS.has(path)) continue;
        const { signIn } = ENDPOINTS.find((one) => one.path === path && one.method === method)!;
        const who = () => (signIn ? agent : supertest(banter.app));
        const content = requestBody && Object.entries(requestBody.content)[0]!;
        const body = content ? spoiled(valuesOf(content[1].schema, ids)) : fc.constant(undefined);
        const where = fc.tuple(...parameters.map(({ in: place, name, schema }) => fc.tuple(fc.constant(place), fc.constant(name), fc.oneof({ weight: 3, arbitrary: valuesOf(schema, ids) }, fc.constantFrom(...HOSTILE))))); // prettier-ignore
        await fc.assert(
          fc.asyncProperty(body, where, async (sent, given) => {
            const at = (place: string) => given.filter(([one]) => one === place).map(([, name, value]) => [name as string, typeof value === 'object' ? JSON.stringify(value) : String(value)] as const); // prettier-ignore
            const address = at('path').reduce(
              (so, [name, value]) => so.replace(`{${name}}`, encodeURIComponent(value.toWellFormed()).slice(0, 300) || 'x'),
              path,
            );
            const request = who()
              [method as 'get' | 'put' | 'post'](address)
              .query(Object.fromEntries(at('query').map(([name, value]) => [name, value.toWellFormed()])));
            for (const [name, value] of at('header')) request.set(name, value.replaceAll(/[^\x20-\x7e]/g, '?').slice(0, 200));
            const text = sent === undefined ? undefined : typeof sent === 'string' && content![0] !== 'application/json' ? sent : JSON.stringify(sent);
            const answer = await (text === undefined ? request : request.set('Content-Type', content![0].replace('*', 'jpeg')).send(text));
            if (answer.status >= 500) faults.push(`${method} ${address} ${answer.status} ${answer.text.slice(0, 200)} «${(text ?? '').slice(0, 400)}»`);
          }),
          { seed: 20_261_128, numRuns: RUNS },
        );
      }
    }
    expect(faults).toEqual([]);
    for (const { path } of ENDPOINTS.filter(({ method, path: one, signIn, asks }) => method === 'get' && signIn && !asks && !one.includes('{')))
      expect([path, (await agent.get(path)).status]).toEqual([path, 200]);
    const { rows: dogs } = (await agent.get('/api/dog-cards')).body as { rows: { dog: { id: string } }[] };
    for (const { dog } of dogs)
      for (const page of ['page', 'neck', 'levels', 'growth', 'programmes', 'handovers'])
        expect([page, (await agent.get(`/api/dogs/${dog.id}/${page}`)).status]).toEqual([page, 200]);
  }, 300_000);

  it('that are no JSON at all, or nested without end, are told so', async () => {
    const deep = `${'['.repeat(30_000)}${']'.repeat(30_000)}`;
    for (const [text, statuses] of [
      [deep, [422]],
      ['{"a":'.repeat(9_000) + '1' + '}'.repeat(9_000), [422]],
      ['\u0000', [400]],
      ['{"name": NaN}', [400]],
      [Buffer.from([0x22, 0xff, 0xfe, 0x22]), [400, 422]],
    ] as const) {
      const answer = await agent
        .put(`/api/dogs/${uuidv7()}`)
        .set('Content-Type', 'application/json')
        .send(text as string);
      expect(statuses, String(text).slice(0, 20)).toContain(answer.status);
      const calculated = await supertest(banter.app)
        .post('/api/calc/prong')
        .set('Content-Type', 'application/json')
        .send(text as string);
      expect(statuses, String(text).slice(0, 20)).toContain(calculated.status);
    }
  });
});
