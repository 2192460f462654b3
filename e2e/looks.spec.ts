import { addDog, dogScreen, enterDemo, expect, expectAccessible, expectAccessibleInBoth, makeKennel, openBench, openDog, test } from './bench-hand.ts';

test('every screen of the kennel can be used by everybody, in light and dark', async ({ page }) => {
  test.setTimeout(480_000);
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expectAccessibleInBoth(page);
  for (const path of ['/sign-in', '/sign-up']) {
    await page.goto(path);
    await expectAccessibleInBoth(page);
  }
  await enterDemo(page);
  await expectAccessibleInBoth(page);
  for (const path of [
    '/dogs/new',
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
    '/house?show=deeds',
    '/house?show=files',
    '/today',
    '/upkeep',
    '/class',
    '/me',
    '/programme',
    '/programme/own',
    '/programme/drill',
    '/field',
    '/nowhere',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectAccessibleInBoth(page);
  }
  await page.goto('/locker');
  await page.getByRole('link', { name: 'Alder', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Measure Alder' })).toBeVisible();
  await expectAccessibleInBoth(page);
});

test('every screen of a dog can be used by everybody, in light and dark', async ({ page }) => {
  test.setTimeout(480_000);
  await page.emulateMedia({ colorScheme: 'light' });
  await enterDemo(page);
  await openDog(page, 'Bramble');
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await expectAccessibleInBoth(page);
  await dogScreen(page, 'Keep', 'Growth');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expectAccessibleInBoth(page);
  for (const screen of ['Screen', 'Tape', 'Bench', 'Check'] as const) {
    await openDog(page, 'Fern', screen);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectAccessibleInBoth(page);
  }
  for (const kind of ['Prong', 'Slip', 'Clip-on slip', 'Martingale', 'Flat buckle', 'Wide-throat', 'Head collar', 'Remote electronic', 'Location fence']) {
    await openBench(page, 'Bramble', kind);
    await expect(
      page
        .getByRole('region', { name: 'Cross-section' })
        .getByRole(kind === 'Prong' ? 'group' : 'img')
        .first(),
    ).toBeVisible();
    await expectAccessibleInBoth(page);
  }
  await openDog(page, 'Burdock', 'Check');
  await expectAccessibleInBoth(page);
  await openDog(page, 'Moss', 'Check');
  await expectAccessibleInBoth(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys on this screen' })).toBeVisible();
  await expectAccessibleInBoth(page);
});

test('light and dark follow the system, or the choice made here', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: 'Light' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
});

test('an empty kennel shows the path as its next step', async ({ page }) => {
  await makeKennel(page);
  await expect(page.getByRole('main').getByRole('link', { name: 'Prong', exact: true })).toHaveAttribute('href', '/fit?kind=prong');
  await expect(page.getByRole('link', { name: 'What would you use?' })).toBeVisible();
  await expectAccessible(page);
  await addDog(page, 'Vetch');
  await dogScreen(page, 'Fit', 'Bench');
  await expect(page.getByRole('heading', { name: 'Tape the high girth first.' })).toBeVisible();
  await dogScreen(page, 'Fit', 'Check');
  await expect(page.getByRole('heading', { name: 'Nothing to check yet.' })).toBeVisible();
});

test('nothing is fetched from anywhere else, and the first view is light', async ({ page, baseURL }) => {
  const elsewhere: string[] = [];
  let scriptBytes = 0;
  page.on('response', async (response) => {
    if (!response.url().startsWith(baseURL!) && !response.url().startsWith('data:')) elsewhere.push(response.url());
    if (response.url().endsWith('.js'))
      scriptBytes += Number((await response.allHeaders())['content-length'] ?? (await response.request().sizes()).responseBodySize);
  });
  await page.goto('/', { waitUntil: 'networkidle' });
  expect(elsewhere).toEqual([]);
  // The budget of the first view is 150 kB of compressed script.
  expect(scriptBytes).toBeGreaterThan(20_000);
  expect(scriptBytes).toBeLessThan(150_000);
});
