import { currentFits, type LevelCap, type LevelsPage, type NewLevelCap, type PressBin, type PressesAsked, type PressesPage, isDevice } from '@banter/contract';
import type { DogResponse } from '@banter/core';
import { Between } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { LevelCapEntity, PressEntity, type LevelCapRow } from '../data/entities/field-log.ts';
import { collarAnswer } from './collars.ts';
import { dogAnswer } from './dogs.ts';
import { endingKind } from './endings.ts';
import { fitCheckKind } from './fit-checks.ts';
import { planKind } from './plans.ts';
import { badField } from './failure.ts';
import { sessionAnswers } from './field-sessions.ts';
import { levelRows } from './level-records.ts';
import type { KennelScope } from './kennel-scope.ts';
import { briefly, happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';
import { tapingKind } from './tapings.ts';
import { standingChecks, standingPlans, standingTapings } from './what-counts.ts';

export const levelCapKind: AppendedKind<LevelCapRow, NewLevelCap, LevelCap> = {
  entity: LevelCapEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, collarId, cap, note, at }) => ({ dogId, collarId, cap, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** What the screen Levels shows of a dog, but the single presses. */
export async function levelsPage(outer: KennelScope, dogId: string, now: Date): Promise<LevelsPage> {
  const scope = outer.reading();
  const dog = await scope.get(DogEntity, dogId);
  const [plans, tapings, presses] = await Promise.all([
    standingPlans(scope, [dogId]),
    standingTapings(scope, [dogId], 1),
    // From the first to the last, by the ends of its key alone; how many lie between is nobody’s business here.
    scope.raw<{ collarId: string; setting: string; firstAt: Date; lastAt: Date }>(
      `SELECT collarId, setting, MIN(at) AS firstAt, MAX(at) AS lastAt FROM presses
       WHERE kennelId = :kennelId AND dogId = :dogId GROUP BY kennelId, dogId, collarId, setting`,
      { dogId },
    ),
  ]);
  const collarIds = [...new Set([...plans.map(({ collarId }) => collarId), ...presses.map(({ collarId }) => collarId)])];
  const collars = (await scope.someOf(CollarEntity, collarIds)).filter(({ kind }) => isDevice(kind));
  const rows = await levelRows(scope, new Map([[dogId, collars.map(({ id }) => id)]]), now);
  const { sessions, caps, ...records } = rows.get(dogId)!;
  const checks = await standingChecks(
    scope,
    plans.map(({ id }) => id),
  );
  const endings = await scope.all(EndingEntity, { dogId }, { at: 'ASC' });
  const fits = currentFits({
    plans: await planKind.toAnswers(scope, plans),
    checks: await fitCheckKind.toAnswers(scope, checks),
    endings: await endingKind.toAnswers(scope, endings),
    madeUp: [],
    collars: collars.map(collarAnswer),
  });
  return {
    dog: dogAnswer(dog),
    girths: briefly(await tapingKind.toAnswers(scope, tapings)),
    fits: fits.map(({ plan, check }) => ({ plan: briefly([plan])[0]!, check: check && briefly([check])[0]! })),
    collars: collars.map(collarAnswer),
    sessions: await sessionAnswers(scope, sessions),
    caps: await keptAnswers(scope, caps),
    ...records,
    presses: presses.map(({ collarId, setting, firstAt, lastAt }) => ({
      collarId,
      setting,
      firstAt: firstAt.toISOString(),
      lastAt: lastAt.toISOString(),
    })),
  };
}

type BinRow = { bin: string; count: string; low: number; high: number; mean: number; none: string; small: string; did: string; tooMuch: string };

/** The presses of a span: each for itself where they are few, else put together in so many spans of one length. */
export async function pressesOf(scope: KennelScope, dogId: string, asked: PressesAsked): Promise<PressesPage> {
  await scope.get(DogEntity, dogId);
  const [from, to] = [new Date(asked.from), new Date(asked.to)];
  if (to <= from) throw badField('to', 'This span ends before it begins.');
  const which = `kennelId = :kennelId AND dogId = :dogId AND collarId = :collar AND at >= :from AND at < :to${asked.setting === undefined ? '' : ' AND setting = :setting'}`;
  const values = { dogId, collar: asked.collar, from, to, ...(asked.setting === undefined ? {} : { setting: asked.setting }) };
  // Whether they are few, not how many: that is counted with the bins.
  const [counted] = await scope.raw<{ few: string }>(
    `SELECT COUNT(*) AS few FROM (SELECT 1 FROM presses WHERE ${which} LIMIT ${asked.most + 1}) AS some`,
    values,
  );
  if (Number(counted!.few) <= asked.most) {
    const setting = asked.setting === undefined ? {} : { setting: asked.setting };
    const rows = await scope.all(
      PressEntity,
      { dogId, collarId: asked.collar, at: Between(from, new Date(to.getTime() - 1)), ...setting },
      { at: 'ASC', id: 'ASC' },
    );
    const presses = rows.map(({ id, at, sessionId, level, mode, response, latencyMs }) => ({
      id,
      at: at.toISOString(),
      sessionId,
      level,
      mode,
      response,
      latencyMs,
    }));
    return { total: presses.length, bins: null, presses };
  }
  const widthMs = Math.ceil((to.getTime() - from.getTime()) / asked.most);
  const of = (response: DogResponse) => `SUM(response = '${response}')`;
  const rows = await scope.raw<BinRow>(
    `SELECT FLOOR(TIMESTAMPDIFF(MICROSECOND, :from, at) / 1000 / :widthMs) AS bin, COUNT(*) AS count, MIN(level) AS low, MAX(level) AS high, AVG(level) AS mean,
       COALESCE(${of('none')}, 0) AS none, COALESCE(${of('small')}, 0) AS small, COALESCE(${of('did')}, 0) AS did, COALESCE(${of('too-much')}, 0) AS tooMuch
     FROM presses WHERE ${which} GROUP BY bin ORDER BY bin`,
    { ...values, widthMs },
  );
  const bins = rows.map((row): PressBin => {
    const begins = from.getTime() + Number(row.bin) * widthMs;
    return {
      from: new Date(begins).toISOString(),
      to: new Date(Math.min(begins + widthMs, to.getTime())).toISOString(),
      count: Number(row.count),
      low: row.low,
      high: row.high,
      mean: row.mean,
      none: Number(row.none),
      small: Number(row.small),
      did: Number(row.did),
      tooMuch: Number(row.tooMuch),
    };
  });
  return { total: bins.reduce((sum, { count }) => sum + count, 0), bins, presses: null };
}
