import { expect, expectAccessible, test } from './bench-hand.ts';
import { dressedDog, now, put } from './known-dogs.ts';
import { v7 as uuidv7 } from 'uuid';

test('a dog goes home: its pages, the owner’s link with ticks that survive a lost connection, what changed since, and the link taken back', async ({
  page,
  browser,
  expectFaults,
}) => {
  test.setTimeout(240_000);
  expectFaults(/404|Failed to load resource|ERR_INTERNET_DISCONNECTED/);
  const dogId = await dressedDog(page, 'Yarrow');
  await page.goto(`/dogs/${dogId}/handover`);
  // What is not ready is said first, for the trainer.
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Before Yarrow goes');
  await expect(page.getByText('Lay out the rig with its backup')).toBeVisible();
  await page.getByLabel('To whom').fill('Ida Fell');
  await page.getByLabel('Whom they call').fill('Robin, 01632 960 123');
  await page.getByRole('tab', { name: 'Note and units' }).click();
  await page.getByRole('radio', { name: 'inches, pounds' }).click();
  await page.getByLabel('What else they should know').fill('Eats after the walk.');
  // Typed work survives a reload.
  await page.reload();
  await expect(page.getByLabel('Whom they call')).toHaveValue('Robin, 01632 960 123');
  // On paper all of it, on the screen a part at a time.
  await page.emulateMedia({ media: 'print' });
  const paper = page.getByRole('article', { name: 'Handover of Yarrow' });
  await expect(paper).toContainText('6 left, 5 right');
  await expect(paper).toContainText('15 5/8 in');
  await expect(paper.getByRole('img', { name: /unrolled, to scale/ })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  // Which tool where is worked out, and said otherwise for this dog; the heel line is the same for everybody.
  await page.getByRole('tab', { name: 'Which tool where' }).click();
  await page.getByLabel('Heel line', { exact: true }).fill('shoulder at the trouser seam');
  await page.getByRole('button', { name: /^A slip lead for the first weeks/ }).click();
  await page.getByRole('button', { name: 'Save tools' }).click();
  await expect(page.getByRole('button', { name: 'Save tools' })).toBeDisabled();
  await page.getByRole('tab', { name: 'Pages' }).click();
  const looked = page.getByRole('tabpanel');
  await expect(looked).toContainText('A slip lead for the first weeks, its stopper set');
  await looked.getByText('Ring and side').click();
  await expect(looked).toContainText('Shoulder at the trouser seam: the same for everybody who walks it.');
  await expectAccessible(page);
  // Printed from a dark screen it is dark on white all the same.
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  await expect(paper).toContainText('Shoulder at the trouser seam: the same for everybody who walks it.');
  expect(await paper.evaluate((one) => getComputedStyle(one).color)).toBe('rgb(24, 39, 35)');
  await page.emulateMedia({ media: 'screen', colorScheme: 'light' });
  await page.getByRole('button', { name: 'Save handover' }).click();
  await expect(page.getByRole('link', { name: 'The pages (PDF)' })).toBeVisible();

  await page.getByRole('tab', { name: 'Owner’s link' }).click();
  await page.getByLabel('Whose').fill('Ida’s phone');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByText(/\/owner#[0-9a-f]{64}/).innerText();
  const theirs = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block', acceptDownloads: true });
  const owner = await theirs.newPage();
  await owner.goto(link);
  await expect(owner.getByRole('heading', { level: 1 })).toContainText('to check today');
  await expectAccessible(owner);
  expect(await owner.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await theirs.setOffline(true);
  await owner.getByRole('checkbox').first().click();
  await expect(owner.getByText('Your ticks are safe on this device')).toBeVisible();
  await theirs.setOffline(false);
  await expect(owner.getByText('Your ticks are safe on this device')).toBeHidden({ timeout: 15_000 });
  await owner.reload();
  await expect(owner.getByRole('checkbox').first()).toBeChecked();
  // What is not right is said with one press, also without a connection, and undone with one.
  await theirs.setOffline(true);
  await owner.getByRole('button', { name: 'It slid down' }).click();
  await owner.getByRole('button', { name: 'It is off' }).click();
  await owner.getByRole('button', { name: 'It is off' }).click();
  await expect(owner.getByRole('button', { name: 'It slid down' })).toHaveAttribute('aria-pressed', 'true');
  // Nothing is called sent before it is.
  await expect(owner.getByText('Sent to your trainer.')).toHaveCount(0);
  await theirs.setOffline(false);
  await expect(owner.getByText('Sent to your trainer.')).toBeVisible();
  await owner.reload();
  await expect(owner.getByRole('button', { name: 'It slid down' })).toHaveAttribute('aria-pressed', 'true');
  await expect(owner.getByRole('button', { name: 'It is off' })).toHaveAttribute('aria-pressed', 'false');
  await page.goto('/today');
  await expect(page.getByText('Yarrow: it slid down, says Ida’s phone.').first()).toBeVisible();
  await page.goto(`/dogs/${dogId}/handover`);
  const [file] = await Promise.all([owner.waitForEvent('download'), owner.getByRole('button', { name: 'Get the PDF' }).click()]);
  expect(file.suggestedFilename()).toBe('Yarrow handover.pdf');
  // The owner reaches nothing else.
  await owner.goto(`/dogs/${dogId}`);
  await expect(owner).toHaveURL(/\/sign-in/);

  // Another measure since: what is otherwise is told line by line.
  const taping = { dogId, site: 'high', way: 'tape', readingsMm: [410, 410, 410], typed: [], overCoat: false, coatDepthMm: null, weightG: 29_000, neckBuild: 'average', at: now(), correctsId: null }; // prettier-ignore
  await put(page, `/api/tapings/${uuidv7()}`, taping);
  const { collars } = (await (await page.request.get('/api/collars')).json()) as { collars: { id: string; kind: string }[] };
  const { places } = (await (await page.request.get('/api/places')).json()) as { places: { id: string }[] };
  const choices = { gaugeSchool: 'pull-first', betweenSchool: 'finer', split: { left: 6, right: 6 }, start: null, ring: 'live', ringPlace: 'nape' };
  await put(page, `/api/plans/${uuidv7()}`, { dogId, collarId: collars.find(({ kind }) => kind === 'prong')!.id, kind: 'prong', choices, placeId: places[0]!.id, note: 'Grown.', at: now() }); // prettier-ignore
  await page.reload();
  await page.getByRole('tab', { name: /^Since / }).click();
  const since = page.getByRole('region', { name: /^Since / });
  await expect(since).toContainText('6 left, 5 right');
  await expect(since).toContainText('6 left, 6 right');
  await page.getByRole('tab', { name: 'Owner’s link' }).click();
  await page.getByText('What was done with them').click();
  await expect(page.getByText(/Ida’s phone took the pages/)).toBeVisible();
  await expect(page.getByText(/Ida’s phone ticked: /)).toBeVisible();

  await page.getByRole('button', { name: /Withdraw.*Ida’s phone/ }).click();
  await expect(page.getByText('Ended (1)')).toBeVisible();
  await owner.goto(link);
  await owner.reload();
  await expect(owner.getByRole('alert')).toContainText('This link does not work');
  await theirs.close();
});
