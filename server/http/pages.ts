import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { isSolver, SOLVER_POLICY } from './guards.ts';

const YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/**
 * What every screen of somebody who is signed in needs, as a `Link` header (RFC 8288): the script that screens share, and who is there. It comes beside the
 * first script and not after it has run, which on a phone saves a first visit half a second.
 */
function neededSoon(dir: string): string {
  const assets = join(dir, 'assets');
  const shared = existsSync(assets) ? readdirSync(assets).filter((name) => /^shared-[\w-]+\.js$/.test(name)) : [];
  return [...shared.map((name) => `</assets/${name}>; rel=modulepreload`), '</api/doorstep>; rel=preload; as=fetch; crossorigin'].join(', ');
}

/** The built pages: files with a hash in their name for ever, the page itself fresh each time, any other address the page. `cookieName`: what whoever is signed in sends. */
export function pages(dir: string, cookieName: string): Router {
  const routes = Router();
  const soon = neededSoon(dir);
  routes.use(
    '/assets',
    express.static(join(dir, 'assets'), {
      immutable: true,
      maxAge: YEAR_MS,
      fallthrough: false,
      setHeaders: (response, file) => {
        if (isSolver(file)) response.setHeader('Content-Security-Policy', SOLVER_POLICY);
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
    if (request.headers.cookie?.includes(`${cookieName}=`)) response.set('Link', soon);
    response.set({ 'Cache-Control': 'no-cache', Vary: 'Cookie' }).sendFile(page);
  });
  return routes;
}
