import { atLeast, ENDPOINTS, neededRole, needsRoleWords, notInTheDemo, type Endpoint, type Role } from '@banter/contract';
import type { RequestHandler } from 'express';
import helmet from 'helmet';
import type { DataSource } from 'typeorm';
import { Failure } from '../services/failure.ts';
import { oncePerPage } from './one-page.ts';

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
      imgSrc: ["'self'", 'data:', 'blob:'],
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
export const isSolver = (file: string): boolean => /\/kit-up\.worker-[\w-]+\.js(\.(br|gz))?$/.test(file);

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

declare module 'express-serve-static-core' {
  interface Request {
    /** What whoever is signed in may do, looked up for this very request. */
    role?: Role;
    /** A higher role that was given to them since they signed in, and waits for the next time. */
    waitingRole?: Role | null;
    /** Whether it is of the demo kennel, which everybody enters as one person. */
    isDemo?: boolean;
  }
}

type Standing = { role: Role; leftAt: Date | null; demo: number; idleMs: string | null };

/** So often, at most, is it noted that the demo is in use, ms. */
const USED_EVERY_MS = 60_000;

/** What somebody may do by a sign-in: a role that was made smaller since counts at once, one that rose only from the next sign-in on. */
export const roleOfSignIn = (now: Role, then: Role): Role => (atLeast(now, then) ? then : now);

/**
 * Looks up, for each request, whether whoever is signed in is still of the kennel and what they may do: a role that was taken and an
 * access that was ended hold from the next request on, in every session; a role that rose needs a new sign-in, so that nobody who
 * got hold of a small one finds it grown. In the demo, which is everybody's, nobody changes who gets in.
 */
export function knowsRoles(dataSource: DataSource): RequestHandler {
  return async (request, _response, next) => {
    const { personId, kennelId } = request.session;
    if (personId && kennelId) {
      const look = () =>
        dataSource.query<Standing[]>(
          `SELECT people.role, people.leftAt, kennels.demo, TIMESTAMPDIFF(SECOND, kennels.usedAt, UTC_TIMESTAMP(3)) * 1000 AS idleMs
         FROM people JOIN kennels ON kennels.id = people.kennelId WHERE people.kennelId = ? AND people.id = ?`,
          [kennelId, personId],
        );
      const [person] = await oncePerPage(request, `${kennelId} ${personId}`, look);
      if (!person || person.leftAt) {
        delete request.session.personId;
        delete request.session.kennelId;
      } else {
        request.session.role ??= person.role;
        request.role = roleOfSignIn(person.role, request.session.role);
        request.waitingRole = request.role === person.role ? null : person.role;
        const needed = neededRole(request.method, request.path);
        if (!atLeast(request.role, needed)) throw new Failure('not-allowed', { detail: needsRoleWords(needed) });
        request.isDemo = Boolean(person.demo);
        if (request.isDemo) {
          if (notInTheDemo(request.method, request.path)) throw new Failure('not-in-the-demo');
          if (person.idleMs === null || Number(person.idleMs) > USED_EVERY_MS)
            await dataSource.query('UPDATE kennels SET usedAt = UTC_TIMESTAMP(3) WHERE id = ?', [kennelId]);
        }
      }
    }
    next();
  };
}

/**
 * Turns away whoever calls Banter by a name that is not its own: a page of another site whose name leads to this machine would else
 * be let in as ours. Names as in the Host header, without a port.
 */
export function answersTo(names: readonly string[]): RequestHandler {
  const known = new Set(names.map((name) => name.toLowerCase()));
  return (request, _response, next) => {
    if (!known.has((request.hostname ?? '').toLowerCase())) throw new Failure('not-here');
    next();
  };
}
/** The names of this machine itself. */
export const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** What an address of the table answers to: a method and a path below `/api`, in capitals or not. */
const answersAt = ({ method, path }: Endpoint): { method: string; path: RegExp } => ({
  method: method.toUpperCase(),
  path: new RegExp(
    `^${path
      .replace(/^\/api/, '')
      .replaceAll('.', '\\.')
      .replaceAll(/\{\w+\}/g, '[^/]+')}/?$`,
    'i',
  ),
});
const OPEN = ENDPOINTS.filter(({ signIn }) => !signIn).map(answersAt);

/**
 * Lets only people who are signed in through, whatever the address, unless its row in the table says that it is open to everybody. A
 * request that brings a bridge's key is let through to what happened alone, where the key is looked at.
 */
export const signedInUnlessOpen: RequestHandler = (request, _response, next) => {
  const { path } = request;
  const method = request.method === 'HEAD' ? 'GET' : request.method;
  const isOpen = OPEN.some((one) => one.method === method && one.path.test(path));
  const byKey = method === 'POST' && /^\/(events|happenings)\/?$/i.test(path) && request.get('authorization') !== undefined;
  if (!isOpen && !byKey && (!request.session.personId || !request.session.kennelId)) throw new Failure('not-signed-in');
  next();
};
