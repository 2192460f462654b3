import type { DeviceEvent, WearEvent } from '@banter/core';
import { DEVICE_HAPPENINGS, WEAR_HAPPENINGS, type NewHappening } from './happening.ts';

const WEAR: ReadonlySet<string> = new Set(WEAR_HAPPENINGS);
const DEVICE: ReadonlySet<string> = new Set(DEVICE_HAPPENINGS);

/** What happened as the core reckons with it: what was taken back is left out, wearing stands apart from what devices tell, and sessions are neither. */
export function wearAndDeviceEvents(told: readonly NewHappening[]): { wear: WearEvent[]; device: DeviceEvent[] } {
  const voided = new Set(told.flatMap((one) => (one.event === 'void' ? [one.eventId] : [])));
  const standing = told.filter(({ id }) => !voided.has(id)).map((one) => ({ ...one, at: Date.parse(one.at) }));
  return {
    wear: standing.filter(({ event }) => WEAR.has(event)) as WearEvent[],
    device: standing.filter(({ event }) => DEVICE.has(event)) as DeviceEvent[],
  };
}
