import type { Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { enterDemo, expect, newKennel, test } from './bench-hand.ts';
import { beginWay, costOf, partsOf, seen, take } from './walk.ts';
import { MEASURED, WAYS } from './ways.ts';

const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;
/** Screens that hold their decision, their whole drawing and their action on the first screen, and how long each may be at a desk, px. */
const WHOLE = { bench: 1600, check: 1600, tape: 1600, neck: 1600, door: 1600, 'field log': 1600, levels: 1600, handover: 1600 } as const;
const LONGEST_ON_A_PHONE = 2400;

/** So many dogs are in the kennel in which the ways are walked. */
const DOGS = 504;
/** A kennel of its own with all that the demo has, for ways that change what is on which dog, among many other dogs. */
async function likeTheDemo(page: Page): Promise<void> {
  await page.request.post('/api/sign-in/demo');
  const file = (await (await page.request.get('/api/kennel.json')).json()) as { dogs: { id: string; name: string }[] };
  const [like, own] = [file.dogs[0]!, file.dogs.length];
  // Some have the letters of the one that is looked for within their names.
  for (let dog = own; dog < DOGS; dog += 1) file.dogs.push({ ...like, id: uuidv7(), name: `${dog % 20 === 0 ? 'Cobra' : 'Teal'} ${dog}` });
  await newKennel(page, 'Fen End');
  const taken = (await (await page.request.post('/api/imports', { data: file })).json()) as { id: string };
  const stateOf = async () => ((await (await page.request.get(`/api/imports/${taken.id}`)).json()) as { state: string }).state;
  await expect.poll(stateOf, { timeout: 60_000 }).toBe('ready');
  await page.request.post(`/api/imports/${taken.id}/keep`, { data: { conflicts: 'ours' } });
  await expect.poll(stateOf, { timeout: 60_000 }).toBe('kept');
}

test('the ways that people walk most cost no more than they may', async ({ page }) => {
  test.setTimeout(240_000);
  await likeTheDemo(page);
  for (const way of WAYS) {
    await page.setViewportSize(SIZES[way.on === 'phone' ? 'phone' : 'desk']);
    await beginWay(page, way);
    for (const step of way.steps) await take(page, step);
    await expect(seen(page, way.until)).toBeVisible();
    const { presses, fields } = costOf(way);
    // Letters of a search are no field of their own.
    expect(presses + (way.name.startsWith('find') ? 0 : fields), way.name).toBeLessThanOrEqual(way.goal);
  }
});

for (const [size, viewport] of Object.entries(SIZES)) {
  test(`decision, whole drawing and action stand on the first screen, ${size}`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await enterDemo(page);
    const { rows } = (await (await page.request.get('/api/dogs?search=bramble')).json()) as { rows: { id: string }[] };
    for (const [name, longest] of Object.entries(WHOLE)) {
      await page.goto(MEASURED.find(([of]) => of === name)![1].replace('DOG', rows[0]!.id));
      const { decision, drawing, action } = partsOf(page);
      for (const part of [decision, drawing, action]) await expect(part, name).toBeInViewport({ ratio: 1 });
      const [drawn, pressed] = [(await drawing.boundingBox())!, (await action.boundingBox())!];
      expect(drawn.y + drawn.height, `${name}: the drawing ends above the action`).toBeLessThanOrEqual(pressed.y);
      const length = await page.evaluate(() => document.documentElement.scrollHeight);
      expect(length, name).toBeLessThanOrEqual(size === 'desk' ? longest : LONGEST_ON_A_PHONE);
    }
  });
}
