import { Router } from 'express';
import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import { pathShape } from '../log.ts';

/** Bounds of how long requests take, s: from what a screen's data takes to where whoever waits gives up. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];

/** `/metrics` in the Prometheus text format: this process, and how long requests took by method, address without its ids, and status. */
export function metricsRoutes(): Router {
  const register = new Registry();
  collectDefaultMetrics({ register, prefix: 'banter_' });
  const took = new Histogram({
    name: 'banter_request_seconds',
    help: 'How long requests took, by method, address and status.',
    labelNames: ['method', 'path', 'status'],
    buckets: SECONDS,
    registers: [register],
  });
  const routes = Router();
  routes.use((request, response, next) => {
    const done = took.startTimer();
    // What nobody serves may be called anything: it is counted as one.
    response.on('finish', () =>
      done({ method: request.method, path: response.statusCode === 404 ? 'unknown' : pathShape(request.path), status: response.statusCode }),
    );
    next();
  });
  routes.get('/metrics', async (_request, response) => {
    response.set('Content-Type', register.contentType).send(await register.metrics());
  });
  return routes;
}
