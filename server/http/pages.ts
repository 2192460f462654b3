import { SentAheadFile, sentAheadAt, type SentAhead } from '@banter/contract';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router, type Request } from 'express';
import staticOrSmall from 'express-static-gzip';
import type { Logger } from 'pino';
import type { DrawsPictures } from '../pictures/first-pictures.ts';
import { openPage, readBuiltPage } from '../pictures/page-with-picture.ts';
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
const linkHeader = ({ files, asks }: SentAhead, fonts: readonly string[] = []): string =>
  [
    ...files.map((name) => `</${name}>; rel=modulepreload`),
    ...fonts.map((name) => `</${name}>; rel=preload; as=font; type=font/woff2; crossorigin`),
    ...asks.map((path) => `<${path}>; rel=preload; as=fetch; crossorigin`),
  ].join(', ');

/** Whether somebody opens it in a window: who fetches it for another reason takes it as it is. */
const isOpened = (request: Request): boolean =>
  request.method === 'GET' && /\btext\/html\b/.test(request.get('accept') ?? '') && (request.get('sec-fetch-dest') ?? 'document') === 'document';

export type PagesOptions = {
  dir: string;
  /** What whoever is signed in sends. */
  cookieName: string;
  /** Draws what a page shows before its scripts have come; without it they come as they are. */
  pictures?: DrawsPictures | undefined;
  log: Logger;
};

/** The built pages: files with a hash in their name for ever, the page itself fresh each time, any other address the page. */
export function pages({ dir, cookieName, pictures, log }: PagesOptions): Router {
  const routes = Router();
  const ahead = readSentAhead(dir);
  const built = readBuiltPage(dir);
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
  routes.get('/{*splat}', async (request, response, next) => {
    const page = join(dir, 'index.html');
    if (!existsSync(page)) {
      next();
      return;
    }
    const mayBeIn = request.headers.cookie?.includes(`${cookieName}=`) === true;
    if (ahead && built && pictures && isOpened(request)) {
      const opened = await openPage(request, { built, ahead, pictures, log, mayBeIn }).catch(
        (error: unknown) => void log.warn({ error, path: request.path }, 'nobody said who opens a page'),
      );
      if (opened) {
        response.set({
          Link: linkHeader({ files: [], asks: [] }, ahead.fonts),
          'Cache-Control': 'no-store',
          Vary: 'Cookie, User-Agent, Sec-CH-UA-Mobile',
        });
        for (const cookie of opened.cookies) response.append('Set-Cookie', cookie);
        response.type('html').write(opened.head);
        // What packs an answer would keep it until there is more.
        response.flush();
        response.end(await opened.rest());
        return;
      }
    }
    if (ahead && mayBeIn) response.set('Link', linkHeader(sentAheadAt(ahead, request.path)));
    response.set({ 'Cache-Control': 'no-cache', Vary: 'Cookie' }).sendFile(page);
  });
  return routes;
}
