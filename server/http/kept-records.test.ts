import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { collarKind, type FitCheck, type KennelImport, type Plan } from '@banter/contract';
import { contractSpeaker, houseRules } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

/** Kennel files and outcomes as Banter 0.1.0 kept them on 28 November 2026: whatever became of the code since, each is read and shown. */
const fixture = (name: string) =>
  JSON.parse(gunzipSync(readFileSync(join(import.meta.dirname, '..', 'fixtures', `${name}-2026-11-28.json.gz`))).toString()) as Record<string, unknown[]>;

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
}, 120_000);
afterAll(() => banter.close());

async function broughtIn(agent: TestAgent, file: object): Promise<KennelImport> {
  const sent = await agent.post('/api/imports').send(file);
  const until = async (busy: string): Promise<KennelImport> => {
    for (;;) {
      const view = (await agent.get(`/api/imports/${sent.body.id}`)).body as KennelImport;
      if (view.state !== busy) return view;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  };
  const looked = await until('reading');
  expect(looked.faults).toEqual([]);
  await agent.post(`/api/imports/${sent.body.id}/keep`).send({ conflicts: 'ours' });
  return until('keeping');
}

function expectWords(text: string) {
  expect(text).not.toMatch(/undefined|null|NaN|Infinity|\[object/);
  expect(text.length).toBeGreaterThan(2);
}

describe.each(['every-kind', 'marrow-fen'])('a kennel file of the first version: %s', (name) => {
  const file = fixture(name);
  let agent: TestAgent;

  it('is brought in with every plan, check and handover, and gives each verdict as it was that day', async () => {
    agent = await newKennel(banter.app, name);
    expect((await broughtIn(agent, file)).state).toBe('kept');
    const again = (await agent.get('/api/kennel.json')).body as Record<string, { id: string; outcome?: object }[]>;
    for (const part of ['plans', 'fitChecks', 'handovers', 'programmes', 'inspections', 'dressings']) {
      const before = file[part] as { id: string; outcome?: object; coreVersion?: string }[];
      const after = new Map(again[part]!.map((record) => [record.id, record]));
      expect([part, after.size]).toEqual([part, before.length]);
      for (const record of before) expect(after.get(record.id)).toMatchObject({ ...record });
    }
  });

  it('told what happened in two parts: all of it is there, once, with its session and its teller, and is the same when it comes again', async () => {
    type Told = { id: string; sessionId?: string; source?: string; bridgeId?: string | null; personId: string | null; at: string; event: string };
    const [events, fieldEvents] = [(file.events ?? []) as Told[], (file.fieldEvents ?? []) as Told[]];
    const now = (await agent.get('/api/kennel.json')).body.happenings as Told[];
    const ids = [...events, ...fieldEvents].map(({ id }) => id);
    expect(now.map(({ id }) => id).sort()).toEqual([...new Set(ids)].sort());
    const byId = new Map(now.map((told) => [told.id, told]));
    for (const { id, sessionId, at } of fieldEvents) expect(byId.get(id)).toMatchObject({ sessionId, at });
    for (const { id, source, bridgeId, personId, event } of events) expect(byId.get(id)).toMatchObject({ source, bridgeId, personId, event });
    const again = await agent.post('/api/imports').set('Content-Type', 'application/json').send(JSON.stringify(file));
    let view = (await agent.get(`/api/imports/${again.body.id}`)).body as { state: string; counts: Record<string, { fresh: number; other: number }> };
    while (view.state === 'reading') view = (await agent.get(`/api/imports/${again.body.id}`)).body as typeof view;
    expect(view.counts.happenings).toMatchObject(ids.length > 0 ? { fresh: 0, other: 0 } : {});
  });

  it('is shown on every page of every dog, with nothing left out as unreadable', async () => {
    for (const { id } of file.dogs as { id: string }[]) {
      const page = await agent.get(`/api/dogs/${id}/page`);
      expect([id, page.status, page.body.unreadable]).toEqual([id, 200, []]);
      for (const way of ['neck', 'levels', 'growth', 'programmes', 'handovers']) {
        expect([way, (await agent.get(`/api/dogs/${id}/${way}`)).status]).toEqual([way, 200]);
      }
    }
    for (const page of ['dogs', 'dog-cards', 'class', 'locker', 'upkeep', 'wearing', 'field']) {
      expect([page, (await agent.get(`/api/${page}`)).status]).toEqual([page, 200]);
    }
  });

  it('is worded: verdict, reasons, rows and next step of each', () => {
    for (const { kind: name, inputs, choices, outcome } of file.plans as Plan[]) {
      const kind = collarKind(name);
      for (const text of [kind.planVerdict(outcome), kind.describePlan(inputs.collar, choices, outcome, contractSpeaker)]) expectWords(text);
      for (const { text } of kind.planReasons(outcome, contractSpeaker)) expectWords(text);
    }
    for (const { kind: name, on, outcome, rules } of file.fitChecks as FitCheck[]) {
      expectWords(collarKind(name).checkSentence(outcome, on));
      for (const { text } of collarKind(name).checkReasons(outcome, contractSpeaker, houseRules(rules))) expectWords(text);
    }
  });
});

describe('every outcome of a prong that the first version kept', () => {
  const kept = fixture('prong-outcomes') as unknown as {
    plans: { collar: never; choices: never; outcome: never; dog: never }[];
    checks?: { on: never; outcome: never }[];
  };
  const kind = collarKind('prong');

  it('is worded by the code of now', () => {
    expect([kept.plans.length, kept.checks!.length]).toEqual([37, 33]);
    for (const { collar, choices, outcome } of kept.plans) {
      for (const text of [kind.planVerdict(outcome), kind.describePlan(collar, choices, outcome, contractSpeaker)]) expectWords(text);
      for (const { text } of kind.planReasons(outcome, contractSpeaker)) expectWords(text);
    }
    for (const { on, outcome } of kept.checks ?? []) expectWords(kind.checkSentence(outcome, on));
  });
});
