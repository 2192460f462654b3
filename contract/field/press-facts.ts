import { contactStanding, deviceLater, sessionTally, UNKNOWN_DEVICE, type OfferedLevel, type PressFacts, type SessionStory, HOUR_MS } from '@banter/core';
import { dayStart } from '../neck/kennel-days.ts';
import type { FieldDevice, FieldDog } from '../records/field-page.ts';

export type UsualLevel = OfferedLevel;
/**
 * What is offered for a device in a setting: what stands by the kennel's records, else what the latest earlier session on this phone needed there
 * (the kennel may not have heard of it yet). Levels on the device's own scale; null where nobody knows.
 */
export function usualHere(device: Pick<FieldDevice, 'collarId' | 'levels'>, setting: string, earlier: readonly SessionStory[]): UsualLevel | null {
  const known = device.levels[setting];
  if (known) return known.offered;
  const needed = earlier
    .filter(({ purpose }) => purpose === 'work')
    .sort((a, b) => b.begunAt - a.begunAt)
    .flatMap((story) => sessionTally(story).needed.find((one) => one.collarId === device.collarId && one.setting === setting) ?? []);
  return needed.length === 0 ? null : { level: needed[0]!.atEnd, how: 'needed' };
}

/**
 * What a phone knows of a device on a dog at an instant (ms) in a setting: the kennel's facts with what its own sessions told since.
 * `earlier` are other sessions of this dog on this phone: what was too much in one of them is a ceiling now, sent or not.
 */
export function pressFacts(
  dog: Pick<FieldDog, 'moveByHours' | 'programmes'>,
  device: FieldDevice,
  { setting, now, timeZone, session, earlier }: { setting: string; now: number; timeZone: string; session: SessionStory; earlier: readonly SessionStory[] },
): PressFacts {
  const { worn, skin, battery } = device;
  const feltIn = (story: SessionStory) =>
    story.events.flatMap((event) => (event.event === 'contact' && event.collarId === device.collarId ? [{ made: event.made, at: event.at }] : []));
  // Felt since it went on where it sits; of a collar that nobody said is on, only what this session felt counts.
  const before = [...(device.contact ? [{ made: device.contact.made, at: Date.parse(device.contact.at) }] : []), ...earlier.flatMap(feltIn)];
  const contact = contactStanding(worn ? Date.parse(worn.placeSince) : session.begunAt, worn ? [...before, ...feltIn(session)] : feltIn(session));
  const much = [session, ...earlier].flatMap((story) => sessionTally(story).tooMuch.filter(({ collarId }) => collarId === device.collarId));
  const ceilings = [...(device.ceiling === null ? [] : [device.ceiling]), ...much.map(({ level }) => level)];
  const state = battery && deviceLater({ ...UNKNOWN_DEVICE, percent: battery.percent, on: battery.on, at: Date.parse(battery.at) }, now);
  const here = device.levels[setting];
  const alarm = here?.alarm ?? null;
  return {
    scale: device.scale,
    ceiling: ceilings.length === 0 ? null : Math.min(...ceilings),
    cap: device.cap,
    usual: usualHere(device, setting, earlier)?.level ?? null,
    lastNeeded: here?.lastNeeded ?? null,
    alarm: alarm && !(contact.state === 'good' && contact.at > Date.parse(alarm.at)) ? { by: alarm.by, since: alarm.since } : null,
    isWorn: worn !== null,
    contactMade: 'at' in contact ? contact.state === 'good' : null,
    triedToday: device.triedAt !== null && Date.parse(device.triedAt) >= dayStart(now, timeZone),
    hoursInPlace: worn && worn.clock !== null ? (now - Date.parse(worn.placeSince)) / HOUR_MS : null,
    moveByHours: dog.moveByHours,
    skin: skin && (skin.until === null || now < Date.parse(skin.until)) ? { clock: skin.clock, grade: skin.grade } : null,
    percent: state?.percent ?? null,
    lockedOut: device.lockedUntil !== null && now < Date.parse(device.lockedUntil),
    unpressedStage: dog.programmes.find(({ notYet }) => notYet.includes('press'))?.stageName ?? null,
  };
}
