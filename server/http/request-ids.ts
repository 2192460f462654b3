import type { RequestHandler } from 'express';
import { v7 as uuidv7 } from 'uuid';

const NAME = 'X-Request-Id';
/** What a load balancer gives a request as its id. */
const GIVEN = /^[\w.:-]{8,100}$/;

/** Gives each request an id, or takes the one a load balancer gave it: it stands in the answer and beside what is logged. */
export const requestIds: RequestHandler = (request, response, next) => {
  const given = request.get(NAME);
  const id = given !== undefined && GIVEN.test(given) ? given : uuidv7();
  response.locals.requestId = id;
  response.set(NAME, id);
  next();
};
