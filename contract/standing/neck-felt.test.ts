import { contractSpeaker, houseRules, USUAL_FINGER } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { byHandsOn, byHandsReason, collarKind, FIRST_SETTINGS, type CollarKindName, type FitCheck, type FittingDog, type Plan, type Taping } from '../index.ts';

const rules = houseRules();
const house = { rules, schools: FIRST_SETTINGS.schools, headCollarChart: [] };
const INCH = 25.4;
/** 90 lb and 21 1/16 in at the high girth, parted hair. */
const neckMm = 21.0625 * INCH;
const dog: FittingDog = {
  weightKg: 40.8,
  pull: 'drags',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: null,
  skinGirthMm: neckMm,
  tapedGirthMm: neckMm,
  hairGirthMm: neckMm,
  midGirthMm: null,
  headGirthMm: null,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: USUAL_FINGER,
};
const record = { id: 'd', weightG: 40_800 } as never;
const tapes = (mm = neckMm, at = '2026-03-01') =>
  ({ high: { at, tapedMm: mm, coatDepthMm: null, result: { plusMinusMm: 10 } } as unknown as Taping }) as Partial<Record<Taping['site'], Taping>>;

/** A collar of a kind on the dog: it is planned, then checked as often as answers are given. */
function worn(kindName: CollarKindName, numbers: object, choices: object, given: { on: object; answers: object }[], on: FittingDog = dog) {
  const kind = collarKind(kindName);
  const collar = { id: 'c', name: 'Starter', numbers };
  const plan = { id: 'p', kind: kindName, collarId: 'c', choices, at: '2026-03-02T10:00', inputs: { dog: on, collar } } as unknown as Plan;
  const checks: FitCheck[] = [];
  for (const [index, { on: setting, answers }] of given.entries()) {
    const outcome = kind.check(on, collar, choices as never, setting as never, answers as never, checks as never, rules);
    checks.push({ planId: 'p', kind: kindName, at: `2026-03-02T11:0${index}`, attempt: index + 1, on: setting, answers, outcome } as unknown as FitCheck);
  }
  return { plan, checks, byHands: byHandsOn({ dog: record, plans: [plan], checks, madeUp: [] }, tapes(), rules) };
}

describe('the starter prong of a dog of 90 lb, 15 links that leave 15/16 in (hands outrank the tape: common practice)', () => {
  // 15 links leave 15/16 in, just inside the 24 mm that its closing allows; by the same tape 14 press by 7 mm.
  const starter = { gaugeMm: 3, pitchMm: 31, insideGirthMm: neckMm + 0.9375 * INCH, links: 15, closingMm: 30, quickRelease: false };
  const choices = (left: number, right: number) => ({
    gaugeSchool: 'weight-line',
    betweenSchool: 'finer',
    split: { left, right },
    start: null,
    ring: 'live',
    ringPlace: 'nape',
  });
  const kind = collarKind('prong');
  const right = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
  const judge = (left: number, side: number, byHands: object) =>
    kind.plan({ ...dog, byHands: byHands as never }, { id: 'c', name: 'Starter', numbers: starter }, [], choices(left, side), rules);

  it('takes one out where it spins freely, whatever the fingers say, and asks to look again', () => {
    const { checks } = worn('prong', starter, choices(8, 7), [{ on: { left: 8, right: 7 }, answers: { ...right, turns: 'spins' } }]);
    expect(checks[0]!.outcome).toMatchObject({ verdict: 'adjust', step: 'take-out', then: { left: 7, right: 7 } });
  });

  it('is good at 14 by hands from then on: the bench chooses 14, and 15 hang', () => {
    expect(judge(7, 7, {}).keep).toBe(false);
    const { byHands } = worn('prong', starter, choices(8, 7), [
      { on: { left: 8, right: 7 }, answers: { ...right, turns: 'spins' } },
      { on: { left: 7, right: 7 }, answers: right },
    ]);
    expect(byHands.c).toBeLessThan(-7);
    expect(kind.planVerdict(judge(7, 7, byHands))).toBe('Fits');
    expect(judge(8, 7, byHands).keep).toBe(false);
    const { choice } = kind.suggest({ ...dog, byHands }, [{ id: 'c', name: 'Starter', numbers: starter }], house);
    expect((choice!.choices as { split: object }).split).toEqual({ left: 7, right: 7 });
    // Another collar of the same numbers was not felt: the tape speaks for it.
    const other = kind.suggest({ ...dog, byHands }, [{ id: 'other', name: 'Other', numbers: starter }], house);
    expect((other.choice!.choices as { split: object }).split).toEqual({ left: 8, right: 7 });
  });

  it('keeps what one check found when the next finds nothing of the size, and counts the newer where they contradict', () => {
    const good = { on: { left: 7, right: 7 }, answers: right };
    const low = { on: { left: 7, right: 7 }, answers: { ...right, sits: 'low', under: 'flat-hand', turns: 'spins' } };
    expect(worn('prong', starter, choices(7, 7), [good, low]).byHands).toEqual(worn('prong', starter, choices(7, 7), [good]).byHands);
    const presses = { on: { left: 7, right: 7 }, answers: { ...right, under: 'none', turns: 'not-at-all' } };
    expect(worn('prong', starter, choices(7, 7), [good, presses]).byHands.c ?? 0).toBeGreaterThan(-8);
  });

  it('is the tape’s again once the neck is another one', () => {
    const { plan, checks } = worn('prong', starter, choices(7, 7), [{ on: { left: 7, right: 7 }, answers: right }]);
    const by = (mm: number) => byHandsOn({ dog: record, plans: [plan], checks, madeUp: [] }, tapes(mm, '2026-03-09'), rules);
    expect(by(neckMm + 9).c).toBeLessThan(0);
    expect(by(neckMm + 11)).toEqual({});
    const madeUp = { collarId: 'c', collarName: 'Starter', kind: 'prong' as const, dogId: 'd', dogName: 'Hale', on: {}, links: 14, at: '2026-03-10' };
    const changed = [{ ...madeUp, numbers: { ...starter, insideGirthMm: 560 } }];
    expect(byHandsOn({ dog: record, plans: [plan], checks, madeUp: changed }, tapes(), rules)).toEqual({});
    expect(byHandsOn({ dog: record, plans: [plan], checks, madeUp: [{ ...madeUp, numbers: starter }] }, tapes(), rules)).not.toEqual({});
  });

  it('says once that hands speak, and what to do where they and the tape are half a link apart', () => {
    const says = (shiftMm: number) => byHandsReason('prong', starter, shiftMm, contractSpeaker)?.code ?? null;
    expect([0, -8, 15.4, -15.6].map(says)).toEqual([null, 'by-hands', 'by-hands', 'hands-and-tape-differ']);
    const flat = { minMm: 300, maxMm: 400, widthMm: 20, buckle: 'metal tongue', holePitchMm: null };
    expect([-9, 11].map((mm) => byHandsReason('flat', flat, mm, contractSpeaker)!.code)).toEqual(['by-hands', 'hands-and-tape-differ']);
  });

  it('reads a check of before, that kept neither what was known nor the dog: a good one counts, another does not', () => {
    const { plan, checks } = worn('prong', starter, choices(7, 7), [{ on: { left: 7, right: 7 }, answers: right }]);
    const before = (verdict: string) => {
      const { known: _known, ...outcome } = checks[0]!.outcome as { known?: unknown };
      return [{ ...checks[0]!, outcome: { ...outcome, verdict } }] as FitCheck[];
    };
    const by = (some: FitCheck[]) => byHandsOn({ dog: record, plans: [plan], checks: some, madeUp: [] }, tapes(), rules);
    expect(by(before('good'))).toEqual(by(checks));
    expect(by(before('adjust'))).toEqual({});
  });
});

describe('hands on every other kind', () => {
  it('a flat collar found right with two fingers is not let out by the tape', () => {
    const flat = { minMm: 480, maxMm: 620, widthMm: 25, buckle: 'metal tongue', holePitchMm: null };
    const choices = { options: { fingers: 2, role: 'training' }, on: { setMm: neckMm + 4 } };
    const kind = collarKind('flat');
    const plan = (byHands: object) =>
      kind.plan({ ...dog, headGirthMm: 640, byHands: byHands as never }, { id: 'c', name: 'F', numbers: flat }, [], choices, rules);
    expect(plan({}).keep).toBe(false);
    const answers = Object.fromEntries(kind.questions.map(({ id, answers: some }) => [id, some[0]!.value]));
    const felt = worn('flat', flat, choices, [{ on: choices.on, answers: { ...answers, under: '2' } }]);
    expect(felt.checks[0]!.outcome.verdict).toBe('good');
    expect(plan(felt.byHands).keep).toBe(true);
  });
});
