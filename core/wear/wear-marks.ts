import type { FitTone } from '../fit/fit-row.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';
import { clockWords } from '../contacts/rotation-reasons.ts';
import type { ContactWear } from '../contacts/rotation-case.ts';
import { hoursWorn } from '../contacts/rotation.ts';
import { clearOfWindpipe, placeInSchool, placesOverlap } from '../neck/contact-place.ts';
import { skinSpans, type SkinLook } from '../standing/skin-standing.ts';
import { speakHours } from '../units/speak-hours.ts';
import type { Span, Wear } from '../standing/wear-standing.ts';
import { askOffAfterHours, type WearRule } from './wear-rule.ts';
import { WEAR_STATE_WORDS, type WearState } from './wear-states.ts';
import { above, below } from '../units/tolerance.ts';
import { DAY_MS, HOUR_MS } from '../units/durations.ts';

/** A rule of wearing that was broken, from when until when (ms); `to` null while it still is. */
export type WearMark = { from: number; to: number | null } & (
  | { code: 'unsupervised'; subject: string; state: WearState }
  | { code: 'not-for-free-time'; subject: string }
  | { code: 'for-the-leash'; subject: string }
  | { code: 'at-house-setting-only'; subject: string; state: WearState }
  | { code: 'off-in-the-crate'; subject: string }
  | { code: 'at-night'; subject: string }
  | { code: 'long-in-the-crate'; subject: string; hours: number }
  | { code: 'place-over'; clock: number; hours: number }
  | { code: 'day-over'; hours: number }
  | { code: 'on-the-windpipe'; clock: number }
  | { code: 'on-flagged-skin'; clock: number; flagged: number; grade: number }
  | { code: 'skin-says-off'; clock: number; grade: number }
);

export const WEAR_MARK_TONES: Record<WearMark['code'], FitTone> = {
  unsupervised: 'stop',
  'not-for-free-time': 'mind',
  'for-the-leash': 'mind',
  'at-house-setting-only': 'mind',
  'off-in-the-crate': 'mind',
  'at-night': 'stop',
  'long-in-the-crate': 'stop',
  'place-over': 'stop',
  'day-over': 'stop',
  'on-the-windpipe': 'stop',
  'on-flagged-skin': 'stop',
  'skin-says-off': 'stop',
};

export const WEAR_MARK_WORDS: ReasonWords<WearMark> = {
  unsupervised: (r) => `${r.subject} is worn only while supervised, and the dog is ${WEAR_STATE_WORDS[r.state].name}: take it off.`,
  'not-for-free-time': (r) => `${r.subject} is for the walk or the session, not for free time; only in its first days is it worn at home, watched.`,
  'for-the-leash': (r) => `${r.subject} is for the leash, not for free time: take it off.`,
  'at-house-setting-only': (r) =>
    `${r.subject} on a dog that is ${WEAR_STATE_WORDS[r.state].name}: only at its house setting, with no loop that a paw or tooth can catch.`,
  'off-in-the-crate': (r) => `${r.subject} comes off in the crate in this house: take it off.`,
  'at-night': (r) => `${r.subject} is not worn at night: take it off.`,
  'long-in-the-crate': (r) => `${r.subject} comes off in the crate for longer than ${speakHours(r.hours)}.`,
  'place-over': (r) => `Its contacts have been at ${clockWords(r.clock)} for more than ${speakHours(r.hours)}: move it.`,
  'day-over': (r) => `Worn more than ${speakHours(r.hours)} in 24 h: take it off.`,
  'on-the-windpipe': (r) => `Its contacts are at ${clockWords(r.clock)}, over the windpipe (5 to 7): move it.`,
  'on-flagged-skin': (r) => `Its contacts are at ${clockWords(r.clock)}, on skin flagged at ${clockWords(r.flagged)} (grade ${r.grade}): move it.`,
  'skin-says-off': (r) => `The skin at ${clockWords(r.clock)} is grade ${r.grade}: the collar stays off, and a vet is asked.`,
};

/** What wearing is judged by: now, the nights of the kennel's zone as spans in ms, the dog's skin and neck, and the house. */
export type WearContext = {
  now: number;
  nights: readonly { from: number; to: number }[];
  skin: readonly SkinLook[];
  girthMm: number | null;
  /** Width of the contacts' footprint of the worn collar, mm; null where it has none. */
  footprintMm: number | null;
  rules: HouseRules;
  schools: Pick<HouseSchools, 'crateSchool'>;
};

/** The stretch in which two spans run together, `to` null while they still do; null when they do not meet. */
function together(a: { from: number; to: number | null }, b: { from: number; to: number | null }, now: number): { from: number; to: number | null } | null {
  const from = Math.max(a.from, b.from);
  const ends = [a.to, b.to].filter((to): to is number => to !== null);
  const to = ends.length === 0 ? null : Math.min(...ends);
  if (from >= Math.min(to ?? now, now)) return null;
  return { from, to: to !== null && to > now ? null : to };
}

const UNSUPERVISED: readonly WearState[] = ['crated', 'alone', 'playing', 'overnight'];

function stateMarks(span: Span<WearState>, { subject, loose, unwatched }: WearRule, { now, rules, schools }: WearContext): WearMark[] {
  const { from, to, value: state } = span;
  const when = { from, to };
  if (state === 'supervised' && loose === 'first-days') return [{ code: 'not-for-free-time', subject, ...when }];
  if (state === 'supervised' && loose === 'no') return [{ code: 'for-the-leash', subject, ...when }];
  if (!UNSUPERVISED.includes(state)) return [];
  switch (unwatched) {
    case 'never':
      return [{ code: 'unsupervised', subject, state, ...when }];
    case 'house-setting':
      return [{ code: 'at-house-setting-only', subject, state, ...when }];
    case 'crate-school':
      return state === 'crated' && schools.crateSchool === 'off-in-crate' ? [{ code: 'off-in-the-crate', subject, ...when }] : [];
    case 'device': {
      if (state === 'overnight') return [{ code: 'at-night', subject, ...when }];
      const over = from + rules.crateHours * HOUR_MS;
      return state === 'crated' && (to ?? now) > over ? [{ code: 'long-in-the-crate', subject, hours: rules.crateHours, from: over, to }] : [];
    }
  }
}

/** When the hours worn in the 24 h before pass a limit within a wear, ms; null when they do not. They never fall while it is worn. */
function dayOverAt(worn: readonly ContactWear[], from: number, end: number, hours: number): number | null {
  const over = (at: number) => above(hoursWorn(worn, at - DAY_MS, at), hours);
  if (!over(end)) return null;
  let low = from;
  let high = end;
  while (high - low > 1000) {
    const middle = Math.floor((low + high) / 2);
    if (over(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Whether contacts at a place lie over the windpipe, by their footprint where that is known; mm. Common practice. */
function overWindpipe(clock: number, girthMm: number | null, footprintMm: number | null): boolean {
  if (!placeInSchool(clock, 'clear-of-throat')) return true;
  return girthMm !== null && footprintMm !== null && below(clearOfWindpipe(clock, girthMm, footprintMm), 0);
}

/**
 * The rules of wearing that a wear breaks or has broken, from when until when. A mark without an end is an alarm now. The wears
 * of the same dog's other electronic collars count for the hours of its day. Common practice; the limits are house rules.
 */
export function wearMarks(wear: Wear, rule: WearRule, contactWears: readonly Wear[], context: WearContext): WearMark[] {
  const { now, nights, rules, girthMm, footprintMm } = context;
  const marks = wear.states.flatMap((span) => stateMarks(span, rule, context));
  // What is set for the house, and what identifies the dog, may stay on through the night.
  if (rule.unwatched === 'never' || rule.unwatched === 'device') {
    for (const span of wear.states) {
      // Who works a dog at night has it on a leash; a state of its own says so of those who sleep.
      if (span.value === 'worked' || span.value === 'overnight' || (span.value !== 'supervised' && !rule.contacts)) continue;
      for (const night of nights) {
        const both = together(span, night, now);
        if (both) marks.push({ code: 'at-night', subject: rule.subject, ...both });
      }
    }
  }
  if (rule.contacts) {
    for (const { value: clock, from, to } of wear.places) {
      if (overWindpipe(clock, girthMm, footprintMm)) marks.push({ code: 'on-the-windpipe', clock, from, to });
      const over = from + rules.moveByHours * HOUR_MS;
      if ((to ?? now) > over) marks.push({ code: 'place-over', clock, hours: rules.moveByHours, from: over, to });
    }
    const worn = contactWears.map(({ from, to }): ContactWear => ({ clock: 12, from, to: to === null ? now : to }));
    const over = dayOverAt(worn, wear.from, wear.to ?? now, rules.dayHours);
    if (over !== null) marks.push({ code: 'day-over', hours: rules.dayHours, from: over, to: wear.to });
    for (const flag of skinSpans(context.skin, rules)) {
      if (flag.grade > 1) {
        const both = together(wear, flag, now);
        if (both) marks.push({ code: 'skin-says-off', clock: flag.clock, grade: flag.grade, ...both });
        continue;
      }
      for (const place of wear.places) {
        if (girthMm === null || footprintMm === null || !placesOverlap(place.value, flag.clock, girthMm, footprintMm)) continue;
        const both = together(place, flag, now);
        if (both) marks.push({ code: 'on-flagged-skin', clock: place.value, flagged: flag.clock, grade: flag.grade, ...both });
      }
    }
  } else if (rule.offOnRedSkin) {
    for (const flag of skinSpans(context.skin, rules)) {
      const both = flag.grade > 1 ? together(wear, flag, now) : null;
      if (both) marks.push({ code: 'skin-says-off', clock: flag.clock, grade: flag.grade, ...both });
    }
  }
  return marks.sort((a, b) => a.from - b.from);
}

/** Whether to ask if a collar is still on, by its own rule. It is asked, never assumed. */
export function askWhetherOff(wear: Wear, rule: WearRule, now: number, rules: Pick<HouseRules, 'askOffHours' | 'dayHours'>): boolean {
  const hours = askOffAfterHours(rule, rules);
  return wear.to === null && hours !== null && now - wear.from > hours * HOUR_MS;
}
