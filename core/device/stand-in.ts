import type { HouseRules } from '../rules/house-rules.ts';
import { deviceLater, type DeviceState } from './device-state.ts';
import type { DeviceEvent } from './device-event.ts';
import { isWhole } from '../units/tolerance.ts';

/**
 * The stand-in for a transmitter and receiver: a machine that does what a real device would, so that the day's work can be
 * learned, shown and tested without one. A real bridge sends the same events.
 */
export const STAND_IN_COMMANDS = [
  'charge',
  'shut-covers',
  'open-covers',
  'pair',
  'unpair',
  'switch-on',
  'switch-off',
  'try-lowest',
  'feel-contact',
  'press',
] as const;
export type StandInCommand =
  | { do: Exclude<(typeof STAND_IN_COMMANDS)[number], 'press'> }
  /** A press of a level for some seconds; the field log's business, here for the lock-out. */
  | { do: 'press'; level: number; seconds: number };

/** The device's own numbers, and how it sits; lengths mm. `strapSlackMm` null while it is not worn. */
export type StandInProfile = {
  scaleMin: number;
  scaleMax: number;
  scaleStep: number;
  postMm: number;
  coatDepthMm: number | null;
  strapSlackMm: number | null;
  /** The slack that two fingers leave on this neck, mm. */
  twoFingersMm: number | null;
};

export const STAND_IN_REFUSALS = {
  flat: 'The battery is flat: charge it first.',
  'covers-shut': 'The covers are shut: open the charging socket first.',
  off: 'The receiver is off: switch it on first.',
  'not-paired': 'Transmitter and receiver do not know each other: pair them first.',
  'locked-out': 'The receiver has locked itself after a long press: wait until it lets go.',
  'not-worn': 'It is not on a dog: contact is felt with the collar on.',
  'off-scale': 'That level is not on this device’s scale.',
} as const;
export type StandInRefusal = keyof typeof STAND_IN_REFUSALS;

/** A press of this many seconds or more locks the receiver out for the next ones. From memory. */
export const LONG_PRESS_SECONDS = 8;
export const LOCK_OUT_SECONDS = 10;

/** Whether the contacts touch, from post, coat and strap: `poor` when they touch only now and then. */
export type ContactQuality = { quality: 'made' | 'poor' | 'none'; why: 'posts-short' | 'posts-just-reach' | 'strap-loose' | 'coat-unknown' | null };

/**
 * How well the contacts touch: not at all with posts no longer than the flattened coat, now and then while they reach less than
 * `postClearanceMm` beyond it or the strap leaves more than two fingers. Lengths mm. Common practice: a loose collar is the
 * commonest fault, and a higher level is never its cure.
 */
export function contactQuality(
  { postMm, coatDepthMm, strapSlackMm, twoFingersMm }: StandInProfile,
  rules: Pick<HouseRules, 'postClearanceMm'>,
): ContactQuality {
  if (coatDepthMm === null) return { quality: 'poor', why: 'coat-unknown' };
  if (postMm <= coatDepthMm) return { quality: 'none', why: 'posts-short' };
  if (strapSlackMm !== null && twoFingersMm !== null && strapSlackMm > 2 * twoFingersMm) return { quality: 'none', why: 'strap-loose' };
  if (strapSlackMm !== null && twoFingersMm !== null && strapSlackMm > twoFingersMm * 1.15) return { quality: 'poor', why: 'strap-loose' };
  if (postMm < coatDepthMm + rules.postClearanceMm) return { quality: 'poor', why: 'posts-just-reach' };
  return { quality: 'made', why: null };
}

type ToldEvent = DeviceEvent extends infer Event ? (Event extends DeviceEvent ? Omit<Event, 'id' | 'at' | 'collarId'> : never) : never;

/**
 * What the stand-in does when it is told to: the events it would send, or why it refuses. The state is as of the command's own
 * instant, `at` in ms. It never changes a level by itself.
 */
export function standIn(
  before: DeviceState,
  command: StandInCommand,
  at: number,
  profile: StandInProfile,
  rules: Pick<HouseRules, 'postClearanceMm'>,
): { events: ToldEvent[] } | { refused: StandInRefusal } {
  const state = deviceLater(before, at);
  const live = (): StandInRefusal | null => {
    if (state.percent === 0) return 'flat';
    if (state.on !== true) return 'off';
    if (state.paired !== true) return 'not-paired';
    return state.lockedUntil !== null && state.lockedUntil > at ? 'locked-out' : null;
  };
  const refused = (why: StandInRefusal) => ({ refused: why });
  switch (command.do) {
    case 'charge':
      return state.coversShut === true ? refused('covers-shut') : { events: [{ event: 'charged', percent: 100 }] };
    case 'open-covers':
      return { events: [{ event: 'covers', shut: false }] };
    case 'shut-covers':
      return { events: [{ event: 'covers', shut: true }] };
    case 'switch-on':
      return state.percent === 0 || state.percent === null ? refused('flat') : { events: [{ event: 'switched', on: true }] };
    case 'switch-off':
      return { events: [{ event: 'switched', on: false }] };
    case 'pair':
      return state.on === true ? { events: [{ event: 'paired', paired: true }] } : refused('off');
    case 'unpair':
      return { events: [{ event: 'paired', paired: false }] };
    case 'try-lowest': {
      const bar = live();
      return bar ? refused(bar) : { events: [{ event: 'tried', level: profile.scaleMin }] };
    }
    case 'feel-contact':
      return profile.strapSlackMm === null ? refused('not-worn') : { events: [{ event: 'contact', made: contactQuality(profile, rules).quality === 'made' }] };
    case 'press': {
      const bar = live();
      if (bar) return refused(bar);
      const steps = (command.level - profile.scaleMin) / profile.scaleStep;
      if (command.level < profile.scaleMin || command.level > profile.scaleMax || !isWhole(steps)) return refused('off-scale');
      return { events: command.seconds >= LONG_PRESS_SECONDS ? [{ event: 'locked-out', seconds: LOCK_OUT_SECONDS }] : [] };
    }
  }
}
