import type { Request } from 'express';
import { createUnzip } from 'node:zlib';
import { Failure } from '../services/failure.ts';

/** Lines that come at once are not more than this together, bytes as they are read. */
export const LINES_LIMIT = 8 * 1024 * 1024;
/** One line is not longer than this, bytes. */
export const LONGEST_LINE = 4096;

const NEW_LINE = 0x0a;
const NOTHING = Buffer.alloc(0);

/** A line by its number from 1; its text is null when it is longer than a line may be. */
export type ReadLine = { line: number; text: string | null };

/** The body as it comes, unpacked where it is packed. */
function unpacked(request: Request): AsyncIterable<Buffer> {
  const encoding = request.get('content-encoding')?.toLowerCase() ?? 'identity';
  // Given up in the middle, the request stays: it is still to be answered.
  if (encoding === 'identity') return request.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>;
  if (encoding !== 'gzip' && encoding !== 'deflate') throw new Failure('not-json');
  const unzip = createUnzip();
  request.on('error', (error) => unzip.destroy(error));
  return request.pipe(unzip);
}

/**
 * The lines of a body, one at a time, as they come: never more than a line and a piece off the wire is held. Empty ones are passed
 * over. Throws a Failure `too-large` past the limit, `not-json` for a body that cannot be unpacked.
 */
export async function* linesOf(request: Request): AsyncGenerator<ReadLine> {
  if (Number(request.get('content-length') ?? 0) > LINES_LIMIT) throw new Failure('too-large');
  let line = 1;
  let bytes = 0;
  /** The beginning of a line whose end has not come; null once it is longer than a line may be. */
  let begun: Buffer | null = NOTHING;
  const textOf = (end: Buffer) => {
    if (begun === null || begun.length + end.length > LONGEST_LINE) return null;
    return Buffer.concat([begun, end]).toString('utf8');
  };
  try {
    for await (const chunk of unpacked(request)) {
      bytes += chunk.length;
      if (bytes > LINES_LIMIT) throw new Failure('too-large');
      let from = 0;
      for (let at = chunk.indexOf(NEW_LINE); at >= 0; at = chunk.indexOf(NEW_LINE, from)) {
        if (at > from || begun === null || begun.length > 0) {
          const text = textOf(chunk.subarray(from, at));
          if (text === null || text.trim() !== '') yield { line, text };
          begun = NOTHING;
        }
        line += 1;
        from = at + 1;
        // Empty lines cost no look of their own.
        for (; chunk[from] === NEW_LINE; from += 1) line += 1;
      }
      const rest: Buffer = chunk.subarray(from);
      begun = begun === null || begun.length + rest.length > LONGEST_LINE ? null : Buffer.concat([begun, rest]);
    }
  } catch (error) {
    if ((error as { code?: string }).code?.startsWith('Z_')) throw new Failure('not-json');
    throw error;
  }
  const last = begun === null ? null : begun.toString('utf8');
  if (last === null || last.trim() !== '') yield { line, text: last };
}

/** So long may the rest of a body take to run off, ms. */
const RUN_OFF_MS = 3_000;

/**
 * Lets the rest of a body that was given up run off before it is answered: who is still sending hears no answer. What is more than the
 * limit, or does not end, is not waited for.
 */
export async function letRunOff(request: Request): Promise<void> {
  if (request.readableEnded || request.destroyed) return;
  let bytes = 0;
  await new Promise<void>((resolve) => {
    const late = setTimeout(resolve, RUN_OFF_MS);
    const done = () => (clearTimeout(late), resolve());
    request.on('data', (chunk: Buffer) => {
      bytes += chunk.length;
      if (bytes > LINES_LIMIT) done();
    });
    for (const event of ['end', 'close', 'error']) request.once(event, done);
    request.resume();
  });
}
