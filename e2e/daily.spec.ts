import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { expect, expectAccessible, newKennel, test } from './bench-hand.ts';
import { dressedDog, put, PRONG_NUMBERS, tapedDog } from './known-dogs.ts';

const DAY = 86_400_000;
const ago = (days: number) => new Date(Date.now() - days * DAY).toISOString();

/** A pup of so many days with a prong decided, and its weighings by age in days. */
async function pup(page: Page, weighings: readonly (readonly [ageDays: number, kg: number])[]): Promise<string> {
  await newKennel(page);
  const dogId = await tapedDog(page, 'Sprig', 20, { high: 366, head: 440 });
  const dog = (await (await page.request.get(`/api/dogs/${dogId}`)).json()) as Record<string, unknown> & { version: number };
  const { id: _id, version, ...facts } = dog;
  await page.request.put(`/api/dogs/${dogId}`, { data: { ...facts, bornOn: ago(200).slice(0, 10), breed: '' }, headers: { 'If-Match': `"${version}"` } });
  for (const [ageDays, kg] of weighings)
    await put(page, `/api/weighings/${uuidv7()}`, { dogId, weightG: kg * 1000, correctsId: null, note: '', at: ago(200 - ageDays) });
  return dogId;
}

test('two screens open on Today while a third works: both tell it, in the same order, and are quiet when all is done', async ({ page, context }) => {
  await newKennel(page);
  const other = await context.newPage();
  for (const screen of [page, other]) {
    await screen.goto('/today');
    await expect(screen.getByRole('heading', { level: 1 })).toHaveText('All is well. Nothing is due.');
  }
  await expectAccessible(page);
  // Somebody puts a collar into the locker, and a dog.
  const third = await context.newPage();
  const collarId = uuidv7();
  await put(third, `/api/collars/${collarId}`, { kind: 'prong', name: 'Sedge', metal: null, condition: 'sound', numbers: PRONG_NUMBERS, measuredOn: '2026-03-01', note: '', retiredAt: null }); // prettier-ignore
  for (const screen of [page, other]) {
    await expect(screen.getByRole('heading', { level: 1 })).toHaveText('Inspect Sedge.');
    await expect(screen.getByRole('region', { name: 'Gear and law' }).getByText('Inspect Sedge.', { exact: true })).toBeVisible();
  }
  await tapedDog(third, 'Bracken', 29, { high: 398 });
  for (const screen of [page, other]) {
    await expect(screen.getByRole('heading', { level: 2 })).toHaveText(['Dogs', 'Gear and law', 'On a dog now']);
    await expect(screen.getByRole('region', { name: 'Dogs' }).getByText('Bracken: choose and size a collar.', { exact: true })).toBeVisible();
  }
  // One tap leads to where it is done; done there, it is gone here and on the other screen.
  await page.getByRole('link', { name: 'Inspect : Inspect Sedge' }).click();
  await expect(page.getByRole('region', { name: 'Inspect Sedge' })).toBeVisible();
  await page.getByRole('button', { name: 'All sound' }).click();
  await expect(page.getByText('Sedge is sound.')).toBeVisible();
  await expect(other.getByText('Inspect Sedge.')).toHaveCount(0);
  await third.close();
});

test('gear is looked at whole with what good and bad look like; a poor copy is scrapped, and the dog that wore it needs another', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto('/upkeep');
  const row = page.getByRole('listitem').filter({ hasText: 'Prong on Yarrow' });
  // Measured and called sound, it counts as inspected that day.
  await expect(row).toContainText('measured and sound on');
  await row.getByRole('button').click();
  const form = page.getByRole('region', { name: /^Inspect / });
  await expect(form.getByRole('img', { name: 'bad: Square or sharp' })).toBeVisible();
  await form.getByRole('radio', { name: 'One bent' }).click();
  await expect(form.getByRole('button', { name: 'Check all of it first' })).toBeDisabled();
  await form.getByRole('button', { name: 'The rest is good' }).click();
  await expect(form.getByText('Straighten it by hand, and try it.')).toBeVisible();
  await expectAccessible(page);
  await form.getByRole('radio', { name: 'Square or sharp' }).click();
  await expect(form.getByText('A poor copy: not used on any dog.')).toBeVisible();
  await expect(form.getByText(/^Yarrow wears it: it is taken out of that fit at once/)).toBeVisible();
  await form.getByRole('button', { name: 'Scrap it' }).click();
  await expect(page.getByText(/is scrapped: Yarrow needs another\.$/)).toBeVisible();
  await page.goto(`/dogs/${dogId}`);
  await page.getByRole('tab', { name: 'What it wears' }).click();
  await expect(page.getByRole('tabpanel').getByText(/^remote collar/i)).toBeVisible();
  await expect(page.getByRole('tabpanel').getByText(/prong/i)).toHaveCount(0);
  await page.getByRole('tab', { name: 'What happened' }).click();
  await expect(page.getByText(/was scrapped\./)).toBeVisible();
  // Looked at again, it was none: it comes back into the locker, not onto the dog.
  await page.goto('/upkeep');
  const scrapped = page.getByRole('region', { name: 'Scrapped' });
  await scrapped.getByText('Scrapped').click();
  await scrapped.getByRole('button').click();
  await page.getByRole('button', { name: 'All sound' }).click();
  await expect(page.getByText(/is sound\.$/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Scrapped' })).toHaveCount(0);
});

test('a pup with a gap and a slip of the pen: the slip is found and struck out, and each weighing corrects what comes next', async ({ page }) => {
  // By a Gompertz curve that ends at 31 kg; weighing four was typed a point too early.
  const kg = (age: number) => 31 * Math.exp(-Math.exp(-0.0145 * (age - 112)));
  const ages = [56, 63, 70, 126, 140, 154, 168, 182];
  const dogId = await pup(page, ages.map((age) => [age, Math.round((age === 126 ? kg(age) / 10 : kg(age)) * 100) / 100] as const)); // prettier-ignore
  await page.goto(`/dogs/${dogId}/growth`);
  await expect(page.getByText(/does not match the others .* Check the entry\. A point too early\?/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Delete entry' }).click();
  await expect(page.getByText(/ is deleted\./)).toBeVisible();
  await expect(page.getByText(/does not match the others/)).toHaveCount(0);
  await expect(page.getByRole('img', { name: /^Weight of Sprig by age/ })).toBeVisible();
  // Put back, it is asked about again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/A point too early\?/)).toBeVisible();
  await page.getByRole('button', { name: 'Delete entry' }).click();
  await page.getByRole('textbox', { name: 'Weight' }).fill('23.4');
  await page.getByRole('button', { name: 'Save weight' }).click();
  await expect(page.getByRole('row').filter({ hasText: '23.4 kg' })).toBeVisible();
  // On the screen at once; the kennel has it a moment later.
  await expect.poll(async () => ((await (await page.request.get(`/api/dogs/${dogId}`)).json()) as { weightG: number }).weightG).toBe(23_400);
});

test('the bench draws what a collar presses with under a leash, and says what the model leaves out', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/bench/prong`);
  await page.getByRole('tab', { name: 'Load' }).click();
  const load = page.getByRole('region', { name: 'Load under a leash' });
  await expect(load.getByRole('img', { name: /each tip carries/ })).toBeVisible();
  const tip = async () => Number(/([\d.]+) N/.exec((await load.getByRole('definition').nth(1).textContent())!)![1]);
  const firm = await tip();
  await load.getByRole('radio', { name: /a strong pull/ }).click();
  // 70 N for 40 N; read to a tenth.
  expect(Math.abs((await tip()) / firm - 70 / 40)).toBeLessThan(0.05);
  await expect(load.getByText(/^An ideal belt on a round, even neck/)).toBeVisible();
});

test('a class is kitted up out of the locker, worked out whole in the browser, and says what to buy for those it cannot', async ({ page }) => {
  await dressedDog(page);
  await tapedDog(page, 'Teasel', 29, { high: 398, head: 472 });
  await page.goto('/class');
  await expect(page.getByRole('heading', { level: 1, name: 'Who is in the class?' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Yarrow' }).check();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^One dog kitted up: nothing to buy/);
  // Two dogs of one neck and one prong: the second one’s is bought.
  await page.getByRole('checkbox', { name: 'Teasel' }).check();
  await page.getByLabel('Kind for Teasel').selectOption({ label: 'Prong' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^2 dogs kitted up: buy one collar/);
  await expect(page.getByRole('region', { name: 'Pick list' }).getByText('Buy:')).toHaveCount(1);
  await expectAccessible(page);
  // Another prong of that size in the locker: nothing is bought any more.
  await put(page, `/api/collars/${uuidv7()}`, { kind: 'prong', name: 'Spare', metal: null, condition: 'sound', numbers: PRONG_NUMBERS, measuredOn: '2026-03-01', note: '', retiredAt: null }); // prettier-ignore
  await page.reload();
  await page.getByRole('checkbox', { name: 'Yarrow' }).check();
  await page.getByRole('checkbox', { name: 'Teasel' }).check();
  await page.getByLabel('Kind for Teasel').selectOption({ label: 'Prong' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^2 dogs kitted up: nothing to buy/);
});

test('a calendar elsewhere gets a private address once, and it is taken back', async ({ page }) => {
  await newKennel(page);
  await page.goto('/house?show=calendars');
  await page.getByLabel('What it is called').fill('Corin’s phone');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = (await page.getByText(/^http.*\/api\/feeds\/[0-9a-f]{64}\.ics$/).textContent())!;
  await expectAccessible(page);
  const read = await page.request.get(address);
  expect([read.status(), (await read.text()).startsWith('BEGIN:VCALENDAR')]).toEqual([200, true]);
  await page.reload();
  await expect(page.getByText(address)).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Addresses' })).toContainText('Corin’s phone');
  await page.getByRole('button', { name: /^Withdraw/ }).click();
  await expect(page.getByText('Withdrawn (1)')).toBeVisible();
  expect((await page.request.get(address)).status()).toBe(404);
});

test('my account: a phone that was left signed in is signed out from the desk, and the password is changed', async ({ page, browser }) => {
  const { email, password } = await newKennel(page);
  const elsewhere = await browser.newContext({ userAgent: 'Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X)' });
  const phone = await elsewhere.newPage();
  const base = new URL((await page.request.get('/api/health')).url()).origin;
  expect((await phone.request.post(`${base}/api/sign-in`, { data: { email, password } })).ok()).toBe(true);
  await page.goto('/me');
  await expect(page.getByRole('region', { name: 'Where you are signed in' }).getByRole('listitem')).toHaveCount(2);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^End it/ }).click();
  await expect(page.getByText('That sign-in is over.')).toBeVisible();
  expect((await phone.request.get(`${base}/api/dogs`)).status()).toBe(401);
  await page.getByLabel('The current one').fill(password);
  await page.getByLabel('The new one').fill('bracken and broom');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText(/^Password changed\./)).toBeVisible();
  expect((await phone.request.post(`${base}/api/sign-in`, { data: { email, password: 'bracken and broom' } })).ok()).toBe(true);
  await elsewhere.close();
});
