import type { PaperDrawings } from '@banter/contract';
import compression from 'compression';
import express, { type Express } from 'express';
import session from 'express-session';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { SESSION_MS, SessionStore } from './data/session-store.ts';
import { accountRoutes } from './http/account-routes.ts';
import { answerProblems, sendProblem } from './http/answer-problems.ts';
import { calendarFeedRoutes } from './http/calendar-feed-routes.ts';
import { calcRoutes, fitsRoutes } from './http/calc-routes.ts';
import { handoverRoutes } from './http/handover-routes.ts';
import { eventRoutes } from './http/event-routes.ts';
import { fieldRoutes } from './http/field-routes.ts';
import { contentPolicy, knowsRoles, sameOriginOnly } from './http/guards.ts';
import { kennelFileRoutes } from './http/kennel-file-routes.ts';
import { openApiDocument } from './http/openapi.ts';
import { pages } from './http/pages.ts';
import { peopleRoutes } from './http/people-routes.ts';
import { photoRoutes } from './http/photo-routes.ts';
import { recordRoutes } from './http/record-routes.ts';
import { tellsChanges, todayRoutes } from './http/today-routes.ts';
import { KennelBus } from './services/kennel-bus.ts';

export const COOKIE_NAME = 'banter.session';

/** Requests about many dogs that one address may send in a minute. */
const FITS_PER_MINUTE = 60;

export type AppOptions = {
  dataSource: DataSource;
  log: Logger;
  sessionSecret: string;
  version: string;
  /** Whether the demo kennel may be entered with one click, where the database has one. */
  demo: boolean;
  /** The folder of built pages. */
  pagesDir: string;
  /** The drawings of a handover, by the pages' own components. */
  drawHandover: PaperDrawings;
  /** How many proxies in front are trusted to name the caller. */
  proxies?: number;
  limits?: { calculationsPerMinute?: number; signInsPerQuarterHour?: number; signUpsPerHour?: number };
};

/** The whole of Banter's HTTP, ready to listen. */
export function makeApp({ dataSource, log, limits = {}, ...options }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', options.proxies ?? 0);
  app.set('etag', false);
  app.use(contentPolicy, compression());

  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.get('/api/health', async (_request, response) => {
    await dataSource.query('SELECT 1');
    response.json({ ok: true });
  });
  const bus = new KennelBus();
  const sessions = new SessionStore(dataSource);
  const document = openApiDocument(options.version);
  app.get('/api/openapi.json', (_request, response) => {
    response.json(document);
  });
  app.use('/api/calc', calcRoutes(limits.calculationsPerMinute ?? 3000));
  app.use('/api', fitsRoutes(FITS_PER_MINUTE));

  app.use('/api', sameOriginOnly);
  app.use(
    '/api',
    session({
      name: COOKIE_NAME,
      secret: options.sessionSecret,
      store: sessions,
      resave: false,
      saveUninitialized: false,
      rolling: false,
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SESSION_MS, path: '/' },
    }),
  );
  app.use(
    '/api',
    knowsRoles(dataSource),
    tellsChanges(bus),
    accountRoutes(dataSource, {
      demo: options.demo,
      signInsPerQuarterHour: limits.signInsPerQuarterHour ?? 10,
      signUpsPerHour: limits.signUpsPerHour ?? 30,
      cookieName: COOKIE_NAME,
      sessions,
    }),
    peopleRoutes(dataSource, { sessions, signUpsPerHour: limits.signUpsPerHour ?? 30, bus, cookieName: COOKIE_NAME }),
    eventRoutes(dataSource),
    fieldRoutes(dataSource),
    photoRoutes(dataSource),
    recordRoutes(dataSource),
    todayRoutes(dataSource, bus),
    calendarFeedRoutes(dataSource),
    kennelFileRoutes(dataSource, log, bus),
    handoverRoutes(dataSource, options.drawHandover),
  );
  app.use('/api', (_request, response) => sendProblem(response, 'not-found'));
  app.use(pages(options.pagesDir));
  app.use((_request, response) => sendProblem(response, 'not-found'));
  app.use(answerProblems(log));
  return app;
}
