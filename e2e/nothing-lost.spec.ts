import type { Locator } from '@playwright/test';
import {
  addDog,
  enterDemo,
  expect,
  haveTheUsual,
  makeKennel,
  newKennel,
  openBench,
  dogScreen,
  openAlerts,
  openDog,
  putOnBench,
  read,
  test,
  withoutPicture,
} from './bench-hand.ts';
import { dressedDog } from './known-dogs.ts';

test('a lost connection in the middle of saving: it is safe on this device, and kept once when it is back', async ({ page, context, expectFaults }) => {
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  await makeKennel(page);
  await addDog(page, 'Yarrow');
  await read(page, 'High girth', ['39.8', '39.9', '39.7']);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByText('It is safe on this device and will be sent.')).toBeVisible();
  await openAlerts(page);
  await expect(page.getByText('No connection. What you type stays on this device')).toBeVisible();
  await expect(page.getByText('1 entry to be sent.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('1 entry to be sent.')).toBeHidden({ timeout: 20_000 });
  await openDog(page, 'Yarrow');
  await expect(page.getByRole('region', { name: 'What happened' }).getByRole('listitem').getByText('Taped', { exact: true })).toHaveCount(1);
});

test('an answer that never came: the same request again is kept once', async ({ page, expectFaults }) => {
  expectFaults(/ERR_FAILED|Failed to load resource/);
  await makeKennel(page);
  await addDog(page, 'Campion');
  await read(page, 'High girth', ['39.8', '39.9', '39.7']);
  // The server keeps it, but its answer is lost on the way, twice.
  let lost = 0;
  await page.route('**/api/tapings/*', async (route) => {
    if (lost >= 2) return route.continue();
    lost += 1;
    await route.fetch();
    await route.abort();
  });
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByRole('heading', { name: /^Nothing in the locker fits/ })).toBeVisible({ timeout: 15_000 });
  await openDog(page, 'Campion');
  await expect(page.getByRole('region', { name: 'What happened' }).getByRole('listitem').getByText('Taped', { exact: true })).toHaveCount(1);
});

test('a reload and a closed tab: what was typed is picked up again', async ({ page, context }) => {
  await makeKennel(page);
  await addDog(page, 'Mallow');
  await read(page, 'High girth', ['39.8', '15 5/8']);
  await page.reload();
  await expect(page.getByText('Picked up where you left off.')).toBeVisible();
  await expect(page.getByRole('group', { name: 'High girth' }).getByLabel('Reading 1')).toHaveValue('39.8');
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByRole('group', { name: 'High girth' }).getByLabel('Reading 2')).toHaveValue('15 5/8');
  await again.getByRole('button', { name: 'Start over' }).click();
  await expect(again.getByRole('group', { name: 'High girth' }).getByLabel('Reading 1')).toHaveValue('');
});

test('a bench made up by hand and its note are there after a reload, and go when started afresh', async ({ page }) => {
  await enterDemo(page);
  await openBench(page, 'Bramble');
  await page.getByRole('button', { name: /^10 links:/ }).click();
  await page.getByLabel(/Why save it anyway/).fill('He is clipped tomorrow');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Take out one link, on the dog’s left.');
  await expect(page.getByLabel(/Why save it anyway/)).toHaveValue('He is clipped tomorrow');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Leave it as it is: 11 links.');
  await page.getByRole('tab', { name: /^Place, note/ }).click();
  await expect(page.getByLabel(/Note/)).toHaveValue('');
});

test('what was made up on the bench for another tape is dropped with a word, and its note stays', async ({ page }) => {
  await makeKennel(page);
  await addDog(page, 'Sedge');
  await read(page, 'High girth', ['39.8', '39.8', '39.8']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await putOnBench(page);
  await haveTheUsual(page);
  await page.getByRole('button', { name: /^13 links:/ }).click();
  await page.getByLabel(/Why save it anyway/).fill('She is clipped tomorrow');
  const bench = page.url();
  await dogScreen(page, 'Fit', 'Tape');
  await read(page, 'High girth', ['41.0', '41.0', '41.1']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByRole('main').getByRole('link', { name: 'Prong', exact: true })).toBeVisible();
  await page.goto(bench);
  await expect(page.getByText('What was set up here no longer fits the newer records.')).toBeVisible();
  await page.getByRole('tab', { name: /^Place, note/ }).click();
  await expect(page.getByLabel(/Note|Why save it anyway/)).toHaveValue('She is clipped tomorrow');
});

test('what is typed on any screen is there after a reload, offline too: rules, a weight, a wearing, a place, a link, a note', async ({
  page,
  context,
  expectFaults,
}) => {
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  await newKennel(page);
  const dogId = await dressedDog(page);
  /** Types something, goes away, comes back: it is there, and gone once it is taken out again. */
  async function survives(path: string, open: () => Promise<unknown>, field: () => Locator, typed: string) {
    await page.goto(path);
    await open();
    await field().fill(typed);
    await page.reload();
    await expect(field()).toHaveValue(typed);
  }
  const nothing = () => Promise.resolve();
  await survives('/house?section=kennel', nothing, () => page.getByRole('textbox', { name: 'Kennel' }), 'Gorse and Furze');
  await expect(page.getByText('Your unsaved changes are back.')).toBeVisible();
  await survives(`/dogs/${dogId}/growth`, nothing, () => page.getByRole('form', { name: /^Weigh/ }).getByRole('textbox', { name: 'Weight' }), '31.4');
  await survives(
    `/dogs/${dogId}/neck`,
    () => page.getByRole('button', { name: 'Add something else it wears' }).click(),
    () => page.getByLabel('Name (may be left empty)'),
    'Owner’s band',
  );
  await survives('/house?show=devices', nothing, () => page.getByRole('textbox', { name: /name|called/i }).first(), 'Barn bridge');
  await survives('/house?show=people', nothing, () => page.getByLabel('Their name'), 'Bryony Reed');
  await survives('/locker?show=shopping', nothing, () => page.getByRole('textbox').first(), 'A coupler');

  // House rules saved without a connection wait, and are there after a reload; saved with one, they are the kennel's.
  await page.goto('/house?section=kennel');
  await expect(page.getByRole('textbox', { name: 'Kennel' })).toHaveValue('Gorse and Furze');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Save rules' }).click();
  await openAlerts(page);
  await expect(page.getByText('No connection. What you type stays on this device')).toBeVisible();
  await context.setOffline(false);
  await expect.poll(async () => ((await (await page.request.get('/api/kennel')).json()) as { name: string }).name).toBe('Gorse and Furze');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Kennel' })).toHaveValue('Gorse and Furze');
  await expect(page.getByText('Your unsaved changes are back.')).toBeHidden();
});

test('a screen that could not be loaded loads by itself when Banter answers again', async ({ page, expectFaults }) => {
  expectFaults(/503|Failed to load resource/);
  await newKennel(page);
  let away = true;
  await page.route('**/api/locker?*', (route) => (away ? route.fulfill({ status: 503, contentType: 'application/problem+json', body: JSON.stringify({ type: '/problems/database-away', title: 'The records are away just now.', status: 503, code: 'database-away' }) }) : route.continue())); // prettier-ignore
  await withoutPicture(page);
  await page.goto('/locker');
  await expect(page.getByText('The records are away just now.')).toBeVisible();
  away = false;
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText('The records are away just now.')).toBeHidden();
});

test('a sign-in that has ended: what was typed is still there after signing in again', async ({ page, context, expectFaults }) => {
  expectFaults(/401/);
  const { email, password } = await makeKennel(page);
  await page.goto('/dogs/new');
  await page.getByLabel('Name', { exact: true }).fill('Clover');
  await context.clearCookies();
  await page.getByRole('button', { name: 'Save and screen' }).click();
  await page.getByRole('link', { name: 'Sign in again' }).click();
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Clover');
  await page.getByRole('button', { name: 'Save and screen' }).click();
  await expect(page.getByRole('heading', { name: 'Anything against a collar on Clover?' })).toBeVisible();
});

test('two people change the same dog: the second is told, loses nothing, and can see the other’s', async ({ page, context, expectFaults }) => {
  expectFaults(/409/);
  await makeKennel(page);
  await addDog(page, 'Thrift');
  const edit = page.url().replace('/tape', '/edit');
  await page.goto(edit);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Thrift');
  const other = await context.newPage();
  await other.goto(edit);
  await other.getByLabel('Owner').fill('Somebody else');
  await other.getByRole('button', { name: 'Save change' }).click();
  await other.getByRole('tab', { name: 'Dog', exact: true }).click();
  await expect(other.getByText('Somebody else')).toBeVisible();

  await page.getByLabel('Notes').fill('My note');
  await page.getByRole('button', { name: 'Save change' }).click();
  await expect(page.getByText('Somebody has changed this since. Yours is still here.')).toBeVisible();
  await expect(page.getByLabel('Notes')).toHaveValue('My note');
  await page.getByRole('button', { name: 'Show theirs' }).click();
  await expect(page.getByLabel('Owner')).toHaveValue('Somebody else');
});

test('bad input gets a plain sentence at its field, and nothing is kept', async ({ page }) => {
  await makeKennel(page);
  await page.goto('/dogs/new');
  await page.getByRole('button', { name: 'Save and screen' }).click();
  await expect(page.getByText('A dog needs a name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('x'.repeat(5000));
  await expect(page.getByText('This is too long: at most 60 characters.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('<img src=x onerror=alert(1)>');
  await page.getByLabel('Birth date').last().fill('2999-01-01');
  await expect(page.getByText('This birth date is in the future.')).toBeVisible();
  await page.getByLabel('Birth date').last().fill('2023-04-01');
  await page.getByLabel('Weight', { exact: true }).fill('300');
  await expect(page.getByText(/A dog weighs between/)).toBeVisible();
  await page.getByLabel('Weight', { exact: true }).fill('62 lb');
  await page.getByRole('button', { name: 'Save and screen' }).click();
  await expect(page.getByRole('heading', { name: 'Anything against a collar on <img src=x onerror=alert(1)>?' })).toBeVisible();
  await dogScreen(page, 'Fit', 'Tape');
  await expect(page.getByRole('heading', { name: 'Tape <img src=x onerror=alert(1)>’s neck, high girth first.' })).toBeVisible();

  const high = page.getByRole('group', { name: 'High girth' });
  for (const [typed, sentence] of [
    ['3', '3.0 cm cannot be: this is between 10.0 cm and 120.0 cm.'],
    ['abc', 'This is not a measure. Write it as 15 3/8, 15.375 in or 39.1 cm.'],
    ['15 1/0', 'A fraction cannot have 0 below the line.'],
    ['-39', 'A measure cannot be below zero.'],
  ]) {
    await high.getByLabel('Reading 1').fill(typed!);
    await expect(high.getByText(sentence!)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save and size' })).toBeDisabled();
  }
  await read(page, 'High girth', ['39', '43']);
  await expect(high.getByText('The readings lie 40 mm apart, more than the 6 mm allowed: take another.')).toBeVisible();
  await expect(high.getByText('2 readings always ask for a third')).toBeVisible();
  await read(page, 'High girth', ['39', '39.1', '39.2']);
  await read(page, 'Head girth', ['36', '36.1', '36.2']);
  await expect(page.getByText(/^The head, 36.1 cm, comes out smaller than the neck, 39.1 cm/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save and size' })).toBeEnabled();
});

test('a taping is corrected by a new one; the old stays, struck through', async ({ page }) => {
  await makeKennel(page);
  await addDog(page, 'Sorrel', '27');
  await read(page, 'High girth', ['47.8', '47.9', '47.7']);
  await expect(page.getByRole('heading', { name: 'Was the high girth taken lower down?' })).toBeVisible();
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByRole('heading', { name: /^Nothing in the locker fits/ })).toBeVisible();
  await dogScreen(page, 'Keep', 'Record');
  await expect(page.getByRole('heading', { name: 'Tape again: the high girth may have been taken lower down.' })).toBeVisible();
  await page.getByRole('region', { name: 'What happened' }).getByText('High girth 47.8 cm').click();
  await page.getByRole('link', { name: 'Correct this taping' }).click();
  await read(page, 'High girth', ['39.2', '39.1', '39.3']);
  await page.getByRole('button', { name: 'Save correction' }).click();
  await expect(page.getByRole('heading', { name: 'Choose and size a collar.' })).toBeVisible();
  await expect(page.getByText('corrected later')).toBeVisible();
});

test('«no, behind the ears» settles the doubt of a high girth for that taping, and other readings ask again', async ({ page }) => {
  await makeKennel(page);
  await addDog(page, 'Tansy', '27');
  await read(page, 'High girth', ['47.8', '47.9', '47.7']);
  const doubt = page.getByRole('heading', { name: 'Was the high girth taken lower down?' });
  const settle = page.getByRole('button', { name: 'No, behind the ears' });
  await settle.click();
  await expect(doubt).toHaveCount(0);
  await read(page, 'High girth', ['47.8', '47.9', '47.6']);
  await expect(doubt).toBeVisible();
  await settle.click();
  await expect(page.getByText(/^Taped behind the ears, as was asked/)).toBeVisible();
  await page.getByRole('button', { name: 'Save and size' }).click();
  await expect(page.getByRole('heading', { name: /^Nothing in the locker fits/ })).toBeVisible();
  await dogScreen(page, 'Keep', 'Record');
  await expect(page.getByRole('heading', { name: 'Choose and size a collar.' })).toBeVisible();
});

test('a doubt that was left open is settled at the bench with one press', async ({ page }) => {
  await makeKennel(page);
  await addDog(page, 'Tussock', '13');
  await read(page, 'High girth', ['38', '38', '38']);
  await page.getByRole('button', { name: 'Save and size' }).click();
  await putOnBench(page);
  await page.getByRole('button', { name: 'Size with these three' }).click();
  await page.getByRole('button', { name: 'No, behind the ears' }).click();
  await expect(page.getByText('The high girth may have been taken lower down')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Cross-section' })).toBeVisible();
  await expect(page.getByText('The high girth may have been taken lower down')).toHaveCount(0);
});

test('the demo kennel and one’s own never meet', async ({ page, browser }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  const address = new URL(page.url()).pathname;
  const context = await browser.newContext();
  const other = await context.newPage();
  await makeKennel(other);
  await other.goto(address);
  await expect(other.getByRole('heading', { name: 'Not here' })).toBeVisible();
  await context.close();
});
