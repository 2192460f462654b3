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

test('a kennel of many dogs: the list is drawn as one goes, a dog is found by its name, and the field log begins with it', async ({ page }) => {
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
  await page.keyboard.type('137');
  await expect(page.getByRole('option').first()).toContainText('Dog 137');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What happened' })).toBeVisible();

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
});
