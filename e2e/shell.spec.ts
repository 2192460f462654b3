import { enterDemo, expect, expectAccessible, newKennel, openAlerts, openDog, test, withoutPicture } from './bench-hand.ts';
import { dressedDog, tapedDog } from './known-dogs.ts';

test('a dog, a rule and a screen are found by a few keys and Enter', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('/');
  const find = page.getByRole('combobox', { name: 'Find a dog, a collar, a house rule or a screen' });
  await expect(find).toBeFocused();
  await page.keyboard.type('bra');
  await expect(page.getByRole('option').first()).toContainText('Bramble');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  // The screens of the dog that is open are the first to hand.
  await page.keyboard.press('/');
  await page.keyboard.type('grow');
  await expect(page.getByRole('option').first()).toContainText('This dog');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/growth$/);

  await page.getByRole('button', { name: 'Find' }).click();
  await page.keyboard.type('bite');
  const rule = page.getByRole('option').filter({ hasText: 'House rule' }).first();
  await expect(rule).toBeVisible();
  await rule.click();
  await expect(page).toHaveURL(/\/house#rule-/);
  const named = new URL(page.url()).hash;
  await expect(page.locator(named)).toBeInViewport();
  await expect(page.locator(named).getByRole('textbox')).toBeFocused();

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Find' }).click();
  await page.keyboard.type('nobody is called so');
  await expect(page.getByRole('status').filter({ hasText: 'Nothing found.' })).toBeVisible();
});

test('alerts are a count that opens; header and ways leave the screen to the work', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  const desk = await page.getByRole('navigation', { name: 'This dog’s screens' }).evaluate((nav) => nav.getBoundingClientRect().bottom);
  expect(desk).toBeLessThanOrEqual(112);
  await openAlerts(page);
  await expect(page.getByRole('link', { name: /^(Fix|Answer)$/ }).first()).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');

  await page.setViewportSize({ width: 390, height: 844 });
  const ways = page.getByRole('navigation', { name: 'This dog’s screens' });
  expect(await ways.evaluate((nav) => nav.getBoundingClientRect().bottom)).toBeLessThanOrEqual(104);
  const foot = page.getByRole('navigation', { name: 'Screens', exact: true });
  expect(await foot.evaluate((nav) => window.innerHeight - nav.getBoundingClientRect().top)).toBeLessThanOrEqual(64);
  // Everything is reached from under the thumb.
  await page.getByRole('button', { name: 'More screens' }).click();
  await page.getByRole('menuitem', { name: 'Calendar' }).click();
  await expect(page).toHaveURL(/\/programme$/);
});

test('a key of the screen goes before one that is everywhere', async ({ page }) => {
  await newKennel(page);
  const dogId = await tapedDog(page, 'Bracken', 29, { high: 398 });
  await page.goto(`/dogs/${dogId}`);
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await page.keyboard.press('g');
  await expect(page).toHaveURL(/\/door$/);
  await page.goto('/locker');
  await expect(page.getByRole('heading', { name: 'Locker', exact: true })).toBeVisible();
  await page.keyboard.press('g');
  await expect(page).toHaveURL(/\/programme$/);
});

test('what a dog wears is at hand on every screen of a phone: off in one tap, and back in one', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Yarrow wears/);
  await page.goto('/locker');
  const bar = page.getByRole('region', { name: 'On now' });
  await expect(bar).toContainText('Yarrow');
  await expect(bar).toContainText('+1');
  await expectAccessible(page);
  await bar.getByRole('button', { name: /^Yarrow/ }).click();
  const prong = bar.getByRole('listitem').filter({ hasText: 'Hazel' });
  await prong.getByRole('button', { name: 'Off' }).click();
  await expect(bar.getByRole('status')).toContainText('Yarrow: Hazel is off.');
  await expect(prong).toHaveCount(0);
  // What else is on stays at hand meanwhile.
  await expect(bar.getByRole('button', { name: 'Off: Curlew on Yarrow' })).toBeVisible();
  await bar.getByRole('button', { name: 'Undo' }).click();
  await expect(prong).toBeVisible();
  const [{ wearing }] = [(await (await page.request.get('/api/wearing')).json()) as { wearing: { collarName: string }[] }];
  expect(wearing.map(({ collarName }) => collarName).sort()).toEqual(['Curlew', 'Hazel']);
});

test('what was put on as its screen was left is at hand once the kennel has it', async ({ page, expectFaults }) => {
  expectFaults(/ERR_FAILED/);
  await page.setViewportSize({ width: 390, height: 844 });
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  // The connection breaks off just then; on the next screen what is worn has been asked for before it is there again.
  let isAway = true;
  let seen: () => void = () => {};
  const wornSeen = new Promise<void>((resolve) => (seen = resolve));
  await page.route('**/api/happenings', async (route) => {
    if (isAway) return route.abort();
    await wornSeen;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Yarrow wears/);
  isAway = false;
  const asked = page.waitForResponse('**/api/wearing');
  await page.goto('/locker');
  await (await asked).finished();
  seen();
  await expect(page.getByRole('region', { name: 'On now' })).toContainText('Yarrow');
});

test('at hand on a phone: moved to the place that is free, contact good, and pink that is undone has never been', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck/contacts`);
  await page.getByRole('button', { name: 'Put on at 3', exact: true }).click();
  const bar = page.getByRole('region', { name: 'On now' });
  await expect(bar).toContainText('at 3');
  await page.goto('/locker');
  // The place is the one that the contacts’ own screen names.
  await bar.getByRole('button', { name: 'Moved to 9: Curlew on Yarrow' }).click();
  await expect(bar.getByRole('status')).toContainText('Curlew on Yarrow: moved to 9 o’clock.');
  await expect(bar).toContainText('at 9');
  await bar.getByRole('button', { name: 'Contact good: Curlew on Yarrow' }).click();
  await expect(bar.getByRole('status')).toContainText('contact good.');
  const flags = async () => {
    const { skinLooks } = (await (await page.request.get(`/api/dogs/${dogId}/neck`)).json()) as { skinLooks: { clock: number; grade: number }[] };
    return skinLooks.filter(({ grade }) => grade === 1).map(({ clock }) => clock);
  };
  // Tapped by mistake, and undone while it can be.
  await bar.getByRole('button', { name: 'Pink: Curlew on Yarrow' }).click();
  await expect(bar.getByRole('status')).toContainText('Pink at 9 o’clock on Yarrow: that place rests.');
  await bar.getByRole('button', { name: 'Undo' }).click();
  await expect(bar.getByRole('status')).toContainText('Undone.');
  // Meant: it is a look at the skin like any other, and the place rests, whatever screen is open meanwhile.
  await bar.getByRole('button', { name: 'Pink: Curlew on Yarrow' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect.poll(flags, { timeout: 20_000 }).toEqual([9]);
});

test('a page that was open while Banter was renewed opens anew where it was going, once; a script that is away for another reason reloads nothing', async ({
  page,
  expectFaults,
}) => {
  expectFaults(/404|Failed to fetch dynamically imported module|preload/);
  await newKennel(page);
  await page.goto('/today');
  const opened = () => page.evaluate(() => (globalThis as { opened?: number }).opened ?? 0);
  const begin = () => page.evaluate(() => ((globalThis as { opened?: number }).opened = 1));
  const locker = page.getByRole('navigation').getByRole('link', { name: 'Locker' }).first();
  await begin();

  // The script is away, and the page that is served is the same one.
  await page.route(/\/assets\/LockerView-/, (route) => route.fulfill({ status: 404 }));
  const looked = page.waitForResponse(/\/index\.html$/);
  await locker.click();
  await looked;
  await page.getByRole('navigation').getByRole('link', { name: 'Upkeep' }).first().click();
  await expect(page).toHaveURL(/\/upkeep/);
  expect(await opened()).toBe(1);

  // The page that is served begins with another script: it is another version.
  let isNew = false;
  await page.route(/\/assets\/CalendarView-/, (route) => (isNew ? route.continue() : route.fulfill({ status: 404 })));
  await page.route(/\/index\.html$/, async (route) => {
    isNew = true;
    const answer = await route.fetch();
    await route.fulfill({ response: answer, body: (await answer.text()).replace(/src="\/assets\/index-[^"]+"/, 'src="/assets/index-renewed.js"') });
  });
  await page.getByRole('navigation').getByRole('link', { name: 'Calendar' }).first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No programme runs yet.');
  await expect(page).toHaveURL(/\/programme/);
  expect(await opened()).toBe(0);
});

test('a page comes with what its screen needs for whoever is signed in, and nothing of it is asked for twice', async ({ page }) => {
  const before = await page.request.get('/dogs');
  expect(before.headers().link).toBeUndefined();
  await newKennel(page);
  const dogId = await tapedDog(page, 'Sedge', 24, { high: 400 });
  const path = `/dogs/${dogId}/bench`;
  const link = (await page.request.get(path)).headers().link!;
  const named = [...link.matchAll(/<([^>]+)>; rel=(\w+)/g)].map(([, address]) => address!);
  expect(named).toContain(`/api${path}`);
  expect(named.some((address) => address.startsWith('/assets/ChooseView-'))).toBe(true);
  // With its picture the answers are on the page already, and what it is made of comes once that is painted.
  const pictured = await page.request.get(path, { headers: { accept: 'text/html' } });
  const painted = [...pictured.headers().link!.matchAll(/<([^>]+)>; rel=(\w+)/g)].map(([, address]) => address!);
  expect(painted.filter((address) => !/\.(css|woff2)$/.test(address))).toEqual([]);
  const scripts = /data-scripts="([^"]*)"/.exec(await pictured.text())![1]!.split(' ');
  expect(scripts.some((address) => address.startsWith('/assets/ChooseView-'))).toBe(true);
  const files = [...painted, ...scripts];
  for (const address of [...named, ...files]) expect([address, (await page.request.get(address)).status()]).toEqual([address, 200]);

  await withoutPicture(page);
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await page.goto(path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
  for (const address of ['/api/doorstep', '/api/wearing', `/api${path}`])
    expect([address, asked.filter((one) => one === address).length]).toEqual([address, 1]);
});
