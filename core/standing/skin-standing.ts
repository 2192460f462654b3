import { placesOverlap } from '../neck/contact-place.ts';
import type { HouseRules } from '../rules/house-rules.ts';
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
function latestLooks(looks: readonly SkinLook[], now: number): SkinLook[] {
  const latest = new Map<number, SkinLook>();
  for (const look of looks) {
    if (look.at > now) continue;
    const place = look.clock % 12;
    const soFar = latest.get(place);
    if (!soFar || look.at > soFar.at || (look.at === soFar.at && look.grade > soFar.grade)) latest.set(place, look);
  }
  return [...latest.values()];
}

/** How long a look that found something holds, ms: until the next look at its place, a pink one until its rest is over. */
export type SkinSpan = { clock: number; grade: 1 | 2 | 3; from: number; to: number | null };

/** Which looks of the skin held at what time, in the order that they began; of two at the same instant the worse counts. Common practice. */
export function skinSpans(looks: readonly SkinLook[], rules: Pick<HouseRules, 'restHours'>): SkinSpan[] {
  const inOrder = [...looks].sort((a, b) => a.at - b.at || a.grade - b.grade);
  return inOrder.flatMap(({ clock, grade, at }, index): SkinSpan[] => {
    if (grade === 0) return [];
    const next = inOrder.slice(index + 1).find((later) => later.clock % 12 === clock % 12)?.at ?? Infinity;
    const to = Math.min(next, grade === 1 ? at + rules.restHours * HOUR_MS : Infinity);
    return to <= at ? [] : [{ clock, grade, from: at, to: to === Infinity ? null : to }];
  });
}

/** What the skin under a dog's collars says now, place by place and as a whole: `off` is the worst that takes everything off the neck. */
export type SkinStanding = { looks: SkinLook[]; lookedAt: number | null; flags: SkinFlag[]; off: SkinFlag | null };

/**
 * Where a dog's skin stands, out of every look in any order: the latest look at each place, when anybody looked last (ms), what is
 * flagged, and the worst red or broken place, which keeps all collars off until a later look there says clear or pink. Common practice.
 *
 * @example skinStanding([{ clock: 3, grade: 1, at: 0 }], HOUR_MS, { restHours: 72 }).flags.length // 1
 */
export function skinStanding(looks: readonly SkinLook[], now: number, rules: Pick<HouseRules, 'restHours'>): SkinStanding {
  const latest = latestLooks(looks, now);
  const flags = skinSpans(
    looks.filter(({ at }) => at <= now),
    rules,
  ).flatMap(({ clock, grade, from, to }): SkinFlag[] => (to === null || now < to ? [{ clock, grade, at: from, untilMs: to }] : []));
  const off = flags.reduce<SkinFlag | null>((worst, flag) => (flag.grade >= 2 && flag.grade > (worst?.grade ?? 1) ? flag : worst), null);
  return { looks: latest, lookedAt: latest.length === 0 ? null : Math.max(...latest.map(({ at }) => at)), flags, off };
}

/** What the skin says of contacts at a clock place (null: not known), with girth and footprint in mm: the worst of the whole neck, else a flag that they would lie on. */
export function skinAt(
  { flags, off }: Pick<SkinStanding, 'flags' | 'off'>,
  clock: number | null,
  girthMm: number | null,
  footprintMm: number,
): SkinFlag | null {
  if (off !== null || clock === null || girthMm === null) return off;
  return flags.find((flag) => placesOverlap(flag.clock, clock, girthMm, footprintMm)) ?? null;
}
