import { Problem, type z } from '@banter/contract';
import { cameAlong } from './came-along.ts';
import { changing } from './changing.ts';
import { askedEarly, forgetEarly } from './early.ts';
import { RequestFailure } from './failure.ts';

const PATIENCE_MS = 15_000;
/** A photo on its way may take this long, on a slow line. */
const PHOTO_PATIENCE_MS = 60_000;

let spell = (text: string): string => text;
/** How the kennel spells what the server says went wrong; the server itself has one spelling. */
export const spellProblemsBy = (asKennel: (text: string) => string): void => void (spell = asKennel);

async function problemOf(response: Response): Promise<RequestFailure> {
  const parsed = Problem.safeParse(await response.json().catch(() => null));
  // A proxy or a dying server answers without a problem of ours: that is nobody answering.
  if (!parsed.success) return new RequestFailure(null);
  const { title, detail, errors, ...rest } = parsed.data;
  return new RequestFailure({
    ...rest,
    title: spell(title),
    ...(detail === undefined ? {} : { detail: spell(detail) }),
    ...(errors === undefined ? {} : { errors: errors.map((error) => ({ ...error, message: spell(error.message) })) }),
  });
}

/** Sends a request to Banter's own server: JSON, or a photo as it is. Throws a RequestFailure, and nothing else. */
export async function send<Schema extends z.ZodType>(
  method: 'GET' | 'PUT' | 'POST',
  path: string,
  answer: Schema | null,
  body?: unknown,
  version?: number | null,
): Promise<z.output<Schema>> {
  // What was answered before a change does not know of it.
  if (method !== 'GET') forgetEarly();
  const along = method === 'GET' ? cameAlong(path) : undefined;
  // What was kept before something new was told is filled up by the shape, in an answer that came with the page as in any other.
  if (along !== undefined && answer !== null) {
    const parsed = answer.safeParse(along);
    if (parsed.success) return parsed.data;
  }
  // The first picture is drawn with what is there.
  if (import.meta.env.SSR) return new Promise(() => {});
  let response: Response;
  const photo = body instanceof Blob ? body : null;
  const patienceMs = photo ? PHOTO_PATIENCE_MS : PATIENCE_MS;
  const changed = method === 'GET' ? null : changing(patienceMs);
  try {
    const early = method === 'GET' ? askedEarly(path) : null;
    response = await (early ??
      fetch(path, {
        method,
        credentials: 'same-origin',
        signal: AbortSignal.timeout(patienceMs),
        headers: {
          ...(body === undefined ? {} : { 'Content-Type': photo ? photo.type : 'application/json' }),
          ...(version === undefined || version === null ? {} : { 'If-Match': `"${version}"` }),
        },
        ...(body === undefined ? {} : { body: photo ?? JSON.stringify(body) }),
      }));
  } catch {
    throw new RequestFailure(null);
  } finally {
    changed?.();
  }
  if (!response.ok) throw await problemOf(response);
  if (answer === null) return undefined as z.output<Schema>;
  const parsed = answer.safeParse(await response.json().catch(() => null));
  if (!parsed.success) throw new RequestFailure(null);
  return parsed.data;
}
