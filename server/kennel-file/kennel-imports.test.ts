import { EventEmitter, once } from 'node:events';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

/** How long a word stays on the way at most, ms. */
const LINGERS_MS = 1_500;
let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
}, 120_000);
afterAll(() => banter.close());

it('how far a file is, told while it was looked through and late on its way, never hides that it is ready', async () => {
  const agent = await newKennel(banter.app, 'Slow Fen');
  const file = JSON.stringify((await agent.get('/api/kennel.json')).body);
  const asked = banter.dataSource.query.bind(banter.dataSource);
  const words = new EventEmitter();
  const late: Promise<unknown>[] = [];
  const [underway, ready] = [once(words, 'reading'), once(words, 'ready')];
  vi.spyOn(banter.dataSource, 'query').mockImplementation(async (...[sql, values]: Parameters<typeof asked>) => {
    const told = sql.startsWith('UPDATE imports SET state') ? String((values as unknown[])[0]) : '';
    // Looking it through takes as long as it takes to tell once how far that is; that word then lingers until the next one has arrived.
    if (sql.startsWith('INSERT INTO import_parts')) await underway;
    if (told === 'reading') {
      words.emit('reading');
      await Promise.race([ready, new Promise((resolve) => setTimeout(resolve, LINGERS_MS))]);
    }
    const answer = asked(sql, values);
    if (told === 'reading') late.push(answer);
    await answer;
    if (told === 'ready') words.emit('ready');
    return answer;
  });
  try {
    const sent = await agent.post('/api/imports').set('Content-Type', 'application/json').send(file);
    await ready;
    await new Promise(setImmediate);
    await Promise.all(late);
    expect((await agent.get(`/api/imports/${sent.body.id}`)).body).toMatchObject({ state: 'ready' });
  } finally {
    vi.restoreAllMocks();
  }
});
