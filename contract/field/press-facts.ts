import { deviceLater, UNKNOWN_DEVICE, type PressFacts } from '@banter/core';
import { dayStart } from '../neck/kennel-days.ts';
import type { NewFieldEvent } from '../records/field-log.ts';
import type { FieldDevice, FieldDog } from '../records/field-page.ts';

const HOUR_MS = 3_600_000;

/** What a phone knows of a device on a dog at an instant (ms) in a setting: the kennel's facts with what its own session told since. */
export function pressFacts(
  dog: Pick<FieldDog, 'moveByHours'>,
  device: FieldDevice,
  { setting, now, timeZone, session }: { setting: string; now: number; timeZone: string; session: readonly NewFieldEvent[] },
): PressFacts {
  const gone = new Set(session.flatMap((event) => (event.event === 'void' ? [event.eventId] : [])));
  const standing = session.filter(({ id }) => !gone.has(id));
  const felt = standing.flatMap((event) => (event.event === 'contact' && event.collarId === device.collarId ? [{ made: event.made, at: event.at }] : []));
  // Felt since it went on where it sits; of a collar that nobody said is on, only what this session felt counts.
  const before = device.contact && device.worn && device.contact.at >= device.worn.placeSince ? [device.contact] : [];
  const contact = [...before, ...felt].sort((a, b) => (a.at < b.at ? -1 : 1)).at(-1) ?? null;
  const answers = new Map(standing.flatMap((event) => (event.event === 'response' ? [[event.pressId, event.response] as const] : [])));
  const much = standing.flatMap((event) =>
    event.event === 'press' && event.collarId === device.collarId && answers.get(event.id) === 'too-much' ? [event.level] : [],
  );
  const ceilings = [...(device.ceiling === null ? [] : [device.ceiling]), ...much];
  const { worn, skin, battery } = device;
  const state = battery && deviceLater({ ...UNKNOWN_DEVICE, percent: battery.percent, on: battery.on, at: Date.parse(battery.at) }, now);
  return {
    scale: device.scale,
    ceiling: ceilings.length === 0 ? null : Math.min(...ceilings),
    cap: device.cap,
    usual: device.usual[setting]?.level ?? null,
    worn: worn !== null,
    contactMade: contact?.made ?? null,
    triedToday: device.triedAt !== null && Date.parse(device.triedAt) >= dayStart(now, timeZone),
    hoursInPlace: worn && worn.clock !== null ? (now - Date.parse(worn.placeSince)) / HOUR_MS : null,
    moveByHours: dog.moveByHours,
    skin: skin && (skin.until === null || now < Date.parse(skin.until)) ? { clock: skin.clock, grade: skin.grade } : null,
    percent: state?.percent ?? null,
    lockedOut: device.lockedUntil !== null && now < Date.parse(device.lockedUntil),
  };
}
