/**
 * How soon each main screen is there and whether it stays where it was: the largest paint, how far things shift and the longest answer
 * to a press of Tab, on a phone's width with a processor slowed four times: on a device that has never seen Banter, and on one that had it
 * open before, as a trainer's has. Of a Banter that runs at BANTER_URL, with its demo kennel or with that of whoever is signed in by
 * BANTER_COOKIE; medians of three. The first row is a page of one line, for which the server asks only whether its database is there: what
 * the browser and this machine take by themselves.
 */
import { chromium, devices, type Page } from '@playwright/test';

const base = process.env.BANTER_URL ?? 'http://127.0.0.1:8080';
const RUNS = 3;
const SLOWED = 4;
/** A phone says that it is one. */
const PHONE = { ...devices['Pixel 5'], viewport: { width: 390, height: 844 } };
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'] });

const SCREENS: readonly (readonly [name: string, path: (dog: string) => string])[] = [
  ['one line', () => '/api/health'],
  ['Today', () => '/today'],
  ['dogs', () => '/dogs'],
  ['field log', () => '/field'],
  ['calendar', () => '/programme'],
  ['locker', () => '/locker'],
  ['upkeep', () => '/upkeep'],
  ['house rules', () => '/house'],
  ['record', (dog) => `/dogs/${dog}`],
  ['tape', (dog) => `/dogs/${dog}/tape`],
  ['bench', (dog) => `/dogs/${dog}/bench/prong`],
  ['neck', (dog) => `/dogs/${dog}/neck`],
  ['door', (dog) => `/dogs/${dog}/door`],
  ['levels', (dog) => `/dogs/${dog}/levels`],
  ['growth', (dog) => `/dogs/${dog}/growth`],
  ['programmes', (dog) => `/dogs/${dog}/programme`],
  ['handover', (dog) => `/dogs/${dog}/handover`],
];

type Seen = { lcp: number; shift: number; slowest: number; worst: string };
async function seen(page: Page): Promise<Seen> {
  // Nothing is on its way, the screen has taken the place of its picture, and since something was painted nothing else has been for half a second.
  await page.waitForLoadState('networkidle');
  await page.waitForFunction(() => {
    const all = globalThis as never as { seen: Seen; paintedAt: number };
    // A screen that takes the place of its picture paints, too.
    if (document.getElementById('first-picture')) all.paintedAt = performance.now();
    const { seen, paintedAt } = all;
    return seen.lcp > 0 && performance.now() - paintedAt > 500;
  });
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('Tab');
  await page.waitForTimeout(300);
  return page.evaluate(() => (globalThis as never as { seen: Seen }).seen);
}
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

const doorstep = await browser.newContext();
// Of the kennel of whoever is signed in by this, else of the demo.
const [name, value] = (process.env.BANTER_COOKIE ?? '').split('=');
if (name && value) await doorstep.addCookies([{ name, value, url: base }]);
else await doorstep.request.post(`${base}/api/sign-in/demo`);
const dogs = ((await (await doorstep.request.get(`${base}/api/dogs?search=bramble`)).json()) as { rows: { id: string }[] }).rows;
const state = await doorstep.storageState();
await doorstep.close();

console.log(`${'screen'.padEnd(14)}${'first visit'.padStart(15)}${'opened again'.padStart(15)}${'shift'.padStart(9)}${'press'.padStart(9)}  what shifted most`);
for (const [name, path] of SCREENS) {
  const runs: Seen[] = [];
  const again: Seen[] = [];
  for (let run = 0; run < RUNS; run += 1) {
    const context = await browser.newContext({ ...PHONE, storageState: state, serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.addInitScript(() => {
      const all = globalThis as never as { seen: Seen; paintedAt: number };
      all.seen = { lcp: 0, shift: 0, slowest: 0, worst: '' };
      all.paintedAt = 0;
      let most = 0;
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) all.seen.lcp = entry.startTime;
        all.paintedAt = performance.now();
      }).observe({ type: 'largest-contentful-paint', buffered: true });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean; sources: { node: Node | null }[] })[]) {
          if (entry.hadRecentInput) continue;
          all.seen.shift += entry.value;
          all.paintedAt = performance.now();
          if (entry.value <= most) continue;
          most = entry.value;
          const node = entry.sources[0]?.node;
          const element = node instanceof Element ? node : (node?.parentElement ?? null);
          all.seen.worst = element ? `${element.tagName.toLowerCase()}.${element.className} «${(element.textContent ?? '').trim().slice(0, 40)}»` : '';
        }
      }).observe({ type: 'layout-shift', buffered: true });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) all.seen.slowest = Math.max(all.seen.slowest, duration);
      }).observe({ type: 'event', durationThreshold: 16, buffered: true } as PerformanceObserverInit);
    });
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.goto(base + path(dogs[0]!.id));
    runs.push(await seen(page));
    await page.goto(base + path(dogs[0]!.id));
    again.push(await seen(page));
    await context.close();
  }
  const of = (get: (one: Seen) => number, visits = runs) => median(visits.map(get));
  const worst = runs.sort((a, b) => b.shift - a.shift)[0]!.worst;
  console.log(
    `${name.padEnd(14)}${`${of(({ lcp }) => lcp).toFixed(0)} ms`.padStart(15)}${`${of(({ lcp }) => lcp, again).toFixed(0)} ms`.padStart(15)}${of(
      ({ shift }) => shift,
    )
      .toFixed(3)
      .padStart(9)}${`${of(({ slowest }) => slowest).toFixed(0)} ms`.padStart(9)}  ${of(({ shift }) => shift) > 0.02 ? worst : ''}`,
  );
}
await browser.close();
