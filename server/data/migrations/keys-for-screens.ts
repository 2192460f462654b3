import { addsKey, changesTable } from './table-migration.ts';

/** Keys for what screens ask of long tables. */
export const keysForScreensMigrations = [
  addsKey('SessionsOfLate1764000000152', 'field_sessions', 'ofLate', 'kennelId, lastAt'),
  addsKey('SessionsGoingOn1764000000153', 'field_sessions', 'goingOn', 'kennelId, endedAt, begunAt'),
  addsKey('FoundOfDogs1764000000154', 'presses', 'ofDogFor', 'kennelId, dogId, purpose, at'),
  // In place of the key that its reference made for itself.
  changesTable('TakenBackByWhat1764000000155', 'happenings', {
    up: 'ADD KEY takenBack (kennelId, eventId)',
    down: 'DROP KEY takenBack, ADD KEY kennelId_3 (kennelId, eventId)',
  }),
  // What a dog wore, and who wore a collar, out of the keys alone: a dog of five years has thousands of wears. Nothing is asked for by its event alone.
  changesTable('WornByWhom1764000000156', 'happenings', {
    up: `DROP KEY ofDog, ADD KEY ofDog (kennelId, dogId, event, at, collarId),
         DROP KEY ofCollar, ADD KEY ofCollar (kennelId, collarId, event, at, dogId), DROP KEY byEvent`,
    down: `DROP KEY ofDog, ADD KEY ofDog (kennelId, dogId, event, at),
           DROP KEY ofCollar, ADD KEY ofCollar (kennelId, collarId, event, at), ADD KEY byEvent (kennelId, event, at)`,
  }),
  // Which check found a collar last, out of the key alone: a check is a long row, and a collar that is looked at each day has hundreds.
  addsKey('FoundWithPlan1764000000174', 'fit_checks', 'ofPlan', 'kennelId, planId, at, dogId'),
];
