import { v7 as uuidv7 } from 'uuid';
import type { Page } from '@playwright/test';
import { enterDemo, expect, makeKennel, openBench, openDog, test } from './bench-hand.ts';
import { dressedDog, now, put, tapedDog, WHOLE } from './known-dogs.ts';

test('the last spare link goes to one of two browsers; the other is told, and the count still adds up', async ({ page, browser }) => {
  const { email, password } = await makeKennel(page);
  await put(page, `/api/collars/${uuidv7()}`, {
    kind: 'prong',
    name: 'Alder',
    metal: null,
    condition: 'sound',
    measuredOn: '2026-03-01',
    note: '',
    retiredAt: null,
    numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 },
  });
  await page.goto('/locker?show=links');
  const bag = (one: Page) =>
    one
      .getByRole('row', { name: /^3.0 mm/ })
      .getByRole('cell')
      .nth(1);
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(bag(page)).toHaveText('1');

  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto('/sign-in');
  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill(password);
  await other.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(other.getByRole('heading', { name: 'Add your first dog.' })).toBeVisible();
  await other.goto('/locker?show=links');
  for (const one of [page, other]) await one.getByRole('radio', { name: 'Scrapped' }).click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(bag(page)).toHaveText('0');
  await other.getByRole('button', { name: 'Write it down' }).click();
  await expect(other.getByText('There are only 0 of 3.0 mm in the bag.').first()).toBeVisible();
  await page.reload();
  await expect(
    page
      .getByRole('row', { name: /^3.0 mm/ })
      .getByRole('cell')
      .last(),
  ).toHaveText('= 14');
  await context.close();
});

test('house rules show what a change would mean for which dogs before it is kept', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/house');
  const change = page.getByRole('region', { name: 'What would change' });
  await page.getByRole('radiogroup', { name: 'Prong between two sizes' }).getByRole('radio', { name: 'snug' }).click();
  const fern = change.getByRole('listitem').filter({ hasText: 'Fern, prong' });
  await expect(fern).toContainText('2.25 mm prong, 15 links');
  await expect(fern).toContainText('→ Between two sizes: Alder, 3.0 mm prong, 11 links');
  // A rule is found by a word of it, whichever section it stands in.
  await page.getByLabel('Find a rule').fill('slack of a prong');
  await page.getByLabel('Most slack of a prong at rest').fill('a lot');
  await expect(page.getByText('This cannot be read as a number yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save rules' })).toBeDisabled();
  // From another section it is told what keeps the rules from being saved, and what was typed is still there.
  await page.getByRole('navigation', { name: 'Sections' }).getByRole('button', { name: 'Wearing' }).click();
  await expect(page.getByLabel('Most slack of a prong at rest')).toBeHidden();
  await page.getByRole('button', { name: 'Most slack of a prong at rest: not a number yet.' }).click();
  await expect(page.getByLabel('Most slack of a prong at rest')).toHaveValue('a lot');
  await page.getByLabel('Most slack of a prong at rest').fill('15');
  await expect(change.getByRole('listitem').filter({ hasText: 'Bramble, prong, worn now' })).toBeVisible();
});

test('a collar of another kind is added with its own numbers; a range reversed gets a sentence and nothing is lost', async ({ page }) => {
  await makeKennel(page);
  await page.goto('/locker');
  await page.getByRole('button', { name: 'Add a collar' }).click();
  await page.getByRole('button', { name: 'Martingale', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Willow');
  await page.getByLabel('Main strap, shortest').fill('43');
  await page.getByLabel('Main strap, longest').fill('28');
  await page.getByLabel('Control loop, round its inside').fill('16 cm');
  await page.getByLabel('Width').fill('1 1/2 in');
  await page.getByRole('button', { name: 'Save numbers' }).click();
  await expect(page.getByText(/^Say whether these numbers were measured/)).toBeVisible();
  await expect(page.getByText('This must not be below «Main strap, shortest».')).toBeVisible();
  await expect(page.getByLabel('Control loop, round its inside')).toHaveValue('16 cm');
  await page.getByLabel('Main strap, shortest').fill('28');
  await page.getByLabel('Main strap, longest').fill('43');
  await page.getByRole('radio', { name: 'Measured today' }).click();
  // Measured and sound counts as looked over: nobody's «sound» is filled in.
  await page.getByRole('button', { name: 'Save numbers' }).click();
  await expect(page.getByText(/^Say how it is: a collar that is measured and sound counts/)).toBeVisible();
  await page.getByRole('radio', { name: 'Sound' }).click();
  await page.getByRole('button', { name: 'Save numbers' }).click();
  await expect(page.getByText('martingale 28.0 cm to 43.0 cm, 38 mm wide, cloth loop')).toBeVisible();
  // A new name measures nothing: it is asked for no ruler, and the numbers stay measured on their day.
  await page.getByRole('link', { name: 'Willow' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Sallow');
  await page.getByRole('button', { name: 'Save numbers' }).click();
  await expect(page.getByRole('link', { name: 'Sallow' })).toBeVisible();
  await expect(page.getByText('Measured', { exact: true })).toBeVisible();
});

test('many dogs at once: a table with a byte order mark, semicolons, quotes and 200 columns; rows that cannot be read say so', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/many');
  const extra = Array.from({ length: 190 }, (_none, n) => `spare ${n}`).join(';');
  const table = [
    `\uFEFF"Dog name";"High girth (cm)";Head;Weight;Coat depth;${extra}`,
    `"Bracken; the first";39,8;47,2;29;2 mm;${';'.repeat(189)}`,
    `Sedge;abc;47;28;;`,
    ``,
    `Fern;16 1/2 in;19 in;62 lb;;`,
    `Tiny;3;47;28;;`,
  ].join('\r\n');
  await page.getByLabel('CSV file').setInputFiles({ name: 'dogs.csv', mimeType: 'text/csv', buffer: Buffer.from(table, 'utf8') });
  await page.getByRole('button', { name: 'Size them' }).click();
  await expect(page.getByText('2 dogs sized, 2 rows left out.')).toBeVisible();
  const left = page.getByRole('region', { name: 'Rows left out' });
  await expect(left.getByText('Row 3: The high girth «abc» cannot be read as a length.')).toBeVisible();
  await expect(left.getByText(/Row 6: The high girth «3» cannot be/)).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Take the fits as CSV' }).click()]);
  const stream = await download.createReadStream();
  let csv = '';
  for await (const chunk of stream) csv += String(chunk);
  expect(csv.split('\r\n').filter((line) => line.includes('Bracken; the first'))).toHaveLength(9);
  expect(csv).toMatch(/Bracken; the first,Prong,Fits,/);
});

test('a large table shows its progress, leaves the page free, and can be stopped', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/many');
  const rows = Array.from({ length: 120_000 }, (_none, n) => `Dog ${n},${38 + (n % 10)},${46 + (n % 10)},${20 + (n % 20)}`).join('\n');
  await page.getByLabel('CSV file').setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(`name,high,head,weight\n${rows}`) });
  await page.getByRole('button', { name: 'Size them' }).click();
  await expect(page.getByText(/[1-9]\d* dogs so far/)).toBeVisible({ timeout: 90_000 });
  // The page still answers while the worker works.
  await page.getByRole('button', { name: /^Units: cm and kg/ }).click();
  await expect(page.getByRole('button', { name: /^Units: in and lb/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Size them' })).toBeEnabled();
});

test('a lead is put in the locker with its size in feet, changed, and scrapped; bad sizes are told at the field', async ({ page }) => {
  await makeKennel(page);
  const dogId = await tapedDog(page, 'Bracken', 29, WHOLE);
  await page.goto('/locker?show=gear');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Old brown');
  await page.getByLabel('Length').fill('four feet');
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.getByLabel('Length').fill('4 ft');
  await page.getByLabel('Width').fill('1/2 in');
  await page.getByRole('button', { name: 'Save' }).click();
  const piece = page.getByRole('listitem').filter({ hasText: 'Old brown' });
  await expect(piece).toContainText('1.22 m');
  // The dog’s kit knows that it is there.
  await page.goto(`/dogs/${dogId}`);
  await page.getByRole('tab', { name: 'Kit' }).click();
  await expect(page.getByRole('region', { name: 'Kit' }).getByText('Old brown in the locker')).toBeVisible();
  await page.goto('/locker?show=gear');
  await piece.getByRole('button', { name: /Change/ }).click();
  await page.getByRole('button', { name: 'Scrap it' }).click();
  await expect(piece).toHaveCount(0);
  await page.goto(`/dogs/${dogId}`);
  await page.getByRole('tab', { name: 'Kit' }).click();
  await expect(page.getByRole('region', { name: 'Kit' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Kit' }).getByText(/Old brown/)).toHaveCount(0);
});

test('what a dog no longer wears is set aside, taken back with one press, and both stay in the record', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  await page.getByRole('tab', { name: 'What it wears' }).click();
  const fits = page.getByRole('region', { name: 'Fits' });
  await expect(fits.getByRole('listitem')).toHaveCount(2);
  await fits.getByRole('button', { name: 'Set aside the remote electronic' }).click();
  await expect(fits.getByText('Set aside: remote collar')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bramble is fitted: Hazel.');
  await fits.getByRole('button', { name: 'Wear it again' }).click();
  await expect(fits.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('tab', { name: 'What happened' }).click();
  const happened = page.getByRole('region', { name: 'What happened' });
  await expect(happened.getByText('Remote electronic Curlew is no longer worn.')).toBeVisible();
  await expect(happened.getByText('Remote electronic Curlew is worn again.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'What it wears' }).click();
  await expect(fits.getByRole('listitem')).toHaveCount(2);
});

test('one collar, two dogs: re-linked for the second, the first is told on every screen, and the bench says so before', async ({ page }) => {
  const first = await dressedDog(page, 'Yarrow');
  const { plans } = (await (await page.request.get(`/api/dogs/${first}/page`)).json()) as {
    plans: { kind: string; collarId: string; placeId: string; choices: object }[];
  };
  const { collarId, placeId, choices } = plans.find(({ kind }) => kind === 'prong')!;
  await page.goto(`/dogs/${first}/check?kind=prong`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Good. Yarrow is fitted.');
  // A second dog is put on the bench with the same collar: the bench says for whom it is made up.
  const second = await tapedDog(page, 'Teasel', 28, { ...WHOLE, high: 370 }, placeId);
  await page.goto(`/dogs/${second}/bench/prong`);
  await expect(page.getByText('Hazel is set for Yarrow now: 11 links (6 left, 5 right).')).toBeVisible();
  const planId = uuidv7();
  const split = { left: 5, right: 5 };
  await put(page, `/api/plans/${planId}`, { dogId: second, collarId, kind: 'prong', choices: { ...choices, split }, placeId, note: '', at: now() });
  const answers = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
  await put(page, `/api/fit-checks/${uuidv7()}`, { dogId: second, planId, kind: 'prong', on: split, answers, note: '', at: now() });

  const told = 'Put one link back in: Hazel is set for Teasel, 10 links.';
  await page.goto(`/dogs/${first}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(told);
  await page.goto(`/dogs/${first}/check?kind=prong`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(told);
  await page.goto(`/dogs/${first}/bench/prong`);
  await expect(page.getByText('10 links (5 left, 5 right) as it hangs')).toBeVisible();
  await page.goto('/dogs');
  await expect(page.getByText(told)).toBeVisible();
  await page.goto('/today');
  await expect(page.getByText(/Hazel is set for Teasel, 10 links\./).first()).toBeVisible();
  // Found on the first dog again, it is the second that is told.
  const back = plans.find(({ kind }) => kind === 'prong') as unknown as { id: string };
  await put(page, `/api/fit-checks/${uuidv7()}`, { dogId: first, planId: back.id, kind: 'prong', on: { left: 6, right: 5 }, answers, note: '', at: now() });
  await page.goto(`/dogs/${second}`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Take one link out: Hazel is set for Yarrow, 11 links.');
});

test('a dog that wears two collars is checked in each by itself', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  await page.getByRole('tab', { name: 'What it wears' }).click();
  const fits = page.getByRole('region', { name: 'Fits' });
  await fits.getByRole('listitem').filter({ hasText: 'Curlew' }).getByRole('link', { name: 'Check' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Do both contacts touch skin?' })).toBeVisible();
  await expect(page.getByRole('radiogroup', { name: 'Are both ears free?' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Prong', exact: true }).click();
  await expect(page.getByRole('radiogroup', { name: 'Are both ears free?' })).toBeVisible();
});

test('a dog has a school of its own where it needs one, with the reason; the other dogs stay with the house', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Fern');
  await page.getByRole('tab', { name: 'Dog', exact: true }).click();
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await page.getByText('Other rules for this dog').click();
  await page.getByRole('radiogroup', { name: 'Prong between two sizes' }).getByRole('radio', { name: 'snug' }).click();
  await page.getByRole('button', { name: 'Save change' }).click();
  await expect(page.getByText('Not saved yet: something above needs another look.')).toBeVisible();
  await page.getByLabel('Why').fill('Thick ruff; a finer one is lost in it.');
  await page.getByRole('button', { name: 'Save change' }).click();
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await openBench(page, 'Fern');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take out 2 links, one each side.');
  await openDog(page, 'Fern');
  await page.getByRole('tab', { name: 'Dog', exact: true }).click();
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await expect(page.getByLabel('Why')).toHaveValue('Thick ruff; a finer one is lost in it.');
  await page.getByRole('radiogroup', { name: 'Prong between two sizes' }).getByRole('radio', { name: 'As the house' }).click();
  await expect(page.getByLabel('Why')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save change' }).click();
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await openBench(page, 'Fern');
  await expect(page.getByText('3.0 mm sits between two sizes; 2.25 mm has a smaller link and lands inside.').first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Take out 2 links, one each side.');
  // Opened and left again, a form is no work of anybody’s: the next time it shows what is kept.
  await page.goBack();
  await openDog(page, 'Fern');
  await page.getByRole('tab', { name: 'Dog', exact: true }).click();
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Fern');
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Fern');
  await expect(page.getByText('Picked up where you left off.')).toHaveCount(0);
});
