import type { Request } from '@playwright/test';
import { expect, newKennel, test, withoutPicture } from './bench-hand.ts';
import { tapedDog } from './known-dogs.ts';

test('what a screen shows comes with its page, or is asked for beside its script, and once', async ({ page }) => {
  await newKennel(page);
  const dogId = await tapedDog(page, 'Bracken', 29, { high: 398 });
  const screens = {
    '/dogs': '/api/dogs?list=here',
    '/upkeep': '/api/upkeep?list=due',
    '/class': '/api/class',
    [`/dogs/${dogId}`]: `/api/dogs/${dogId}/neck`,
    [`/dogs/${dogId}/tape`]: `/api/dogs/${dogId}/bench`,
    [`/dogs/${dogId}/screen`]: `/api/dogs/${dogId}/page`,
    [`/dogs/${dogId}/bench`]: `/api/dogs/${dogId}/bench`,
    [`/dogs/${dogId}/bench/prong`]: `/api/dogs/${dogId}/bench`,
    [`/dogs/${dogId}/check`]: `/api/dogs/${dogId}/page`,
    [`/dogs/${dogId}/neck`]: `/api/dogs/${dogId}/neck`,
    [`/dogs/${dogId}/door`]: `/api/dogs/${dogId}/neck`,
    [`/dogs/${dogId}/programme`]: `/api/dogs/${dogId}/programmes`,
    [`/dogs/${dogId}/growth`]: `/api/dogs/${dogId}/growth`,
    [`/dogs/${dogId}/handover`]: `/api/dogs/${dogId}/handovers`,
    [`/dogs/${dogId}/levels`]: `/api/dogs/${dogId}/levels`,
  };
  // Who was here last is known from the second screen on.
  await page.goto('/dogs');
  await expect(page.getByRole('link', { name: 'Bracken' }).first()).toBeVisible();
  // With its picture what it shows comes with the page, and nothing of it is asked for; without one it is, and once.
  for (const times of [0, 1]) {
    if (times === 1) await withoutPicture(page);
    for (const [screen, data] of Object.entries(screens)) {
      const asked: string[] = [];
      const note = (request: Request) => {
        const { pathname, search } = new URL(request.url());
        asked.push(pathname + search);
      };
      page.on('request', note);
      await page.goto(screen);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.waitForLoadState('networkidle');
      page.off('request', note);
      for (const path of [data, '/api/wearing', '/api/doorstep'])
        expect([screen, path, asked.filter((one) => one === path).length]).toEqual([screen, path, times]);
    }
  }
  // Before anybody knows who is there, and so beside the script of the screen: until it is asked for, nobody is told.
  for (const [screen, data] of Object.entries(screens)) {
    const isAsked = page.waitForRequest((request) => new URL(request.url()).pathname + new URL(request.url()).search === data);
    await page.route('**/api/doorstep', async (route) => {
      await isAsked;
      await route.continue();
    });
    await withoutPicture(page);
    await page.goto(screen);
    await isAsked;
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.unrouteAll({ behavior: 'wait' });
  }
});
