import { wornFitLine, type DogRecord, type FieldSession, type FitCheck, type Plan, type Taping } from '@banter/contract';
import { contractSpeaker } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { markedWears, skinEntries } from './neck-timeline.ts';
import { inTimeOrder, timelineOf } from './timeline.ts';
import { stageEntries, workedDays } from './work-timeline.ts';
import { goToStep } from './worn-words.ts';

const kept = {
  dogId: 'd1',
  personId: 'p1',
  personName: 'Wenna Sedge',
  recordedAt: '2026-03-02T12:00:00.000Z',
  rules: { slackMaxMm: 25 },
  coreVersion: '0.1.0',
};
const taping = (id: string, at: string, more: Partial<Taping> = {}) =>
  ({
    ...kept,
    id,
    at,
    site: 'high',
    basis: 'skin',
    overCoat: false,
    coatDepthMm: null,
    tapedMm: 398,
    typed: ['398', '39.8 cm'],
    correctsId: null,
    settled: false,
    reasons: [],
    result: { girthMm: 398, repeat: false },
    ...more,
  }) as unknown as Taping;
const collar = { id: 'c1', name: 'Alder', numbers: { gaugeMm: 3, pitchMm: 31.2, insideGirthMm: 480, links: 13, closingMm: 28 } };
const plan = {
  ...kept,
  id: 'f1',
  kind: 'prong',
  at: '2026-03-02T09:30:00.000Z',
  note: 'To begin with.',
  choices: { split: { left: 6, right: 5 }, start: null },
  inputs: { collar },
  outcome: { keep: true, blocked: false, judgement: { verdict: 'fits', reasons: [] }, reasons: [] },
} as unknown as Plan;
const page = (more: Partial<DogRecord>): DogRecord =>
  ({ tapings: [], corrected: [], plans: [], checks: [], endings: [], ended: [], screenings: [], lifts: [], ...more }) as unknown as DogRecord;
const told = (more: Partial<DogRecord>) =>
  timelineOf(
    page(more),
    contractSpeaker,
    (mm) => `${mm / 10} cm`,
    (site) => `${site} girth`,
  );

describe('what happened to a dog', () => {
  it('stands newest first, whatever kind of thing it was, each with who and when', () => {
    const entries = told({
      tapings: [taping('t1', '2026-03-01T09:00:00.000Z'), taping('t2', '2026-03-09T09:00:00.000Z', { tapedMm: 402 })],
      lifts: [{ ...kept, id: 'l1', item: 'windpipe', lifted: true, note: 'X-rayed, clear.', at: '2026-03-05T09:00:00.000Z' }] as unknown as DogRecord['lifts'],
      screenings: [
        { ...kept, id: 's1', answers: { windpipe: 'yes', heart: 'no' }, note: '', at: '2026-03-04T09:00:00.000Z' },
      ] as unknown as DogRecord['screenings'],
    });
    expect(entries.map(({ id }) => id)).toEqual(['t2', 'l1', 's1', 't1']);
    for (const { by } of entries) expect(by).toBe('Wenna Sedge');
    expect(entries[1]).toMatchObject({ word: 'Lifted', note: 'X-rayed, clear.' });
    expect(entries[1]!.title).toMatch(/^The stop was lifted: windpipe/);
    expect(entries[2]).toMatchObject({ word: 'Screened', tone: 'mind' });
    expect(entries[2]!.title).toMatch(/windpipe.*: yes$/);
  });

  it('shows a taping as it was read, over the coat or on the skin, and that it was corrected; the wrong one stays', () => {
    const entries = told({
      tapings: [
        taping('t1', '2026-03-01T09:00:00.000Z', { tapedMm: 938 }),
        taping('t2', '2026-03-01T09:05:00.000Z', { correctsId: 't1', basis: 'coat', overCoat: true } as Partial<Taping>),
      ],
      corrected: ['t1'],
    });
    expect(entries.map(({ word, corrected }) => [word, corrected])).toEqual([
      ['Taped again', false],
      ['Taped', true],
    ]);
    expect(entries[0]!.title).toBe('high girth 39.8 cm over the coat');
    expect(entries[0]!.note).toBe('Read: 398 · 39.8 cm');
    expect(entries[0]!.rules).toEqual({ slackMaxMm: 25 });
  });

  it('tells that a fit was set aside, and that it was taken back', () => {
    const ending = { ...kept, planId: 'f1', note: '', at: '2026-03-03T09:00:00.000Z' };
    const entries = told({
      plans: [plan],
      ended: [plan],
      endings: [
        { ...ending, id: 'e1', ended: true },
        { ...ending, id: 'e2', ended: false, at: '2026-03-03T09:00:04.000Z' },
      ],
    });
    expect(entries.slice(0, 2).map(({ word, title }) => [word, title])).toEqual([
      ['Undone', 'Prong Alder is worn again.'],
      ['Set aside', 'Prong Alder is no longer worn.'],
    ]);
    expect(entries[2]).toMatchObject({ tone: 'good', note: 'To begin with.' });
    expect(entries[2]!.title).toContain('from Alder');
  });
});

describe('what a dog wears, in one line', () => {
  const check = { on: { left: 5, right: 5 } } as unknown as FitCheck;
  it('is as it was planned, until it has been looked at on the dog', () => {
    expect(wornFitLine({ plan, check: null }, contractSpeaker)).toBe('3.0 mm prong, 11 links (6 left, 5 right)');
    expect(wornFitLine({ plan, check }, contractSpeaker)).toBe('3.0 mm prong, 10 links (5 left, 5 right)');
  });
  it('leads to the check of its own kind', () => {
    expect(goToStep('d1', { goTo: 'check', kind: 'remote' })).toBe('/dogs/d1/check?kind=remote');
    expect(goToStep('d1', { goTo: 'tape', kind: null, tone: 'open', sentence: '' } as never)).toBe('/dogs/d1/tape');
  });
});

describe('what the neck adds to it', () => {
  const look = (id: string, grade: number, sore: object | null) =>
    ({ ...kept, id, at: '2026-03-03T09:00:00.000Z', clock: 3, under: 'prong', grade, sore, note: 'By the plate.', photoId: null }) as never;
  it('every look at the skin, with what to suspect', () => {
    const [pink, clear] = skinEntries({ skinLooks: [look('s1', 1, { fit: 'loose', stayed: 'not-tried', metal: 'same' }), look('s2', 0, null)] });
    expect(pink).toMatchObject({ title: 'Skin at 3 o’clock: pink.', tone: 'mind', by: 'Wenna Sedge', note: 'By the plate.' });
    expect(pink!.reasons[0]!.text).toContain('Put the fit right');
    expect(clear).toMatchObject({ tone: 'good', reasons: [] });
  });
  it('wears that broke a rule, and only those', () => {
    const at = Date.UTC(2026, 2, 3, 9);
    const wear = (marks: object[]) => ({ wear: { id: 'e1', from: at }, collar: { kind: 'prong', name: 'Hazel' }, marks, ask: false }) as never;
    expect(markedWears({ events: [] }, [wear([])], contractSpeaker)).toEqual([]);
    const [marked] = markedWears({ events: [] }, [wear([{ code: 'unsupervised', as: 'pinch', state: 'crated', from: at, to: at + 1 }])], contractSpeaker);
    expect(marked).toMatchObject({ tone: 'stop', word: 'Wear', title: 'Worn not as it should be: prong Hazel.' });
    expect(inTimeOrder([marked!, ...skinEntries({ skinLooks: [look('s9', 0, null)] })]).map(({ id }) => id)).toEqual(['s9', 'e1']);
  });
});

describe('what the work adds to it', () => {
  const tally = { lastedMs: 600_000, presses: 0, rewards: 6, corrections: 1, pushedUp: 0, tooMuch: [] as { collarId: string; level: number }[] };
  const session = (id: string, begunAt: string, own: object = {}) =>
    ({ id, begunAt, handlerName: 'Corin Haw', purpose: 'work', tally: { ...tally, ...own } }) as unknown as FieldSession;
  it('sessions, together for each day of the kennel, and too much stands out', () => {
    // 23:30 in UTC is the next day in London in June.
    const days = workedDays(
      {
        worked: [
          session('s1', '2026-06-01T08:00:00.000Z'),
          session('s2', '2026-06-01T15:00:00.000Z', { presses: 1, corrections: 0, tooMuch: [{ collarId: 'c', level: 14 }] }),
          session('s3', '2026-06-01T23:30:00.000Z', { rewards: 0, corrections: 0 }),
        ],
      },
      'Europe/London',
    );
    expect(days.map(({ title, tone }) => [title, tone])).toEqual([
      ['2 sessions, 20 min: 12 rewards, 1 correction, 1 press.', 'stop'],
      ['1 session, 10 min.', 'open'],
    ]);
    expect(days[0]!.reasons[0]!.text).toBe('14 was too much: a ceiling.');
  });
  it('programmes begun, and stages on or back with what the marks said', () => {
    const programme = { id: 'p', name: 'Wear first', startsOn: '2026-06-01', note: '', stages: [{ id: 'a', name: 'Worn at home' }, { id: 'b', name: 'Pressure and release' }] }; // prettier-ignore
    const move = { ...kept, programmeId: 'p', note: '', overruled: false, reasons: [{ code: 'passed', text: '5 of 5.' }] };
    const entries = stageEntries(
      {
        programmes: [programme] as never,
        begun: ['p'],
        moves: [
          { ...move, id: 'm1', fromStage: 'a', toStage: 'b', at: '2026-06-04T09:00:00.000Z' },
          { ...move, id: 'm2', fromStage: 'b', toStage: 'a', overruled: true, at: '2026-06-06T09:00:00.000Z' },
        ] as never,
      },
      'UTC',
    );
    expect(entries.map(({ word, title }) => [word, title])).toEqual([
      ['Programme', 'Wear first begins. First stage: Worn at home.'],
      ['On a stage', 'Worn at home → Pressure and release.'],
      ['Back a stage', 'Pressure and release → Worn at home, decided otherwise than by the marks.'],
    ]);
    expect(entries[1]!.reasons[0]!.text).toBe('5 of 5.');
  });
});
