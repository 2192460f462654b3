import { PROGRAMME_TEMPLATES } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import {
  addDog,
  allowHere,
  answerCheck,
  enterDemo,
  expect,
  expectAccessible,
  haveTheUsual,
  newKennel,
  openBench,
  openDog,
  putOnBench,
  read,
  test,
  signUp,
} from './bench-hand.ts';
import { put, tapedDog } from './known-dogs.ts';

test('the whole path on a phone, with thumb-sized targets and nothing wider than the screen', async ({ page, isMobile: _mobile }) => {
  test.setTimeout(240_000);
  await signUp(page);
  const fitsTheScreen = async () =>
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0);
  await fitsTheScreen();
  await addDog(page, 'Burnet');
  await read(page, 'High girth', ['39.8', '39.9', '39.7']);
  await read(page, 'Head girth', ['47', '47', '47.2']);
  await fitsTheScreen();
  await page.getByRole('button', { name: 'Save and size' }).tap();
  await fitsTheScreen();
  await putOnBench(page);
  await haveTheUsual(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Measure the collar: about 13 to 15 links, stocked with 14.');
  await fitsTheScreen();
  for (const button of await page
    .getByRole('button', { name: /(Take out|Put in) a link on/ })
    .filter({ hasText: /[−+]/ })
    .all()) {
    const box = (await button.boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(47.9);
  }
  await allowHere(page);
  await fitsTheScreen();
  await page.getByRole('button', { name: 'Save fit' }).tap();
  await answerCheck(page);
  for (const answer of await page.getByRole('radio').all()) expect((await answer.boundingBox())!.height).toBeGreaterThanOrEqual(47.9);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save check' }).tap();
  await expect(page.getByRole('heading', { name: 'Good. Burnet is fitted.' })).toBeVisible();
  await fitsTheScreen();
});

test('the demo’s screens fit a phone', async ({ page }) => {
  await enterDemo(page);
  for (const path of [
    '/dogs',
    '/upkeep',
    '/class',
    '/many',
    '/locker',
    '/locker?show=links',
    '/locker?show=gear',
    '/locker?show=shopping',
    '/house',
    '/house?show=law',
    '/house?show=screening',
    '/house?show=charts',
    '/house?show=devices',
    '/house?show=calendars',
    '/house?show=people',
    '/dogs/new',
  ]) {
    await page.goto(path, { waitUntil: 'networkidle' });
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect([path, await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)]).toEqual([path, 0]);
  }
  for (const kind of ['Martingale', 'Head collar', 'Remote electronic']) {
    await openBench(page, 'Bramble', kind);
    expect([kind, await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)]).toEqual([kind, 0]);
  }
  await openDog(page, 'Bramble');
  const dog = page.url();
  for (const path of ['neck', 'neck/rig', 'neck/contacts', 'neck/skin', 'neck/wear', 'door']) {
    await page.goto(`${dog}/${path}`, { waitUntil: 'networkidle' });
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect([path, await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)]).toEqual([path, 0]);
  }
  await openDog(page, 'Moss');
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0);
});

test('a finger draws a band of the stack by its grip on the map, and scrolls the page anywhere else on it', async ({ page, context }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  await page.goto(`${page.url()}/neck`, { waitUntil: 'networkidle' });
  const order = page.getByRole('list', { name: 'From the ears down' }).getByRole('listitem');
  await expect(order).toContainText(['prong', 'remote', 'flat']);
  const finger = await context.newCDPSession(page);
  const draw = async (from: { x: number; y: number }, up: number) => {
    await finger.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [from] });
    for (let step = 1; step <= 8; step += 1) {
      await finger.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [{ x: from.x, y: from.y - (up * step) / 8 }] });
      // The page has seen it before the next one.
      await page.evaluate(() => new Promise((seen) => requestAnimationFrame(() => requestAnimationFrame(seen))));
    }
    await finger.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  };
  const middleOf = async (selector: string) => {
    const box = (await page.locator(selector).boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  await page.locator('[data-band="remote"]').scrollIntoViewIfNeeded();
  await draw(await middleOf('[data-band="remote"]'), 40);
  await expect(order).toContainText(['prong', 'remote', 'flat']);
  await draw(await middleOf('[data-grip-of="remote"]'), 40);
  await expect(order).toContainText(['remote', 'prong', 'flat']);
  // As it was, for whoever comes next.
  await page.getByRole('button', { name: 'Fix order' }).tap();
  await expect(order).toContainText(['prong', 'remote', 'flat']);
});

test('the calendar shows a day at a time: a session is moved by the thumb, and saved', async ({ page }) => {
  await newKennel(page);
  const dogId = await tapedDog(page, 'Yarrow', 22, {});
  const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
  const facts = { dogId, templateId: template.id, name: template.name, stages: template.stages, state: 'running', note: '' };
  await put(page, `/api/programmes/${uuidv7()}`, { ...facts, startsOn: new Date().toISOString().slice(0, 10) });
  await page.goto('/programme');
  await page.getByRole('button', { name: 'Plan sessions' }).tap();
  await page.getByRole('button', { name: 'Try it' }).tap();
  await page.getByRole('button', { name: /^Save these \d+$/ }).tap();
  await page.getByRole('group', { name: 'Weeks' }).getByRole('button').nth(2).tap();
  const days = page.getByRole('group', { name: 'Days' }).getByRole('button');
  await expect(days).toHaveCount(7);
  await days.nth(2).tap();
  const shown = page.getByRole('region', { name: /^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d/ });
  await expect(shown).toHaveCount(1);
  await expect(shown).toHaveAccessibleName(/^Wed/);
  await shown
    .getByRole('button', { name: /Yarrow/ })
    .first()
    .tap();
  const chosen = page.getByRole('region', { name: 'The chosen session' });
  await chosen.getByRole('button', { name: 'Day after' }).tap();
  await expect(shown).toHaveAccessibleName(/^Thu/);
  await chosen.getByRole('button', { name: 'Save there' }).tap();
  await expect(page.getByRole('button', { name: /^Undo: Yarrow moved/ })).toBeVisible();
  // On paper it is the whole week; afterwards the day again. A browser says so as it begins to print, and has it put on paper right after.
  await page.evaluate(() => {
    addEventListener('beforeprint', () =>
      queueMicrotask(() => (document.title = `${document.querySelectorAll('section[aria-label^="Thu"] h3, section[aria-label^="Fri"] h3').length} days`)),
    );
  });
  await page.pdf();
  await expect(page).toHaveTitle('2 days');
  await expect(shown).toHaveCount(1);
});
