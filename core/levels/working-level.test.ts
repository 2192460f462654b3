import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contractSpeaker,
  fitLogistic,
  houseRules,
  levelAtChance,
  levelStanding,
  runBegins,
  WORKING_LEVEL_REASON_WORDS,
  wordReason,
  workingLevel,
  type LevelRun,
  type LevelTrial,
  type NeededLevel,
  type WorkingLevelLimits,
} from '../index.ts';

const rules = houseRules();
const limits: WorkingLevelLimits = { scale: { step: 1 }, target: 0.75, rules };
/** `5-` was missed, `6+` noticed, `9!` too much. */
const run = (told: string): LevelRun => ({
  trials: told.split(' ').map((one): LevelTrial => ({ level: Number(one.slice(0, -1)), noticed: !one.endsWith('-'), tooMuch: one.endsWith('!') })),
});
const codes = (runs: LevelRun[], more: Partial<WorkingLevelLimits> = {}) => workingLevel(runs, { ...limits, ...more }).reasons.map(({ code }) => code);

describe('the level to work at', () => {
  it('worked example of the calculation contract: up from 0, never at 5, always at 6', () => {
    expect(workingLevel([run('0- 1- 2- 3- 4- 5- 6+ 5- 6+ 5- 6+ 5-')], limits)).toMatchObject({
      state: 'known',
      level: 6,
      turns: 6,
      turnsMean: 5.5,
      low95: 5,
      high95: 6,
      highestNoticed: 6,
    });
  });

  it('turns as counted by hand: each trial that was answered otherwise than the one before it, within its own run (Levitt 1971)', () => {
    // Turns at 4, 3, 4 and at 3, 2; the step from one run to the next is none.
    const { turns, turnsMean } = workingLevel([run('2- 3- 4+ 3- 4+'), run('4+ 3- 2+')], limits);
    expect([turns, turnsMean]).toEqual([5, (4 + 3 + 4 + 3 + 2) / 5]);
  });

  it('is rough with one run of fewer than six turns, and not known without a turn', () => {
    expect(workingLevel([run('3- 4- 5+ 4-')], limits)).toMatchObject({ state: 'rough', level: 5, turns: 2, turnsMean: 4.5 });
    expect(workingLevel([run('5+ 4+ 3+')], limits)).toMatchObject({ state: 'unknown', level: null, turns: 0, highestNoticed: 5 });
    expect(workingLevel([run('5- 6- 7-')], limits)).toMatchObject({ state: 'unknown', level: null, highestNoticed: null });
    expect(workingLevel([run('5+')], limits)).toMatchObject({ state: 'unknown', level: null });
    expect(workingLevel([], limits)).toMatchObject({ state: 'unknown', level: null, turns: 0 });
  });

  it('is rough for a noisy dog, however many runs, where the interval is wider than two steps', () => {
    const noisy = [run('2- 4+ 3- 7+ 5- 9+ 4+ 8-'), run('3+ 6- 2- 8+ 5+ 7-')];
    const { state, low95, high95 } = workingLevel(noisy, limits);
    expect(high95! - low95!).toBeGreaterThan(2);
    expect(state).toBe('rough');
  });

  it('is where the curve reaches the target, where that is above the turns, and never above what was noticed', () => {
    const runs = [run('4- 5+ 4+ 3- 4- 5+ 4+ 3- 4+ 5- 6+ 5+ 4- 5+ 4+ 3-'), run('3- 4- 5+ 4- 5+ 4+ 3- 4+ 3- 4- 5+ 6+')];
    const found = workingLevel(runs, { ...limits, target: 0.95 });
    const exact = levelAtChance(fitLogistic(runs.flatMap(({ trials }) => [...trials]))!, 0.95).level;
    expect(found.state).toBe('known');
    expect(exact).toBeGreaterThan(found.turnsMean!);
    expect(found.level).toBe(exact <= 5 ? 5 : 6);
    expect(codes(runs, { target: 0.95 })).toContain('by-curve');
  });

  it('is none at or above a ceiling, measured or given, nor above the cap; with the reason', () => {
    const settled = '4- 5- 6+ 5- 6+ 5- 6+ 5-';
    expect(workingLevel([run(settled)], { ...limits, ceiling: 6 })).toMatchObject({ state: 'known', level: null });
    expect(codes([run(settled)], { ceiling: 6 })[0]).toBe('at-ceiling');
    expect(workingLevel([run(settled)], { ...limits, ceiling: 7 }).level).toBe(6);
    expect(codes([run(settled)], { cap: 5 })[0]).toBe('above-cap');
    expect(workingLevel([run(settled)], { ...limits, cap: 6 }).level).toBe(6);
    expect(codes([run('4- 6! 5- 6! 5-')])[0]).toBe('at-ceiling');
  });

  it('for any runs: seen to be noticed, under every ceiling, not above the cap; its words name no level above the highest pressed', () => {
    const trial = fc.record({ level: fc.integer({ min: 1, max: 12 }), noticed: fc.boolean(), tooMuch: fc.constantFrom(false, false, false, true) });
    const runs = fc.array(fc.record({ trials: fc.array(trial, { minLength: 1, maxLength: 12 }) }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(runs, fc.option(fc.integer({ min: 1, max: 12 })), fc.option(fc.integer({ min: 1, max: 12 })), (told, ceiling, cap) => {
        const { level, state, turns, highestNoticed, reasons } = workingLevel(told, { ...limits, ceiling, cap });
        const trials = told.flatMap((one) => one.trials);
        expect(state === 'unknown').toBe(turns === 0);
        for (const reason of reasons) expect(wordReason(WORKING_LEVEL_REASON_WORDS, reason, contractSpeaker).text).toMatch(/[.]$/);
        if (level === null) return;
        expect(trials.some((one) => one.noticed && one.level === level)).toBe(true);
        expect(level).toBeLessThanOrEqual(highestNoticed!);
        for (const one of trials) if (one.tooMuch) expect(level).toBeLessThan(one.level);
        if (ceiling !== null) expect(level).toBeLessThan(ceiling);
        if (cap !== null) expect(level).toBeLessThanOrEqual(cap);
      }),
    );
  });
});

describe('what stands of a level', () => {
  const DAY = 86_400_000;
  const scale = { min: 0, max: 100, step: 1 };
  const open = { scale, ceiling: null, cap: null };
  const needed = (levels: number[]): NeededLevel[] => levels.map((level, day) => ({ sessionId: `s${day}`, at: day * DAY, level, atEnd: level }));
  const standing = (levels: number[], contactFelt: number[] = [], more: { runs?: LevelRun[]; ceiling?: number; cap?: number } = {}) =>
    levelStanding(
      { runs: more.runs ?? [], needed: needed(levels), contactFelt, asked: contactFelt.map((at) => ({ cause: 'contact' as const, was: false, at })) },
      { ...open, ceiling: more.ceiling ?? null, cap: more.cap ?? null },
      rules,
    );
  /** Eight steady sessions, and on day 9 the contact fails. */
  const failing = [9, 9, 10, 9, 8, 9, 9, 9, 9, 14, 15, 14];

  it('a dog whose contact fails on day 9: the drifted level is neither what was last needed nor offered', () => {
    const now = standing(failing);
    expect(now.drift.alarm).toMatchObject({ side: 'high', sinceAt: 9 * DAY });
    expect(now.lastNeeded).toMatchObject({ sessionId: 's8', atEnd: 9 });
    expect(now.offered).toEqual({ level: 9, how: 'needed' });
    expect(now.alarmFeltAt).toBeNull();
  });

  it('contact felt since answers the alarm’s first question; sessions after it count again, those under it never', () => {
    expect(standing(failing, [11.5 * DAY]).alarmFeltAt).toBe(11.5 * DAY);
    expect(standing(failing).look).toEqual({ answers: [], next: 'contact', found: null });
    expect(standing(failing, [11.5 * DAY]).look).toMatchObject({ next: 'skin', found: null });
    const mended = standing([...failing, 9, 8], [11.5 * DAY]);
    expect(mended.drift.alarm).toBeNull();
    expect(mended.drift.underAlarm).toEqual(['s9', 's10', 's11']);
    expect(mended.lastNeeded).toMatchObject({ sessionId: 's13', atEnd: 8 });
  });

  it('the runs say it where there are any; a run that found a level at a ceiling offers none, whatever sessions needed', () => {
    const runs = [run('4- 5- 6+ 5- 6+ 5- 6+ 5-')];
    expect(standing([9, 9], [], { runs }).offered).toEqual({ level: 6, how: 'known' });
    expect(standing([9, 9], [], { runs: [run('5- 6+ 5-')] }).offered).toEqual({ level: 6, how: 'rough' });
    expect(standing([4, 4], [], { runs, ceiling: 6 }).offered).toBeNull();
    expect(standing([9], [], { ceiling: 9 }).offered).toBeNull();
    expect(standing([9], [], { cap: 8 }).offered).toBeNull();
    expect(standing([]).offered).toBeNull();
  });

  it('a run begins three steps under what was last needed; a new setting at home’s level; else at the lowest that does anything', () => {
    const here = standing([9]);
    const home = standing([], [], { runs: [run('4- 5- 6+ 5- 6+ 5- 6+ 5-')] });
    expect(runBegins(here, home, open)).toBe(6);
    expect(runBegins(null, home, open)).toBe(6);
    expect(runBegins(standing([2]), home, open)).toBe(1);
    expect(runBegins(null, null, open)).toBe(1);
    expect(runBegins(null, null, { ...open, scale: { min: 1, max: 60, step: 1 } })).toBe(1);
    expect(runBegins(null, home, { ...open, ceiling: 5 })).toBe(4);
    expect(runBegins(null, home, { ...open, cap: 3 })).toBe(3);
  });
});
