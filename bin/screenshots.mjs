#!/usr/bin/env node
/**
 * `npm run screenshots`: one current picture of each main view, from the demo kennel of a running Banter
 * (BANTER_URL, http://127.0.0.1:8080 by default), into docs/screenshots/.
 */
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { projectDir } from './lib/places.mjs';
import { run, say } from './lib/say.mjs';

const base = process.env.BANTER_URL ?? 'http://127.0.0.1:8080';
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

/** Name of the picture, address (a dog by name after @), size, scheme, and what is done first. */
const VIEWS = [
  ['today', '/today', { width: 1280, height: 1000 }, 'light'],
  ['dogs', '/dogs', desk, 'light'],
  ['dog', '/dogs/@Bramble', desk, 'light'],
  ['tape', '/dogs/@Wick/tape', { width: 1280, height: 1000 }, 'light', fillTape],
  ['choose', '/dogs/@Bramble/bench', desk, 'light'],
  ['bench', '/dogs/@Hale/bench/prong', desk, 'light'],
  ['neck', '/dogs/@Bramble/neck', { width: 1280, height: 1000 }, 'light'],
  ['door-phone', '/dogs/@Nutmeg/door', phone, 'light'],
  ['levels', '/dogs/@Bramble/levels', { width: 1280, height: 800 }, 'light'],
  ['programme', '/dogs/@Moss/programme', { width: 1280, height: 1000 }, 'light'],
  ['calendar', '/programme', { width: 1280, height: 1000 }, 'light'],
  ['drill', '/programme/drill?seed=6', desk, 'light', walkADog],
  ['growth', '/dogs/@Sorrel/growth', { width: 1280, height: 1000 }, 'light'],
  ['upkeep', '/upkeep', { width: 1280, height: 1000 }, 'light', lookAtHazel],
  ['class', '/class', { width: 1280, height: 1000 }, 'light', waitForPicks],
  ['house-rules', '/house', desk, 'light', tryASchool],
  ['handover', '/dogs/@Bramble/handover', { width: 1280, height: 1000 }, 'light', toIda],
  // Last: they add to the demo.
  ['owner-phone', '/dogs/@Nutmeg/handover', phone, 'light', asTheOwner],
  ['field-phone', '/field', { width: 390, height: 1000 }, 'dark', workWithBramble],
];

async function fillTape(page) {
  for (const [index, text] of ['47.8', '39.2', '39.1'].entries())
    await page
      .getByLabel(`Reading ${index + 1}`)
      .first()
      .fill(text);
}
async function walkADog(page) {
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(5200);
  await page.keyboard.down('ArrowRight');
  await page.waitForTimeout(150);
}
async function tryASchool(page) {
  await page.getByRole('radiogroup', { name: 'Prong between two sizes' }).getByRole('radio', { name: 'snug' }).click();
  await page.getByText('Between two sizes: ').first().waitFor();
  await page.evaluate(() => scrollTo(0, 0));
}
async function workWithBramble(page) {
  await page.getByRole('button', { name: /^Bramble/ }).click();
  await page.getByRole('radio', { name: 'yard' }).click();
  await page.getByRole('button', { name: 'Begin with Bramble' }).click();
  await page.getByRole('button', { name: 'Contact good' }).click();
  await page.getByRole('button', { name: /^Press / }).click();
  await page.getByRole('button', { name: /small sign/ }).click();
  await page.evaluate(() => scrollTo(0, 0));
}
async function lookAtHazel(page) {
  await page.getByRole('button', { name: /^Inspect\s*Hazel/ }).click();
  await page.getByRole('radio', { name: 'One bent' }).click();
  await page.getByRole('radio', { name: 'Round and smooth' }).click();
}
async function toIda(page) {
  await page.getByLabel('To whom').fill('Ida Fell');
  await page.getByLabel('Whom they call').fill('Wenna Sedge, 01632 960 123');
  await page.evaluate(() => scrollTo(0, 0));
}
async function asTheOwner(page) {
  await toIda(page);
  await page.getByRole('button', { name: 'Save handover' }).click();
  await page.getByRole('link', { name: 'The pages (PDF)' }).waitFor();
  await page.getByRole('tab', { name: 'Owner’s link' }).click();
  await page.getByLabel('Whose').fill('Ida’s phone');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByText(/\/owner#[0-9a-f]{64}/).innerText();
  await page.request.post(`${base}/api/sign-out`);
  await page.goto(link);
  await page.reload();
  await page.getByRole('checkbox').first().click();
}
async function waitForPicks(page) {
  await page.getByText('Buy:').first().waitFor();
}

await run(async () => {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-dev-shm-usage',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  });
  for (const [name, path, viewport, colorScheme, first] of VIEWS) {
    const context = await browser.newContext({ viewport, colorScheme, locale: 'en-GB', timezoneId: 'Europe/London' });
    const page = await context.newPage();
    let address = path;
    if (path !== '/') {
      await page.request.post(`${base}/api/sign-in/demo`);
      const { rows } = await (await page.request.get(`${base}/api/dogs`)).json();
      address = path.replace(/@(\w+)/, (_all, dog) => rows.find(({ name: called }) => called === dog).id);
    }
    await page.goto(base + address, { waitUntil: 'load' });
    // Today’s line stays open: there is no end of the network to wait for.
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(900);
    await first?.(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(projectDir, 'docs', 'screenshots', `${name}.png`) });
    await context.close();
    say(name);
  }
  await browser.close();
});
