import type { RequestHandler } from 'express';
import rateLimit, { type Options } from 'express-rate-limit';
import type { Tries } from '../services/tries.ts';
import { sendProblem } from './answer-problems.ts';
import { HOUR_MS, MINUTE_MS } from '@banter/core';

const limit = (windowMs: number, most: number, extra: Partial<Options> = {}): RequestHandler =>
  rateLimit({
    windowMs,
    limit: most,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    validate: { trustProxy: false },
    handler: (_request, response) => sendProblem(response, 'too-many'),
    ...extra,
  });

/** Calculations that one address may ask for in a minute. They cost this server alone, and are counted by it alone. */
export const limitCalculations = (perMinute: number): RequestHandler => limit(MINUTE_MS, perMinute);

export type LimitNumbers = {
  /** Kennels that one address may make in an hour; it looks at ten times as many invitations, and enters the demo four times as often. */
  signUpsPerHour: number;
};

/** Limits of what one address may ask for, counted in the database by all servers together. */
export function makeLimits(tries: Tries, { signUpsPerHour }: LimitNumbers) {
  const counted = (name: string, windowMs: number, most: number) => limit(windowMs, most, { store: tries.store(name) });
  return {
    signUps: counted('sign-ups', HOUR_MS, signUpsPerHour),
    invitations: counted('invitations', HOUR_MS, signUpsPerHour * 10),
    demoSignIns: counted('demo sign-ins', HOUR_MS, signUpsPerHour * 4),
    /** Requests with lines of events. */
    events: counted('events', MINUTE_MS, 600),
    /** Looks at calendars elsewhere, and what owners do with their links. */
    feeds: counted('feeds', MINUTE_MS, 120),
    owners: counted('owners', MINUTE_MS, 120),
    /** Photos: each is made anew, which takes its time. */
    photos: counted('photos', MINUTE_MS, 60),
  };
}
export type Limits = ReturnType<typeof makeLimits>;
