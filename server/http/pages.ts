import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { isSolver, SOLVER_POLICY } from './guards.ts';

const YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/** The built pages: files with a hash in their name for ever, the page itself fresh each time, any other address the page. */
export function pages(dir: string): Router {
  const routes = Router();
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
  routes.get('/{*splat}', (_request, response, next) => {
    const page = join(dir, 'index.html');
    if (!existsSync(page)) {
      next();
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return routes;
}
