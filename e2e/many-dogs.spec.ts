import { v7 as uuidv7 } from 'uuid';
import { expect, expectAccessible, newKennel, test } from './bench-hand.ts';
import { put } from './known-dogs.ts';

const DOGS = 150;
const name = (index: number) => `Dog ${String(index).padStart(3, '0')}`;
const facts = (index: number) => ({
  name: name(index),
  breed: index % 10 === 7 ? 'Hovawart' : 'Whippet',
  sex: 'unknown',
  bornOn: null,
  bornGuessed: false,
  weightG: null,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  owner: '',
  notes: '',
  placeId: null,
  house: null,
  archivedAt: null,
});

test('a kennel of many dogs: the list is drawn as one goes, a dog is found by its name, and the field log and the calendar begin with it', async ({ page }) => {
  await newKennel(page, 'Many Fens');
  for (let index = 0; index < DOGS; index += 1) await put(page, `/api/dogs/${uuidv7()}`, facts(index));
  await page.goto('/dogs');
  const rows = page.getByRole('listitem').filter({ hasText: /Dog \d{3}/ });
  await expect(rows.first()).toContainText('Dog 000');
  // More than the first part once somebody gets there, and what is far from the window is not drawn.
  const last = page.getByRole('link', { name: name(DOGS - 1), exact: true });
  await expect(async () => {
    await page.mouse.wheel(0, 20_000);
    await expect(last).toBeVisible({ timeout: 250 });
  }).toPass();
  await expect(last).toBeVisible();
  expect(await rows.count()).toBeLessThan(60);
  await expectAccessible(page);

  // The list begins anew with what is found.
  await page.getByRole('searchbox').fill('dog 137');
  await expect(rows).toHaveCount(1);
  await expect(rows.first()).toContainText('Hovawart');
  await page.getByRole('searchbox').fill('nobody');
  await expect(page.getByText('No dog here is called «nobody».')).toBeVisible();

  // Found from anywhere by three keys and Enter.
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('/');
  await page.keyboard.type('13');
  await expect(page.getByRole('option').nth(1)).toContainText('13');
  // Who is quicker than the answer does not go to what was found for less of the name.
  await page.keyboard.type('7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();
  await expect(page.getByText('Dog 137').filter({ visible: true }).first()).toBeVisible();

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/field');
  await page.getByRole('searchbox', { name: 'Find a dog by its name' }).fill('dog 14');
  await page.getByRole('button', { name: /^Dog 142/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Begin with Dog 142' }).click();
  await expect(page.getByRole('heading', { name: 'Dog 142', level: 1 })).toBeVisible();
  // Whoever is at work is offered from then on, also after the page has been opened anew.
  await page.goto('/field');
  await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Dog 142' })).toBeVisible();

  // The calendar offers the first of them, and finds the others, with what is planned of them.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/programme');
  await page.getByRole('button', { name: 'One more' }).click();
  const dog = page.getByRole('form', { name: 'One session' }).getByRole('combobox').first();
  await expect(dog.getByRole('option', { name: 'Dog 142' })).toHaveCount(0);
  await page.getByRole('searchbox', { name: 'Another dog, by name' }).fill('142');
  await page.getByRole('button', { name: 'Dog 142', exact: true }).click();
  await expect(dog.locator('option:checked')).toHaveText('Dog 142');
  await page
    .getByRole('form', { name: 'One session' })
    .getByLabel('Day', { exact: true })
    .fill(new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10));
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByRole('form', { name: 'One session' }).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^Undo: Dog 142 at/ })).toBeVisible();
});
