import { expect, expectAccessible, newKennel, openAlerts, test } from './bench-hand.ts';
import { tapedDog, WHOLE } from './known-dogs.ts';

test('a colleague comes by a link, reads, is let work, and is out at once when the lead says so; the log tells it all', async ({
  page,
  browser,
  expectFaults,
}) => {
  expectFaults(/401|403|Failed to load resource/);
  await newKennel(page);
  await tapedDog(page, 'Teasel', 29, WHOLE);
  await page.goto('/house?show=people');
  await page.getByLabel('Their name').fill('Bryony Reed');
  await page.getByRole('radio', { name: 'Reader' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByText(/\/join#[0-9a-f]{64}/).innerText();

  const theirs = await browser.newContext({ serviceWorkers: 'block' });
  const other = await theirs.newPage();
  await other.goto(link);
  await expect(other.getByRole('heading', { level: 1 })).toContainText('Join');
  await expectAccessible(other);
  await expect(other.getByLabel('Your name')).toHaveValue('Bryony Reed');
  const [theirEmail, theirPassword] = [`bryony-${Date.now()}@example.test`, 'reeds in the wind'];
  await other.getByLabel('E-mail').fill(theirEmail);
  await other.getByLabel('Password').fill(theirPassword);
  await other.getByRole('button', { name: 'Join' }).click();
  await expect(other).toHaveURL(/\/today/);

  // A reader sees the rules and is told before typing in vain; the same link lets nobody else in.
  await other.goto('/house');
  await expect(other.getByText('Only a lead of the kennel does this.').first()).toBeVisible();
  await other.goto('/field');
  await expect(other.getByText('You can only read here')).toBeVisible();
  await other.goto(link.replace(/^https?:\/\/[^/]+/, ''));
  await other.reload();
  await expect(other.getByRole('alert')).toContainText('No way in by this link');

  // Made an assistant, they work.
  await page.reload();
  await page.getByLabel('Part of Bryony Reed').selectOption({ label: 'Assistant' });
  await expect(page.getByText('Bryony Reed is assistant from their next sign-in on.')).toBeVisible();
  await other.goto('/dogs');
  await openAlerts(other);
  await expect(other.getByText('Your role is assistant now. Sign out and in again to use it.')).toBeVisible();
  // What that page still asks for under the old sign-in must not come in between.
  await other.goto('about:blank');
  expect((await other.request.post('/api/sign-in', { data: { email: theirEmail, password: theirPassword } })).ok()).toBe(true);
  await other.goto('/dogs/new');
  await other.getByLabel('Name', { exact: true }).fill('Rush');
  await other.getByRole('button', { name: /^Save/ }).first().click();
  await expect(other.getByRole('heading', { name: 'Rush' })).toBeVisible();

  // Out at once: the open page finds it has no way in any more.
  await page.getByRole('button', { name: 'End access of Bryony Reed' }).click();
  await page.getByRole('button', { name: 'End access now' }).click();
  await expect(page.getByText('Bryony Reed gets in no more')).toBeVisible();
  await other.goto('/dogs');
  await expect(other).toHaveURL(/\/sign-in/);
  await theirs.close();

  await page.goto('/house?show=deeds');
  await expect(page.getByText('ended the access of Bryony Reed')).toBeVisible();
  await page.getByRole('combobox', { name: /^Who/ }).selectOption({ label: 'Bryony Reed' });
  await expect(page.getByText('added the dog Rush')).toBeVisible();
  await expect(page.getByText('ended the access of')).toHaveCount(0);
  await page.getByRole('combobox', { name: /^What/ }).selectOption({ label: 'sign-ins' });
  await expect(page.getByText(/^signed in on a desk/)).toHaveCount(2);
});
