import { devices } from '@playwright/test';
import { DEVICE_COOKIE } from '@banter/contract';
import { expect, test } from './bench-hand.ts';
import { dressedDog } from './known-dogs.ts';

const { defaultBrowserType: _browser, ...PHONE } = devices['Pixel 5'];
/** What is read on a screen, line by line. */
const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
/** What only the device itself knows: whether something lies on it that was not sent. */
const OF_THE_DEVICE = /^(Looking for entries on this device …|All of it is saved\.)$/;

for (const [name, how] of [
  ['on a phone', { ...PHONE, viewport: { width: 390, height: 844 } }],
  ['at a desk', { viewport: { width: 1280, height: 800 } }],
] as const)
  test(`before any script has run each screen shows what it will show, ${name}`, async ({ page, browser }) => {
    const dogId = await dressedDog(page, 'Bracken');
    const all = await page.context().storageState();
    // As on a device that has shown nothing yet.
    const storageState = { ...all, cookies: all.cookies.filter((cookie) => cookie.name !== DEVICE_COOKIE) };
    const plain = await browser.newContext({ ...how, storageState, serviceWorkers: 'block', javaScriptEnabled: false });
    const whole = await browser.newContext({ ...how, storageState, serviceWorkers: 'block' });
    const [picture, screen] = [await plain.newPage(), await whole.newPage()];
    const ofDog = ['', '/tape', '/screen', '/bench/prong', '/check', '/neck', '/neck/rig', '/door', '/levels', '/growth', '/programme', '/handover'];
    for (const path of ['/today', '/dogs', '/fit', '/field', '/programme', '/locker', '/upkeep', '/house', ...ofDog.map((place) => `/dogs/${dogId}${place}`)]) {
      // On a busy machine a page may come without it.
      await expect(async () => {
        await picture.goto(path);
        expect(await picture.locator('#first-picture main').count()).toBe(1);
      }).toPass();
      await screen.goto(path);
      await screen.waitForLoadState('networkidle');
      const shown = lines(await picture.locator('main').innerText()).filter((line) => !OF_THE_DEVICE.test(line));
      const there = lines(await screen.locator('main').innerText()).filter((line) => !OF_THE_DEVICE.test(line));
      expect([path, ...shown]).toEqual([path, ...there]);
      expect(shown.length).toBeGreaterThan(1);
      // Whose screen it is stands over it by name.
      await expect(picture.getByRole('banner').getByText('Dog', { exact: true })).toHaveCount(0);
    }
    await Promise.all([plain.close(), whole.close()]);
  });

test('the screen takes the place of its picture at once: nothing jumps, nobody waits twice, and what has the focus keeps it', async ({ page, browser }) => {
  await dressedDog(page, 'Bracken');
  const context = await browser.newContext({ storageState: await page.context().storageState(), serviceWorkers: 'block' });
  const slow = await context.newPage();
  // What the page begins with is held back until somebody has gone to a link on the picture.
  let letGo = () => {};
  const held = new Promise<void>((done) => (letGo = done));
  await slow.route('**/after-picture.js', async (route) => {
    await held;
    await route.continue();
  });
  await slow.addInitScript(() => {
    const all = globalThis as never as { moved: number };
    all.moved = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & { value: number })[]) all.moved += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  const opened = slow.goto('/dogs', { waitUntil: 'commit' });
  const link = slow.getByRole('main').getByRole('link', { name: 'Bracken' }).first();
  await expect(link).toBeVisible();
  await expect(slow.locator('#first-picture')).toHaveCount(1);
  // It can be gone to, and what would be pressed or typed into cannot, yet.
  await link.focus();
  expect(await slow.locator('#first-picture :is(button, input, select, textarea, summary):not([inert])').count()).toBe(0);
  letGo();
  await opened;
  await expect(slow.locator('#first-picture')).toHaveCount(0);
  await expect(link).toBeFocused();
  await slow.waitForLoadState('networkidle');
  expect(await slow.evaluate(() => (globalThis as never as { moved: number }).moved)).toBeLessThan(0.02);
  await context.close();
});

test('the screen takes the place of its picture in one moment, with all its parts', async ({ page, browser }) => {
  const dogId = await dressedDog(page, 'Bracken');
  const context = await browser.newContext({
    ...PHONE,
    viewport: { width: 390, height: 844 },
    storageState: await page.context().storageState(),
    serviceWorkers: 'block',
  });
  const phone = await context.newPage();
  await phone.addInitScript(() => {
    const seen: string[] = [];
    (globalThis as never as { seen: string[] }).seen = seen;
    let hadPicture = false;
    /** What each frame after the picture shows of the screen: its name, the dog's places, the drawings, the foot. */
    const look = () => {
      const [app, picture] = [document.getElementById('app'), document.getElementById('first-picture')];
      hadPicture ||= picture !== null;
      if (hadPicture && !picture)
        seen.push(['h1', '[aria-label="This dog’s screens"]', 'main svg', '.phone-foot nav'].map((part) => app!.querySelectorAll(part).length).join(' '));
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  for (const place of ['/tape', '/check', '/neck'])
    // On a busy machine a page may come without it.
    await expect(async () => {
      await phone.goto(`/dogs/${dogId}${place}`, { waitUntil: 'networkidle' });
      await expect(phone.locator('#first-picture')).toHaveCount(0);
      const seen = await phone.evaluate(() => (globalThis as never as { seen: string[] }).seen);
      expect([place, ...new Set(seen)]).toEqual([place, seen.at(-1)]);
      expect(seen.at(-1)).not.toMatch(/\b0\b/);
    }).toPass();
  await context.close();
});
