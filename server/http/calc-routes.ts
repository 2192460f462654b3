import { calculationOf } from '@banter/contract';
import { Router, type Request, type Response } from 'express';
import { FITS } from '../calculations/answer-calculation.ts';
import type { CalculationPool } from '../calculations/calculation-pool.ts';
import { Failure } from '../services/failure.ts';
import { sendProblem } from './answer-problems.ts';
import { limitCalculations } from './limits.ts';
import { BODY_LIMIT, LARGE_BODY_LIMIT, readBytesUpTo } from './read-request.ts';

/** Answers a calculation by the pool. */
async function answerBy(pool: CalculationPool, name: string, request: Request, response: Response): Promise<void> {
  const answered = await pool.answer({ name, bytes: request.body as Buffer }, request.ip ?? '');
  if ('json' in answered) response.type('application/json').send(answered.json);
  else sendProblem(response, answered.problem, answered.errors ? { errors: answered.errors } : {});
}

/** The calculations of the contract: stateless, without sign-in. */
export function calcRoutes(pool: CalculationPool, perMinute: number): Router {
  const routes = Router();
  routes.use('/:name', limitCalculations(perMinute), (request, response, next) => {
    if (!calculationOf(String(request.params.name))) throw new Failure('not-found');
    if (request.method !== 'POST') {
      response.set('Allow', 'POST');
      throw new Failure('wrong-method');
    }
    next();
  });
  routes.post('/:name', ...readBytesUpTo(BODY_LIMIT), (request, response) => answerBy(pool, String(request.params.name), request, response));
  return routes;
}

/** Many dogs at once: stateless and without sign-in as the calculations are, in one larger request. */
export function fitsRoutes(pool: CalculationPool, perMinute: number): Router {
  const routes = Router();
  routes.post('/fits', limitCalculations(perMinute), ...readBytesUpTo(LARGE_BODY_LIMIT), (request, response) => answerBy(pool, FITS, request, response));
  return routes;
}
