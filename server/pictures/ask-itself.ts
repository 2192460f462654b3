import type { Request } from 'express';
import { request as httpRequest, type Server } from 'node:http';
import type { Socket } from 'node:net';
import { duplexPair } from 'node:stream';
import { joinPage, type OnePage } from '../http/one-page.ts';

export type OwnAnswer = { status: number; text: string; cookies: readonly string[] };

/** What a page is asked with that its own questions are asked with, too. */
const SAME_HEADERS = ['host', 'cookie', 'x-forwarded-for', 'x-forwarded-proto', 'x-forwarded-host'] as const;

/** A line to the server that a page was asked of, through memory: as whoever asked it would call, without the way over the network and back. */
function lineToItself({ socket }: Request, page: OnePage): Socket {
  const [here, there] = duplexPair();
  // Any stream does for both ends of HTTP (https://nodejs.org/api/http.html#event-connection).
  const { server } = socket as Socket & { server: Server };
  joinPage(there, page);
  server.emit('connection', Object.assign(there, { remoteAddress: socket.remoteAddress }));
  return here as Socket;
}

/**
 * Asks this very server for a path of its interface as whoever asks for a page would: the same guards, roles and limits. What is looked up for one
 * question of a page holds for the others. Rejected when nobody answers in time, ms.
 */
export function askItself(request: Request, path: string, { page, patienceMs }: { page: OnePage; patienceMs: number }): Promise<OwnAnswer> {
  return new Promise((resolve, reject) => {
    const same = SAME_HEADERS.flatMap((name) => (request.headers[name] === undefined ? [] : [[name, request.headers[name]] as const]));
    const asked = httpRequest(
      {
        path,
        createConnection: () => lineToItself(request, page),
        signal: AbortSignal.timeout(patienceMs),
        headers: { accept: 'application/json', ...Object.fromEntries(same) },
      },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => parts.push(part));
        answer.on('error', reject);
        answer.on('end', () =>
          resolve({ status: answer.statusCode ?? 0, text: Buffer.concat(parts).toString('utf8'), cookies: answer.headers['set-cookie'] ?? [] }),
        );
      },
    );
    asked.on('error', reject);
    asked.end();
  });
}
