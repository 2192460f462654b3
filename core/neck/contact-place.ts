import { below } from '../units/tolerance.ts';

/** Schools of where contacts may sit. Common practice. */
export const PLACEMENT_SCHOOLS = ['upper-half', 'clear-of-throat'] as const;
export type PlacementSchool = (typeof PLACEMENT_SCHOOLS)[number];

/** The windpipe lies between these clock places, both ends free. Common practice. */
const WINDPIPE_HALF_HOURS = 1;

/** Hours between two clock places, the short way round, 0 to 6. */
export function hoursApart(a: number, b: number): number {
  const apart = Math.abs((((a - b) % 12) + 12) % 12);
  return Math.min(apart, 12 - apart);
}

/**
 * How far the footprint of a receiver centred on a clock place stays clear of the windpipe (5 to 7), in mm round the neck;
 * negative: it lies over it. Source: geometry; common practice.
 *
 * @example clearOfWindpipe(3, 400, 60) // 2 h of 33.3 mm less half the footprint: 36.7
 */
export function clearOfWindpipe(clock: number, girthMm: number, footprintMm: number): number {
  return (girthMm * (hoursApart(clock, 6) - WINDPIPE_HALF_HOURS)) / 12 - footprintMm / 2;
}

/** Whether a school lets contacts be centred on a clock place, whatever their footprint. */
export function placeInSchool(clock: number, school: PlacementSchool): boolean {
  return school === 'upper-half' ? hoursApart(clock, 12) <= 3 : hoursApart(clock, 6) > 1;
}

/**
 * Whether two contact places share skin: their distance round the neck, girth · hours apart ÷ 12, is under the footprint; mm.
 *
 * @example placesOverlap(9, 10, 400, 60) // 33.3 mm apart: true
 */
export function placesOverlap(a: number, b: number, girthMm: number, footprintMm: number): boolean {
  return below((girthMm * hoursApart(a, b)) / 12, footprintMm);
}
