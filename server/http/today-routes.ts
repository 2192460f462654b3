import { todayChange, TodayItemsAsked, type TodayChange, type TodayPage } from '@banter/contract';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import type { DataSource } from 'typeorm';
import { Failure } from '../services/failure.ts';
import type { KennelBus } from '../services/kennel-bus.ts';
import { Listeners } from '../services/listeners.ts';
import type { Serving } from '../services/serving.ts';
import { SharedToday } from '../services/shared-today.ts';
import { moreOfToday, todayPage } from '../services/today.ts';
import { goesOn, parseQuery } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Changes that come together are told together. */
const GATHER_MS = 250;
/** What the clock alone makes due is looked for so often; it keeps a quiet line open, too. */
const LOOK_MS = 30_000;
/** By the clock, a page that another screen had worked out so lately is as good. */
const CLOCK_LATELY_MS = 10_000;
/** Screens that somebody may have listening at a time, on all servers together; in the demo everybody is one person. */
export const MOST_LISTENERS = 20;
const MOST_DEMO_LISTENERS = 200;

/** Tells the bus whenever a request has changed something of a kennel. */
export function tellsChanges(bus: KennelBus): RequestHandler {
  return (request, response, next) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      // Whoever signs out has no session left when the answer is sent.
      const signedInTo = request.session.kennelId;
      response.on('finish', () => {
        const kennelId = (response.locals.told as { scope: { kennelId: string } } | undefined)?.scope.kennelId ?? signedInTo;
        if (kennelId !== undefined && response.statusCode < 300) bus.changed(kennelId);
      });
    }
    next();
  };
}

const texts = new WeakMap<TodayPage, string>();
/** A page but for its time, as a text; once for all who are told the same. */
function comparable(whole: TodayPage): string {
  const { asOf: _asOf, ...page } = whole;
  const text = texts.get(whole) ?? JSON.stringify(page);
  texts.set(whole, text);
  return text;
}

/** Today: in one answer, or as a stream that begins with it and goes on with each change. */
export function todayRoutes(dataSource: DataSource, bus: KennelBus, serving: Serving): Router {
  const routes = Router();
  const listeners = new Listeners(dataSource);
  const shared = new SharedToday();
  routes.get('/today/items', async (request, response) => {
    const page = await moreOfToday(scopeOf(request, dataSource), new Date(), parseQuery(TodayItemsAsked, request).after);
    goesOn(request, response, page.next);
    response.json(page);
  });
  routes.get('/today', async (request, response) => {
    const scope = scopeOf(request, dataSource);
    if (!/\btext\/event-stream\b/.test(request.get('accept') ?? '')) {
      response.json(await todayPage(scope, new Date()));
      return;
    }
    const most = request.isDemo ? MOST_DEMO_LISTENERS : MOST_LISTENERS;
    const place = await listeners.take(scope, most);
    if (place === null) throw new Failure('too-many', { detail: `${most} screens of yours are open already: close one of them.` });
    // However this ends, the place is given back.
    response.on('close', () => void listeners.giveBack(place));
    if (response.destroyed) {
      await listeners.giveBack(place);
      return;
    }
    /** What this screen was told last, and the page that it makes of it. */
    let sent = '';
    let known: TodayPage | null = null;
    let gathering: NodeJS.Timeout | undefined;
    // Until the whole has been told, what changes meanwhile waits for its turn.
    let looking = true;
    /** A page that was begun at this time (ms) or later tells all that this screen has heard of. */
    let since = 0;
    /** When its place was last said to be taken still. */
    let lookedAt = Date.now();
    const look = async () => {
      gathering = undefined;
      // Whoever has gone is told nothing.
      if (response.writableEnded || response.destroyed) return;
      if (looking) return gather(since);
      looking = true;
      try {
        const page = await shared.page(scope, since);
        const now = comparable(page);
        const isOld = Date.now() - lookedAt >= LOOK_MS / 2;
        // Whoever was signed out elsewhere hears no more.
        if ((isOld || now !== sent) && !(await stillSignedIn(request))) {
          response.end();
          return;
        }
        if (isOld) {
          lookedAt = Date.now();
          await listeners.stillThere(place);
        }
        if (response.destroyed) return;
        if (now === sent) response.write(': still\n\n');
        else {
          sent = now;
          tell(response, known === null ? { today: page } : { changed: todayChange(known, page) });
          known = page;
        }
      } catch {
        // The next look tells it; a database that is away ends no stream.
        if (!response.writableEnded && !response.destroyed) response.write(': away\n\n');
      } finally {
        looking = false;
      }
    };
    const gather = (changedAt = Date.now()) => {
      since = Math.max(since, changedAt);
      gathering ??= setTimeout(() => void look(), GATHER_MS);
    };
    const deaf = bus.listen(scope.kennelId, () => gather());
    const clock = setInterval(() => gather(Date.now() - CLOCK_LATELY_MS), LOOK_MS);
    const goneOn = serving.streamOpened(() => response.end());
    response.on('close', () => {
      deaf();
      goneOn();
      if (!bus.isHeard(scope.kennelId)) shared.forget(scope.kennelId);
      clearInterval(clock);
      clearTimeout(gathering);
    });
    const page = await shared.pageNow(scope);
    // Whoever left while it was worked out is not listening any more.
    if (response.destroyed) return;
    sent = comparable(page);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream; charset=utf-8',
      'Cache-Control': 'no-store, no-transform',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    tell(response, { today: page });
    known = page;
    looking = false;
  });
  return routes;
}

/** The whole of Today once, and then what has changed. */
function tell(response: Response, told: { today: TodayPage } | { changed: TodayChange }): void {
  for (const [event, data] of Object.entries(told)) response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
}

const stillSignedIn = (request: Request): Promise<boolean> =>
  new Promise((resolve, reject) =>
    request.sessionStore.get(request.sessionID, (error: unknown, data) => (error ? reject(error as Error) : resolve(data?.personId !== undefined))),
  );
