/**
 * `npm run ways`: walks the ways of `e2e/ways.ts` in a Banter that runs at BANTER_URL with its demo kennel, at a desk (1280×800) and on a phone
 * (390×844): presses, fields, screens and seconds of each, and where decision, drawing and action lie on the main screens, with their lengths.
 * A way that cannot be walked is named, and the command fails.
 */
import { chromium, type Locator, type Page } from '@playwright/test';
import { beginWay, costOf, partsOf, seen, take } from '../e2e/walk.ts';
import { MEASURED, WAYS, type Way } from '../e2e/ways.ts';

const base = process.env.BANTER_URL ?? 'http://127.0.0.1:8080';
const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;
const PATIENCE_MS = 15_000;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'] });

async function opened(size: keyof typeof SIZES): Promise<{ page: Page; dog: string; close: () => Promise<void> }> {
  const context = await browser.newContext({ viewport: SIZES[size], baseURL: base, serviceWorkers: 'block', locale: 'en-GB' });
  await context.request.post(`${base}/api/sign-in/demo`);
  const { rows } = (await (await context.request.get(`${base}/api/dogs?search=bramble`)).json()) as { rows: { id: string }[] };
  const page = await context.newPage();
  page.setDefaultTimeout(PATIENCE_MS);
  return { page, dog: rows[0]!.id, close: () => context.close() };
}
const there = async (page: Page, path: string) => {
  await page.goto(base + path);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.waitForLoadState('networkidle');
};

type Walked = { presses: number; fields: number; screens: number; seconds: number };
async function walk(way: Way, size: keyof typeof SIZES): Promise<Walked> {
  const { page, close } = await opened(size);
  try {
    await beginWay(page, way);
    let screens = 0;
    page.on('framenavigated', () => (screens += 1));
    const begun = Date.now();
    for (const step of way.steps) await take(page, step);
    await seen(page, way.until).waitFor();
    return { ...costOf(way), screens, seconds: (Date.now() - begun) / 1000 };
  } finally {
    await close();
  }
}

const spanOf = async (locator: Locator): Promise<string> => {
  const box = (await locator.count()) > 0 ? await locator.first().boundingBox() : null;
  return box ? `${Math.round(box.y)}–${Math.round(box.y + box.height)}` : '–';
};

let failed = 0;
for (const size of ['desk', 'phone'] as const) {
  console.log(`\n${size}, ${SIZES[size].width}×${SIZES[size].height}`);
  console.log(`${'way'.padEnd(32)}${'presses'.padStart(9)}${'goal'.padStart(6)}${'fields'.padStart(8)}${'screens'.padStart(9)}${'seconds'.padStart(9)}`);
  for (const way of WAYS.filter(({ on }) => on === 'both' || on === size)) {
    try {
      const { presses, fields, screens, seconds } = await walk(way, size);
      console.log(
        way.name.padEnd(32) +
          String(presses).padStart(9) +
          String(way.goal).padStart(6) +
          String(fields).padStart(8) +
          String(screens).padStart(9) +
          seconds.toFixed(1).padStart(9),
      );
    } catch (error) {
      failed += 1;
      console.log(`${way.name.padEnd(32)}  cannot be walked: ${String(error).split('\n')[0]}`);
    }
  }
  console.log(`\n${'screen'.padEnd(16)}${'decision'.padStart(12)}${'drawing'.padStart(12)}${'action'.padStart(12)}${'length'.padStart(9)}  px`);
  const { page, dog, close } = await opened(size);
  for (const [name, path] of MEASURED) {
    await there(page, path.replace('DOG', dog));
    const { decision, drawing, action } = partsOf(page);
    const places = await Promise.all([decision, drawing, action].map(spanOf));
    const length = await page.evaluate(() => document.documentElement.scrollHeight);
    console.log(name.padEnd(16) + places.map((one) => one.padStart(12)).join('') + String(length).padStart(9));
  }
  await close();
}
await browser.close();
process.exitCode = failed > 0 ? 1 : 0;
