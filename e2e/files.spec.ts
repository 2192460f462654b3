import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { enterDemo, expect, expectAccessible, newKennel, openDog, test } from './bench-hand.ts';
import { tapedDog, WHOLE } from './known-dogs.ts';

test('a kennel goes out as a file and into another kennel; what stands otherwise is said first, and a table of another program comes in', async ({
  page,
  browser,
}, info) => {
  test.setTimeout(240_000);
  await newKennel(page);
  await tapedDog(page, 'Teasel', 29, WHOLE);
  await page.goto('/house?show=files');
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Take the whole kennel (JSON)' }).click()]);
  const path = join(info.outputDir, 'kennel.json');
  await file.saveAs(path);
  expect(JSON.parse(readFileSync(path, 'utf8')).format).toBe('banter-kennel');

  const theirs = await browser.newContext({ serviceWorkers: 'block' });
  const other = await theirs.newPage();
  await newKennel(other);
  await other.goto('/house?show=files');
  const pick = other.getByLabel('A kennel’s file, or a table', { exact: true }).last();
  await pick.setInputFiles(path);
  await other.getByRole('button', { name: 'Check the file' }).click();
  await expect(other.getByRole('status').filter({ hasText: /records are new here/ })).toBeVisible();
  await expect(other.getByRole('row', { name: /tapings/i })).toContainText('7');
  await expectAccessible(other);
  await other.getByRole('button', { name: 'Bring it in' }).click();
  await expect(other.getByText('Done. All of it was saved.')).toBeVisible();
  await other.goto('/dogs');
  await expect(other.getByRole('link', { name: /Teasel/ }).first()).toBeVisible();

  // Again, with another name in it: said before anything happens, and taken when that is chosen.
  writeFileSync(path, readFileSync(path, 'utf8').replaceAll('"Teasel"', '"Thistle"'));
  await other.goto('/house?show=files');
  await pick.setInputFiles(path);
  await other.getByRole('button', { name: 'Check the file' }).click();
  await expect(other.getByRole('list', { name: 'What differs here' })).toContainText('Teasel');
  await other.getByRole('radio', { name: 'Take the file’s' }).click();
  await other.getByRole('button', { name: 'Bring it in' }).click();
  await expect(other.getByText('Done. All of it was saved.')).toBeVisible();

  // A table from elsewhere: first one that cannot be taken, then one that can.
  const csv = join(info.outputDir, 'their-dogs.csv');
  writeFileSync(csv, 'Call name,Weight (kg),Toy\nRush,heavy,ball\n');
  await pick.setInputFiles(csv);
  await other.getByRole('radio', { name: 'dogs' }).click();
  await other.getByRole('button', { name: 'Check the file' }).click();
  await expect(other.getByRole('list', { name: 'What is wrong' })).toContainText('row 2 «heavy» is no weight that can be read');
  await other.getByRole('button', { name: 'Another file' }).click();
  writeFileSync(csv, 'Call name,Weight (kg),Toy\nRush,28,ball\n');
  await pick.setInputFiles(csv);
  await other.getByRole('button', { name: 'Check the file' }).click();
  await expect(other.getByText('Nothing is taken from: Toy.')).toBeVisible();
  await other.getByRole('button', { name: 'Bring it in' }).click();
  await expect(other.getByText('Done. All of it was saved.')).toBeVisible();
  await other.goto('/dogs');
  for (const name of ['Thistle', 'Rush']) await expect(other.getByRole('link', { name: new RegExp(name) }).first()).toBeVisible();
  await theirs.close();
});

test('every drawing of a screen is taken as SVG that stands for itself and as PNG', async ({ page }, info) => {
  await enterDemo(page);
  for (const [path, least] of [
    ['levels', 2],
    ['neck', 1],
    ['growth', 1],
  ] as const) {
    await openDog(page, path === 'growth' ? 'Moss' : 'Bramble');
    await page.goto(`${new URL(page.url()).pathname}/${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.keyboard.press('x');
    const list = page.getByRole('dialog', { name: 'Drawings of this screen' });
    await expect(list.getByRole('listitem').nth(least - 1)).toBeVisible();
    const [svg] = await Promise.all([
      page.waitForEvent('download'),
      list
        .getByRole('button', { name: /^SVG of/ })
        .first()
        .click(),
    ]);
    const text = readFileSync(await svg.path(), 'utf8');
    expect(svg.suggestedFilename()).toMatch(/\.svg$/);
    // Nothing of the page is left in it that another program would not know.
    expect(text).not.toMatch(/var\(--|class=|data-v-/);
    // Its own typeface is left aside: the page's policy lets no style be read here.
    expect(
      await page.evaluate(
        (xml) => new DOMParser().parseFromString(xml, 'image/svg+xml').querySelector('parsererror') === null,
        text.replace(/<style[^>]*>.*?<\/style>/s, ''),
      ),
    ).toBe(true);
    const [png] = await Promise.all([
      page.waitForEvent('download'),
      list
        .getByRole('button', { name: /^PNG of/ })
        .first()
        .click(),
    ]);
    const bytes = readFileSync(await png.path());
    expect(bytes.subarray(1, 4).toString()).toBe('PNG');
    expect(bytes.readUInt32BE(16)).toBeGreaterThan(600);
    if (path === 'levels') await expectAccessible(page);
    await list.getByRole('button', { name: 'Close' }).click();
  }
  expect(info.errors).toEqual([]);
});
