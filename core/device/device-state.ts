import type { DeviceEvent } from './device-event.ts';
import { HOUR_MS } from '../units/durations.ts';

/** A device as its events leave it: what is known of it at an instant, null where nothing has been told. */
export type DeviceState = {
  percent: number | null;
  coversShut: boolean | null;
  paired: boolean | null;
  on: boolean | null;
  contactMade: boolean | null;
  lockedUntil: number | null;
  at: number;
};

export const UNKNOWN_DEVICE: DeviceState = { percent: null, coversShut: null, paired: null, on: null, contactMade: null, lockedUntil: null, at: -Infinity };

/** A receiver that is on drains by this much in an hour, in percent of a full battery; off, by a hundredth of it. From memory. */
export const DRAIN_PERCENT_PER_HOUR = 100 / 36;

/** The state at a later instant with nothing told meanwhile: the battery drains, and one that is flat is off. */
export function deviceLater(state: DeviceState, now: number): DeviceState {
  if (now <= state.at) return state;
  const hours = state.at === -Infinity ? 0 : (now - state.at) / HOUR_MS;
  const drain = hours * DRAIN_PERCENT_PER_HOUR * (state.on === true ? 1 : 0.01);
  const percent = state.percent === null ? null : Math.max(0, state.percent - drain);
  return {
    ...state,
    percent,
    on: percent === 0 ? false : state.on,
    lockedUntil: state.lockedUntil !== null && state.lockedUntil <= now ? null : state.lockedUntil,
    at: now,
  };
}

function told(state: DeviceState, event: DeviceEvent): DeviceState {
  switch (event.event) {
    case 'charged':
      return { ...state, percent: event.percent };
    case 'covers':
      return { ...state, coversShut: event.shut };
    case 'paired':
      return { ...state, paired: event.paired };
    case 'switched':
      return { ...state, on: event.on };
    case 'tried':
      return { ...state, on: true, paired: true };
    case 'contact':
      return { ...state, contactMade: event.made };
    case 'locked-out':
      return { ...state, lockedUntil: event.at + event.seconds * 1000 };
  }
}

/** A device at an instant, from what has been told of it until then; events by id once, in the order of their times. */
export function deviceAt(events: readonly DeviceEvent[], now: number): DeviceState {
  const once = [...new Map(events.map((event) => [event.id, event])).values()]
    .filter(({ at }) => at <= now)
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  return deviceLater(
    once.reduce((state, event) => told(deviceLater(state, event.at), event), UNKNOWN_DEVICE),
    now,
  );
}

/**
 * From which instant (ms) on a battery is at or below so many percent, by what has been told of it up to `now` and as it drains since;
 * null where nothing has been told of it, or it does not get there. `DRAIN_PERCENT_PER_HOUR`.
 *
 * @example lowBatteryFrom([{ id: 'e', at: 0, collarId: 'c', event: 'charged', percent: 40 }], 0, 40) // 0
 */
export function lowBatteryFrom(events: readonly DeviceEvent[], now: number, percent: number): number | null {
  const last = Math.max(...events.filter(({ at }) => at <= now).map(({ at }) => at));
  if (last === -Infinity) return null;
  const state = deviceAt(events, last);
  if (state.percent === null) return null;
  const hours = (state.percent - percent) / (DRAIN_PERCENT_PER_HOUR * (state.on === true ? 1 : 0.01));
  return hours <= 0 ? last : last + hours * HOUR_MS;
}
