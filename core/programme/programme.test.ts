import { FLAT_TRAITS } from '../collars/flat/index.ts';
import { PRONG_TRAITS } from '../collars/prong/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  combinations,
  HOUSE_SCHOOL_OPTIONS,
  houseSchools,
  judgeStage,
  moveSession,
  mutualInformation,
  NO_ROOM_WORDS,
  contractSpeaker,
  placeSessions,
  PROGRAMME_TEMPLATES,
  programmesFor,
  STAGE_REASON_WORDS,
  tellTaleAdvice,
  tellTaleCounts,
  tellTalePlan,
  wordReason,
  type PlacedSession,
  type ProgrammeStage,
  type ScheduleCase,
  type SessionWish,
  type StageResult,
} from '../index.ts';

const DAY = 86_400_000;
const stageOf = (programme: string, id: string) => PROGRAMME_TEMPLATES.find((one) => one.id === programme)!.stages.find((one) => one.id === id)!;

describe('the programmes of the trade', () => {
  it('are all there, whole, and each stage can be passed and fallen back from', () => {
    expect(PROGRAMME_TEMPLATES.map(({ id }) => id)).toEqual([
      'wear-first', 'loose-to-fitted', 'no-tell-tale', 'nose-first', 'fit-and-walk', 'through-the-hoop', 'level-finding', 'fading', 'refresher', 'boundary',
    ]); // prettier-ignore
    for (const { stages, school } of PROGRAMME_TEMPLATES) {
      if (school) expect(HOUSE_SCHOOL_OPTIONS[school.name] as readonly string[]).toContain(school.side);
      expect(new Set(stages.map(({ id }) => id)).size).toBe(stages.length);
      for (const { pass, fallBack, minutes, sessionsPerDay, everyDays, how, aim } of stages) {
        expect(pass.needed).toBeGreaterThan(0);
        expect(pass.needed).toBeLessThanOrEqual(pass.of);
        expect(fallBack.below).toBeLessThan(pass.needed / pass.of);
        expect(Math.min(minutes, sessionsPerDay, everyDays, pass.inRow, fallBack.inRow, how.length, aim.length)).toBeGreaterThan(0);
      }
    }
  });
  it('say what the trade says: three days worn first, two weeks without a tell-tale, on 30 minutes around work, fussing one stage back', () => {
    expect(stageOf('wear-first', 'worn').pass.leastDays).toBe(3);
    expect(stageOf('no-tell-tale', 'on-and-off').pass.leastDays).toBe(14);
    expect(stageOf('no-tell-tale', 'around-work').onAround).toBe(true);
    for (const id of ['beside', 'through', 'a-second', 'clipped'])
      expect(stageOf('nose-first', id).fallBack).toMatchObject({ setback: 'It fussed', stages: 1 });
    expect(stageOf('level-finding', 'find').fallBack.setback).toBe('It cried out or started');
  });
  it('a dog is offered those of its collars, its house’s school first, the other school’s, too', () => {
    const ids = (school: 'start-fitted' | 'start-loose') => programmesFor(PRONG_TRAITS.programmes, houseSchools({ startSchool: school })).map(({ id }) => id);
    expect(ids('start-fitted')).toEqual(['wear-first', 'no-tell-tale', 'fading', 'refresher', 'loose-to-fitted']);
    expect(ids('start-loose')).toEqual(['loose-to-fitted', 'no-tell-tale', 'fading', 'refresher', 'wear-first']);
    expect(programmesFor(FLAT_TRAITS.programmes, houseSchools())).toEqual([]);
  });
});

describe('on, hold or back', () => {
  const stage: ProgrammeStage = { ...stageOf('wear-first', 'yield'), pass: { what: 'yields', needed: 8, of: 10, inRow: 2, leastDays: 0 } };
  const result = (met: number, of = 10, more: Partial<StageResult> = {}, at = 0): StageResult => ({ at, met, of, setback: false, ...more });
  const judge = (results: StageResult[], more: Partial<ProgrammeStage> = {}, index = 1, days = 5) =>
    judgeStage({ ...stage, ...more }, results.map((one, at) => ({ ...one, at })), { index, begunAt: 0, now: days * DAY }); // prettier-ignore
  it.each([
    [[], 'hold', 'no-result'],
    [[result(8)], 'hold', 'one-more'],
    [[result(8), result(8)], 'on', 'passed'],
    [[result(4, 5), result(8)], 'on', 'passed'],
    [[result(8), result(4, 4)], 'hold', 'not-yet'],
    [[result(8), result(7), result(8)], 'hold', 'one-more'],
    [[result(7)], 'hold', 'not-yet'],
    [[result(4)], 'hold', 'not-yet'],
    [[result(4), result(4)], 'back', 'below'],
    [[result(5), result(4)], 'hold', 'not-yet'],
    [[result(8), result(9, 10, { setback: true })], 'back', 'setback'],
    [[result(9, 10, { setback: true }), result(8), result(8)], 'on', 'passed'],
    [[result(0, 0), result(0, 0)], 'back', 'below'],
  ] as const)('%j: %s, %s', (results, verdict, code) => {
    const found = judge([...results]);
    expect(found).toMatchObject({ verdict, back: verdict === 'back' ? 1 : 0 });
    expect(found.reasons[0]!.code).toBe(code);
  });
  it('in the order in which sessions happened, whatever order they are told in', () => {
    const results = [result(8, 10, {}, 3), result(2, 10, {}, 1), result(8, 10, {}, 2)];
    expect(judgeStage(stage, results, { index: 1, begunAt: 0, now: DAY }).verdict).toBe('on');
  });
  it('a stage lasts its least days; the first stage has nothing to fall back to', () => {
    const least = { pass: { ...stage.pass, leastDays: 3 } };
    expect(judge([result(8), result(8)], least, 1, 2)).toMatchObject({ verdict: 'hold', reasons: [{ code: 'too-soon' }] });
    expect(judge([result(8), result(8)], least, 1, 3).verdict).toBe('on');
    const first = judge([result(1), result(1)], {}, 0);
    expect(first).toMatchObject({ verdict: 'hold', back: 0 });
    expect(first.reasons.map(({ code }) => code)).toEqual(['below', 'first-stage']);
    for (const reason of first.reasons) expect(wordReason(STAGE_REASON_WORDS, reason, contractSpeaker).text).toMatch(/^[A-Z].*\.$/);
  });
});

const wish = (dog: number, more: Partial<SessionWish> = {}): SessionWish => ({
  id: `w${dog}`,
  dogId: `dog${dog}`,
  dogName: `Dog ${dog}`,
  minutes: 15,
  perDay: 2,
  everyDays: 1,
  fromDay: 0,
  count: null,
  hands: null,
  aroundMinutes: 0,
  ...more,
});
const days = (count: number, open: readonly [number, number] | null = [8 * 60, 18 * 60]) =>
  Array.from({ length: count }, (_day, day) => ({ day: `2026-03-${String(day + 1).padStart(2, '0')}`, open: day % 7 === 6 ? null : open }));
const hand = (id: string, count: number, hours: readonly [number, number] | null = [9 * 60, 17 * 60]) => ({
  id,
  name: id,
  hours: Array.from({ length: count }, () => hours),
});
const base = (more: Partial<ScheduleCase> = {}): ScheduleCase => ({
  days: days(30),
  hands: [hand('Ann', 30), hand('Ben', 30)],
  wishes: [wish(1)],
  fixed: [],
  notBefore: { day: 0, minute: 0 },
  rules: { dogRestMinutes: 60, dogSessionsPerDay: 3 },
  ...more,
});

/** What must hold of any calendar, checked plainly: every pair of sessions against every other. */
function faults(sessions: readonly PlacedSession[], { days: all, hands, rules }: ScheduleCase): string[] {
  const found: string[] = [];
  sessions.forEach((one, index) => {
    const to = one.from + one.minutes;
    const open = all[one.day]!.open;
    if (!open || one.from - one.aroundMinutes < open[0] || to + one.aroundMinutes > open[1]) found.push(`${one.id}: outside the open hours`);
    const hours = hands.find(({ id }) => id === one.handId)!.hours[one.day];
    if (!hours || one.from < hours[0] || to > hours[1]) found.push(`${one.id}: nobody there`);
    for (const other of sessions.slice(index + 1)) {
      if (other.day !== one.day) continue;
      const gap = Math.max(other.from - to, one.from - (other.from + other.minutes));
      if (other.handId === one.handId && gap < 0) found.push(`${one.id} and ${other.id}: one pair of hands`);
      if (other.dogId === one.dogId && gap < rules.dogRestMinutes) found.push(`${one.id} and ${other.id}: no rest`);
    }
    const sameDay = sessions.filter((other) => other.day === one.day && other.dogId === one.dogId);
    if (sameDay.length > rules.dogSessionsPerDay) found.push(`${one.id}: too many that day`);
  });
  return found;
}

describe('placing sessions', () => {
  it('twelve dogs, two people, a month: every session has its place, and nothing clashes', () => {
    const question = base({
      wishes: Array.from({ length: 12 }, (_dog, dog) => wish(dog, { minutes: 10 + (dog % 3) * 5, aroundMinutes: dog % 4 === 0 ? 30 : 0 })),
    });
    const { placed, noRoom } = placeSessions(question);
    // Closed on four days of thirty, and each told so for each dog and round.
    expect(new Set(noRoom.map(({ why }) => why))).toEqual(new Set(['closed']));
    expect(placed).toHaveLength(12 * 2 * 26);
    expect(faults(placed, question)).toEqual([]);
  });
  it('any question: no clash, nothing before now, what is fixed stays, the same answer twice', () => {
    const span = fc.tuple(fc.integer({ min: 6, max: 12 }), fc.integer({ min: 1, max: 9 })).map(([from, hours]) => [from * 60, (from + hours) * 60] as const);
    fc.assert(
      fc.property(
        fc.array(span, { minLength: 1, maxLength: 3 }),
        span,
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 5, max: 90 }),
            perDay: fc.integer({ min: 1, max: 4 }),
            everyDays: fc.integer({ min: 1, max: 3 }),
            aroundMinutes: fc.constantFrom(0, 30),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.integer({ min: 0, max: 2 }),
        (hours, open, wishes, today) => {
          const question = base({
            days: days(6, open),
            hands: hours.map((one, index) => hand(`h${index}`, 6, one)),
            wishes: wishes.map((more, dog) => wish(dog % 4, { ...more, id: `w${dog}` })),
            notBefore: { day: today, minute: 600 },
          });
          const { placed } = placeSessions(question);
          expect(faults(placed, question)).toEqual([]);
          for (const { day, from } of placed) expect(day > today || (day === today && from >= 600)).toBe(true);
          expect(placeSessions(question).placed).toEqual(placed);
          const again = placeSessions({ ...question, fixed: placed });
          expect(faults([...placed, ...again.placed], question)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
  it.each([
    ['closed', { days: days(1, null) }],
    ['nobody-there', { hands: [hand('Ann', 30, [9 * 60, 9 * 60 + 10])] }],
    ['dog-limit', { rules: { dogRestMinutes: 60, dogSessionsPerDay: 1 } }],
    ['dog-rest', { hands: [hand('Ann', 30, [9 * 60, 10 * 60])] }],
    ['hands-busy', { hands: [hand('Ann', 30, [9 * 60, 9 * 60 + 30])], wishes: [wish(1, { perDay: 1 }), wish(2, { perDay: 1 }), wish(3, { perDay: 1 })] }],
    ['around', { days: days(1, [9 * 60, 9 * 60 + 45]), wishes: [wish(1, { perDay: 1, aroundMinutes: 30 })] }],
  ] as const)('%s is said with what would free it', (why, more) => {
    const { noRoom } = placeSessions(base({ days: days(1), ...(more as Partial<ScheduleCase>) }));
    expect(noRoom.map((one) => one.why)).toContain(why);
    expect(wordReason(NO_ROOM_WORDS, noRoom.find((one) => one.why === why)!.reason, contractSpeaker).text).toMatch(/free it\.$|day later\.$/);
  });
  it('the second of two lies in the second half of the day where there is room, else wherever there is', () => {
    const { placed } = placeSessions(base({ days: days(1), wishes: [wish(1)] }));
    const question = base();
    const noon = (question.days[0]!.open![0] + question.days[0]!.open![1]) / 2;
    expect(placed.map(({ from }) => from >= noon)).toEqual([false, true]);
    const early = placeSessions(base({ days: days(1), hands: [hand('Ann', 30, [9 * 60, 12 * 60])], wishes: [wish(1)] })).placed;
    expect(early).toHaveLength(2);
  });
  it('so many in all, and every other day', () => {
    const { placed } = placeSessions(base({ wishes: [wish(1, { count: 5, everyDays: 2, perDay: 1 })] }));
    expect(placed.map(({ day }) => day)).toEqual([0, 2, 4, 8, 10]);
  });
});

describe('moving a session by hand', () => {
  const question = base({ days: days(6), wishes: Array.from({ length: 6 }, (_dog, dog) => wish(dog, { minutes: 30 })) });
  const { placed } = placeSessions(question);
  it('changes ripple only forward: nothing before it moves, what clashes goes later just far enough', () => {
    fc.assert(
      fc.property(fc.nat(placed.length - 1), fc.nat(5), fc.integer({ min: 36, max: 64 }), fc.constantFrom('Ann', 'Ben'), (index, day, quarter, handId) => {
        const id = placed[index]!.id;
        const to = { day, from: quarter * 15, handId };
        const { sessions, moved, stuck } = moveSession(placed, id, to, question);
        expect(sessions).toHaveLength(placed.length);
        expect(sessions.find((one) => one.id === id)).toMatchObject(to);
        for (const one of placed) {
          const after = sessions.find((other) => other.id === one.id)!;
          if (one.id === id) continue;
          const isEarlier = one.day < day || (one.day === day && one.from < to.from);
          if (isEarlier || !moved.includes(one.id)) expect(after).toEqual(one);
          else expect(after.day > one.day || (after.day === one.day && after.from > one.from)).toBe(true);
        }
        if (stuck.length === 0) {
          // What the hand itself put beside something earlier is the hand's to answer for.
          const own = (fault: string) => fault.includes(id);
          expect(faults(sessions, question).filter((fault) => !own(fault))).toEqual([]);
        }
      }),
      { numRuns: 100 },
    );
  });
  it('one that clashes with nothing moves nothing else', () => {
    const { moved } = moveSession(placed, placed[0]!.id, { day: 5, from: 16 * 60 + 30, handId: 'Ann' }, question);
    expect(moved).toEqual([placed[0]!.id]);
  });
});

describe('the plan without a tell-tale', () => {
  it('two weeks, two and three times a day in turn, each combination as often with work as without, as far as the count allows', () => {
    for (let seed = 0.01; seed < 1; seed += 0.07) {
      const plan = tellTalePlan({ collars: ['prong', 'remote'], seed });
      expect(plan).toHaveLength(7 * 2 + 7 * 3);
      const { counts, rows } = tellTaleCounts(plan);
      expect(rows).toHaveLength(4);
      // 35 times are 17 pairs and one more.
      expect(counts.reduce((off, [work, nothing]) => off + Math.abs(work! - nothing!), 0)).toBe(1);
      const { bits, chance } = mutualInformation(counts);
      expect(bits).toBeLessThan(0.02);
      expect(chance!).toBeGreaterThan(0.5);
      plan.forEach(({ day, part }, index) => {
        expect(part).toBeGreaterThan(0);
        expect(part).toBeLessThan(1);
        if (index > 0 && plan[index - 1]!.day === day) expect(part).toBeGreaterThan(plan[index - 1]!.part);
        const same = (back: number) =>
          index >= back && plan[index - back]!.worn.join() === plan[index]!.worn.join() && plan[index - back]!.work === plan[index]!.work;
        expect(same(1) && same(2)).toBe(false);
      });
    }
  });
  it('the same seed makes the same plan; another one another', () => {
    expect(tellTalePlan({ collars: ['a', 'b'], seed: 0.3 })).toEqual(tellTalePlan({ collars: ['a', 'b'], seed: 0.3 }));
    expect(tellTalePlan({ collars: ['a', 'b'], seed: 0.3 })).not.toEqual(tellTalePlan({ collars: ['a', 'b'], seed: 0.31 }));
    expect(combinations(['a', 'b'])).toEqual([[], ['a'], ['b'], ['a', 'b']]);
  });
  it('says what to change where one combination gives work away, and nothing where none does', () => {
    // The prong was followed by work 9 of 10 times, against half overall: 4 times too often.
    expect(tellTaleAdvice([[9, 1], [1, 9]])).toEqual({ row: 0, wear: 'with-nothing', times: 4 }); // prettier-ignore
    expect(tellTaleAdvice([[0, 5], [10, 5]])).toEqual({ row: 0, wear: 'with-work', times: 3 }); // prettier-ignore
    expect(tellTaleAdvice([[5, 5], [5, 5]])).toBeNull(); // prettier-ignore
    expect(tellTaleAdvice([[0, 0]])).toBeNull();
  });
});
