/**
 * `npm run bench:levels`: the calculations of programme, field log and levels as ratios to a reference loop; then a kennel of 500 dogs
 * with a million presses, a hundred thousand of them one dog's, in a throwaway MariaDB: what a screen asks for against the bare SQL
 * it needs (budget 1.5 times at the 95th percentile), and in Chromium how long the chart of that dog takes to be drawn and panned.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  findThreshold,
  houseRules,
  moveSession,
  mutualInformation,
  neededDrift,
  placeSessions,
  sessionStory,
  sessionTally,
  tellTaleTimes,
  type FieldEvent,
} from '@banter/core';
import { randomLcg } from 'd3-random';
import pino from 'pino';
import { chromium } from 'playwright';
// @ts-expect-error — plain JavaScript that runs before anything is installed
import { startMariadb } from '../bin/lib/mariadb.mjs';
import { CalculationPool } from '../server/calculations/calculation-pool.ts';
import { makeApp } from '../server/app.ts';
import { makeDataSource, migrate } from '../server/data/data-source.ts';
import { seedDemo } from '../server/demo/seed-demo.ts';
import { KennelScope } from '../server/services/kennel-scope.ts';
import { calendarPage } from '../server/services/calendar.ts';
import { levelsPage, pressesOf } from '../server/services/levels.ts';
import { millisecondsOf, p95Of, p95OfBoth, referenceLoop, report } from './measure.ts';

const reference = millisecondsOf(referenceLoop);
console.log(`reference loop: ${reference.toFixed(3)} ms (1.00)`);

// —— Calculations
const random = randomLcg(0.31);
const trials = Array.from({ length: 2000 }, () => {
  const level = 1 + Math.floor(random() * 30);
  return { level, noticed: random() < 1 / (1 + Math.exp(-0.5 * (level - 14))) };
});
report(
  'threshold, 2,000 trials',
  millisecondsOf(() => findThreshold(trials, 0.5)),
  reference,
  2,
);
const needed = Array.from({ length: 365 }, (_none, n) => ({
  at: n * 86_400_000,
  level: 12 + Math.round(random() * 3) + (n > 300 ? 5 : 0),
  sessionId: String(n),
}));
report(
  'drift, a year of sessions',
  millisecondsOf(() => neededDrift(needed, 1, houseRules())),
  reference,
  2,
);
const table = (count: number) => [
  [count, count - 3],
  [count - 2, count + 1],
  [count, count],
  [count - 1, count + 2],
];
report(
  'tell-tale, 35 times',
  millisecondsOf(() => mutualInformation(table(4))),
  reference,
  2,
);
report(
  'tell-tale, 480 times',
  millisecondsOf(() => mutualInformation(table(60))),
  reference,
  2,
);
const days = Array.from({ length: 28 }, (_day, day) => ({ day: `d${day}`, open: [480, 1080] as const }));
const hands = ['a', 'b'].map((id) => ({ id, name: id, hours: days.map(({ open }) => open) }));
const rules = { dogRestMinutes: 60, dogSessionsPerDay: 3 };
const calendar = { days, hands, rules, notBefore: { day: 0, minute: 0 } };
const wishes = Array.from({ length: 12 }, (_dog, dog) => ({
  id: `w${dog}`,
  dogId: `d${dog}`,
  dogName: `D${dog}`,
  minutes: 15,
  perDay: 2,
  everyDays: 1,
  fromDay: 0,
  count: null,
  hands: null,
  aroundMinutes: 30,
}));
const { placed } = placeSessions({ ...calendar, wishes, fixed: [] });
report(
  `calendar, ${placed.length} sessions placed`,
  millisecondsOf(() => placeSessions({ ...calendar, wishes, fixed: [] }), { runs: 20, warmUp: 4 }),
  reference,
  250,
);
report(
  'calendar, one moved, the rest rippling',
  millisecondsOf(() => moveSession(placed, placed[3]!.id, { day: 0, from: 600, handId: 'a' }, calendar), { runs: 60 }),
  reference,
  16,
);
report(
  'two weeks without a tell-tale',
  millisecondsOf(() => tellTaleTimes({ collars: ['a', 'b'], seed: 0.4, dogId: 'x', wishId: 'w', workMinutes: 20, calendar, fixed: [] })),
  reference,
  2,
);
const told: FieldEvent[] = Array.from({ length: 600 }, (_none, n) => ({
  id: `e${n}`,
  sessionId: 's',
  at: n * 1000,
  ...(n === 0
    ? { event: 'begin', dogId: 'd', setting: 'yard', handlerId: 'h', purpose: 'work' }
    : n % 3 === 0
      ? { event: 'press', collarId: 'c', level: 9, mode: 'momentary' }
      : { event: 'reward' }),
})) as FieldEvent[];
report(
  'a session of 600 taps',
  millisecondsOf(() => sessionTally(sessionStory('s', told)!)),
  reference,
  2,
);

// —— A million presses
const DOGS = 500;
const PRESSES = 1_000_000;
const OF_ONE = 100_000;
const scratch = mkdtempSync(join(tmpdir(), 'banter-bench-'));
const database = await startMariadb({ dir: scratch, password: 'throwaway', testSchemas: true });
const dataSource = makeDataSource(database.url);
await dataSource.initialize();
await migrate(database.url);
await seedDemo(dataSource, new Date());
try {
  const [person] = (await dataSource.query("SELECT id, kennelId FROM people WHERE name = 'Wenna Sedge'")) as { id: string; kennelId: string }[];
  const [bramble] = (await dataSource.query("SELECT id FROM dogs WHERE name = 'Bramble'")) as { id: string }[];
  const [session] = (await dataSource.query("SELECT sessionId, collarId FROM presses WHERE dogId = ? AND setting = 'yard' LIMIT 1", [bramble!.id])) as {
    sessionId: string;
    collarId: string;
  }[];
  console.log(`filling in ${DOGS} dogs and ${PRESSES.toLocaleString('en')} presses …`);
  const asUuid = "CONCAT('0199', LPAD(HEX(seq + 65536), 4, '0'), '-', LPAD(HEX(seq DIV 4), 4, '0'), '-7000-8000-', LPAD(HEX(seq), 12, '0'))";
  await dataSource.query(`SET SESSION foreign_key_checks = 0`);
  const columns = ((await dataSource.query('SHOW COLUMNS FROM dogs')) as { Field: string }[]).map(({ Field }) => Field);
  await dataSource.query(
    `INSERT INTO dogs (${columns.map((one) => `\`${one}\``).join(', ')}) SELECT ${columns.map((one) => (one === 'id' ? asUuid : one === 'name' ? "CONCAT('Dog ', seq)" : `\`${one}\``)).join(', ')} FROM dogs, seq_1_to_${DOGS} WHERE dogs.id = ?`,
    [bramble!.id],
  );
  const press = (dogId: string, count: number) =>
    `INSERT INTO presses (id, kennelId, sessionId, dogId, collarId, setting, purpose, level, mode, response, latencyMs, at)
     SELECT UUID(), '${person!.kennelId}', '${session!.sessionId}', ${dogId}, '${session!.collarId}', 'yard', 'work', 8 + FLOOR(RAND(seq) * 9), 'momentary', ELT(1 + FLOOR(RAND(seq + 7) * 3), 'none', 'small', 'did'), 800,
       DATE_SUB(NOW(3), INTERVAL FLOOR(RAND(seq + 3) * 7776000) SECOND) FROM seq_1_to_${count}`;
  await dataSource.query(press(`'${bramble!.id}'`, OF_ONE));
  await dataSource.query(press(asUuid.replaceAll('seq', `(1 + seq MOD ${DOGS})`), PRESSES - OF_ONE));
  await dataSource.query('ANALYZE TABLE presses');
  const scope = new KennelScope(dataSource, { kennelId: person!.kennelId, personId: person!.id, role: 'lead' });
  const now = new Date();
  const iso = (daysAgo: number) => new Date(now.getTime() - daysAgo * 86_400_000).toISOString();
  const asked = (daysAgo: number, most: number) => ({ collar: session!.collarId, setting: 'yard', from: iso(daysAgo), to: now.toISOString(), most });
  const where = 'kennelId = ? AND dogId = ? AND collarId = ? AND at >= ? AND at < ? AND setting = ?';
  const values = (daysAgo: number) => [person!.kennelId, bramble!.id, session!.collarId, new Date(iso(daysAgo)), now, 'yard'];
  const ratio = async (name: string, screen: () => Promise<unknown>, sql: () => Promise<unknown>) => {
    const [one, bare] = await p95OfBoth(screen, sql, { runs: 40, warmUp: 4 });
    console.log(
      `${name.padEnd(44)} p95 ${one.toFixed(1).padStart(7)} ms, bare SQL ${bare.toFixed(1).padStart(7)} ms, ratio ${(one / bare).toFixed(2)}  budget 1.5 ${one / bare <= 1.5 ? 'kept' : 'MISSED'}`,
    );
  };
  const bins = (daysAgo: number) => async () => {
    await dataSource.query(`SELECT COUNT(*) FROM (SELECT 1 FROM presses WHERE ${where} LIMIT 581) AS some`, values(daysAgo));
    await dataSource.query(
      `SELECT FLOOR(TIMESTAMPDIFF(MICROSECOND, ?, at) / 1000 / ?) AS bin, COUNT(*), MIN(level), MAX(level), AVG(level), SUM(response = 'none'), SUM(response = 'small'), SUM(response = 'did'), SUM(response = 'too-much') FROM presses WHERE ${where} GROUP BY bin`,
      [new Date(iso(daysAgo)), Math.ceil((daysAgo * 86_400_000) / 580), ...values(daysAgo)],
    );
  };
  await ratio('presses, 90 days, put together', () => pressesOf(scope, bramble!.id, asked(90, 580)), bins(90));
  await ratio('presses, a week, put together', () => pressesOf(scope, bramble!.id, asked(7, 580)), bins(7));
  console.log(`levels page                                  p95 ${(await p95Of(() => levelsPage(scope, bramble!.id, now), { runs: 30 })).toFixed(1)} ms`);
  console.log(
    `calendar page, seven weeks                   p95 ${(await p95Of(() => calendarPage(scope, { from: iso(7).slice(0, 10), days: 49 }, now), { runs: 30 })).toFixed(1)} ms`,
  );

  // —— The chart in Chromium
  const calculations = new CalculationPool();
  const app = makeApp({
    dataSource,
    calculations,
    log: pino({ level: 'silent' }),
    sessionSecret: 'bench',
    version: '0',
    demo: true,
    drawHandover: () => Promise.resolve({ neck: null, side: null, letter: null, clock: null }),
    pagesDir: join(import.meta.dirname, '..', 'dist'),
  });
  const server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = `http://127.0.0.1:${(server.address() as { port: number }).port}`;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'] });
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 900 } });
  const page = await context.newPage();
  await page.request.post(`${address}/api/sign-in/demo`);
  await page.goto(`${address}/dogs/${bramble!.id}/levels`, { waitUntil: 'networkidle' });
  const chart = page.getByRole('group', { name: /^Presses over time/ });
  await chart.scrollIntoViewIfNeeded();
  await chart.focus();
  /** From a key to the frame in which the chart stands drawn anew, and from its data to that frame. */
  // As text: what runs in the page must not be touched by the loader.
  const times = (await page.evaluate(`(async () => {
    const element = document.activeElement;
    const frame = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(() => resolve(performance.now()), 0)));
    const press = (key) => element.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    const pans = [];
    press('+');
    await new Promise((resolve) => setTimeout(resolve, 800));
    for (let run = 0; run < 30; run += 1) {
      const begun = performance.now();
      press(run % 2 ? 'PageUp' : 'PageDown');
      pans.push((await frame()) - begun);
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
    const draws = [];
    for (let run = 0; run < 12; run += 1) {
      const mark = performance.now();
      press(run % 2 ? '+' : '-');
      // The answer comes; what follows it is the drawing.
      for (let wait = 0; wait < 200; wait += 1) {
        await new Promise((resolve) => setTimeout(resolve, 10));
        const last = performance
          .getEntriesByType('resource')
          .filter((one) => one.name.includes('/presses?'))
          .at(-1);
        if (last && last.startTime > mark && last.responseEnd > 0) {
          draws.push((await frame()) - last.responseEnd);
          break;
        }
      }
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    const middle = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
    return { pan: middle(pans), worstPan: Math.max(...pans), draw: middle(draws), worstDraw: Math.max(...draws), draws: draws.length };
  })()`)) as { pan: number; worstPan: number; draw: number; worstDraw: number; draws: number };
  console.log(
    `chart of ${OF_ONE.toLocaleString('en')} presses drawn                median ${times.draw.toFixed(1)} ms, worst ${times.worstDraw.toFixed(1)} ms of ${times.draws}  budget 100 ms ${times.worstDraw <= 100 ? 'kept' : 'MISSED'}`,
  );
  console.log(`panned by a key, to the next frame           median ${times.pan.toFixed(1)} ms, worst ${times.worstPan.toFixed(1)} ms`);
  await browser.close();
  server.closeAllConnections();
  server.close();
} finally {
  await dataSource.destroy();
  await database.stop();
  rmSync(scratch, { recursive: true, force: true });
}
