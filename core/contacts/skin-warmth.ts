import { hoursApart } from '../neck/contact-place.ts';
import type { ContactWear } from './rotation-case.ts';
import { atMost } from '../units/tolerance.ts';
import { HOUR_MS } from '../units/durations.ts';

/** The skin round the neck in quarter hours of the clock, from 12 on: how many hours contacts lay on it; a place is under the footprint up to its edge. */
export const WARMTH_STEPS = 48;

/**
 * How long each stretch of skin has been under a footprint in the last `days`: for every quarter hour of the clock, from 12 over
 * 3, the hours of the wears whose footprint covers it. Girth and footprint mm, now ms. Geometry.
 */
export function skinWarmth(worn: readonly ContactWear[], girthMm: number, footprintMm: number, now: number, days: number): number[] {
  const since = now - days * 24 * HOUR_MS;
  return Array.from({ length: WARMTH_STEPS }, (_none, step) => {
    const clock = step / 4;
    return worn
      .filter((wear) => atMost((girthMm * hoursApart(clock, wear.clock)) / 12, footprintMm / 2))
      .reduce((sum, wear) => sum + Math.max(0, Math.min(wear.to ?? now, now) - Math.max(wear.from, since)) / HOUR_MS, 0);
  });
}
