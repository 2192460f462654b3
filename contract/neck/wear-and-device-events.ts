import type { DeviceEvent, WearEvent } from '@banter/core';
import type { NewEvent } from '../records/event.ts';

/** Events as the core reckons with them: what was taken back is left out, and wearing stands apart from what devices tell. */
export function wearAndDeviceEvents(events: readonly NewEvent[]): { wear: WearEvent[]; device: DeviceEvent[] } {
  const voided = new Set(events.flatMap((event) => (event.event === 'void' ? [event.eventId] : [])));
  const wear: WearEvent[] = [];
  const device: DeviceEvent[] = [];
  for (const told of events) {
    if (voided.has(told.id) || told.event === 'void') continue;
    const at = Date.parse(told.at);
    switch (told.event) {
      case 'put-on':
      case 'taken-off':
      case 'moved':
      case 'state':
        wear.push({ ...told, at });
        break;
      // Of a session or of a level, not of how the device stands.
      case 'press':
      case 'looked-into':
        break;
      default:
        device.push({ ...told, at });
    }
  }
  return { wear, device };
}
