import {
  ladderRung,
  neededDrift,
  WORK_SETTINGS,
  type FindingTrial,
  type House,
  type LadderRung,
  type LevelScale,
  type NeededDrift,
  type NeededLevel,
  type NeededReason,
} from '@banter/core';
import type { ElectronicNumbersShape } from '../collars/electronic.ts';
import { dayOf } from '../neck/kennel-days.ts';
import type { z } from '../plain-words.ts';
import type { Collar } from '../records/collar.ts';
import type { FieldSession } from '../records/field-log.ts';
import type { Kennel } from '../records/kennel.ts';
import type { LevelsPage } from '../records/levels-page.ts';

/** One setting of a device: where the dog notices it, what it needs session by session, and whether that has changed. */
export type SettingLevels = { id: string; name: string; rung: LadderRung; needed: NeededLevel[]; drift: NeededDrift; reason: NeededReason };

/** A device on a dog's own scale: settings from easy to hard. Scales of two devices do not compare. */
export type DeviceLevels = {
  collar: Collar;
  scale: LevelScale;
  ceiling: number | null;
  cap: number | null;
  settings: SettingLevels[];
};

/** The settings of a kennel, from easy to hard. */
export const settingsOf = (kennel: Pick<Kennel, 'moreSettings'>): readonly { id: string; name: string }[] => [...WORK_SETTINGS, ...kennel.moreSettings];

const neededIn = (sessions: readonly FieldSession[], collarId: string, setting: string): NeededLevel[] =>
  sessions
    .filter(({ purpose }) => purpose === 'work')
    .flatMap(({ id, begunAt, tally }) =>
      tally.needed
        .filter((one) => one.collarId === collarId && one.setting === setting)
        .map(({ level }) => ({ sessionId: id, at: Date.parse(begunAt), level })),
    );

function reasonOf(drift: NeededDrift, contactAt: number | null, dayWords: (at: number) => string): NeededReason {
  if (!drift.baseline) return { code: 'needs-sessions', more: drift.wants };
  if (!drift.alarm) return { code: 'as-usual', mean: drift.baseline.mean };
  const { by, sinceAt, side } = drift.alarm;
  if (side === 'low') return { code: 'needs-less', by, since: dayWords(sinceAt) };
  return { code: 'needs-more', by, since: dayWords(sinceAt), contactChecked: contactAt === null ? null : dayWords(contactAt) };
}

/** What a dog's levels say, worked out from its records: by device and setting; `dayWords` says a day in the kennel's zone. */
export function dogLevels(
  page: LevelsPage,
  kennel: Pick<Kennel, 'moreSettings' | 'timeZone'>,
  house: House,
  dayWords: (at: number) => string = (at) => dayOf(at, kennel.timeZone),
): DeviceLevels[] {
  return page.collars.map((collar): DeviceLevels => {
    const { scaleMin, scaleMax, scaleStep } = collar.numbers as z.infer<typeof ElectronicNumbersShape>;
    const scale = { min: scaleMin, max: scaleMax, step: scaleStep };
    const ceiling = page.ceilings.find(({ collarId }) => collarId === collar.id)?.level ?? null;
    const cap = page.caps.findLast(({ collarId }) => collarId === collar.id)?.cap ?? null;
    // Contact felt in a session was felt before its presses: it counts from the session's beginning.
    const within = (at: string) => page.sessions.find(({ begunAt, lastAt }) => begunAt <= at && at <= lastAt)?.begunAt ?? at;
    const checks = page.contactChecks.filter(({ collarId, made }) => collarId === collar.id && made).map(({ at }) => Date.parse(within(at)));
    const settings = settingsOf(kennel).flatMap(({ id, name }): SettingLevels[] => {
      const trials = page.findings
        .filter((one) => one.collarId === collar.id && one.setting === id)
        .map(({ level, response, at }): FindingTrial => ({ level, response, at: Date.parse(at) }));
      const needed = neededIn(page.sessions, collar.id, id);
      if (trials.length === 0 && needed.length === 0) return [];
      const drift = neededDrift(needed, scale.step, house.rules, checks);
      const lastCheck = checks.filter((at) => drift.alarm === null || at <= drift.alarm.firstAt).at(-1) ?? null;
      return [{ id, name, rung: ladderRung(trials, { scale, ceiling, cap, rules: house.rules }), needed, drift, reason: reasonOf(drift, lastCheck, dayWords) }];
    });
    return { collar, scale, ceiling, cap, settings };
  });
}
