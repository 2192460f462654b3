import { SentAheadFile, sentAheadAt, type SentAhead } from '@banter/contract';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import staticOrSmall from 'express-static-gzip';
import { isSolver, SOLVER_POLICY } from './guards.ts';

const YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/** What the build tells of the pages; null before they are built. */
function readSentAhead(dir: string): SentAheadFile | null {
  const file = join(dir, 'sent-ahead.json');
  return existsSync(file) ? SentAheadFile.parse(JSON.parse(readFileSync(file, 'utf8'))) : null;
}

/**
 * What a page needs beside its first script, as a `Link` header (RFC 8288): it comes beside that script and not after it has run, which on a
 * phone saves a first visit half a second.
 */
const linkHeader = ({ files, asks }: SentAhead): string =>
  [
    ...files.map((name) => (name.endsWith('.css') ? `</${name}>; rel=preload; as=style; crossorigin` : `</${name}>; rel=modulepreload`)),
    ...asks.map((path) => `<${path}>; rel=preload; as=fetch; crossorigin`),
  ].join(', ');

/** The built pages: files with a hash in their name for ever, the page itself fresh each time, any other address the page. `cookieName`: what whoever is signed in sends. */
export function pages(dir: string, cookieName: string): Router {
  const routes = Router();
  const ahead = readSentAhead(dir);
  routes.use(
    '/assets',
    staticOrSmall(join(dir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        immutable: true,
        maxAge: YEAR_MS,
        fallthrough: false,
        setHeaders: (response, file) => {
          if (isSolver(file)) response.setHeader('Content-Security-Policy', SOLVER_POLICY);
        },
      },
    }),
  );
  routes.use(express.static(dir, { index: false, maxAge: 0 }));
  routes.get('/{*splat}', (request, response, next) => {
    const page = join(dir, 'index.html');
    if (!existsSync(page)) {
      next();
      return;
    }
    if (ahead && request.headers.cookie?.includes(`${cookieName}=`)) response.set('Link', linkHeader(sentAheadAt(ahead, request.path)));
    response.set({ 'Cache-Control': 'no-cache', Vary: 'Cookie' }).sendFile(page);
  });
  return routes;
}
