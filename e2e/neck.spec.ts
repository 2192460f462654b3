import type { Locator, Page } from '@playwright/test';
import { enterDemo, expect, expectAccessible, expectAccessibleInBoth, makeKennel, openAlerts, openDog, test } from './bench-hand.ts';
import { v7 as uuidv7 } from 'uuid';
import { dressedDog, drawnPhoto, put } from './known-dogs.ts';

const part = (page: Page, name: string) => page.getByRole('navigation', { name: 'This dog’s screens' }).getByRole('link', { name, exact: true });
const heading = (page: Page) => page.getByRole('heading', { level: 1 });
const order = (page: Page) => page.getByRole('list', { name: 'From the ears down' }).getByRole('listitem');
/** The list moves by itself a moment after the drop. */
const expectOrder = (page: Page, names: string[]) => expect(order(page)).toContainText(names, { ignoreCase: true });

test('a dog is dressed and undressed: one tap each, alarms on every screen, undo, and the record', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await expect(heading(page)).toHaveText('Put on Hazel, then Curlew.');
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(heading(page)).toHaveText('Yarrow wears Hazel and Curlew.');
  await page.getByRole('tab', { name: 'Watched' }).click();
  await page.getByRole('radio', { name: 'Playing' }).click();
  await expect(heading(page)).toHaveText(/^Hazel: A prong is worn only while supervised, and the dog is playing/);
  // The alarm stands on every screen, not on this one alone.
  await page.goto('/locker');
  await openAlerts(page);
  await expect(page.getByRole('listitem').filter({ hasText: 'Yarrow, Hazel: A prong is worn only while supervised' })).toBeVisible();
  // At night the receiver has an alarm of its own beside it.
  await page.getByRole('link', { name: 'Fix' }).first().click();
  await page.getByRole('tab', { name: 'Watched' }).click();
  await page.getByRole('radio', { name: 'Worked' }).click();
  await expect(page.getByRole('button', { name: /^\d+ alerts?/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^Take off\s*: prong/ }).click();
  await expect(page.getByText('prong Hazel is off.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
  await page.getByRole('button', { name: 'Take all off' }).click();
  await expect(heading(page)).toHaveText(/^Put on/);
  await part(page, 'Worn').click();
  const today = page.getByRole('region', { name: 'Today' });
  await expect(today.getByText(/the dog is playing/)).toBeVisible();
  await expect(today.getByText(/Remote electronic Curlew/).first()).toBeVisible();
  // The routine was not done before it went on: that day's log says so.
  await expect(today.getByText(/tried at the lowest level skipped/)).toBeVisible();
});

test('the stack is moved by mouse on the map, by drag in the list and by keys, and a wrong order is explained', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await expectOrder(page, ['Prong Hazel', 'Remote electronic Curlew']);
  // On the map itself: the receiver is drawn up over the prong.
  const band = page.locator('[data-band="remote"]');
  const box = (await band.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 70, { steps: 8 });
  await page.mouse.up();
  await expect(heading(page)).toHaveText(/^remote electronic Curlew lies above prong Hazel: the training collar belongs directly behind the ears/i);
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
  await page.getByRole('button', { name: 'Fix order' }).click();
  await expectOrder(page, ['Prong Hazel', 'Remote electronic Curlew']);
  // By keys.
  await page.getByRole('button', { name: /^Prong Hazel, number 1 from the ears/i }).focus();
  await page.keyboard.press('ArrowDown');
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
  await expect(page.getByRole('button', { name: /^Prong Hazel, number 2/i })).toBeFocused();
  const shown = page.waitForResponse((answer) => answer.url().endsWith(`/api/dogs/${dogId}/neck`) && answer.ok());
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectOrder(page, ['Prong Hazel', 'Remote electronic Curlew']);
  // The page as it was kept is there: nothing moves under the hand.
  await (await shown).finished();
  // By dragging in the list.
  const grip = (name: RegExp): Locator => page.getByRole('button', { name });
  await drag(page, grip(/^Remote electronic Curlew, number 2/i), grip(/^Prong Hazel, number 1/i));
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
  await page.reload();
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
});

test('changed there and back while the answers are slow, the last move is the one that is kept', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await expectOrder(page, ['Prong Hazel', 'Remote electronic Curlew']);
  /** Answers of this address wait until they are let go; so many of them wait. */
  const hold = async (url: string, method: string) => {
    const held: (() => void)[] = [];
    await page.route(url, async (route) => {
      if (route.request().method() !== method) return route.fallback();
      await new Promise<void>((go) => held.push(go));
      await route.continue();
    });
    return { held, waiting: () => expect.poll(() => held.length).toBe(1), let: () => held.shift()!() };
  };
  const saves = await hold('**/api/dressings/*', 'PUT');
  const pages = await hold(`**/api/dogs/${dogId}/neck`, 'GET');
  const prong = page.getByRole('button', { name: /^Prong Hazel, number/i });
  await prong.focus();
  await page.keyboard.press('ArrowDown');
  await saves.waiting();
  saves.let();
  await pages.waiting();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saves.waiting();
  await expectOrder(page, ['Prong Hazel', 'Remote electronic Curlew']);
  await prong.focus();
  await page.keyboard.press('ArrowDown');
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
  // The page that was asked for after the first move comes while the second is on its way, and looks just like the third.
  const shown = page.waitForResponse((answer) => answer.url().endsWith(`/api/dogs/${dogId}/neck`));
  pages.let();
  await (await shown).finished();
  await page.evaluate(() => new Promise(requestAnimationFrame));
  await page.unroute(`**/api/dogs/${dogId}/neck`);
  saves.let();
  await saves.waiting();
  const kept = page.waitForResponse((answer) => answer.url().includes('/api/dressings/') && answer.ok());
  saves.let();
  await kept;
  await page.reload();
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
});

async function drag(page: Page, from: Locator, to: Locator) {
  // It hangs on the pointer before it is carried on, and has made room before it is let go. A page that moved just then is grabbed
  // again. Where it goes is measured first, and it is taken up without leaving its own row: rows make room as soon as they are passed.
  let end = { x: 0, y: 0 };
  await expect(async () => {
    const there = (await to.boundingBox())!;
    end = { x: there.x + there.width / 2, y: there.y + 4 };
    await from.hover();
    await page.mouse.down();
    const start = (await from.boundingBox())!;
    await page.mouse.move(start.x + start.width / 2 + 8, start.y + start.height / 2, { steps: 4 });
    const hangs = await page.locator('.sortable-ghost').isVisible();
    if (!hangs) await page.mouse.up();
    expect(hangs).toBe(true);
  }).toPass();
  // It stands once in what is read aloud, though a copy of it hangs on the pointer.
  await expect(from).toHaveCount(1);
  await page.mouse.move(end.x, end.y, { steps: 10 });
  await expect(order(page).first()).toHaveClass(/sortable-ghost/);
  await page.mouse.up();
}

test('too much for a short neck says what to leave off first', async ({ page }) => {
  const dogId = await dressedDog(page, 'Sedge', 80);
  await page.goto(`/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Add something else it wears' }).click();
  await page.getByRole('radio', { name: 'parasite band' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  // 26 and 34 and 12 and two gaps of 6 are 84 mm; the band is what does no work.
  await expect(heading(page)).toHaveText(/they take 84 mm, and the neck has 8\.0 cm: leave off parasite band\./);
});

test('contacts: moved with one tap, never over flagged skin, and red skin takes the collar off', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck/contacts`);
  await expect(heading(page)).toHaveText('It is off. Next it goes on at 3 o’clock.');
  await page.getByRole('button', { name: 'Put on at 3', exact: true }).click();
  await expect(heading(page)).toHaveText(/^At 3 o’clock\. Move it to 9 o’clock by /);
  await page.getByRole('button', { name: 'Moved to 9', exact: true }).click();
  await expect(page.getByText('Curlew was moved to 9 o’clock.')).toBeVisible();
  await expect(heading(page)).toHaveText(/^At 9 o’clock\. Move it to/);
  // Another allowed place, by key, on the clock itself.
  await page.getByRole('button', { name: /^Moved to 12, never worn/ }).focus();
  await page.keyboard.press('Enter');
  await expect(heading(page)).toHaveText(/^At 12 o’clock/);
  for (const clock of [4, 5, 6, 7, 8]) await expect(page.getByRole('button', { name: new RegExp(`^Moved to ${clock},`) })).toHaveCount(0);

  await part(page, 'Skin').click();
  await page.getByRole('radio', { name: /^12 o’clock/ }).click();
  await page.getByRole('radio', { name: '1 pink' }).click();
  await page.getByRole('radio', { name: 'Loose' }).click();
  await expect(page.getByText('A fit that moves or presses rubs.')).toBeVisible();
  await page.getByRole('button', { name: 'Save skin check' }).click();
  await expect(heading(page)).toHaveText(/^Pink at 12 o’clock: rests until/);
  await part(page, 'Contacts').click();
  await expect(heading(page)).toHaveText(/^Move it to \d+ o’clock now\.$/);
  await expect(page.getByText(/on skin flagged at 12 o’clock/)).toBeVisible();

  await part(page, 'Skin').click();
  await page.getByRole('radio', { name: /^3 o’clock/ }).click();
  await page.getByRole('radio', { name: '2 red or hairless' }).click();
  await expect(page.getByText('The collar stays off, and a vet is asked')).toBeVisible();
  await page.getByRole('button', { name: 'Save skin check' }).click();
  await expect(heading(page)).toHaveText(/Ask a vet/);
  await part(page, 'Contacts').click();
  await expect(heading(page)).toHaveText('Take it off, and ask a vet about the skin.');
});

test('a photo goes with a look; what is no photo is refused in words, and what was typed stays', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck/skin`);
  await page.getByRole('radio', { name: /^9 o’clock/ }).click();
  await page.getByRole('radio', { name: '1 pink' }).click();
  await page.getByLabel(/^Note/).fill('Under the left contact');
  const file = page.locator('input[type=file]');
  await file.setInputFiles({ name: 'skin.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<svg onload="alert(1)">') });
  await expect(page.getByRole('alert')).toHaveText(/no photo that can be read here/);
  await file.setInputFiles({ name: 'skin.png', mimeType: 'image/png', buffer: await drawnPhoto(page) });
  await expect(page.getByRole('img', { name: 'The photo that goes with this check' })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Picked up where you left off.')).toBeVisible();
  await expect(page.getByLabel(/^Note/)).toHaveValue('Under the left contact');
  await page.getByRole('button', { name: 'Save skin check' }).click();
  await page.getByRole('tab', { name: 'Checks so far' }).click();
  await expect(page.getByRole('img', { name: 'Photo of 9 o’clock' })).toBeVisible();
  await expect(page.getByText('Under the left contact')).toBeVisible();
});

test('the rig: the bare one has single points everywhere, and each proposal mends what it says', async ({ page }) => {
  const dogId = await dressedDog(page);
  const gear = { lengthMm: null, widthMm: null, colour: '', material: '', condition: 'sound', note: '', retiredAt: null };
  await put(page, `/api/gear/${uuidv7()}`, { ...gear, what: 'carabiner', name: 'Small steel' });
  await page.goto(`/dogs/${dogId}/neck/rig`);
  await expect(heading(page)).toHaveText('What is between the hand and the dog?');
  await page.getByRole('button', { name: /^Take\s*: Leash and prong alone/ }).click();
  await expect(heading(page)).toHaveText('If one of 5 parts fails, Yarrow is loose.');
  const rig = page.getByRole('region', { name: 'The rig' });
  for (const name of ['leash', 'snap', 'swivel', 'chain', 'prong links'])
    await expect(rig.getByRole('button', { name: `${name}, a single point` })).toBeVisible();
  const mend = page.getByRole('region', { name: 'What would mend it' });
  await mend.getByRole('button', { name: /collar-to-collar coupler/ }).click();
  await expect(heading(page)).toHaveText('One backup: the dog is held if the collar opens.');
  await rig.getByRole('button', { name: 'coupler', exact: true }).click();
  await page.getByLabel('Slack before it takes load').fill('20 mm');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(heading(page)).toHaveText('Backup too short: 20 mm slack, closing needs over 28 mm.');
  await rig.getByRole('button', { name: 'coupler', exact: true }).click();
  await page.getByLabel('Slack before it takes load').fill('4 cm');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await mend.getByRole('button', { name: /slip lead worn below/ }).click();
  await expect(heading(page)).toHaveText('Sound: whichever part fails, the dog is still held.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading(page)).toHaveText(/^One backup/);
  // Whether a carabiner is made for load is asked once for that piece, in whichever rig it hangs.
  await page.getByRole('tab', { name: 'Usual rigs' }).click();
  await page.getByRole('button', { name: /^Take\s*: Carabiner, dead ring to flat collar/ }).click();
  await rig.getByRole('button', { name: 'carabiner', exact: true }).click();
  await page.getByLabel('Which piece').selectOption({ label: 'Small steel' });
  await page.getByRole('radiogroup', { name: 'Is Small steel rated for load? Asked once' }).getByRole('radio', { name: 'Yes, stamped on it' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/carabiner’s rating|rated for load/i)).toHaveCount(0);
  await page.goto('/locker?show=gear');
  await expect(page.getByText('rated for load')).toBeVisible();
  await page.goto(`/dogs/${dogId}/neck/rig`);
  // A loop and a loose end are named, not refused.
  await page.getByRole('tab', { name: 'Parts' }).click();
  await page.getByRole('button', { name: 'Add a part' }).click();
  await page.getByLabel('Part', { exact: true }).selectOption({ label: 'snap' });
  await page.getByLabel('From', { exact: true }).selectOption({ label: 'hand' });
  await page.getByLabel('To', { exact: true }).selectOption({ label: 'hand' });
  await expect(page.getByText('A part from a joint back to itself holds nothing.')).toBeVisible();
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByRole('tab', { name: 'Why' }).click();
  await expect(page.getByText(/leads nowhere and hold/)).toBeVisible();
});

test('the check at the door, on a phone: never green by default, and green once every line is', async ({ page }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: 390, height: 844 });
  const dogId = await dressedDog(page);
  const fitsTheScreen = async () =>
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0);
  await page.goto(`/dogs/${dogId}/door`);
  // What the check answered of the skin is not asked again.
  await expect(heading(page)).toHaveText('Not ready: 5 checks left.');
  await expectAccessible(page);
  await fitsTheScreen();
  await page.getByRole('main').getByRole('link', { name: /Rig/ }).click();
  await page.getByRole('button', { name: /^Take\s*: Slip lead below, in the same hand/ }).click();
  await expect(heading(page)).toHaveText(/^Sound/);
  await fitsTheScreen();
  await part(page, 'Contacts').click();
  const routine = page.getByRole('region', { name: 'Morning routine of Curlew' });
  // One tap says all of it, and each can be unticked and done again.
  await routine.getByRole('button', { name: 'Log all done' }).click();
  for (const step of ['Charged', 'Covers shut', 'Switched on', 'Paired', 'Tried at the lowest level'])
    await expect(routine.getByRole('button', { name: new RegExp(`^Done\\s*: ${step}`) })).toHaveCount(0);
  await routine.getByRole('button', { name: /^Not right\s*: Covers shut/ }).click();
  await routine.getByRole('button', { name: /^Done\s*: Covers shut/ }).click();
  await expect(routine.getByRole('button', { name: /^Done\s*: Covers shut/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put on at 3', exact: true }).click();
  await routine.getByRole('button', { name: /^Contact good/ }).click();
  // A soaked dog’s contacts are to be felt again.
  await routine.getByRole('button', { name: 'Dog soaked' }).click();
  await routine.getByRole('button', { name: /^Contact good/ }).click();
  await fitsTheScreen();
  await part(page, 'Skin').click();
  await page.getByRole('button', { name: 'Log neck clear' }).click();
  await expect(heading(page)).toHaveText('No place on Yarrow’s neck is flagged.');
  await fitsTheScreen();
  await part(page, 'Stack').click();
  await page.getByRole('button', { name: /^Put on\s*: prong/ }).click();
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  await fitsTheScreen();
  await page.goto(`/dogs/${dogId}/door`);
  await expect(heading(page)).toHaveText('Go: every line is good.');
  await expect(page.getByText('2 routes share no part')).toBeVisible();
  await expectAccessible(page);
});

test('the stand-in refuses what a real device could not do, and tells what it does', async ({ page }) => {
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck/contacts`);
  await page.getByRole('tab', { name: 'Try without it' }).click();
  await page.getByRole('button', { name: 'Switch on' }).click();
  await expect(page.getByRole('alert')).toHaveText('The battery is flat: charge it first.');
  for (const [name, told] of [
    ['Open covers', 'Covers open.'],
    ['Charge', 'Charged.'],
    ['Shut covers', 'Covers shut.'],
    ['Switch on', 'Switched on.'],
    ['Pair', 'Paired.'],
  ] as const) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByText(told)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Try at 1, the lowest' }).click();
  await expect(page.getByText('Tried at 1.')).toBeVisible();
  await expect(page.getByRole('img', { name: /on, paired, covers shut, battery 100 %/ })).toBeVisible();
  const routine = page.getByRole('region', { name: 'Morning routine of Curlew' });
  await page.getByRole('tab', { name: 'Routine' }).click();
  await expect(routine.getByText('Done', { exact: true })).toHaveCount(5);
});

test('with no connection a tap waits, keeps its time, and is told once', async ({ page, context, expectFaults }) => {
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await expect(heading(page)).toHaveText(/^Put on/);
  // Scripts that come later, too: without a service worker none lies on the device.
  await expect(page.getByRole('img', { name: /^Yarrow’s neck unrolled/ }).first()).toBeVisible();
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(page.getByText('Safe on this device; it will be sent.')).toBeVisible();
  const tapped = Date.now();
  await expect.poll(() => Date.now()).toBeGreaterThan(tapped);
  await context.setOffline(false);
  await expect(heading(page)).toHaveText(/^Yarrow wears/, { timeout: 20_000 });
  // The screen says so at once; the kennel hears of it with the connection.
  const putOn = async () =>
    ((await (await page.request.get(`/api/dogs/${dogId}/neck`)).json()) as { events: { event: string; at: string }[] }).events.filter(
      ({ event }) => event === 'put-on',
    );
  await expect.poll(async () => (await putOn()).length, { timeout: 20_000 }).toBe(2);
  for (const event of await putOn()) expect(Date.parse(event.at)).toBeLessThanOrEqual(tapped);
});

test('taps with no connection wait in a row, and a closed tab sends them when it is opened again, each with its own time', async ({
  page,
  context,
  expectFaults,
}) => {
  expectFaults(/ERR_INTERNET_DISCONNECTED|Failed to load resource/);
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await expect(heading(page)).toHaveText(/^Put on/);
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Put on\s*: prong/ }).click();
  await expect(page.getByText('Safe on this device; it will be sent.')).toBeVisible();
  const between = Date.now();
  await expect.poll(() => Date.now()).toBeGreaterThan(between);
  await page.getByRole('button', { name: /^Put on at 3\s*: remote/ }).click();
  await expect(page.getByText('2 entries safe on this device; they will be sent.')).toBeVisible();
  const tapped = Date.now();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(`/dogs/${dogId}/neck`);
  await expect(heading(again)).toHaveText(/^Yarrow wears/, { timeout: 20_000 });
  const told = async () =>
    ((await (await again.request.get(`/api/dogs/${dogId}/neck`)).json()) as { events: { event: string; at: string }[] }).events.filter(
      ({ event }) => event === 'put-on',
    );
  await expect.poll(async () => (await told()).length, { timeout: 20_000 }).toBe(2);
  const putOn = await told();
  expect(Date.parse(putOn[0]!.at)).toBeLessThanOrEqual(between);
  expect(Date.parse(putOn[1]!.at)).toBeGreaterThan(between);
  for (const event of putOn) expect(Date.parse(event.at)).toBeLessThanOrEqual(tapped);
});

test('a wear said afterwards, and one that nobody ended: bad times are refused in words', async ({ page, context, expectFaults }) => {
  // Whoever was here last is taken to be here still until the doorstep says otherwise: what was asked for beside it is refused.
  expectFaults(/422|401/);
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck/wear`);
  await expect(heading(page)).toHaveText('Nothing has been worn by Yarrow yet.');
  await page.getByRole('button', { name: 'Log an earlier wear' }).click();
  const [on, off] = [page.getByLabel('Put on', { exact: true }), page.getByLabel('Taken off', { exact: true })];
  const day = new Date(Date.now() - 5 * 86_400_000).toISOString().slice(0, 10);
  await on.fill(`${day}T10:00`);
  await off.fill(`${day}T09:00`);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toHaveText(/cannot end before it begins/);
  // Its contacts sat here, and were moved there meanwhile.
  await page.getByRole('radio', { name: /remote/i }).click();
  await page.getByLabel('Its contacts sat at').selectOption('3');
  await page.getByRole('button', { name: 'It was moved meanwhile' }).click();
  await off.fill(`${day}T11:30`);
  await page.getByLabel('Moved at').fill(`${day}T12:00`);
  await page.getByLabel('Moved to').selectOption('9');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toHaveText(/between when it went on and when it came off/);
  await page.getByLabel('Moved at').fill(`${day}T11:00`);
  await page.getByRole('button', { name: 'Save' }).click();
  const told = page.getByRole('listitem').filter({ hasText: '10:00 – 11:30' });
  await expect(told).toContainText('worked from 10:00');
  await expect(told).toContainText(/9 o’clock/);
  // The same again would overlap.
  await page.getByRole('button', { name: 'Log an earlier wear' }).click();
  await page.getByRole('radio', { name: /remote/i }).click();
  await on.fill(`${day}T11:00`);
  await off.fill(`${day}T12:00`);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/the two wears would overlap/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  await context.clearCookies();
  await enterDemo(page);
  await openDog(page, 'Moss', 'Stack');
  await part(page, 'Worn').click();
  await expect(heading(page)).toHaveText('Is prong Long Alder still on Moss?');
  await page.getByLabel('It came off at').fill('2020-01-01T10:00');
  await page.getByRole('button', { name: 'It came off then' }).click();
  await expect(page.getByRole('alert')).toHaveText(/cannot end before it begins/);
});

test('two people undress the same dog, and one moves the other’s stack', async ({ page, browser, expectFaults }) => {
  expectFaults(/409/);
  const dogId = await dressedDog(page);
  await page.goto(`/dogs/${dogId}/neck`);
  await page.getByRole('button', { name: 'Put all on' }).click();
  await expect(heading(page)).toHaveText(/^Yarrow wears/);
  // Put on as it is drawn, it is laid out.
  await expect(page.getByText('nobody has laid it out yet')).toHaveCount(0);
  const other = await (await browser.newContext({ storageState: await page.context().storageState() })).newPage();
  await other.goto(page.url());
  await expect(heading(other)).toHaveText(/^Yarrow wears/);
  await page.getByRole('button', { name: 'Take all off' }).click();
  await expect(heading(page)).toHaveText(/^Put on/);
  await other.getByRole('button', { name: 'Take all off' }).click();
  await expect(heading(other)).toHaveText(/^Put on/);
  // Both are kept, of both collars, before anybody looks.
  const takenOff = async () => {
    const { events } = (await (await page.request.get(`/api/dogs/${dogId}/neck`)).json()) as { events: { event: string }[] };
    return events.filter(({ event }) => event === 'taken-off').length;
  };
  await expect.poll(takenOff).toBe(4);
  await page.reload();
  await part(page, 'Worn').click();
  await expect(page.getByText('Taken off twice: the first counts.').first()).toBeVisible();
  // Both reorder: whoever comes second is asked, and loses nothing.
  await part(page, 'Stack').click();
  await page.getByRole('button', { name: /^Prong Hazel down/i }).click();
  await expectOrder(page, ['Remote electronic Curlew', 'Prong Hazel']);
  await expect.poll(async () => ((await (await page.request.get(`/api/dressings/${dogId}`)).json()) as { version: number }).version).toBe(2);
  await other.getByRole('button', { name: 'Add something else it wears' }).click();
  await other.getByRole('button', { name: 'Add it' }).click();
  await expect(other.getByText('Somebody has dressed Yarrow otherwise since. Yours is still here.')).toBeVisible();
  await other.getByRole('button', { name: 'Show theirs' }).click();
  await expectOrder(other, ['Remote electronic Curlew', 'Prong Hazel']);
  await other.context().close();
});

test('a bridge gets a key once, tells events with it, and is taken back', async ({ page }) => {
  await makeKennel(page);
  await page.goto('/house?show=devices');
  await page.getByLabel('What it is called').fill('Shed gateway');
  await page.getByRole('button', { name: 'Make a key' }).click();
  const key = (await page.locator('.font-mono').textContent())!.trim();
  expect(key).toMatch(/^[0-9a-f]{64}$/);
  const tell = () => page.request.post('/api/events', { headers: { Authorization: `Bearer ${key}`, 'Content-Type': 'application/x-ndjson' }, data: 'nothing' });
  expect(await (await tell()).json()).toMatchObject({ kept: 0, refused: [{ line: 1 }] });
  await page.reload();
  await expect(page.getByText(/^heard of/)).toBeVisible();
  await expect(page.getByText(key)).toHaveCount(0);
  await page.getByRole('button', { name: /^Withdraw key/ }).click();
  await expect(page.getByText('Withdrawn (1)')).toBeVisible();
  expect((await tell()).status()).toBe(401);
});

for (const parts of [
  ['neck', 'neck/rig', 'neck/contacts', 'neck/skin'],
  ['neck/wear', 'door', 'programme', 'levels'],
]) {
  test(`${parts.join(', ')} can be used by everybody, in light and dark`, async ({ page }) => {
    test.setTimeout(480_000);
    await enterDemo(page);
    await page.emulateMedia({ colorScheme: 'light' });
    await openDog(page, 'Bramble');
    const dog = page.url();
    for (const path of parts) {
      await page.goto(`${dog}/${path}`);
      await expect(heading(page)).toBeVisible();
      await expectAccessibleInBoth(page);
    }
  });
}
