import { createHash } from 'node:crypto';
import { Router, type Request, type Response } from 'express';
import type { DataSource } from 'typeorm';
import { calendarFeedsPage, calendarFile, feedOfKey } from '../services/calendar-feeds.ts';
import { Failure } from '../services/failure.ts';
import type { Limits } from './limits.ts';
import { scopeOf } from './scope-of.ts';

/** So long is a calendar that was made answered again; a client that asks every second costs a look-up. */
const KEPT_MS = 20_000;
const MOST_KEPT = 500;

/** Calendars elsewhere: private addresses by key, and the file for whoever is signed in. */
export function calendarFeedRoutes(dataSource: DataSource, limits: Limits): Router {
  const routes = Router();
  const made = new Map<string, { at: number; text: string }>();
  async function textOf(id: string, make: () => Promise<string>): Promise<string> {
    const kept = made.get(id);
    if (kept && Date.now() - kept.at < KEPT_MS) return kept.text;
    const text = await make();
    if (made.size >= MOST_KEPT) made.clear();
    made.set(id, { at: Date.now(), text });
    return text;
  }
  function answer(request: Request, response: Response, text: string) {
    const tag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 27)}"`;
    response.set({ 'Content-Type': 'text/calendar; charset=utf-8', ETag: tag, 'Cache-Control': 'private, max-age=300' });
    if (request.get('if-none-match') === tag) response.status(304).end();
    else response.send(text);
  }
  routes.get('/feeds/:key.ics', limits.feeds, async (request, response) => {
    const found = await feedOfKey(dataSource, String(request.params.key));
    // One that was guessed, and one that was taken back, are answered alike.
    if (!found) throw new Failure('not-found');
    const { feed, scope } = found;
    answer(request, response, await textOf(`${feed.id} ${feed.version}`, () => calendarFile(scope, feed.personId, new Date())));
  });
  routes.get('/calendar.ics', async (request, response) => {
    response.set('Content-Disposition', 'attachment; filename="banter.ics"');
    answer(request, response, await calendarFile(scopeOf(request, dataSource), null, new Date()));
  });
  routes.get('/calendar-feeds', async (request, response) => {
    response.json(await calendarFeedsPage(scopeOf(request, dataSource)));
  });
  return routes;
}
