import { vi } from 'vitest';

// The one row that a new kind is: everything else has to find it by asking the registry.
vi.mock('../../contract/collars/registry.ts', async (original) => {
  const { COLLAR_KINDS } = await original<{ COLLAR_KINDS: object }>();
  const { capeBandKind } = await import('../../contract/collars/cape-band.fixture.ts');
  return { COLLAR_KINDS: { ...COLLAR_KINDS, 'cape-band': capeBandKind } };
});

import type { HandoverSheet } from '@banter/contract';
import { COLLAR_KIND_NAMES, collarKind, fitAll, RIG_CATALOGUE, stockByKind, type CollarKindName, type KennelImport } from '@banter/contract';
import { contractSpeaker, houseRules, houseSchools, NOTHING_NOTED, rigOfTemplate, rigTemplates, type FittingDog } from '@banter/core';
import { createPinia } from 'pinia';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createSSRApp } from 'vue';
import { renderToString } from 'vue/server-renderer';
import UnrolledNeck from '../../web/neck/UnrolledNeck.vue';
import { crossSection } from '../../web/neck/shared/cross-sections.ts';
import { newDog, newKennel, openBanter, screening, someCollar, somePlace, taping, type TestBanter } from '../test-kennels.ts';

const CAPE = 'cape-band' as CollarKindName;
let banter: TestBanter;
let agent: TestAgent;
let dogId: string;
const collarId = uuidv7();
const planId = uuidv7();
beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app, 'Capes');
});
afterAll(() => banter.close());
const must = async (path: string, body: object, status = 201) => {
  const answer = await agent.put(path).send(body);
  expect([path, answer.status, status === 201 ? answer.text.slice(0, 300) : '']).toEqual([path, status, expect.any(String)]);
  return answer.body;
};
const at = (minute: number) => new Date(Date.parse('2026-03-02T09:00:00.000Z') + minute * 60_000).toISOString();

it('a made-up kind, one row of the registry, is owned, planned, checked and laid out like every other', async () => {
  expect(COLLAR_KIND_NAMES).toContain(CAPE);
  dogId = await newDog(agent, { name: 'Cloak' });
  const placeId = uuidv7();
  await must(`/api/places/${placeId}`, { ...somePlace, collars: { [CAPE]: 'allowed' } });
  await must(`/api/screenings/${uuidv7()}`, screening(dogId));
  await must(`/api/tapings/${uuidv7()}`, taping(dogId));
  await must(`/api/tapings/${uuidv7()}`, taping(dogId, { site: 'head', readingsMm: [471, 472, 473] }));
  const { numbers, name } = collarKind(CAPE).usual[0]!;
  await must(`/api/collars/${collarId}`, { ...someCollar, kind: CAPE, name, metal: null, numbers });
  const choices = { options: { fingers: 2 }, on: { setMm: 420 } };
  const plan = await must(`/api/plans/${planId}`, { dogId, collarId, kind: CAPE, choices, placeId, note: '', at: at(10) });
  expect(collarKind(CAPE).describePlan(plan.inputs.collar, plan.choices, plan.outcome, contractSpeaker)).toBe('cape band set to 420 mm');
  const right = Object.fromEntries(collarKind(CAPE).questions.map(({ id, answers }) => [id, answers[0]!.value]));
  const check = await must(`/api/fit-checks/${uuidv7()}`, {
    dogId,
    planId,
    kind: CAPE,
    on: choices.on,
    answers: { ...right, under: '2' },
    note: '',
    at: at(20),
  });
  expect(check.outcome.verdict).toBe('good');
  const template = rigTemplates(RIG_CATALOGUE).find(({ id }) => id === 'bare-cape')!;
  await must(`/api/dressings/${dogId}`, { stack: [{ as: 'fit', kind: CAPE }], rig: rigOfTemplate(template, RIG_CATALOGUE) });
});

it('is worn, and its own rule says when it comes off', async () => {
  const on = { event: 'put-on', id: uuidv7(), at: at(30), dogId, collarId, clock: null, state: 'supervised' };
  expect((await agent.post('/api/events').set('Content-Type', 'application/x-ndjson').send(JSON.stringify(on))).status).toBe(200);
  const { wearing } = (await agent.get('/api/wearing')).body as { wearing: { collarId: string }[] };
  expect(JSON.stringify(wearing)).toContain(collarId);
});

it('stands on every page, with nothing unreadable', async () => {
  const page = (await agent.get(`/api/dogs/${dogId}/page`)).body;
  expect([page.plans.length, page.checks.length, page.unreadable]).toEqual([1, 1, []]);
  for (const path of ['neck', 'levels', 'growth', 'programmes', 'handovers'])
    expect([path, (await agent.get(`/api/dogs/${dogId}/${path}`)).status]).toEqual([path, 200]);
  for (const path of ['dogs', 'class', 'locker', 'upkeep', 'wearing', 'field', 'places'])
    expect([path, (await agent.get(`/api/${path}`)).status]).toEqual([path, 200]);
});

it('is handed over in its own words, and never left on where its rule says off', async () => {
  const sent = { dogId, toWhom: 'An owner', callWhom: 'The kennel', lengthUnit: 'cm', massUnit: 'kg', note: '', at: at(60) };
  const { id, sheet } = (await must(`/api/handovers/${uuidv7()}`, sent)) as { id: string; sheet: HandoverSheet };
  const text = JSON.stringify(sheet);
  for (const words of [
    'Cape band Middle cape',
    'The cape lies flat, no fold.',
    'Bring the cape back behind the shoulders.',
    'The cape lies flat behind the shoulders.',
    'On a leash only',
  ])
    expect(text).toContain(words);
  expect(sheet.lead).toBe('The cape band for the walk and the work. Nothing that presses in the crate or overnight.');
  const where = sheet.sections.find(({ key }) => key === 'where')!.lines.map(({ label, text: says }) => `${label}: ${says}`);
  expect(where.join('\n')).toContain('The cape band comes off at the door.');
  expect(where.join('\n')).not.toMatch(/cape band may stay on|Cape band\.(?! The)/);
  expect((await agent.get(`/api/handovers/${id}/pages.pdf`)).status).toBe(200);
});

it('is inspected, leaves with the kennel’s file and comes back whole', async () => {
  const answers = Object.fromEntries(collarKind(CAPE).traits.inspection.items.map(({ id, finds }) => [id, finds[0]!.value]));
  expect((await must(`/api/inspections/${uuidv7()}`, { collarId, gearId: null, answers, note: '', at: at(90) })).outcome).toBe('ok');
  const file = (await agent.get('/api/kennel.json')).body;
  const other = await newKennel(banter.app, 'Capes again');
  const { id } = (await other.post('/api/imports').send(file)).body;
  let view: KennelImport;
  do view = (await other.get(`/api/imports/${id}`)).body;
  while (view.state === 'reading');
  expect([view.state, view.faults]).toEqual(['ready', []]);
});

it('is sized from the locker among all kinds, and drawn as a plain band until it has a drawing of its own', async () => {
  const { numbers, name } = collarKind(CAPE).usual[0]!;
  const stock = stockByKind([{ id: 'c', name, kind: CAPE, numbers, retiredAt: null }], NOTHING_NOTED);
  const dog = (await agent.get(`/api/dogs/${dogId}/page`)).body.plans[0].inputs.dog as FittingDog;
  const fit = fitAll('Cloak', dog, stock, { rules: houseRules(), schools: houseSchools(), headCollarChart: [] }, contractSpeaker).find(
    ({ kind }) => kind === CAPE,
  )!;
  expect([fit.collarId, fit.tone, fit.missing]).toEqual(['c', 'good', []]);
  const drawn = {
    kind: CAPE,
    collar: { id: 'c', name: 'Middle cape', numbers: collarKind(CAPE).usual[0]!.numbers as object },
    setting: { setMm: 420 },
    ringAt: 12,
  };
  const render = (component: never, props: object) => renderToString(createSSRApp(component, props as Record<string, unknown>).use(createPinia()));
  const svg = await render(UnrolledNeck as never, { tape: { highMm: 398 }, name: 'Cloak', collar: drawn, size: 'large' });
  expect(svg).toContain('stroke-width="40"');
  expect(svg).not.toMatch(/NaN|undefined/);
  expect(await render(crossSection(CAPE) as never, { drawn, dog })).toContain('cape band');
});
