import type { HouseRules } from '../rules/house-rules.ts';
import { alarmLook, type AlarmLook, type CauseAsked } from './alarm-look.ts';
import { lowestFelt, type LevelScale } from '../levels/staircase.ts';
import { trialsWanted, type TrialsWanted } from '../levels/trials-wanted.ts';
import { neededDrift, type NeededDrift, type NeededLevel } from '../levels/needed-drift.ts';
import { workingLevel, type LevelRun, type LevelState, type WorkingLevel } from '../levels/working-level.ts';

/** What has been recorded of a device on a dog in one setting. Levels on the device's own scale; times ms. */
export type LevelRecords = {
  /** Up-down runs, oldest first. */
  runs: readonly LevelRun[];
  /** What its sessions of work needed. */
  needed: readonly NeededLevel[];
  /** When contact was felt and found to touch. */
  contactFelt: readonly number[];
  /** The questions of alarms as they were answered, contact among them. */
  asked: readonly CauseAsked[];
};

/** What holds for a device on a dog, whatever the setting: its scale, what was too much, and what its trainer permits. */
export type LevelLimits = { scale: LevelScale; ceiling: number | null; cap: number | null };

/** The one level that every screen, document and feed offers for a device in a setting, and how it is known. */
export type OfferedLevel = { level: number; how: Exclude<LevelState, 'unknown'> | 'needed' };

/** What is true now of a device's level in a setting. */
export type LevelStanding = {
  working: WorkingLevel;
  /** How many more trials the estimate wants, and where; null where there is no curve. */
  wanted: TrialsWanted | null;
  needed: readonly NeededLevel[];
  drift: NeededDrift;
  /** When contact was felt and found to touch, after the alarm that stands: its first question is answered. Null without one. */
  alarmFeltAt: number | null;
  /** How far the alarm that stands was looked into; null without one. */
  look: AlarmLook | null;
  /** What the latest session that fell under no alarm needed at its end. */
  lastNeeded: NeededLevel | null;
  /** Null where nothing may be offered, or nothing is known. */
  offered: OfferedLevel | null;
};

type LevelRules = Pick<
  HouseRules,
  'workingChance' | 'levelWidthSteps' | 'levelKnownSteps' | 'baselineSessions' | 'ewmaLambda' | 'ewmaLimit' | 'cusumSlack' | 'cusumLimit'
>;

/**
 * What stands of a level: the working level by the runs; else what was last needed, in a session that fell under no alarm. Nothing
 * at or above a ceiling or above the cap is offered, and nothing that was not seen to be noticed. Common practice.
 */
export function levelStanding({ runs, needed, contactFelt, asked }: LevelRecords, { scale, ceiling, cap }: LevelLimits, rules: LevelRules): LevelStanding {
  const working = workingLevel(runs, { scale, ceiling, cap, target: rules.workingChance, rules });
  const ordered = [...needed].sort((a, b) => a.at - b.at);
  const drift = neededDrift(ordered, scale.step, rules, contactFelt);
  const lastNeeded = ordered.findLast(({ sessionId }) => !drift.underAlarm.includes(sessionId)) ?? null;
  const { curve } = working.threshold;
  const trials = runs.flatMap((run) => [...run.trials]);
  return {
    working,
    wanted: curve && curve.slope > 0 ? trialsWanted(trials, curve, { target: rules.workingChance, scale, widthSteps: rules.levelWidthSteps }) : null,
    needed: ordered,
    drift,
    alarmFeltAt: drift.alarm === null ? null : (contactFelt.findLast((at) => at > drift.alarm!.firstAt) ?? null),
    look: drift.alarm?.side === 'high' ? alarmLook(drift.alarm.firstAt, asked) : null,
    lastNeeded,
    offered: offeredOf(working, lastNeeded, { ceiling, cap }),
  };
}

function offeredOf(working: WorkingLevel, lastNeeded: NeededLevel | null, { ceiling, cap }: Pick<LevelLimits, 'ceiling' | 'cap'>): OfferedLevel | null {
  if (working.state !== 'unknown') return working.level === null ? null : { level: working.level, how: working.state };
  if (lastNeeded === null) return null;
  const { atEnd: level } = lastNeeded;
  const mayBe = (ceiling === null || level < ceiling) && (cap === null || level <= cap);
  return mayBe ? { level, how: 'needed' } : null;
}

/** A run goes on so many steps under what is known, so that it comes up to it. Common practice. */
export const RUN_BEGINS_UNDER_STEPS = 3;

/**
 * Where a finding run begins: three steps under what was last needed (or is offered) here; in a setting where nothing is known, at
 * the level known at home; else at the lowest that does anything. Never at or above a ceiling, never above the cap. Common practice.
 */
export function runBegins(
  here: (Pick<LevelStanding, 'offered'> & { lastNeeded: Pick<NeededLevel, 'atEnd'> | null }) | null,
  home: Pick<LevelStanding, 'offered'> | null,
  { scale, ceiling, cap }: LevelLimits,
): number {
  const lowest = lowestFelt(scale);
  const known = here?.lastNeeded?.atEnd ?? here?.offered?.level ?? null;
  const wanted = known !== null ? known - RUN_BEGINS_UNDER_STEPS * scale.step : (home?.offered?.level ?? lowest);
  const most = Math.min(cap ?? Infinity, ceiling === null ? Infinity : ceiling - scale.step, scale.max);
  return Math.max(lowest, Math.min(wanted, most));
}
