import { drillScenes, BACK_AND_IN, type Direction } from '@banter/core';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, newKennel, test } from './bench-hand.ts';
import { tapedDog } from './known-dogs.ts';

const KEYS: Partial<Record<Direction, string>> = { back: 'ArrowDown', in: 'ArrowRight', forward: 'ArrowUp' };
const heading = (page: Page) => page.getByRole('heading', { level: 1 });

test('a handling drill: ten scenes answered by keys, told in time and held on too long are told apart, and kept', async ({ page }) => {
  test.setTimeout(240_000);
  await newKennel(page);
  await page.clock.install();
  await page.goto('/programme/drill?seed=11');
  await expect(heading(page)).toHaveText('Walk a drawn dog.');
  await expect(page.getByText('No drill logged yet.')).toBeVisible();
  await expectAccessible(page);
  // From here on time passes only as it is told to: a slow machine makes no slow hand.
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await page.getByRole('button', { name: 'Begin' }).click();
  const scenes = drillScenes({ seed: 11, count: 10, pace: 'calm' });
  for (const [index, scene] of scenes.entries()) {
    await expect(heading(page)).toHaveText(`Scene ${index + 1} of 10`);
    const key = KEYS[BACK_AND_IN.right[scene.happening][0]!];
    if (key) {
      await page.clock.runFor(scene.quietMs + 500);
      await page.keyboard.down(key);
      // In the last two scenes the hand holds on.
      await page.clock.runFor(scene.yieldsMs + (index >= 8 ? 1800 : 200));
      await page.keyboard.up(key);
      await page.keyboard.press(' ');
    }
    for (let more = 0; more < 60 && (await heading(page).textContent()) === `Scene ${index + 1} of 10`; more += 1) await page.clock.runFor(200);
  }
  const toTell = scenes.filter(({ happening }) => happening !== 'steady').length;
  const late = scenes.filter(({ happening }, index) => index >= 8 && happening !== 'steady').length;
  await expect(heading(page)).toHaveText(
    `Told in time ${toTell} of ${toTell}, the right way ${toTell} of ${toTell}, let go in time ${toTell - late} of the ${toTell} that yielded.`,
  );
  if (late > 0) await expect(page.getByText(/Held on 1\.\d s after it had yielded, over 1\.0 s/).first()).toBeVisible();
  await expect(page.getByText('Left in peace, as it should be.').first()).toBeVisible();
  await page.clock.resume();
  // It is kept before the page is left.
  const kept = page.getByRole('region', { name: 'From drill to drill' });
  await expect(kept).toContainText('1 drill');
  await page.reload();
  await expect(kept).toContainText('1 drill');
  await expectAccessible(page);
});

test('a programme of the kennel’s own is made from the trade’s, survives a reload, is begun by a dog, and changed without changing that dog', async ({
  page,
  expectFaults,
}) => {
  test.setTimeout(240_000);
  expectFaults(/422/);
  await newKennel(page);
  await page.goto('/programme/own');
  await page.getByRole('button', { name: 'Make our own of Wear first' }).click();
  await page.getByLabel('Name').fill('Bog first');
  await page.getByLabel('Stage', { exact: true }).first().fill('Worn on the dam');
  await expectAccessible(page);
  await page.reload();
  await page.getByRole('button', { name: 'Make our own of Wear first' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Bog first');
  await page.getByLabel('Tries that go well').nth(1).fill('11');
  await page.getByRole('button', { name: 'Save programme' }).click();
  await expect(page.getByText('More cannot go well than are tried.').first()).toBeVisible();
  await page.getByLabel('Tries that go well').nth(1).fill('7');
  await page.getByRole('button', { name: 'Stage 2 earlier' }).click();
  await page.getByRole('button', { name: 'Take out stage 3' }).click();
  await page.getByRole('button', { name: 'Save programme' }).click();
  await expect(page.getByText('Pressure and release → Worn on the dam')).toBeVisible();

  const dogId = await tapedDog(page, 'Yarrow', 22, {});
  await page.goto(`/dogs/${dogId}/programme`);
  await page.getByRole('button', { name: /^Begin\s*: Bog first/ }).click();
  await expect(heading(page)).toHaveText('Stay at Pressure and release.');
  await page.goto('/programme/own');
  await expect(page.getByText('1 dog is in it.')).toBeVisible();
  await page.getByRole('button', { name: 'Change Bog first' }).click();
  await expect(page.getByText('A dog is in it: each keeps the copy it began with')).toBeVisible();
  await page.getByRole('button', { name: 'Take out stage 1' }).click();
  await page.getByLabel('No longer offered').check();
  await page.getByRole('button', { name: 'Save programme' }).click();
  await expect(page.getByText('Bog first, no longer offered')).toBeVisible();
  await page.goto(`/dogs/${dogId}/programme`);
  await expect(heading(page)).toHaveText('Stay at Pressure and release.');
});
