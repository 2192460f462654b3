import { createReadStream } from 'node:fs';
import { Assembler } from 'stream-json/assembler.js';
import { parser, type Token } from 'stream-json/parser.js';

/** One piece of a kennel's file: a value that stands at its top, or a record of one of its arrays. */
export type FilePiece =
  { at: 'top'; name: string; value: unknown } | { at: 'array'; part: string } | { at: 'record'; part: string; index: number; value: unknown };

/** The file is no JSON, or holds what no kennel's file does. */
export class UnreadableFile extends Error {}

/** A photo, in Base64, is not longer than this with its record; any other record, or a value at the top, is far shorter. Bytes. */
const LONGEST_PHOTO = 24 * 1024 * 1024;
const LONGEST_PIECE = 2 * 1024 * 1024;
/** What is read off the disk at a time. */
const AT_ONCE = 64 * 1024;

/**
 * Reads a file piece by piece; never more than one piece is held. `progress` is told how many bytes were read. Throws UnreadableFile
 * for what is no JSON, no object at its top, or a piece that is too long.
 */
export async function* readPieces(file: string, progress: (bytes: number) => void): AsyncGenerator<FilePiece> {
  let read = 0;
  let sinceLast = 0;
  let part: string | null = null;
  const source = createReadStream(file, { highWaterMark: AT_ONCE });
  const tokens = parser.asStream({ streamValues: false });
  source.on('data', (chunk) => {
    read += chunk.length;
    sinceLast += chunk.length;
    const longest = part === 'photos' ? LONGEST_PHOTO : LONGEST_PIECE;
    if (sinceLast > longest) source.destroy(new UnreadableFile(`One of its records is longer than ${longest / 1024 / 1024} MB.`));
  });
  source.on('error', (error) => tokens.destroy(error));
  source.pipe(tokens);
  let depth = 0;
  let key: string | null = null;
  let index = 0;
  let assembler: Assembler | null = null;
  try {
    for await (const token of tokens as AsyncIterable<Token>) {
      if (assembler === null) {
        if (depth === 0) {
          if (token.name !== 'startObject') throw new UnreadableFile('It is JSON, but no object.');
          depth = 1;
          continue;
        }
        if (part === null && token.name === 'keyValue') {
          key = token.value;
          continue;
        }
        if (part === null && token.name === 'endObject') {
          depth = -1;
          continue;
        }
        if (part === null && token.name === 'startArray') {
          part = key!;
          index = 0;
          yield { at: 'array', part };
          continue;
        }
        if (part !== null && token.name === 'endArray') {
          part = null;
          continue;
        }
        assembler = new Assembler();
      }
      assembler.consume(token);
      if (!assembler.done) continue;
      const value: unknown = assembler.current;
      assembler = null;
      sinceLast = 0;
      progress(read);
      if (part === null) yield { at: 'top', name: key!, value };
      else {
        yield { at: 'record', part, index, value };
        index += 1;
      }
    }
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    throw new UnreadableFile(`It is no JSON that can be read: ${(error as Error).message}`);
  } finally {
    source.destroy();
    tokens.destroy();
  }
  if (depth !== -1) throw new UnreadableFile('It ends before it is whole.');
}
