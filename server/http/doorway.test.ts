import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
const pagesDir = mkdtempSync(join(tmpdir(), 'banter-pages-'));
beforeAll(async () => {
  mkdirSync(join(pagesDir, 'assets'));
  writeFileSync(join(pagesDir, 'index.html'), '<!doctype html><title>Banter</title>');
  writeFileSync(join(pagesDir, 'assets', 'index-abc.js'), 'let a = 1;');
  writeFileSync(join(pagesDir, 'assets', 'shared-a_b-1.js'), 'let b = 1;');
  writeFileSync(join(pagesDir, 'assets', 'shared-a_b-1.js.br'), brotliCompressSync('let b = 1;'));
  const everywhere = { files: ['assets/shared-a_b-1.js'], asks: ['/api/doorstep'] };
  const screens = [
    { matches: '^\\/dogs\\/([^/]+?)\\/neck\\/?$', names: ['id'], files: ['assets/neck.js'], asks: ['/api/dogs/:id/neck'], title: 'Neck · Banter' },
  ];
  writeFileSync(join(pagesDir, 'sent-ahead.json'), JSON.stringify({ fonts: [], everywhere, screens }));
  banter = await openBanter({ pagesDir, hosts: ['banter.kennel.example'] });
});
afterAll(async () => {
  await banter.close();
  rmSync(pagesDir, { recursive: true });
});
const get = (path: string, headers: Record<string, string> = {}) => supertest(banter.app).get(path).set(headers);

describe('the names it answers to', () => {
  it.each([
    ['localhost:8080', 200],
    ['127.0.0.1', 200],
    ['[::1]:8080', 200],
    ['BANTER.kennel.example', 200],
    ['elsewhere.example', 421],
    ['banter.kennel.example.elsewhere.example', 421],
    ['169.254.169.254', 421],
  ])('%s: %i', async (host, status) => {
    for (const path of ['/', '/api/health', '/api/doorstep']) {
      const answer = await get(path, { Host: host });
      expect([path, answer.status]).toEqual([path, status]);
      if (status === 421) expect(answer.body).toMatchObject({ code: 'not-here', title: 'Banter does not answer to this name.' });
    }
  });
});

describe('pages and what belongs to them', () => {
  it.each([
    ['/assets/index-abc.js', {}, 200],
    ['/assets/missing.js', {}, 404],
    ['/assets/%2e%2e/%2e%2e/etc/passwd', {}, 404],
    ['/assets/', {}, 404],
    ['/', { 'If-Match': '"nothing"' }, 412],
    ['/assets/index-abc.js', { 'If-Match': '"nothing"' }, 412],
    ['/', { 'If-Unmodified-Since': 'Thu, 01 Jan 1970 00:00:00 GMT' }, 412],
    ['/assets/index-abc.js', { Range: 'bytes=9999-' }, 416],
    ['/', { Range: 'bytes=9999-' }, 416],
    ['/assets/index-abc.js', { Range: 'bytes=0-2' }, 206],
    ['/%E0%A4%A', {}, 400],
  ] as const)('%s with %j: %i', async (path, headers, status) => {
    const answer = await get(path, headers);
    expect(answer.status).toBe(status);
    if (status >= 400) expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(answer.text ?? '').not.toContain('root:');
  });

  it('what a screen needs is named with the page, for whoever is signed in; nobody else fetches what the open pages do without', async () => {
    const agent = await newKennel(banter.app);
    const everywhere = '</assets/shared-a_b-1.js>; rel=modulepreload';
    const whoIsThere = '</api/doorstep>; rel=preload; as=fetch; crossorigin';
    expect((await agent.get('/dogs')).headers.link).toBe(`${everywhere}, ${whoIsThere}`);
    expect((await agent.get('/dogs/d-1/neck?part=skin')).headers.link).toBe(
      `${everywhere}, </assets/neck.js>; rel=modulepreload, ${whoIsThere}, </api/dogs/d-1/neck>; rel=preload; as=fetch; crossorigin`,
    );
    // An address names nothing but ids and words.
    expect((await agent.get('/dogs/d%3E;rel=preload/neck')).headers.link).toBe(`${everywhere}, </assets/neck.js>; rel=modulepreload, ${whoIsThere}`);
    const small = await agent.get('/assets/shared-a_b-1.js').set('Accept-Encoding', 'br');
    expect([small.status, small.headers['content-encoding'], small.headers['cache-control']]).toEqual([200, 'br', 'public, max-age=31536000, immutable']);
    const open = await get('/', {});
    expect([open.status, open.headers.link]).toEqual([200, undefined]);
    expect(open.headers.vary).toContain('Cookie');
  });
});
