import { fieldErrors, RecordId, type z } from '@banter/contract';
import express, { type Request, type RequestHandler, type Response } from 'express';
import { PHOTO_LIMIT } from '../services/photos.ts';
import { Failure } from '../services/failure.ts';

/** Requests of Banter's are not larger than this. */
export const BODY_LIMIT = 64 * 1024;
/** But for those about many dogs. */
export const LARGE_BODY_LIMIT = 2 * 1024 * 1024;

/** The parser takes nothing at all for an empty object; it is not JSON. */
const notEmpty = (_request: unknown, _response: unknown, body: Buffer) => {
  if (body.length === 0) throw new Failure('not-json');
};

/** Reads the bytes of a body up to a limit, for whoever reads them elsewhere; none at all is not JSON. */
export const readBytesUpTo = (limit: number): RequestHandler[] => [
  express.raw({ limit, type: () => true, verify: notEmpty }),
  (request, _response, next) => {
    if (!Buffer.isBuffer(request.body)) throw new Failure('not-json');
    next();
  },
];

/** Reads a larger body as JSON, whatever its type says; an empty one is not JSON. */
export const readLargeJson: RequestHandler[] = [
  express.json({ limit: LARGE_BODY_LIMIT, strict: false, type: () => true, verify: notEmpty }),
  (request, _response, next) => {
    if (request.body === undefined) throw new Failure('not-json');
    next();
  },
];

/** Reads a JSON body; a form of another site can send no such type, which is part of the guard against it. */
export const readJson: RequestHandler[] = [
  (request, _response, next) => {
    const hasBody = request.headers['content-length'] !== '0' && (request.headers['content-length'] ?? request.headers['transfer-encoding']) !== undefined;
    if (hasBody && !request.is('application/json')) throw new Failure('wrong-type');
    next();
  },
  express.json({ limit: BODY_LIMIT, strict: false, verify: notEmpty }),
];

/** Reads the bytes of a photo. */
export const readPhoto: RequestHandler = express.raw({ limit: PHOTO_LIMIT, type: () => true });

/** No list in any request is longer than this; one that is, is not looked at item by item. */
export const MOST_ITEMS = 2000;

/** Where a list is longer than any may be, as a path; null when none is. */
function tooLong(value: unknown, path: string): string | null {
  if (typeof value !== 'object' || value === null) return null;
  if (Array.isArray(value) && value.length > MOST_ITEMS) return path;
  for (const [name, one] of Object.entries(value)) {
    // What lies deeper than a request goes is refused by its schema, unlooked at.
    const found = path.length > 200 ? null : tooLong(one, path ? `${path}.${name}` : name);
    if (found) return found;
  }
  return null;
}

/** Parses a body by its schema, or fails with the errors at their fields. */
export function parseBody<Schema extends z.ZodType>(schema: Schema, request: Request): z.output<Schema> {
  if (request.body === undefined) throw new Failure('not-json');
  const long = tooLong(request.body, '');
  if (long !== null) throw new Failure('bad-input', { errors: [{ path: long, message: `This list may have at most ${MOST_ITEMS} items.` }] });
  const parsed = schema.safeParse(request.body);
  if (!parsed.success) throw new Failure('bad-input', { errors: fieldErrors(parsed.error) });
  return parsed.data;
}

/** The id in the address; anything that is no id names nothing. */
export function idOf(request: Request): string {
  const parsed = RecordId.safeParse(request.params.id);
  if (!parsed.success) {
    if (request.method === 'PUT') throw new Failure('bad-input', { errors: [{ path: 'id', message: 'The id must be a UUID of version 7.' }] });
    throw new Failure('not-found');
  }
  return parsed.data.toLowerCase();
}

/** The version that If-Match names, or null when there is no such header. */
export function versionOf(request: Request): number | null {
  const header = request.get('if-match');
  if (header === undefined) return null;
  const found = /^(?:W\/)?"?(\d{1,9})"?$/.exec(header.trim());
  if (!found) throw new Failure('bad-input', { errors: [{ path: 'If-Match', message: 'If-Match must name a version, such as "3".' }] });
  return Number(found[1]);
}

/** Parses what stands behind the question mark, or fails with the errors at their names. */
export function parseQuery<Schema extends z.ZodType>(schema: Schema, request: Request): z.output<Schema> {
  const parsed = schema.safeParse(request.query);
  if (!parsed.success) throw new Failure('bad-input', { errors: fieldErrors(parsed.error) });
  return parsed.data;
}

/** Says where a list goes on (RFC 8288): the same address with the cursor of what comes next. */
export function goesOn(request: Request, response: Response, next: string | null): void {
  if (next === null) return;
  const asked = new URLSearchParams(request.query as Record<string, string>);
  asked.set('after', next);
  response.set('Link', `<${request.baseUrl}${request.path}?${asked.toString()}>; rel="next"`);
}
