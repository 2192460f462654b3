import { PROBLEMS, type Problem, type ProblemCode } from '@banter/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { isDatabaseAway } from '../data/database-away.ts';
import { pathShape } from '../log.ts';
import { Failure } from '../services/failure.ts';

/** Sends a problem out of the catalogue as application/problem+json (RFC 9457). */
export function sendProblem(response: Response, code: ProblemCode, more: Failure['more'] = {}): void {
  // Clients keep what they have and send it again.
  if (PROBLEMS[code].status === 503) response.set('Retry-After', '2');
  const problem: Problem = { type: `/problems/${code}`, ...PROBLEMS[code], code, ...more };
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** What a failure of the body parser, the router or the files is called in the catalogue. */
function codeOf(error: unknown): ProblemCode | null {
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return 'too-large';
  if (type === 'entity.parse.failed' || type === 'charset.unsupported' || type === 'encoding.unsupported') return 'not-json';
  if (type?.startsWith('request.')) return 'not-json';
  if (error instanceof URIError || status === 400) return 'bad-address';
  if (status === 403 || status === 404) return 'not-found';
  if (status === 412) return 'not-as-asked';
  if (status === 416) return 'no-such-range';
  return null;
}

/** The one place where failures become answers: known ones from the catalogue, unknown ones logged and hidden. */
export function answerProblems(log: Logger): ErrorRequestHandler {
  return (error, request, response, _next) => {
    const about = { error: error as unknown, path: pathShape(request.path), request: response.locals.requestId as unknown };
    if (response.headersSent) {
      // Half an answer must not look like a whole one.
      log.warn(about, 'an answer was broken off');
      response.destroy();
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
      log.warn(about, 'the database is away');
      sendProblem(response, 'database-away');
      return;
    }
    log.error(about, 'unexpected failure');
    sendProblem(response, 'unexpected');
  };
}
