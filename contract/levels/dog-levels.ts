import {
  levelStanding,
  noticedBy,
  WORK_SETTINGS,
  type CauseAsked,
  type House,
  type LevelRun,
  type LevelScale,
  type LevelStanding,
  type LevelTrial,
  type NeededDrift,
  type NeededLevel,
  type NeededReason,
} from '@banter/core';
import { deviceOf } from '../collars/collar-kinds.ts';
import { dayOf } from '../neck/kennel-days.ts';
import type { Collar } from '../records/collar.ts';
import type { FieldSession } from '../records/field-log.ts';
import type { Kennel } from '../records/kennel.ts';
import type { LevelsPage } from '../records/levels-page.ts';

/** One setting of a device: what stands of its level there, and why. */
export type SettingLevels = LevelStanding & { id: string; name: string; reason: NeededReason };

/** A device on a dog's own scale: settings from easy to hard. Scales of two devices do not compare. */
export type DeviceLevels = {
  collar: Collar;
  scale: LevelScale;
  ceiling: number | null;
  cap: number | null;
  settings: SettingLevels[];
};

/** The records of a dog that its levels are worked out from. */
export type LevelRecordsOfDog = {
  collars: readonly Collar[];
  sessions: readonly Pick<FieldSession, 'id' | 'purpose' | 'begunAt' | 'lastAt' | 'tally'>[];
  findings: readonly LevelsPage['findings'][number][];
  ceilings: readonly { collarId: string; level: number }[];
  caps: readonly { collarId: string; cap: number | null }[];
  contactChecks: LevelsPage['contactChecks'];
  causesAsked: LevelsPage['causesAsked'];
};

/** The settings of a kennel, from easy to hard. */
export const settingsOf = (kennel: Pick<Kennel, 'moreSettings'>): readonly { id: string; name: string }[] => [...WORK_SETTINGS, ...kennel.moreSettings];

const neededIn = (sessions: LevelRecordsOfDog['sessions'], collarId: string, setting: string): NeededLevel[] =>
  sessions
    .filter(({ purpose }) => purpose === 'work')
    .flatMap(({ id, begunAt, tally }) =>
      tally.needed
        .filter((one) => one.collarId === collarId && one.setting === setting)
        // Sessions of before it was kept say what was needed at their end by their middle.
        .map(({ level, atEnd }) => ({ sessionId: id, at: Date.parse(begunAt), level, atEnd: atEnd ?? level })),
    );

/** The finding runs of a device in a setting, oldest first: a session is a run. */
function runsIn(findings: LevelRecordsOfDog['findings'], collarId: string, setting: string): LevelRun[] {
  const runs = new Map<string, LevelTrial[]>();
  for (const one of findings) {
    if (one.collarId !== collarId || one.setting !== setting) continue;
    const trial = { level: one.level, noticed: noticedBy(one.response), tooMuch: one.response === 'too-much' };
    runs.set(one.sessionId, [...(runs.get(one.sessionId) ?? []), trial]);
  }
  return [...runs.values()].map((trials) => ({ trials }));
}

function reasonOf(drift: NeededDrift, contactAt: number | null, dayWords: (at: number) => string): NeededReason {
  if (!drift.baseline) return { code: 'needs-sessions', more: drift.wants };
  if (!drift.alarm) return { code: 'as-usual', mean: drift.baseline.mean };
  const { by, sinceAt, side } = drift.alarm;
  if (side === 'low') return { code: 'needs-less', by, since: dayWords(sinceAt) };
  return { code: 'needs-more', by, since: dayWords(sinceAt), contactChecked: contactAt === null ? null : dayWords(contactAt) };
}

/** What stands of a dog's levels, worked out from its records: by device and setting; `dayWords` says a day in the kennel's zone. */
export function dogLevels(
  records: LevelRecordsOfDog,
  kennel: Pick<Kennel, 'moreSettings' | 'timeZone'>,
  house: House,
  dayWords: (at: number) => string = (at) => dayOf(at, kennel.timeZone),
): DeviceLevels[] {
  return records.collars.map((collar): DeviceLevels => {
    const { scale } = deviceOf(collar)!;
    const ceiling = records.ceilings.find(({ collarId }) => collarId === collar.id)?.level ?? null;
    const cap = records.caps.findLast(({ collarId }) => collarId === collar.id)?.cap ?? null;
    // Contact felt in a session was felt before its presses: it counts from the session's beginning.
    const within = (at: string) => records.sessions.find(({ begunAt, lastAt }) => begunAt <= at && at <= lastAt)?.begunAt ?? at;
    const contactFelt = records.contactChecks.filter(({ collarId, made }) => collarId === collar.id && made).map(({ at }) => Date.parse(within(at)));
    // Contact that was felt, wherever, answers the first question of an alarm.
    const asked: CauseAsked[] = [
      ...records.contactChecks
        .filter(({ collarId }) => collarId === collar.id)
        .map(({ at, made }) => ({ cause: 'contact' as const, was: !made, at: Date.parse(within(at)) })),
      ...records.causesAsked.filter(({ collarId }) => collarId === collar.id).map(({ cause, was, at }) => ({ cause, was, at: Date.parse(at) })),
    ];
    const settings = settingsOf(kennel).flatMap(({ id, name }): SettingLevels[] => {
      const runs = runsIn(records.findings, collar.id, id);
      const needed = neededIn(records.sessions, collar.id, id);
      if (runs.length === 0 && needed.length === 0) return [];
      const standing = levelStanding({ runs, needed, contactFelt, asked }, { scale, ceiling, cap }, house.rules);
      const { alarm } = standing.drift;
      const lastFelt = contactFelt.filter((at) => alarm === null || at <= alarm.firstAt).at(-1) ?? null;
      return [{ id, name, ...standing, reason: reasonOf(standing.drift, lastFelt, dayWords) }];
    });
    return { collar, scale, ceiling, cap, settings };
  });
}
