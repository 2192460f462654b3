import { createReadStream } from 'node:fs';
import { Assembler } from 'stream-json/assembler.js';
import { jsonParser, type Token } from 'stream-json/core/parser.js';

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

/** The tokens of each piece of text, going on from the one before. The tokenizer is called by itself: as a stream it costs three times as much. */
function tokenizer() {
  const tokens = jsonParser({ streamValues: false }) as unknown as (text: string) => { values?: readonly Token[] };
  return (text: string): readonly Token[] => tokens(text).values ?? [];
}

/** The bytes of a file as text, a part at a time. */
async function* textsOf(file: string, wasRead: (bytes: number) => void): AsyncGenerator<string> {
  const decoder = new TextDecoder();
  for await (const chunk of createReadStream(file, { highWaterMark: AT_ONCE }) as AsyncIterable<Buffer>) {
    wasRead(chunk.length);
    yield decoder.decode(chunk, { stream: true });
  }
}

/**
 * Reads a file piece by piece; never more than one piece is held. `progress` is told how many bytes were read. Throws UnreadableFile
 * for what is no JSON, no object at its top, or a piece that is too long.
 */
export async function* readPieces(file: string, progress: (bytes: number) => void): AsyncGenerator<FilePiece> {
  let read = 0;
  let sinceLast = 0;
  let part: string | null = null;
  const tokensOf = tokenizer();
  const wasRead = (bytes: number) => {
    read += bytes;
    sinceLast += bytes;
    const longest = part === 'photos' ? LONGEST_PHOTO : LONGEST_PIECE;
    if (sinceLast > longest) throw new UnreadableFile(`One of its records is longer than ${longest / 1024 / 1024} MB.`);
  };
  let depth = 0;
  let key: string | null = null;
  let index = 0;
  let assembler: Assembler | null = null;
  try {
    for await (const text of textsOf(file, wasRead)) {
      for (const token of tokensOf(text)) {
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
        if (part === null) yield { at: 'top', name: key!, value };
        else {
          yield { at: 'record', part, index, value };
          index += 1;
        }
      }
      progress(read);
    }
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    throw new UnreadableFile(`It is no JSON that can be read: ${(error as Error).message}`);
  }
  if (depth !== -1) throw new UnreadableFile('It ends before it is whole.');
}
