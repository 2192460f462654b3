import type { BrowserContext, Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { answerCheck, expect, expectAccessible, read, test } from './bench-hand.ts';
import { dressedDog, drawnPhoto, put } from './known-dogs.ts';

test.use({ serviceWorkers: 'allow' });
const heading = (page: Page) => page.getByRole('heading', { level: 1 });

/** A tab that was killed, opened again at an address: from a cold start, with nobody to ask. */
async function cold(context: BrowserContext, before: Page, path: string): Promise<Page> {
  await before.close({ runBeforeUnload: false });
  const page = await context.newPage();
  await page.goto(path);
  return page;
}
/** Addresses whose answers lie on the device. */
const answersOn = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const names = (await indexedDB.databases()).flatMap(({ name }) => (name?.startsWith('banter-answers-') ? [name] : []));
    const paths = names.map(
      (name) =>
        new Promise<string[]>((resolve, reject) => {
          const opening = indexedDB.open(name);
          opening.onerror = () => reject(new Error(name));
          opening.onsuccess = () => {
            const asked = opening.result.transaction('answers').objectStore('answers').getAllKeys();
            asked.onsuccess = () => {
              opening.result.close();
              resolve(asked.result.map(String));
            };
          };
        }),
    );
    return (await Promise.all(paths)).flat();
  });

test('an afternoon without a connection: collars, skin, a check, a tape and a weight, the tab killed between; all of it is kept once', async ({
  page: first,
  context,
  expectFaults,
}) => {
  test.setTimeout(300_000);
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  let page = first;
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  // A dog that wears something is on Today, and its other screens are fetched ahead without having been opened.
  // What it wears may come after what is due.
  let go = () => {};
  const held = new Promise<void>((resolve) => (go = resolve));
  await context.route('**/api/wearing', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/today');
  await page.evaluate(() => navigator.serviceWorker.ready.then((ready) => ready.active?.state));
  await expect.poll(() => answersOn(page), { timeout: 30_000 }).toContain('/api/today');
  go();
  await expect
    .poll(() => answersOn(page), { timeout: 30_000 })
    .toEqual(expect.arrayContaining(['page', 'neck', 'record', 'growth'].map((of) => `/api/dogs/${dogId}/${of}`)));
  await context.unrouteAll({ behavior: 'wait' });
  await context.setOffline(true);

  page = await cold(context, page, `/dogs/${dogId}/neck`);
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  await expect(page.getByRole('button', { name: /, offline, as of \d\d:\d\d$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take all off' }).click();
  // At once, before the kennel has heard of it; and after the tab was killed.
  await expect(heading(page)).toHaveText(/^Put on/);
  page = await cold(context, page, `/dogs/${dogId}/neck`);
  await expect(heading(page)).toHaveText(/^Put on/);

  page = await cold(context, page, `/dogs/${dogId}/neck/skin`);
  await page.getByRole('button', { name: 'Log neck clear' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();
  // A photo lies here with its check, both across a killed tab; and what was found keeps the collar off at once.
  await page.getByRole('radio', { name: /^9 o’clock/ }).click();
  await page.getByRole('radio', { name: '2 red or hairless' }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'skin.png', mimeType: 'image/png', buffer: await drawnPhoto(page) });
  await expect(page.getByRole('img', { name: 'The photo that goes with this check' })).toBeVisible();
  page = await cold(context, page, `/dogs/${dogId}/neck/skin`);
  await expect(page.getByRole('img', { name: 'The photo that goes with this check' })).toHaveJSProperty('naturalWidth', 1600);
  await page.getByRole('button', { name: 'Save skin check' }).click();
  await expect(heading(page)).toHaveText('Grade 2 at 9 o’clock: nothing goes on there. Ask a vet.');
  page = await cold(context, page, `/dogs/${dogId}/neck/skin`);
  await expect(heading(page)).toHaveText('Grade 2 at 9 o’clock: nothing goes on there. Ask a vet.');
  await page.getByRole('tab', { name: 'Checks so far' }).click();
  await expect(page.getByRole('img', { name: 'Photo of 9 o’clock' })).toHaveJSProperty('naturalWidth', 1600);

  page = await cold(context, page, `/dogs/${dogId}/check?kind=prong`);
  await answerCheck(page);
  await page.getByRole('button', { name: 'Save check' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();
  // What it comes to is known here.
  await page.getByRole('tab', { name: 'So far' }).click();
  await expect(page.getByRole('tabpanel').getByRole('listitem')).toHaveCount(2);

  page = await cold(context, page, `/dogs/${dogId}/tape`);
  await read(page, 'High girth', ['39.9', '40.0', '39.9']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();

  page = await cold(context, page, `/dogs/${dogId}/growth`);
  await page.getByLabel('Weight', { exact: true }).fill('30');
  await page.getByRole('button', { name: 'Save weight' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Weighings' }).getByRole('row', { name: /30(\.0+)? kg/ })).toBeVisible();

  page = await cold(context, page, '/outbox');
  await expect(heading(page)).toHaveText('Not saved yet');
  const waiting = page.getByRole('region', { name: /^To be sent/ });
  for (const words of [/off/i, 'Skin check: Yarrow', 'Photo of skin: Yarrow', 'Fit check: Yarrow', 'Taping: Yarrow, high girth', 'Weighing: Yarrow']) await expect(waiting.getByText(words).first()).toBeVisible(); // prettier-ignore
  await expectAccessible(page);

  await context.setOffline(false);
  await expect(heading(page)).toHaveText('Everything is saved.', { timeout: 30_000 });
  const neck = (await (await page.request.get(`/api/dogs/${dogId}/neck`)).json()) as {
    events: { event: string }[];
    skinLooks: { grade: number; photoId: string | null }[];
    tapings: { site: string; readingsMm: number[] }[];
    checks: { kind: string }[];
  };
  expect(neck.events.filter(({ event }) => event === 'taken-off')).toHaveLength(2);
  expect(neck.skinLooks.filter(({ grade }) => grade === 0).length).toBeGreaterThan(0);
  const [red, ...others] = neck.skinLooks.filter(({ grade }) => grade === 2);
  expect(others).toEqual([]);
  const photo = await page.request.get(`/api/photos/${red!.photoId}`);
  expect([photo.status(), photo.headers()['content-type']]).toEqual([200, 'image/jpeg']);
  expect(neck.tapings.filter(({ readingsMm }) => readingsMm[0] === 399)).toHaveLength(1);
  expect(neck.checks.filter(({ kind }) => kind === 'prong')).toHaveLength(2);
  const { weighings } = (await (await page.request.get(`/api/dogs/${dogId}/growth`)).json()) as { weighings: { weightG: number }[] };
  expect(weighings.filter(({ weightG }) => weightG === 30_000)).toHaveLength(1);

  // Whoever signs out leaves nothing of the kennel on the device.
  await page.getByRole('button', { name: /: menu$/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Look round the demo kennel' })).toBeVisible();
  await context.setOffline(true);
  page = await cold(context, page, `/dogs/${dogId}/neck`);
  await expect(page.getByText('Yarrow')).toHaveCount(0);
});

test('what was done without a connection is so on Today, in the lists and in what is worn now, before the kennel has heard of it', async ({
  page: first,
  context,
  expectFaults,
}) => {
  test.setTimeout(240_000);
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  let page = first;
  const dogId = await dressedDog(page);
  const worn = () => page.getByRole('region', { name: 'On a dog now' });
  await page.goto(`/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  const look = { dogId, clock: 9, under: 'contacts', grade: 2, sore: null, note: '', photoId: null, at: new Date().toISOString() };
  await put(page, `/api/skin-looks/${uuidv7()}`, look);
  await page.goto('/dogs');
  await page.evaluate(() => navigator.serviceWorker.ready.then((ready) => ready.active?.state));
  await expect.poll(() => answersOn(page), { timeout: 30_000 }).toContain('/api/dogs?list=here');
  await page.goto('/today');
  await expect(heading(page)).toHaveText(/^Yarrow/);
  await expect(worn().getByRole('listitem')).toHaveCount(2);
  await expect.poll(() => answersOn(page), { timeout: 30_000 }).toEqual(expect.arrayContaining(['/api/today', '/api/wearing', `/api/dogs/${dogId}/neck`]));
  await page.goto(`/dogs/${dogId}/neck/skin`);
  await expect(heading(page)).toContainText('9 o’clock');
  await context.setOffline(true);

  // Checked and clear: it is not asked for as if nobody had looked.
  await page.getByRole('radio', { name: /^9 o’clock/ }).click();
  await page.getByRole('radio', { name: '0 clear' }).click();
  await page.getByRole('button', { name: 'Save skin check' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();
  page = await cold(context, page, '/today');
  const due = page.getByRole('listitem').filter({ hasText: 'Yarrow: nothing on the neck.' });
  await expect(due).toContainText('Logged here, not sent yet. Skin check: Yarrow');
  // A stop stays one until the kennel has it.
  await expect(heading(page)).toHaveText('Yarrow: nothing on the neck.');
  await expectAccessible(page);
  // Taken off, it is off on every screen, though the kennel does not know.
  page = await cold(context, page, `/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Take all off' }).click();
  await expect(page.getByText('Not sent yet:')).toBeVisible();
  page = await cold(context, page, '/today');
  await expect(worn()).toContainText('Nothing logged.');
  page = await cold(context, page, '/dogs');
  await expect(page.getByText(/^Not sent yet: \d entries, last Everything is off Yarrow\./)).toBeVisible();
  // Put on again by hand, it can be taken off again by hand: by the name this device knows.
  page = await cold(context, page, `/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  page = await cold(context, page, '/today');
  await expect(worn().getByRole('listitem')).toContainText([/Yarrow · Hazel/, /Yarrow · Curlew/]);

  await context.setOffline(false);
  await page.goto('/outbox');
  await expect(heading(page)).toHaveText('Everything is saved.', { timeout: 30_000 });
  await page.goto('/today');
  await expect(worn().getByRole('listitem')).toHaveCount(2);
  await expect(page.getByText('not sent yet')).toHaveCount(0);
  await expect(page.getByText('Yarrow: nothing on the neck.')).toHaveCount(0);
});
