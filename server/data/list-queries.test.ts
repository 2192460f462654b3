import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '../demo/seed-demo.ts';
import { openBanter, type TestBanter } from '../test-kennels.ts';

/** Kennels beside the demo with as many rows: a query that walks theirs is found by what the database says it will do. */
const NEIGHBOURS = 6;
/** Tables with fewer rows may be read whole, and so many rows sorted: it costs nothing. */
const FEW_ROWS = 1200;

type Step = { table: string | null; type: string | null; rows: string | number | null; Extra: string | null };
type Asked = { sql: string; values: unknown[] };

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let asked: Asked[] | null = null;

/** Rows of the demo kennel as those of another, in every table that has a kennel's rows and no key that is one for all kennels. */
async function copyDemo(kennelId: string): Promise<void> {
  const { dataSource } = banter;
  const [{ id: demo }] = (await dataSource.query('SELECT id FROM kennels WHERE demo')) as [{ id: string }];
  const columns = (await dataSource.query(
    `SELECT TABLE_NAME AS name, GROUP_CONCAT(CONCAT('\`', COLUMN_NAME, '\`') ORDER BY ORDINAL_POSITION) AS columns FROM information_schema.COLUMNS
      WHERE TABLE_SCHEMA = DATABASE() AND GENERATION_EXPRESSION IS NULL AND TABLE_NAME IN (SELECT TABLE_NAME FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND COLUMN_NAME = 'kennelId')
      GROUP BY TABLE_NAME`,
  )) as { name: string; columns: string }[];
  const ownKeys = new Set(['people', 'owner_links', 'bridges', 'calendar_feeds', 'invites', 'sessions', 'tries', 'listeners']);
  const runner = dataSource.createQueryRunner();
  try {
    await runner.query('SET SESSION foreign_key_checks = 0');
    for (const { name, columns: all } of columns)
      if (!ownKeys.has(name))
        await runner.query(
          `INSERT INTO \`${name}\` (${all}) SELECT ${all.replace('`kennelId`', '?').replace('`id`', name === 'deeds' ? 'UUID()' : '`id`')} FROM \`${name}\` WHERE kennelId = ?`,
          [kennelId, demo],
        );
  } finally {
    await runner.query('SET SESSION foreign_key_checks = 1');
    await runner.release();
  }
}

beforeAll(async () => {
  banter = await openBanter();
  await seedDemo(banter.dataSource, new Date());
  agent = supertest.agent(banter.app);
  await agent.post('/api/sign-in/demo');
  // Whatever stands is worked out before it is copied.
  const { items } = (await agent.get('/api/today')).body as { items: unknown[] };
  expect(items.length).toBeGreaterThan(5);
  dog = (await agent.get('/api/dogs')).body.rows.find(({ name }: { name: string }) => name === 'Bramble').id;
  for (let copy = 0; copy < NEIGHBOURS; copy += 1) await copyDemo(uuidv7());
  await banter.dataSource.query('ANALYZE TABLE happenings, presses, field_sessions, planned_sessions, deeds, standings, dues, tapings');
  const quiet = () => {};
  banter.dataSource.logger = {
    logQuery: (sql: string, values?: unknown) => {
      if (asked !== null && /^\s*SELECT/i.test(sql)) asked.push({ sql, values: Array.isArray(values) ? values : [] });
    },
    logQueryError: quiet,
    logQuerySlow: quiet,
    logSchemaBuild: quiet,
    logMigration: quiet,
    log: quiet,
  };
}, 120_000);
afterAll(() => banter.close());

const today = new Date().toISOString().slice(0, 10);
const SCREENS: readonly (readonly [name: string, path: () => string])[] = [
  ['Today', () => '/api/today'],
  ['dogs', () => '/api/dogs'],
  ['a dog found', () => '/api/dogs?search=bram'],
  ['what is found by a name', () => '/api/found?text=bram'],
  ['cards of dogs', () => '/api/dog-cards'],
  ['the field log', () => '/api/field'],
  ['a dog found in the field', () => '/api/field/dogs?search=bram'],
  ['wearing', () => '/api/wearing'],
  ['upkeep', () => '/api/upkeep'],
  ['a class', () => '/api/class'],
  ['the locker', () => '/api/locker'],
  ['the calendar', () => `/api/calendar?from=${today}&days=7`],
  ['a dog as it stands', () => `/api/dogs/${dog}/page`],
  ['the record of a dog', () => `/api/dogs/${dog}/record`],
  ['the skin in the record of a dog', () => `/api/dogs/${dog}/record?part=skin`],
  ['the bench of a dog', () => `/api/dogs/${dog}/bench`],
  ['the neck of a dog', () => `/api/dogs/${dog}/neck`],
  ['the levels of a dog', () => `/api/dogs/${dog}/levels`],
  ['the growth of a dog', () => `/api/dogs/${dog}/growth`],
  ['the programmes of a dog', () => `/api/dogs/${dog}/programmes`],
  ['the handovers of a dog', () => `/api/dogs/${dog}/handovers`],
  ['the log of who did what', () => '/api/deeds'],
];

describe('what a screen asks of the database', () => {
  it.each(SCREENS)('%s walks no table, and sorts no more than a part', async (name, path) => {
    asked = [];
    const answer = await agent.get(path());
    const own = asked;
    asked = null;
    expect([name, answer.status]).toEqual([name, 200]);
    expect(own.length).toBeGreaterThan(0);
    const heavy: string[] = [];
    for (const { sql, values } of own)
      for (const { table, type, rows, Extra } of await banter.dataSource.query<Step[]>(`EXPLAIN ${sql}`, values)) {
        const many = Number(rows ?? 0) > FEW_ROWS && table !== null && !table.startsWith('<');
        if (many && type === 'ALL') heavy.push(`${table} is read whole: ${sql.slice(0, 300)}`);
        if (many && /filesort/.test(Extra ?? '')) heavy.push(`${rows} rows of ${table} are sorted: ${sql.slice(0, 300)}`);
      }
    expect(heavy).toEqual([]);
  });
});
