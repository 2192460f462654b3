import { PROBLEMS, type Problem, type ProblemCode } from '@banter/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { Failure } from '../services/failure.ts';

/** Sends a problem out of the catalogue as application/problem+json (RFC 9457). */
export function sendProblem(response: Response, code: ProblemCode, more: Failure['more'] = {}): void {
  const problem: Problem = { type: `/problems/${code}`, ...PROBLEMS[code], code, ...more };
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** Ways in which the database can be away: refused, gone in the middle, shutting down, or not answering. */
const DATABASE_AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_LOCK_WAIT_TIMEOUT',
]);

export function isDatabaseAway(error: unknown): boolean {
  const { code, message, fatal } = error as { code?: string; message?: string; fatal?: boolean };
  return (
    (code !== undefined && DATABASE_AWAY.has(code)) ||
    (fatal === true && code !== undefined) ||
    /closed state|Pool is closed|Driver not Connected|Connection lost|server has gone away/i.test(message ?? '')
  );
}

/** What a failure of the body parser or router is called in the catalogue. */
function codeOf(error: unknown): ProblemCode | null {
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return 'too-large';
  if (type === 'entity.parse.failed' || type === 'charset.unsupported' || type === 'encoding.unsupported') return 'not-json';
  if (type?.startsWith('request.')) return 'not-json';
  if (error instanceof URIError || status === 400) return 'bad-address';
  return null;
}

/** The one place where failures become answers: known ones from the catalogue, unknown ones logged and hidden. */
export function answerProblems(log: Logger): ErrorRequestHandler {
  return (error, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof Failure) {
      sendProblem(response, error.code, error.more);
      return;
    }
    const code = codeOf(error);
    if (code) {
      sendProblem(response, code);
      return;
    }
    if (isDatabaseAway(error)) {
      log.warn({ error: { code: error.code, message: error.message }, path: request.path }, 'the database is away');
      response.set('Retry-After', '2');
      sendProblem(response, 'database-away');
      return;
    }
    // pino writes out what stands under «err» with its message and stack.
    log.error({ err: error, path: request.path }, 'unexpected failure');
    sendProblem(response, 'unexpected');
  };
}
