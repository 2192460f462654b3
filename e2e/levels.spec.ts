import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { readFile } from 'node:fs/promises';
import { dogScreen, enterDemo, expect, expectAccessible, openDog, test } from './bench-hand.ts';
import { dressedDog } from './known-dogs.ts';

const heading = (page: Page) => page.getByRole('heading', { level: 1 });

/** Tells what happened, as a phone would. */
async function tell(page: Page, happenings: object[]) {
  const data = { source: 'hand', phone: 'test', sentAt: new Date().toISOString(), clock: null, happenings };
  const response = await page.request.post('/api/happenings', { data });
  expect((await response.json()).results.every(({ status }: { status: string }) => status === 'kept')).toBe(true);
}

/** Presses of many mornings, told as a phone would: `levelOn` says what the dog needs on a day so many days ago. */
async function tellMornings(page: Page, dogId: string, days: number[], levelOn: (days: number) => number) {
  const { collars } = (await (await page.request.get(`/api/dogs/${dogId}/levels`)).json()) as { collars: { id: string }[] };
  const { me } = (await (await page.request.get('/api/doorstep')).json()) as { me: { person: { id: string } } };
  const collarId = collars[0]!.id;
  for (const daysAgo of days) {
    const from = Date.now() - daysAgo * 86_400_000 - 3_600_000;
    const sessionId = uuidv7();
    const at = (seconds: number) => new Date(from + seconds * 1000).toISOString();
    const events: object[] = [{ event: 'begin', id: uuidv7(), sessionId, at: at(0), dogId, setting: 'yard', handlerId: me.person.id, purpose: 'work' }];
    if (daysAgo > 6) events.push({ event: 'contact', id: uuidv7(), sessionId, at: at(5), collarId, made: true });
    for (const [index, off] of [-1, 0, 0, 1].entries()) {
      const pressId = uuidv7();
      events.push({ event: 'press', id: pressId, sessionId, at: at(30 + index * 20), collarId, level: levelOn(daysAgo) + off, mode: 'momentary' });
      events.push({ event: 'response', id: uuidv7(), sessionId, at: at(31 + index * 20), pressId, response: 'did', latencyMs: 800 });
    }
    events.push({ event: 'correction', id: uuidv7(), sessionId, at: at(200), direction: 'back' }, { event: 'end', id: uuidv7(), sessionId, at: at(600) });
    await tell(page, events);
  }
}

test('a dog whose contact fails is told as one to check, with since when and when contact was last felt; never to go higher', async ({ page }) => {
  test.setTimeout(240_000);
  const dogId = await dressedDog(page);
  await tellMornings(page, dogId, [20, 19, 18, 17, 16, 15, 14, 13, 12, 11, 10, 9, 8, 5, 4, 3], (days) => (days <= 5 ? 17 : 10 + (days % 2)));
  // Nobody has felt the contact since: what the check of today answered of it is taken back.
  const { events } = (await (await page.request.get(`/api/dogs/${dogId}/neck`)).json()) as { events: { id: string; event: string; at: string }[] };
  const felt = events.filter(({ event }) => event === 'contact').sort((a, b) => (a.at < b.at ? -1 : 1));
  const gone = { event: 'void', id: uuidv7(), at: new Date().toISOString(), eventId: felt.at(-1)!.id };
  await tell(page, [gone]);
  await page.goto(`/dogs/${dogId}/levels`);
  // Usual: eight mornings at 10 or 11, 10.5 on average; since then 17: 6.5 more.
  await expect(heading(page)).toHaveText('Yarrow: check the contact. The yard level rose.');
  const day = (daysAgo: number) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'Europe/London' }).format(Date.now() - daysAgo * 86_400_000 - 3_600_000).replace('Sept', 'Sep'); // prettier-ignore
  await expect(page.getByText(`The level needed rose by 6.5 since ${day(5)}; contact was last checked on ${day(8)}. Contact first`)).toBeVisible();
  const chart = page.getByRole('group', { name: /^Level needed in yard, 16 sessions/ });
  await chart.focus();
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/: needed 17, average .*, out of its limits \((EWMA and CUSUM|CUSUM and EWMA)\)/)).toBeVisible();
  await page.getByRole('button', { name: 'As a table' }).first().click();
  await expect(page.getByRole('region', { name: 'Level needed, as a table' }).getByRole('row')).toHaveCount(17);
  await expect(page.getByText(/higher/i)).toHaveCount(0);

  // Presses: read out by key, narrowed by key, and what is shown goes out as CSV.
  await page.getByRole('tab', { name: 'Presses' }).click();
  const presses = page.getByRole('group', { name: /^Presses over time/ });
  await presses.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/: 18, did it, after 0\.8 s$/)).toBeVisible();
  for (let narrower = 0; narrower < 2; narrower += 1) await page.keyboard.press('+');
  await expect(page.getByRole('button', { name: 'Whole record' })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^\d+ of 16 sessions$/ })).toBeVisible();
  const shown = Number((await page.getByRole('heading', { name: /of 16 sessions$/ }).textContent())!.split(' ')[0]);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Take these as CSV' }).click()]);
  const lines = (await readFile(await download.path(), 'utf8')).trim().split('\r\n');
  expect(lines).toHaveLength(shown + 1);
  expect(lines[0]).toContain('level needed');
  await page.getByRole('button', { name: 'Whole record' }).click();
  await expect(page.getByRole('heading', { name: '16 sessions' })).toBeVisible();

  await page.getByRole('tab', { name: 'Cap' }).click();
  await page.getByRole('button', { name: 'Set one' }).click();
  await page.getByRole('textbox', { name: 'Cap' }).fill('120');
  await expect(page.getByText('This device’s scale goes from 1 to 100.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Cap' }).fill('12');
  await page.getByLabel('Why').fill('Until the strap is right.');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByText('Cap 12, set by Robin: Until the strap is right.')).toBeVisible();
  await expectAccessible(page);
  // The drifted level is neither offered nor what was last needed, and a jump to it is asked about.
  await page.goto('/field');
  await page.getByRole('button', { name: /^Yarrow/ }).click();
  await page.getByRole('radio', { name: 'yard' }).click();
  await page.getByRole('button', { name: 'Begin with Yarrow' }).click();
  // Eight days ago, before the contact failed, 9 to 11 were pressed and each drew what was asked: 9 was enough.
  await expect(page.getByText('last needed 9 here (yard)')).toBeVisible();
  await expect(page.getByText(/^The level needed here rose by 6\.5 since .*, and nobody has felt the contact since/)).toBeVisible();
  await page.getByRole('button', { name: 'End', exact: true }).click();
  // The first question has its buttons where the alarm is shown; answered, the next one follows.
  await page.goto(`/dogs/${dogId}/levels`);
  await page.getByRole('button', { name: 'No contact' }).click();
  await expect(page.getByText('Strap, hair and posts first; then feel again. Never a higher level.')).toBeVisible();
  await page.getByRole('button', { name: 'Contact good', exact: true }).click();
  await expect(heading(page)).toHaveText('Yarrow: check skin and place. The yard level rose.');
  await expect(page.getByRole('link', { name: 'Check skin' })).toBeVisible();
  await page.getByRole('button', { name: 'Skin and place good' }).click();
  await expect(heading(page)).toHaveText('Yarrow: check the battery. The yard level rose.');
  await page.goto('/today');
  await expect(page.getByText('Yarrow: check the battery. The yard level rose.').first()).toBeVisible();
  await page.goto(`/dogs/${dogId}/levels`);
  await page.getByRole('button', { name: 'The battery was it' }).click();
  await expect(heading(page)).toHaveText('Yarrow: charge the battery. The yard level rose.');
  await expect(page.getByRole('list', { name: 'Looked at' }).getByRole('listitem')).toHaveCount(3);
});

test('the demo’s levels: contact failed in the yard, one genuine change on the bog; in dark and on a phone', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Bramble');
  await dogScreen(page, 'Train', 'Levels');
  await expect(heading(page)).toHaveText('Bramble: check the contact. The yard level rose.');
  await page.getByRole('combobox', { name: 'Setting' }).selectOption('cranberry bog');
  await expect(page.getByText(/^The level needed fell by [23](\.\d)? since .*: work lower\.$/)).toBeVisible();
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectAccessible(page);
});

test('a dog without a device has no levels, and is told where to fit one', async ({ page }) => {
  await enterDemo(page);
  await openDog(page, 'Juniper');
  await dogScreen(page, 'Train', 'Levels');
  await expect(heading(page)).toHaveText('Juniper wears no device.');
  await expectAccessible(page);
});
