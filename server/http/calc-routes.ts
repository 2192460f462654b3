import { calculationOf, computeFits, FitsRequest } from '@banter/contract';
import { Router } from 'express';
import { Failure } from '../services/failure.ts';
import { limitCalculations } from './guards.ts';
import { parseBody, readAnyJson, readLargeJson } from './read-request.ts';

/** The calculations of the contract: stateless, without sign-in. */
export function calcRoutes(perMinute: number): Router {
  const routes = Router();
  routes.use('/:name', limitCalculations(perMinute), (request, response, next) => {
    if (!calculationOf(String(request.params.name))) throw new Failure('not-found');
    if (request.method !== 'POST') {
      response.set('Allow', 'POST');
      throw new Failure('wrong-method');
    }
    next();
  });
  routes.post('/:name', ...readAnyJson, (request, response) => {
    const calculation = calculationOf(String(request.params.name))!;
    response.json(calculation.compute(parseBody(calculation.request, request)));
  });
  return routes;
}

/** Many dogs at once: stateless and without sign-in as the calculations are, in one larger request. */
export function fitsRoutes(perMinute: number): Router {
  const routes = Router();
  routes.post('/fits', limitCalculations(perMinute), ...readLargeJson, (request, response) => {
    response.json(computeFits(parseBody(FitsRequest, request)));
  });
  return routes;
}
