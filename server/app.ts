import type { PaperDrawings } from '@banter/contract';
import compression from 'compression';
import express, { type Express } from 'express';
import session from 'express-session';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import type { CalculationPool } from './calculations/calculation-pool.ts';
import { SESSION_MS, SessionStore } from './data/session-store.ts';
import { accountRoutes } from './http/account-routes.ts';
import { answerProblems, sendProblem } from './http/answer-problems.ts';
import { calendarFeedRoutes } from './http/calendar-feed-routes.ts';
import { calcRoutes, fitsRoutes } from './http/calc-routes.ts';
import { handoverRoutes } from './http/handover-routes.ts';
import { fieldRoutes } from './http/field-routes.ts';
import { happeningRoutes } from './http/happening-routes.ts';
import { answersTo, contentPolicy, knowsRoles, LOOPBACK_NAMES, sameOriginOnly, signedInUnlessOpen } from './http/guards.ts';
import { kennelFileRoutes } from './http/kennel-file-routes.ts';
import { sessionCookieFirst } from './http/known-devices.ts';
import { makeLimits } from './http/limits.ts';
import { metricsRoutes } from './http/metrics.ts';
import { openApiDocument } from './http/openapi.ts';
import { pages } from './http/pages.ts';
import { peopleRoutes } from './http/people-routes.ts';
import { photoRoutes } from './http/photo-routes.ts';
import { readyRoutes } from './http/ready-routes.ts';
import { recordRoutes } from './http/record-routes.ts';
import { requestIds } from './http/request-ids.ts';
import { tellsChanges, todayRoutes } from './http/today-routes.ts';
import { KennelBus } from './services/kennel-bus.ts';
import type { DrawsPictures } from './pictures/first-pictures.ts';
import { Serving } from './services/serving.ts';
import { SIGN_IN_PAUSES, Tries, type Pauses } from './services/tries.ts';

export const COOKIE_NAME = 'banter.session';
/** What a page asks first: who is there. */
const DOORSTEP = '/doorstep';

/** Requests about many dogs that one address may send in a minute. */
const FITS_PER_MINUTE = 60;

export type AppOptions = {
  dataSource: DataSource;
  log: Logger;
  /** Where the open calculations are computed; whoever made it ends it. */
  calculations: CalculationPool;
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
  limits?: { calculationsPerMinute?: number; signUpsPerHour?: number };
  /** How long whoever tries wrong passwords has to wait. */
  pauses?: Partial<Pauses>;
  /** What tells its screens of changes, and whether it is about to stop; of its own unless several things share them. */
  bus?: KennelBus;
  serving?: Serving;
  /** Draws the first picture of a page. */
  pictures?: DrawsPictures;
  /** Whether `/api/metrics` is answered: to whoever reaches it. */
  metrics?: boolean;
  /** Names it answers to beside those of this machine. */
  hosts?: readonly string[];
};

/** The whole of Banter's HTTP, ready to listen. */
export function makeApp({ dataSource, log, limits = {}, ...options }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', options.proxies ?? 0);
  app.set('etag', false);
  app.use(contentPolicy, answersTo([...LOOPBACK_NAMES, ...(options.hosts ?? [])]), compression());

  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  const { serving = new Serving(), bus = new KennelBus() } = options;
  app.use((_request, response, next) => {
    // Whoever is about to stop is not asked again on the same line.
    if (serving.isDraining) response.set('Connection', 'close');
    next();
  });
  app.use('/api', requestIds);
  if (options.metrics) app.use('/api', metricsRoutes());
  app.use('/api', readyRoutes(dataSource, serving, log));
  const sessions = new SessionStore(dataSource);
  const tries = new Tries(dataSource);
  const counted = makeLimits(tries, { signUpsPerHour: limits.signUpsPerHour ?? 30 });
  const document = openApiDocument(options.version);
  app.get('/api/openapi.json', (_request, response) => {
    response.json(document);
  });
  app.use('/api/calc', calcRoutes(options.calculations, limits.calculationsPerMinute ?? 3000));
  app.use('/api', fitsRoutes(options.calculations, FITS_PER_MINUTE));

  app.use('/api', sameOriginOnly, sessionCookieFirst(COOKIE_NAME));
  const knowsSignIns = (rolling: boolean) =>
    session({
      name: COOKIE_NAME,
      secret: options.sessionSecret,
      store: sessions,
      resave: false,
      saveUninitialized: false,
      rolling,
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SESSION_MS, path: '/' },
    });
  // What a page asks first gives the device its sign-in for another month. No other answer does: one that was still on its way while somebody
  // signed in anew would bring back the sign-in that they had before, which is over.
  const [renews, only] = [knowsSignIns(true), knowsSignIns(false)];
  app.use('/api', (request, response, next) => (request.path === DOORSTEP ? renews : only)(request, response, next));
  app.use(
    '/api',
    knowsRoles(dataSource),
    signedInUnlessOpen,
    tellsChanges(bus),
    accountRoutes(dataSource, {
      demo: options.demo,
      cookieName: COOKIE_NAME,
      sessions,
      limits: counted,
      tries,
      pauses: { ...SIGN_IN_PAUSES, ...options.pauses },
      secret: options.sessionSecret,
    }),
    peopleRoutes(dataSource, { sessions, limits: counted, bus, cookieName: COOKIE_NAME, secret: options.sessionSecret }),
    happeningRoutes(dataSource, counted, log),
    fieldRoutes(dataSource),
    photoRoutes(dataSource, counted),
    recordRoutes(dataSource),
    todayRoutes(dataSource, bus, serving),
    calendarFeedRoutes(dataSource, counted),
    kennelFileRoutes(dataSource, log, bus),
    handoverRoutes(dataSource, options.drawHandover, counted),
  );
  app.use('/api', (_request, response) => sendProblem(response, 'not-found'));
  app.use(pages({ dir: options.pagesDir, cookieName: COOKIE_NAME, pictures: options.pictures, log }));
  app.use((_request, response) => sendProblem(response, 'not-found'));
  app.use(answerProblems(log));
  return app;
}
