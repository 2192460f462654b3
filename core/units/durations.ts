/** Lengths of time in milliseconds. A day is 24 hours: calendar days, which may be longer or shorter, are counted in the kennel's zone. */
export const MINUTE_MS = 60_000;
export const HOUR_MS = 60 * MINUTE_MS;
export const DAY_MS = 24 * HOUR_MS;
