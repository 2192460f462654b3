import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './bench-hand.ts';
import { dressedDog } from './known-dogs.ts';

const heading = (page: Page) => page.getByRole('heading', { level: 1 });

test('a programme is begun, adapted, moved on by its marks, back at a setback, otherwise with a note, and paused', async ({ page, expectFaults }) => {
  test.setTimeout(240_000);
  expectFaults(/422/);
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/programme`);
  await expect(heading(page)).toHaveText('Begin a programme with Yarrow.');
  await expect(page.getByText(/School «start loose», which is not this house’s/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Begin\s*: Through the hoop/ }).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'All programmes' }).click();
  await expect(page.getByText('This dog has no martingale fitted.')).toBeVisible();
  await page.getByRole('button', { name: /^Begin\s*: Fading/ }).click();
  await expect(heading(page)).toHaveText('Stay at Slip leash.');
  await expect(page.getByText('No session of this stage yet.')).toBeVisible();

  // One session in a row is enough for this dog.
  await page.getByRole('button', { name: 'Adapt this stage' }).click();
  await page.getByLabel('Tries that go well').fill('12');
  await page.getByRole('button', { name: 'Save for this dog' }).click();
  await expect(page.getByText('More cannot go well than are tried.')).toBeVisible();
  await page.getByLabel('Tries that go well').fill('6');
  await page.getByLabel('Sessions in a row').fill('1');
  await page.getByRole('button', { name: 'Save for this dog' }).click();
  await expect(page.getByText('6 of 10: stretches of 20 steps on a slack leash.')).toBeVisible();

  // All its stages, for this dog alone; the one it is in stays.
  await page.getByRole('button', { name: 'Adapt its stages' }).click();
  const stages = page.getByRole('form', { name: 'Stages of this dog' });
  await expect(stages.getByRole('group', { name: 'Stage 1' })).toContainText('It is in this one.');
  await stages.getByRole('button', { name: 'Take out stage 4' }).click();
  await stages.getByRole('button', { name: 'One more stage' }).click();
  await stages.getByLabel('Stage', { exact: true }).nth(3).fill('Ferry and pier');
  await expectAccessible(page);
  await stages.getByRole('button', { name: 'Save stages' }).click();
  await expect(page.getByRole('list', { name: 'Stages' })).toContainText('Ferry and pier');

  // Nothing is filled in: a result that nobody gave is asked for.
  await page.getByRole('button', { name: 'Save result' }).click();
  await expect(page.getByText('Say how many went well; 0 counts.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Went well' }).fill('6');
  await page.getByRole('button', { name: 'Went well: one less' }).click();
  await page.getByLabel('Note').fill('Wind.');
  await page.reload();
  await expect(page.getByLabel('Note')).toHaveValue('Wind.');
  await expect(page.getByRole('textbox', { name: 'Went well' })).toHaveValue('5');
  await page.getByRole('button', { name: 'Save result' }).click();
  await expect(page.getByText('5 of 10 went well; 6 of 10 move on.')).toBeVisible();
  // A session has one result: said again at once, it replaces the first.
  await expect(page.getByText('It replaces 5 of 10, just saved: a session has one result.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Went well' }).fill('7');
  await page.getByRole('button', { name: 'Save result' }).click();
  await expect(heading(page)).toHaveText('Ready for Long line dragged.');
  await expect(page.getByText('7 of 10 went well, as asked: on to the next stage.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Sessions in this stage' }).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'On to Long line dragged' }).click();
  await expect(heading(page)).toHaveText('Stay at Long line dragged.');
  await expect(page.getByText('Never on a prong or head collar.')).toBeVisible();

  await page.getByRole('textbox', { name: 'Went well' }).fill('2');
  await page.getByLabel('It was afraid or sore').check();
  await page.getByRole('button', { name: 'Save result' }).click();
  await expect(heading(page)).toHaveText('Back to Slip leash.');
  // The marks lead back; a person decides otherwise, and says why.
  await page.getByRole('button', { name: 'Decide otherwise' }).click();
  await expect(page.getByRole('button', { name: 'Move it' })).toBeDisabled();
  await page.getByRole('combobox', { name: /^To/ }).selectOption('Raised bed to mat');
  await page.getByLabel('Why').fill('A thunderclap, not the line.');
  await page.getByRole('button', { name: 'Move it' }).click();
  await expect(heading(page)).toHaveText('Stay at Raised bed to mat.');
  await expect(page.getByText('Decided otherwise: A thunderclap, not the line.')).toBeVisible();
  await page.getByRole('button', { name: 'Pause it' }).click();
  await expect(heading(page)).toHaveText('Fading is paused.');
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.emulateMedia({ colorScheme: 'dark' });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await page.getByRole('button', { name: 'Leave programme' }).click();
  await expect(heading(page)).toHaveText('Begin a programme with Yarrow.');
  await expect(page.getByRole('region', { name: 'Over' }).getByText('left')).toBeVisible();
});
