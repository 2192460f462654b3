import type { Request } from 'express';
import { request as httpRequest } from 'node:http';

export type OwnAnswer = { status: number; text: string; cookies: readonly string[] };

/**
 * Asks this very server for a path of its interface as whoever asks for a page would: the same guards, roles and limits. Rejected when nobody
 * answers in time, ms.
 */
export function askItself(page: Request, path: string, patienceMs: number): Promise<OwnAnswer> {
  return new Promise((resolve, reject) => {
    const { localAddress, localPort } = page.socket;
    const behindProxy = page.app.get('trust proxy') as number;
    const asked = httpRequest(
      {
        host: localAddress,
        port: localPort,
        path,
        agent: false,
        signal: AbortSignal.timeout(patienceMs),
        headers: {
          accept: 'application/json',
          ...(page.headers.host === undefined ? {} : { host: page.headers.host }),
          ...(page.headers.cookie === undefined ? {} : { cookie: page.headers.cookie }),
          ...(behindProxy > 0 ? { 'x-forwarded-for': page.ip ?? '', 'x-forwarded-proto': page.protocol } : {}),
        },
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
