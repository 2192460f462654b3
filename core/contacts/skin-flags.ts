import { hoursApart } from '../neck/contact-place.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { below } from '../units/tolerance.ts';
import { HOUR_MS } from '../units/durations.ts';

/** Skin under a collar: 0 clear, 1 pink, 2 red or hairless, 3 broken. Common practice. */
export const SKIN_GRADES = [0, 1, 2, 3] as const;
export type SkinGrade = (typeof SKIN_GRADES)[number];
export const SKIN_GRADE_WORDS: Record<SkinGrade, string> = { 0: 'clear', 1: 'pink', 2: 'red or hairless', 3: 'broken' };

/** One look at the skin at a clock place; `at` in ms since 1970, UTC. */
export type SkinLook = { clock: number; grade: SkinGrade; at: number };

/** What the latest look at a place forbids: `rests` until an instant (ms), `off` until a later look says 0 or 1. */
export type SkinFlag = { clock: number; grade: 1 | 2 | 3; at: number; untilMs: number | null };

/** The latest look at each clock place up to `now` (ms); of two at the same instant the worse counts. */
export function latestLooks(looks: readonly SkinLook[], now: number): SkinLook[] {
  const latest = new Map<number, SkinLook>();
  for (const look of looks) {
    if (look.at > now) continue;
    const place = look.clock % 12;
    const soFar = latest.get(place);
    if (!soFar || look.at > soFar.at || (look.at === soFar.at && look.grade > soFar.grade)) latest.set(place, look);
  }
  return [...latest.values()];
}

/**
 * What the skin forbids now: a pink place rests `restHours` from when it was seen, or until a later look there finds it clear;
 * a red or broken one takes the collar off, wherever it is, until a later look there says 0 or 1. `now` in ms. Common practice.
 */
export function skinFlags(looks: readonly SkinLook[], now: number, rules: Pick<HouseRules, 'restHours'>): SkinFlag[] {
  return latestLooks(looks, now).flatMap(({ clock, grade, at }): SkinFlag[] => {
    if (grade === 0) return [];
    if (grade === 1) {
      const untilMs = at + rules.restHours * HOUR_MS;
      return now < untilMs ? [{ clock, grade, at, untilMs }] : [];
    }
    return [{ clock, grade, at, untilMs: null }];
  });
}

/**
 * Whether two contact places share skin: their distance round the neck, girth · hours apart ÷ 12, is under the footprint; mm.
 *
 * @example placesOverlap(9, 10, 400, 60) // 33.3 mm apart: true
 */
export function placesOverlap(a: number, b: number, girthMm: number, footprintMm: number): boolean {
  return below((girthMm * hoursApart(a, b)) / 12, footprintMm);
}
