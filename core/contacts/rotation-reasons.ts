import type { PlacementSchool } from '../neck/contact-place.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { listWords } from '../units/count-words.ts';
import { speakHours } from '../units/speak-hours.ts';
import type { ContactWear, RotationFound } from './rotation-case.ts';
import { SKIN_GRADE_WORDS, type SkinFlag, type SkinGrade } from '../standing/skin-standing.ts';
import { HOUR_MS } from '../units/durations.ts';

export type RotationReason =
  | { code: 'skin-off'; clock: number; grade: SkinGrade }
  | { code: 'skin-rests'; clock: number; hoursLeft: number; restHours: number }
  | { code: 'next-never-worn'; clock: number }
  | { code: 'next-rested'; clock: number; restedHours: number }
  | { code: 'no-place'; school: PlacementSchool }
  | { code: 'move-due'; clock: number; hours: number; moveByHours: number }
  | { code: 'move-in'; clock: number; hours: number; moveByHours: number }
  | { code: 'distinct-places'; places: number[]; moveByHours: number; dayHours: number }
  | { code: 'hours-left'; wornHours: number; capacityHours: number }
  | { code: 'day-full'; wornHours: number };

const hours = speakHours;
/** A clock place as the trade says it: half hours as such. */
export const clockWords = (clock: number): string => {
  const whole = Math.floor(clock % 12) || 12;
  return clock % 1 === 0 ? `${whole} o’clock` : `half past ${whole}`;
};

export const ROTATION_REASON_WORDS: ReasonWords<RotationReason> = {
  'skin-off': (r) =>
    `The skin at ${clockWords(r.clock)} is ${SKIN_GRADE_WORDS[r.grade]} (grade ${r.grade}; from grade 2 the collar stays off): ask a vet, and look again there before it goes back on.`,
  'skin-rests': (r) =>
    `${clockWords(r.clock)} was pink: it and what overlaps it rest ${hours(r.restHours)}, another ${hours(r.hoursLeft)}, or until a check there is clear.`,
  'next-never-worn': (r) => `Next is ${clockWords(r.clock)}: allowed, and never worn.`,
  'next-rested': (r) => `Next is ${clockWords(r.clock)}: of the allowed places it has rested longest, ${hours(r.restedHours)}.`,
  'no-place': (r) =>
    r.school === 'upper-half'
      ? 'No place is left: the upper half (9 over 12 to 3) is resting, flagged, or shares skin with the present place.'
      : 'No place is left: all that is clear of the throat (5 to 7) rests, is flagged, or shares skin with this place.',
  'move-due': (r) => `It has sat at ${clockWords(r.clock)} for ${hours(r.hours)}; after ${hours(r.moveByHours)} it is moved.`,
  'move-in': (r) => `It has sat at ${clockWords(r.clock)} for ${hours(r.hours)} of at most ${hours(r.moveByHours)}.`,
  'distinct-places': (r) =>
    r.places.length === 0
      ? 'This neck has no place for these contacts now.'
      : `This neck has ${r.places.length} distinct ${r.places.length === 1 ? 'place' : 'places'} now (such as ${listWords(r.places.map(String))}), ${hours(r.moveByHours)} each, at most ${hours(r.dayHours)} a day.`,
  'hours-left': (r) => `Worn ${hours(r.wornHours)} in the last 24 h: ${hours(r.capacityHours)} left.`,
  'day-full': (r) => `Worn ${hours(r.wornHours)} in the last 24 h: nothing left today.`,
};

/** What decided a rotation, in the order in which it is told. */
export function rotationReasons(
  found: RotationFound,
  {
    flags,
    present,
    school,
    now,
    rules,
  }: {
    flags: readonly SkinFlag[];
    present: ContactWear | null;
    school: PlacementSchool;
    now: number;
    rules: Pick<HouseRules, 'moveByHours' | 'dayHours' | 'restHours'>;
  },
): RotationReason[] {
  const { moveByHours, dayHours, restHours } = rules;
  const off = flags.filter(({ untilMs }) => untilMs === null);
  const reasons: RotationReason[] = off.map(({ clock, grade }) => ({ code: 'skin-off', clock, grade }));
  for (const { clock, untilMs } of flags) {
    if (untilMs !== null) reasons.push({ code: 'skin-rests', clock, hoursLeft: (untilMs - now) / HOUR_MS, restHours });
  }
  if (present) {
    const sat = (now - present.from) / HOUR_MS;
    reasons.push({ code: sat >= moveByHours ? 'move-due' : 'move-in', clock: present.clock, hours: sat, moveByHours });
  }
  const next = found.places.find(({ clock }) => clock === found.next);
  if (next) {
    reasons.push(
      next.restedHours === null ? { code: 'next-never-worn', clock: next.clock } : { code: 'next-rested', clock: next.clock, restedHours: next.restedHours },
    );
  } else if (off.length === 0) reasons.push({ code: 'no-place', school });
  reasons.push({ code: 'distinct-places', places: found.distinct, moveByHours, dayHours });
  reasons.push(
    found.capacityHours > 0
      ? { code: 'hours-left', wornHours: found.wornHours, capacityHours: found.capacityHours }
      : { code: 'day-full', wornHours: found.wornHours },
  );
  return reasons;
}
