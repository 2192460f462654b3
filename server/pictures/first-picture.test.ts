import { ADDRESSES, ASKED_EVERYWHERE, pageTitle } from '../../web/addresses.ts';
import drawFirstPicture from '../../web/first-picture/draw-first-picture.ts';
import { DEVICE_COOKIE, type FirstPictureAsked, type FirstPictureDrawn } from '@banter/contract';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { newDog, newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <title>Banter</title>
    <script type="module" crossorigin src="/assets/index-abc.js"></script>
    <link rel="stylesheet" crossorigin href="/assets/index.css">
  </head>
  <body>
    <div id="app"></div>
  </body>
</html>`;
const asked: FirstPictureAsked[] = [];
let draw: (one: FirstPictureAsked) => Promise<FirstPictureDrawn>;
let banter: TestBanter;
const pagesDir = mkdtempSync(join(tmpdir(), 'banter-pages-'));

beforeAll(async () => {
  mkdirSync(join(pagesDir, '.vite'));
  writeFileSync(join(pagesDir, 'index.html'), PAGE);
  const manifest = {
    'web/views/DogsView.vue': ['/assets/dogs.js', '/assets/choose.worker-1.js'],
    'web/App.vue': ['/assets/index-abc.js', '/assets/index.css'],
  };
  writeFileSync(join(pagesDir, '.vite', 'ssr-manifest.json'), JSON.stringify(manifest));
  const screens = ADDRESSES.filter(({ name }) => ['dogs', 'new-dog', 'dog'].includes(name)).map(({ path, title, asks = [] }) => ({
    matches: `^${path.replace(':id', '([^/]+)')}$`,
    names: path.includes(':id') ? ['id'] : [],
    files: [],
    asks,
    title: pageTitle(title),
  }));
  const file = { fonts: ['assets/letters.woff2'], everywhere: { files: ['assets/index-abc.js'], asks: Object.values(ASKED_EVERYWHERE) }, screens };
  writeFileSync(join(pagesDir, 'sent-ahead.json'), JSON.stringify(file));
  // One after the other, as its thread does it.
  let last: Promise<unknown> = Promise.resolve();
  const pictures = {
    draw: (one: FirstPictureAsked) => {
      asked.push(one);
      const now = last.then(() => draw(one));
      last = now.catch(() => {});
      return now;
    },
  };
  banter = await openBanter({ pagesDir, pictures });
});
afterAll(async () => {
  await banter.close();
  rmSync(pagesDir, { recursive: true });
});
beforeEach(() => {
  asked.length = 0;
  draw = drawFirstPicture;
});

const open = (agent: TestAgent, path: string, headers: Record<string, string> = {}) => agent.get(path).set({ accept: 'text/html', ...headers });
const pictureIn = (page: string) => /<div id="first-picture"[^>]*>(.*)<\/div><div id="app">/s.exec(page)?.[1] ?? null;
/** A page that draws and asks by itself. */
const isPlain = (page: string) =>
  page.includes('<div id="app"></div><script type="module" crossorigin src="/assets/index-abc.js"></script>') &&
  page.match(/<script/g)!.length === 1 &&
  !page.includes('first-picture');
const cameIn = (page: string) => JSON.parse(/<script type="application\/json" id="came-along">(.*?)<\/script>/s.exec(page)![1]!) as Record<string, unknown>;

describe('the first picture of a page', () => {
  it('shows what the screen does, with the answers it was drawn with, and what begins the screen after it', async () => {
    const agent = await newKennel(banter.app);
    await newDog(agent, { name: 'Bracken' });
    const { text, headers } = await open(agent, '/dogs');
    expect(pictureIn(text)).toContain('Bracken');
    expect(text).toContain('<title>Dogs · Banter</title>');
    const came = cameIn(text);
    expect(Object.keys(came).sort()).toEqual(['/api/dogs?list=here', '/api/doorstep', '/api/wearing']);
    expect(came['/api/dogs?list=here']).toEqual((await agent.get('/api/dogs?list=here')).body);
    expect(text).toContain('<script type="module" crossorigin src="/after-picture.js" data-begins="/assets/index-abc.js"></script>');
    expect(/data-scripts="([^"]*)"/.exec(text)![1]!.split(' ').sort()).toEqual(['/assets/dogs.js', '/assets/index-abc.js']);
    // It is whoever's it is, and stays nowhere.
    expect(headers['cache-control']).toBe('no-store');
    expect(headers.link).toContain('</assets/letters.woff2>; rel=preload; as=font');
    expect(headers.link).not.toContain('as=fetch');
  });

  it('is begun before it is drawn, so that the browser makes itself ready meanwhile', async () => {
    const agent = await newKennel(banter.app);
    let go = () => {};
    const held = new Promise<void>((done) => (go = done));
    draw = async (one) => {
      await held;
      return await drawFirstPicture(one);
    };
    let page = '';
    let hear = () => {};
    const heard = new Promise<void>((done) => (hear = done));
    const whole = new Promise<void>((done) => {
      const read = open(agent, '/dogs').buffer(true);
      void read
        .parse((answer, end) => {
          answer.on('data', (part: Buffer) => {
            page += part.toString();
            hear();
          });
          answer.on('end', () => end(null, null));
        })
        .then(() => done());
    });
    await heard;
    expect(page).toContain('<link rel="stylesheet" crossorigin href="/assets/index.css">');
    expect(page).not.toContain('first-picture');
    go();
    await whole;
    expect(pictureIn(page)).toContain('Dogs');
  });

  it('renews the sign-in as the question that it takes the place of does', async () => {
    const agent = await newKennel(banter.app);
    const name = (answer: { headers: Record<string, unknown> }) => String((answer.headers['set-cookie'] as unknown as string[] | undefined)?.[0]).split('=')[0];
    expect(name(await open(agent, '/dogs'))).toBe(name(await agent.get('/api/doorstep')));
  });

  it('asks the database once for what several of its questions need, and anew for the next page', async () => {
    const agent = await newKennel(banter.app);
    const id = await newDog(agent, { name: 'Bracken' });
    const asked = vi.spyOn(banter.dataSource, 'query');
    const openOnce = async () => {
      asked.mockClear();
      const { text } = await open(agent, `/dogs/${id}`);
      const all = asked.mock.calls.map(([sql]) => sql);
      return {
        text,
        who: all.filter((sql) => /FROM people JOIN kennels/.test(sql)).length,
        dog: all.filter((sql) => /FROM `dogs`.*`id` = \?/s.test(sql)).length,
      };
    };
    try {
      const first = await openOnce();
      expect(pictureIn(first.text)).toContain('Bracken');
      // Several of its questions are about this dog.
      expect(Object.keys(cameIn(first.text)).filter((path) => path.includes(id)).length).toBeGreaterThan(1);
      expect(first).toMatchObject({ who: 1, dog: 1 });
      const renamed = await agent
        .put(`/api/dogs/${id}`)
        .set('If-Match', '"1"')
        .send({ ...someDog, name: 'Sorrel' });
      expect(renamed.status).toBe(200);
      const next = await openOnce();
      expect(pictureIn(next.text)).toContain('Sorrel');
      expect(next).toMatchObject({ who: 1, dog: 1 });
    } finally {
      asked.mockRestore();
    }
  });

  it('is of the own kennel alone, however many are drawn at a time', async () => {
    const names = ['Alder', 'Sorrel', 'Teasel', 'Yarrow'];
    const agents = await Promise.all(
      names.map(async (name) => {
        const agent = await newKennel(banter.app);
        await newDog(agent, { name });
        return agent;
      }),
    );
    const pages = await Promise.all(agents.map((agent) => open(agent, '/dogs')));
    for (const [at, { text }] of pages.entries())
      for (const [of, name] of names.entries()) expect([names[at], name, text.includes(name)]).toEqual([names[at], name, at === of]);
    // Who came by a link on another site is sent without a sign-in that they may have: their page asks itself who is there.
    const nobody = supertest.agent(banter.app);
    expect(isPlain((await open(nobody, '/dogs')).text)).toBe(true);
    const { text } = await open(nobody, '/sign-in');
    expect(pictureIn(text)).toContain('Sign in');
    expect(cameIn(text)).toEqual({});
    for (const name of names) expect(text).not.toContain(name);
    // Another kennel's dog is nobody's here: no picture, and the page says so itself.
    const { id } = (await agents[1]!.get('/api/dogs?list=here')).body.rows[0] as { id: string };
    const other = await open(agents[0]!, `/dogs/${id}`);
    expect(isPlain(other.text)).toBe(true);
    for (const name of names) expect(other.text).not.toContain(name);
  });

  it('holds no script that somebody typed, drawn or told', async () => {
    const agent = await newKennel(banter.app);
    const name = '</script><script>alert(1)</script>$& $1';
    await newDog(agent, { name });
    const { text } = await open(agent, '/dogs');
    expect(text.match(/<script/g)).toHaveLength(2);
    expect(text).not.toContain('<script>');
    const rows = (cameIn(text)['/api/dogs?list=here'] as { rows: { name: string }[] }).rows;
    expect(rows.map((row) => row.name)).toEqual([name]);
    expect(pictureIn(text)).toContain('&lt;/script&gt;&lt;script&gt;alert(1)&lt;/script&gt;$&amp; $1');
  });

  it('answers no press and takes no typing: what is pressed or typed into comes with the screen', async () => {
    const agent = await newKennel(banter.app);
    const picture = pictureIn((await open(agent, '/dogs/new')).text)!;
    expect(picture.match(/<input/g)!.length).toBeGreaterThan(3);
    expect(picture).not.toMatch(/<(button|input|select|textarea|summary)(?! inert)/);
  });

  it('is as the device has it: its width, units and light or dark; what it says that cannot be read is not said', async () => {
    const agent = await newKennel(banter.app);
    await newDog(agent, { name: 'Bracken' });
    const device = (look: unknown) => ({ Cookie: `${DEVICE_COOKIE}=${encodeURIComponent(typeof look === 'string' ? look : JSON.stringify(look))}` });
    const of = async (headers: Record<string, string>) => {
      asked.length = 0;
      const { text } = await open(supertest.agent(banter.app), '/sign-in', headers);
      return { widthPx: asked.at(-1)!.device.widthPx, theme: /<html[^>]*data-theme="(\w+)"/.exec(text)?.[1] ?? null };
    };
    expect(await of(device({ widthPx: 700, remembers: { 'banter.theme': '"dark"' } }))).toEqual({ widthPx: 700, theme: 'dark' });
    expect(await of(device({ widthPx: 700, remembers: { 'banter.theme': '"purple\\">"' } }))).toEqual({ widthPx: 700, theme: null });
    expect(await of({})).toEqual({ widthPx: 1280, theme: null });
    expect(await of({ 'Sec-CH-UA-Mobile': '?1' })).toEqual({ widthPx: 390, theme: null });
    for (const wrong of [
      '{',
      '[]',
      { widthPx: 1e9, remembers: {} },
      { widthPx: 700, remembers: { other: 'x' } },
      { widthPx: 700, remembers: { 'banter.units': 'x'.repeat(300) } },
    ])
      expect(await of(device(wrong))).toEqual({ widthPx: 1280, theme: null });
  });

  it.each([
    ['cannot be drawn', () => Promise.reject(new Error('no'))],
    ['goes on asking', () => Promise.resolve({ html: '', isOpen: false, modules: [], missing: ['/api/today'] })],
    ['asks what is not there', () => Promise.resolve({ html: '', isOpen: false, modules: [], missing: ['/api/nothing'] })],
  ])('where it %s, the page draws and asks by itself', async (_, how) => {
    const agent = await newKennel(banter.app);
    let rounds = 0;
    draw = () =>
      how().then((drawn) => ({ ...drawn, missing: drawn.missing.map((path) => (path === '/api/today' ? `/api/today/items?after=${(rounds += 1)}` : path)) }));
    const { status, text } = await open(agent, '/dogs');
    expect([status, isPlain(text)]).toEqual([200, true]);
  });

  it('is for who opens a page in a window: a program, a worker or a probe takes the page as it is', async () => {
    const agent = await newKennel(banter.app);
    for (const headers of [{ accept: '*/*' }, { accept: 'text/html', 'sec-fetch-dest': 'empty' }])
      expect((await agent.get('/dogs').set(headers)).text).toBe(PAGE);
    expect(asked).toEqual([]);
  });
});
