import { clearOfWindpipe, hoursApart, placeInSchool, placesOverlap } from '../neck/contact-place.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { ContactWear, PlaceBar, RotationCase, RotationFound, RotationPlace } from './rotation-case.ts';
import { rotationReasons, type RotationReason } from './rotation-reasons.ts';
import { skinStanding } from '../standing/skin-standing.ts';
import { below } from '../units/tolerance.ts';
import { HOUR_MS } from '../units/durations.ts';

/** The places between which contacts are moved: the whole hours. Common practice. */
export const CONTACT_PLACES = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] as const;

/** What was found, and why. */
export type Rotation = RotationFound & { reasons: RotationReason[] };

const DAY_HOURS = 24;
/** Hours of the wears that lie within a span, both ms; two receivers at once count twice. */
export function hoursWorn(worn: readonly ContactWear[], from: number, to: number): number {
  const ms = worn.reduce((sum, wear) => sum + Math.max(0, Math.min(wear.to ?? to, to) - Math.max(wear.from, from)), 0);
  return ms / HOUR_MS;
}

/** A largest set of places no two of which overlap, the lowest numbers where several are as large. */
export function distinctPlaces(allowed: readonly number[], girthMm: number, footprintMm: number): number[] {
  const clashes = allowed.map((a) => allowed.reduce((mask, b, index) => (placesOverlap(a, b, girthMm, footprintMm) ? mask | (1 << index) : mask), 0));
  let best: number[] = [];
  const add = (from: number, blocked: number, chosen: number[]) => {
    if (chosen.length > best.length) best = chosen;
    for (let index = from; index < allowed.length && chosen.length + allowed.length - index > best.length; index += 1) {
      if ((blocked & (1 << index)) === 0) add(index + 1, blocked | clashes[index]!, [...chosen, allowed[index]!]);
    }
  };
  add(0, 0, []);
  return best;
}

/**
 * Where the contacts go next, over the twelve whole hours: allowed by school, windpipe and skin, not overlapping the present
 * place, rested longest (never worn first; of equals the nearest to 3 or 9, then the lower number). Null when a place is red or
 * broken, or when none is left. Hours of wear left today are the distinct places times `moveByHours`, at most `dayHours`, less
 * what was worn in the last 24 h. Common practice; geometry.
 *
 * @example rotateContacts({ girthMm: 400, footprintMm: 60, school: 'upper-half', now: 0, worn: [], skin: [] }, rules).next // 3
 */
export function rotateContacts(
  { girthMm, footprintMm, school, now, worn, skin }: RotationCase,
  rules: Pick<HouseRules, 'moveByHours' | 'dayHours' | 'restHours'>,
): Rotation {
  const overlap = (a: number, b: number) => placesOverlap(a, b, girthMm, footprintMm);
  const { flags, off } = skinStanding(skin, now, rules);
  const present = worn.find(({ to }) => to === null) ?? null;

  /** Ms since an overlapping wear ended; null: never. */
  const restedMs = (clock: number): number | null => {
    const ends = worn.filter((wear) => overlap(clock, wear.clock)).map((wear) => wear.to ?? now);
    return ends.length === 0 ? null : Math.max(0, now - Math.max(...ends));
  };
  const barredBy = (clock: number): PlaceBar => {
    if (!placeInSchool(clock, school)) return 'school';
    if (below(clearOfWindpipe(clock, girthMm, footprintMm), 0)) return 'windpipe';
    return off !== null || flags.some((flag) => overlap(clock, flag.clock)) ? 'skin' : null;
  };
  const rested = CONTACT_PLACES.map((clock) => ({ clock, barred: barredBy(clock), ms: restedMs(clock) }));
  const places = rested.map(({ clock, barred, ms }): RotationPlace => ({
    clock,
    allowed: barred === null,
    barred,
    restedHours: ms === null ? null : ms / HOUR_MS,
  }));

  const besides = (clock: number) => Math.min(hoursApart(clock, 3), hoursApart(clock, 9));
  const [next] = rested
    .filter(({ clock, barred }) => barred === null && !(present && overlap(clock, present.clock)))
    .sort((a, b) => (b.ms ?? Infinity) - (a.ms ?? Infinity) || besides(a.clock) - besides(b.clock) || a.clock - b.clock);

  const distinct = distinctPlaces(
    places.filter(({ allowed }) => allowed).map(({ clock }) => clock),
    girthMm,
    footprintMm,
  );
  const wornHours = hoursWorn(worn, now - DAY_HOURS * HOUR_MS, now);
  const found = {
    places,
    next: next?.clock ?? null,
    presentBar: present ? barredBy(present.clock) : null,
    moveBy: present ? present.from + rules.moveByHours * HOUR_MS : null,
    distinct,
    wornHours,
    capacityHours: Math.max(0, Math.min(distinct.length * rules.moveByHours, rules.dayHours) - wornHours),
  };
  return { ...found, reasons: rotationReasons(found, { flags, present, school, now, rules }) };
}
