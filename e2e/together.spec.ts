import { PROGRAMME_TEMPLATES } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { expect, expectAccessible, test } from './bench-hand.ts';
import { dressedDog, now, put } from './known-dogs.ts';

test.use({ serviceWorkers: 'allow' });
const phone = { width: 390, height: 844 };

test('two phones begin apart and are made one; a press told by the device is answered; what came of it moves the stage, told without a connection', async ({
  page,
  browser,
  expectFaults,
}) => {
  test.setTimeout(240_000);
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource|404/);
  await page.setViewportSize(phone);
  const dogId = await dressedDog(page);
  const { stages } = PROGRAMME_TEMPLATES.find(({ id }) => id === 'fading')!;
  await put(page, `/api/programmes/${uuidv7()}`, { dogId, templateId: 'fading', name: 'Fading', stages, startsOn: '2026-03-01', state: 'running', note: '' });
  const me = (await (await page.request.get('/api/doorstep')).json()).me.person.id as string;
  await page.goto(`/field?dog=${dogId}&hand=${me}`);
  // Come from the calendar: the dog is chosen already.
  await page.getByRole('button', { name: 'Begin with Yarrow' }).click();
  await page.getByRole('button', { name: /^Reward/ }).click();

  // Another phone of the same person begins another session of the same dog.
  const other = await browser.newContext({ storageState: await page.context().storageState(), viewport: phone });
  const second = await other.newPage();
  await expect(page.getByText('All of it is saved.')).toBeVisible({ timeout: 20_000 });
  await second.goto(`/field?dog=${dogId}`);
  await second.getByRole('button', { name: 'Begin with Yarrow' }).click();
  const ask = second.getByRole('region', { name: 'Two sessions at a time' });
  await expect(ask).toContainText('Yarrow is also logged by Robin');
  await expectAccessible(second);
  await ask.getByRole('button', { name: 'Yes, make them one' }).click();
  await expect(ask).toBeHidden();
  await second.getByRole('button', { name: /^Corrected back/ }).click();
  // The first phone hears of it.
  await expect(page.getByText('Corrected back').first()).toBeVisible({ timeout: 20_000 });

  // The device itself tells a press; the hand answers it.
  const collars = (await (await page.request.get('/api/collars')).json()).collars as { id: string; kind: string }[];
  const collarId = collars.find(({ kind }) => kind === 'remote')!.id;
  const line = JSON.stringify({ event: 'press', id: uuidv7(), at: now(), collarId, level: 4, mode: 'momentary' });
  const told = await page.request.post('/api/events', { data: line, headers: { 'Content-Type': 'application/x-ndjson' } });
  expect((await told.json()).kept).toBe(1);
  await expect(page.getByText('Pressed 4').first()).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: /small sign/ }).click();
  await page.getByRole('button', { name: 'End', exact: true }).click();

  // What came of it, with no connection; it is sent when there is one.
  await expect(page.getByRole('region', { name: 'Fading' })).toContainText('Slip leash');
  await page.context().setOffline(true);
  await page.getByRole('button', { name: '9 of 10 went well' }).click();
  await expect(page.getByText('9 of 10 went well.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: '8 of 10 went well' }).click();
  await page.context().setOffline(false);
  await expect(page.getByText('All of it is saved.')).toBeVisible({ timeout: 30_000 });
  const { results } = await (await page.request.get(`/api/dogs/${dogId}/programmes`)).json();
  expect(results.map(({ met, of }: { met: number; of: number }) => [met, of])).toEqual([[8, 10]]);
  const { sessions } = await (await page.request.get(`/api/dogs/${dogId}/levels`)).json();
  expect(sessions).toHaveLength(1);
  expect(sessions[0].tally).toMatchObject({ presses: 1, rewards: 1, corrections: 1, responses: { small: 1 } });
  await other.close();
});
