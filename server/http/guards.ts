import { atLeast, neededRole, needsRoleWords, type Role } from '@banter/contract';
import type { RequestHandler } from 'express';
import rateLimit from 'express-rate-limit';
import helmet from 'helmet';
import type { DataSource } from 'typeorm';
import { PersonEntity } from '../data/entities/person.ts';
import { Failure } from '../services/failure.ts';
import { sendProblem } from './answer-problems.ts';

/** A strict content policy: everything from this origin, no inline script, no frames. */
export const contentPolicy = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'"],
      // Vue sets positions of drawn things as style attributes; style sheets themselves come from here alone.
      styleSrcAttr: ["'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // Banter may be served in plain HTTP on loopback or behind a proxy that adds this itself.
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'same-origin' },
});

/** The one worker whose solver is WebAssembly may compile it; no page may. A worker goes by the policy it was sent with. */
export const SOLVER_POLICY = "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'";
export const isSolver = (file: string): boolean => /\/kit-up\.worker-[\w-]+\.js$/.test(file);

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses a change that another site's page asks for: browsers say where a request comes from, and anything but this
 * origin is turned away. Programs that send neither header hold no cookie of a browser's.
 */
export const sameOriginOnly: RequestHandler = (request, _response, next) => {
  if (!SAFE.has(request.method)) {
    const site = request.get('sec-fetch-site');
    const origin = request.get('origin');
    const fromElsewhere = site !== undefined && site !== 'same-origin' && site !== 'none';
    const otherOrigin = origin !== undefined && origin !== `${request.protocol}://${request.get('host')}`;
    if (fromElsewhere || (site === undefined && otherOrigin)) throw new Failure('from-elsewhere');
  }
  next();
};

const MINUTE_MS = 60_000;

const limit = (windowMs: number, most: number, extra: Partial<Parameters<typeof rateLimit>[0]> = {}) =>
  rateLimit({
    windowMs,
    limit: most,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    validate: { trustProxy: false },
    handler: (_request, response) => sendProblem(response, 'too-many'),
    ...extra,
  });

/** Wrong sign-ins of one e-mail from anywhere, and of one address for anything. */
export const limitSignIns = (perQuarterHour: number): RequestHandler[] => [
  limit(15 * MINUTE_MS, perQuarterHour * 5, { skipSuccessfulRequests: true }),
  limit(15 * MINUTE_MS, perQuarterHour, {
    skipSuccessfulRequests: true,
    validate: { trustProxy: false, keyGeneratorIpFallback: false },
    keyGenerator: (request) =>
      String((request.body as { email?: unknown } | undefined)?.email ?? '')
        .toLowerCase()
        .slice(0, 200),
  }),
];

export const limitSignUps = (perHour: number): RequestHandler => limit(60 * MINUTE_MS, perHour);

export const limitCalculations = (perMinute: number): RequestHandler => limit(MINUTE_MS, perMinute);

/** Lines of events that one address may send in a minute. */
export const limitEvents: RequestHandler = limit(MINUTE_MS, 600);
/** Looks of one address at calendars elsewhere in a minute. */
export const limitFeeds: RequestHandler = limit(MINUTE_MS, 120);
/** Photos that one address may send in a minute: each is made anew, which takes its time. */
export const limitPhotos: RequestHandler = limit(MINUTE_MS, 60);

declare module 'express-serve-static-core' {
  interface Request {
    /** What whoever is signed in may do, looked up for this very request. */
    role?: Role;
  }
}

/**
 * Looks up, for each request, whether whoever is signed in is still of the kennel and what they may do: a role that was changed and
 * an access that was ended hold from the next request on, in every session.
 */
export function knowsRoles(dataSource: DataSource): RequestHandler {
  const people = dataSource.getRepository(PersonEntity);
  return async (request, _response, next) => {
    const { personId, kennelId } = request.session;
    if (personId && kennelId) {
      const person = await people.findOne({ where: { id: personId, kennelId }, select: { id: true, role: true, leftAt: true } });
      if (!person || person.leftAt) {
        delete request.session.personId;
        delete request.session.kennelId;
      } else {
        request.role = person.role;
        const needed = neededRole(request.method, request.path);
        if (!atLeast(person.role, needed)) throw new Failure('not-allowed', { detail: needsRoleWords(needed) });
      }
    }
    next();
  };
}

/** Lets only people who are signed in through. */
export const signedIn: RequestHandler = (request, _response, next) => {
  if (!request.session.personId || !request.session.kennelId) throw new Failure('not-signed-in');
  next();
};
