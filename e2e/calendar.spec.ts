import { createHash, randomBytes } from 'node:crypto';
import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { PROGRAMME_TEMPLATES } from '@banter/core';
import { expect, expectAccessible, newKennel, test } from './bench-hand.ts';
import { put, tapedDog } from './known-dogs.ts';

const heading = (page: Page) => page.getByRole('heading', { level: 1 });
const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

/** A dog in «wear first» since some days. */
async function inProgramme(page: Page, name: string) {
  const dogId = await tapedDog(page, name, 22, {});
  const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
  const id = uuidv7();
  const facts = { dogId, templateId: template.id, name: template.name, stages: template.stages, startsOn: day(-1), state: 'running', note: '' };
  await put(page, `/api/programmes/${id}`, facts);
  return { dogId, id };
}

test('two dogs are planned for a fortnight: what has no room is told, tags are moved by hand and by keys, makes way, is undone', async ({
  page,
  expectFaults,
}) => {
  test.setTimeout(240_000);
  expectFaults(/409|422/);
  await newKennel(page);
  await page.goto('/programme');
  await expect(heading(page)).toHaveText('No programme runs yet.');
  const { dogId, id } = await inProgramme(page, 'Yarrow');
  const sedgeIn = await inProgramme(page, 'Sedge');
  await page.goto('/programme');
  await expect(heading(page)).toHaveText('Nothing is planned yet.');

  // The kennel is open so shortly that a dog's second session has no room.
  await page.getByRole('button', { name: 'Hours' }).click();
  for (const weekday of ['Saturday', 'Sunday']) await page.getByRole('checkbox', { name: weekday }).uncheck();
  for (const weekday of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday']) {
    await page.getByLabel(`${weekday} from`).fill('09:00');
    await page.getByLabel(`${weekday} to`).fill('10:30');
  }
  await page.getByRole('button', { name: 'Save hours' }).click();
  await expect(page.getByText('Saved: the kennel.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan sessions' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText(/Yarrow, \d+ times: .* Less rest, or fewer a day, would free it\./)).toBeVisible();
  await expect(page.getByText(/the kennel is closed\. Open it, or begin a day later\./).first()).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Hours' }).click();
  for (const weekday of ['Saturday', 'Sunday']) await page.getByRole('checkbox', { name: weekday }).check();
  for (const weekday of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']) {
    await page.getByLabel(`${weekday} from`).fill('09:00');
    await page.getByLabel(`${weekday} to`).fill('17:00');
  }
  await page.getByRole('button', { name: 'Save hours' }).click();
  await expect(page.getByText('Saved: the kennel.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan sessions' }).click();
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('56 sessions have a place.')).toBeVisible();
  await page.getByRole('button', { name: 'Save these 56' }).click();
  await expect(page.getByRole('button', { name: /^Undo: 56 sessions/ })).toBeVisible();

  // The week after this one lies ahead whole.
  await page.getByRole('group', { name: 'Weeks' }).getByRole('button').nth(2).click();
  const monday = page.getByRole('region', { name: /^Mon/ });
  const yarrow = monday.getByRole('button', { name: /^Yarrow, .* (09|10):\d\d to/ });
  const sedge = monday.getByRole('button', { name: /^Sedge, .* (09|10):\d\d to/ });
  await expect(yarrow).toBeVisible();
  await expectAccessible(page);
  const first = await yarrow.getAttribute('aria-label');
  const second = await sedge.getAttribute('aria-label');
  const timeIn = (label: string | null) => /(\d\d:\d\d) to/.exec(label ?? '')![1]!;

  // By keys: a quarter of an hour later it takes the place of the other, which makes way, forward only.
  const [one, other] = timeIn(first) < timeIn(second) ? [yarrow, sedge] : [sedge, yarrow];
  await one.focus();
  await page.keyboard.press('Shift+ArrowRight');
  const read = page.getByRole('region', { name: 'The chosen session' });
  await expect(read).toContainText(/It was Mon/);
  for (let more = 0; more < 8 && !(await read.getByText('Makes way:').isVisible()); more += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(read).toContainText(/Makes way: (Yarrow|Sedge) to \d\d:\d\d\./);
  await page.keyboard.press('Escape');
  await expect(one).toHaveAttribute('aria-label', timeIn(first) < timeIn(second) ? first! : second!);
  await one.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(read).toContainText(/Tue .* with/);
  await page.keyboard.press('Escape');

  // By hand: dragged into the afternoon, kept where it was let go, and back again.
  const lane = monday.locator('[data-lane]').first();
  const box = (await lane.boundingBox())!;
  const tag = (await other.boundingBox())!;
  await page.mouse.move(tag.x + 4, tag.y + 10);
  await page.mouse.down();
  await page.mouse.move(tag.x + 40, tag.y + 10, { steps: 3 });
  await page.mouse.move(box.x + box.width * 0.5, tag.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Undo: (Yarrow|Sedge) moved/ })).toBeVisible();
  await page.reload();
  await page.getByRole('group', { name: 'Weeks' }).getByRole('button').nth(2).click();
  await expect(monday.getByRole('button', { name: /(12:45|13:00|13:15) to/ }).first()).toBeVisible();

  // What another has moved meanwhile is not overwritten.
  const drop = monday.getByRole('button', { name: /^Yarrow/ }).first();
  await drop.click();
  await read.getByRole('button', { name: 'Drop it' }).click();
  await expect(page.getByRole('button', { name: /^Undo: Yarrow at .* dropped/ })).toBeVisible();
  await expect(monday.getByRole('button', { name: /^Yarrow/ })).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(monday.getByRole('button', { name: /^Yarrow/ })).toHaveCount(2);

  // A stage moved on: the calendar says that what is planned is of another stage.
  await put(page, `/api/stage-moves/${uuidv7()}`, { programmeId: id, toStage: 'yield', note: 'She knows it.', at: new Date().toISOString() });
  await page.goto('/programme');
  await expect(heading(page)).toHaveText('Yarrow moved to another stage: plan its sessions again.');

  // A programme that is left: what was planned of it is dropped with one tap.
  const { version, id: _id, ...facts } = await (await page.request.get(`/api/programmes/${sedgeIn.id}`)).json();
  const left = await page.request.put(`/api/programmes/${sedgeIn.id}`, { data: { ...facts, state: 'left' }, headers: { 'If-Match': `"${version}"` } });
  expect(left.ok()).toBe(true);
  await put(page, `/api/stage-moves/${uuidv7()}`, { programmeId: id, toStage: 'worn', note: 'Not yet after all.', at: new Date().toISOString() });
  await page.goto('/programme');
  await expect(heading(page)).toHaveText(/^28 sessions are planned for programmes that are not running\./);
  await page.getByRole('button', { name: 'Drop them' }).click();
  await expect(page.getByRole('button', { name: /^Undo: 28 dropped/ })).toBeVisible();
  await page.goto(`/dogs/${dogId}/programme`);
  await expect(page.getByRole('region', { name: 'Planned' })).toContainText('with Robin');
});

test('with more hands than one looks at together it is one’s own calendar; others are chosen by name', async ({ page, browser }) => {
  await newKennel(page);
  const { dogId } = await inProgramme(page, 'Yarrow');
  const people: string[] = [];
  for (const name of ['Bryony', 'Corin', 'Dell', 'Esk', 'Fern', 'Gale']) {
    const key = randomBytes(32).toString('hex');
    const keyHash = createHash('sha256').update(key).digest('hex');
    const expiresAt = new Date(Date.now() + 3_600_000).toISOString();
    await put(page, `/api/invites/${uuidv7()}`, { name, role: 'assistant', personId: null, keyHash, expiresAt, revokedAt: null });
    const theirs = await browser.newContext();
    const email = `${name}-${Date.now()}@example.test`;
    const joined = await theirs.request.post('/api/join', { data: { key, name, email, password: 'reeds in the wind' } });
    people.push(((await joined.json()) as { person: { id: string } }).person.id);
    await theirs.close();
  }
  const session = (more: object) => ({
    id: uuidv7(),
    version: null,
    facts: { dogId, programmeId: null, stageId: null, day: day(1), from: 600, minutes: 30, aroundMinutes: 0, state: 'planned', note: '', ...more },
  });
  const sedge = await tapedDog(page, 'Sedge', 20, {});
  const sessions = [session({ personId: people[0] }), session({ personId: people[1], dogId: sedge })];
  expect((await page.request.post('/api/calendar-changes', { data: { sessions } })).ok()).toBe(true);

  await page.goto('/programme');
  // Nothing is planned for oneself: those for whom most is come first.
  const tags = page.locator('[data-tag]');
  await expect(tags).toHaveCount(2);
  await page.getByRole('button', { name: /^With .* and 2 more/ }).click();
  await expectAccessible(page);
  const chosen = page.getByRole('group', { name: 'Whose sessions' }).getByRole('checkbox', { checked: true });
  for (let left = await chosen.count(); left > 0; left -= 1) await chosen.first().uncheck();
  await expect(page.getByRole('button', { name: 'Show', exact: true })).toBeDisabled();
  await page.getByRole('checkbox', { name: 'Corin' }).check();
  await page.getByRole('button', { name: 'Show', exact: true }).click();
  await expect(page.getByRole('button', { name: 'With Corin', exact: true })).toBeVisible();
  await expect(tags).toHaveCount(1);
  await page.reload();
  await expect(page.getByRole('button', { name: 'With Corin', exact: true })).toBeVisible();
  await expect(tags).toHaveCount(1);
});
