import type { AlarmLook, LevelScale, NeededReason, OfferedLevel } from '@banter/core';
import type { DeviceLevels } from './dog-levels.ts';

/** What screens of the whole kennel say of a device in one setting; times ms. */
export type SettingStanding = {
  id: string;
  name: string;
  offered: OfferedLevel | null;
  lastNeeded: { atEnd: number } | null;
  /** When its latest session of work was. */
  workedAt: number | null;
  /** Since when an alarm stands; null without one. */
  alarmAt: number | null;
  alarmFeltAt: number | null;
  look: AlarmLook | null;
  reason: NeededReason;
};

/** What stands of a device on a dog, without what it was worked out from: the field log, Today and the calendar go by it. */
export type DeviceStanding = { collarId: string; scale: LevelScale; ceiling: number | null; cap: number | null; settings: SettingStanding[] };

export const deviceStanding = ({ collar, scale, ceiling, cap, settings }: DeviceLevels): DeviceStanding => ({
  collarId: collar.id,
  scale,
  ceiling,
  cap,
  settings: settings.map(({ id, name, offered, lastNeeded, needed, drift, alarmFeltAt, look, reason }) => ({
    id,
    name,
    offered,
    lastNeeded: lastNeeded && { atEnd: lastNeeded.atEnd },
    workedAt: needed.at(-1)?.at ?? null,
    alarmAt: drift.alarm?.firstAt ?? null,
    alarmFeltAt,
    look,
    reason,
  })),
});
