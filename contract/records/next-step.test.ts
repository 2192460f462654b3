import { contractSpeaker, SCREEN_ITEM_IDS, NOTHING_NOTED } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import {
  collarKind,
  currentFits,
  FIRST_SETTINGS,
  fittingDog,
  latestGirths,
  neckFelt,
  nextStep,
  type DogCard,
  type Kennel,
  type Screening,
  type Taping,
} from '../index.ts';
import { asIfSound } from './next-step.ts';
import { houseRules, taping as tapingOf, type GirthSite } from '@banter/core';

const dogId = uuidv7();
const kept = { recordedAt: '2026-03-02T09:00:00.000Z', personId: uuidv7(), personName: 'Robin', coreVersion: '0.1.0', rules: {} };
const dog: DogCard['dog'] = {
  id: dogId,
  version: 1,
  name: 'Bracken',
  breed: '',
  sex: 'female',
  bornOn: null,
  bornGuessed: false,
  weightG: 27_000,
  neckBuild: 'average',
  pull: 'drags',
  worksOn: 'left',
  heelLine: '',
  toolsWhere: null,
  ...NOTHING_NOTED,
  owner: '',
  notes: '',
  placeId: null,
  house: null,
  archivedAt: null,
};
function taped(site: GirthSite, mm: number, at: string, correctsId: string | null = null): Taping {
  const { reasons, ...result } = tapingOf({ site, readingsMm: [mm, mm, mm], weightKg: 27, neckBuild: 'average' }, houseRules());
  return {
    id: uuidv7(),
    dogId,
    site,
    readingsMm: [mm, mm, mm],
    typed: [],
    overCoat: false,
    coatDepthMm: null,
    weightG: 27_000,
    neckBuild: 'average',
    at,
    correctsId,
    settled: false,
    way: 'tape',
    tapedMm: mm,
    basis: 'skin',
    result,
    reasons,
    ...kept,
  };
}
const today = '2026-03-22';
const kennel = {
  ...FIRST_SETTINGS,
  id: uuidv7(),
  version: 1,
  demo: false,
  name: 'Gorse End',
  lengthUnit: 'cm',
  massUnit: 'kg',
  timeZone: 'Europe/London',
} as Kennel;
const screening = (answers: Partial<Screening['answers']> = {}, at = '2026-03-01T09:00:00.000Z'): Screening => ({
  id: uuidv7(),
  dogId,
  answers: { ...(Object.fromEntries(SCREEN_ITEM_IDS.map((id) => [id, 'no'])) as Screening['answers']), ...answers },
  note: '',
  at,
  recordedAt: at,
  personId: kept.personId,
  personName: 'Robin',
});
const collar = { id: uuidv7(), name: 'Alder', numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 } };
const choices = { gaugeSchool: 'pull-first', betweenSchool: 'finer', split: { left: 6, right: 5 }, start: null, ring: 'live', ringPlace: 'nape' };
const right = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
const kind = collarKind('prong');

function card(girths: Taping[], answers?: object): DogCard {
  const facts = fittingDog(dog, latestGirths(girths), { today });
  const plan = {
    id: uuidv7(),
    dogId,
    collarId: collar.id,
    kind: 'prong' as const,
    choices,
    placeId: null,
    note: '',
    at: '2026-03-02T10:00:00.000Z',
    inputs: { dog: facts, tapingIds: [], collar, place: null, screen: { level: 'none', findings: [] } },
    outcome: kind.plan(facts, collar, [collar], choices, houseRules()),
    ...kept,
  };
  const check = answers && {
    id: uuidv7(),
    dogId,
    planId: plan.id,
    kind: 'prong' as const,
    on: choices.split,
    answers: answers as Record<string, unknown>,
    note: '',
    at: '2026-03-02T10:10:00.000Z',
    attempt: 1,
    outcome: kind.check(facts, collar, choices, choices.split, answers, [], houseRules()),
    ...kept,
  };
  return {
    dog,
    girths,
    fits: [{ plan, check: check ?? null, elsewhere: null, felt: check ? neckFelt(plan as never, [check as never], []) : null, is: 'sound' }],
    screenings: [screening()],
    lifts: [],
  } as unknown as DogCard;
}
const step = (one: Partial<DogCard>) =>
  nextStep({ dog, girths: [], fits: [], screenings: [screening()], lifts: [], ...one }, { kennel, today }, contractSpeaker);
type Decided = Parameters<typeof currentFits>[0];
const decided = (plans: Decided['plans'], checks: Decided['checks'], endings: Decided['endings'] = []): Decided => ({
  plans,
  checks,
  endings,
  madeUp: [],
  collars: [],
});
const morning = '2026-03-02T09:00:00.000Z';
const later = '2026-03-20T09:00:00.000Z';

describe('a collar that was found to be mended, worn out or scrapped', () => {
  const found = (condition: 'sound' | 'mend' | 'worn', retiredAt: string | null = null) => {
    const { fits } = card([taped('high', 398, morning)], right);
    const [{ plan, check }] = fits as [DogCard['fits'][number]];
    const now = { ...collar, kind: 'prong', version: 1, metal: null, condition, measuredOn: null, owned: true, note: '', retiredAt } as const;
    const [fit] = currentFits({ ...decided([plan], [check!]), collars: [now] });
    return fit!;
  };
  it('stays off its dog, however well it fitted: common practice', () => {
    const one = card([taped('high', 398, morning)], right);
    const says = (fit: DogCard['fits'][number]) => step({ ...one, fits: [fit] });
    expect(says(found('sound'))).toMatchObject({ tone: 'good' });
    expect(says(found('mend'))).toMatchObject({ sentence: 'Leave Alder off: it is to be mended.', tone: 'stop', goTo: 'bench', kind: 'prong' });
    expect(says(found('worn'))).toMatchObject({ sentence: 'Leave Alder off: it is worn out.', tone: 'stop' });
    expect(says(found('sound', later))).toMatchObject({ sentence: 'Leave Alder off: it is scrapped.', tone: 'stop' });
    // Where each piece is told by itself the fit says what it would without that.
    expect(says(asIfSound(found('mend')))).toEqual(says(found('sound')));
  });
});

describe('the next step of a dog', () => {
  it('is to screen, to tape, to weigh, to size, to check, in that order', () => {
    expect(step({ screenings: [] })).toMatchObject({ goTo: 'screen', tone: 'open' });
    expect(step({})).toMatchObject({ goTo: 'tape', tone: 'open' });
    expect(step({ dog: { ...dog, weightG: null }, girths: [taped('high', 398, morning)] })).toMatchObject({ goTo: 'edit' });
    expect(step({ dog, girths: [taped('high', 398, morning)] })).toMatchObject({ goTo: 'bench', sentence: 'Choose and size a collar.' });
    expect(step(card([taped('high', 398, morning)]))).toMatchObject({ goTo: 'check', tone: 'open' });
    expect(step(card([taped('high', 398, morning)], right))).toEqual({
      kind: 'prong',
      goTo: null,
      tone: 'good',
      sentence: 'Fitted: 3.0 mm prong, 11 links (6 left, 5 right).',
    });
  });

  it('is to tape again when the high girth may have been taken lower down', () => {
    expect(step({ dog, girths: [taped('high', 478, morning)] })).toMatchObject({ goTo: 'tape', tone: 'mind' });
  });

  it('is what the last check asked for', () => {
    expect(step(card([taped('high', 380, morning)], { ...right, under: 'flat-hand', turns: 'spins' }))).toMatchObject({
      goTo: 'check',
      tone: 'mind',
      sentence: 'Take out one link, on the dog’s left, then check again.',
    });
    expect(step(card([taped('high', 398, morning)], { ...right, overHead: 'yes' }))).toMatchObject({ goTo: 'bench', tone: 'stop' });
  });

  it('of several fits is the most pressing one, and names all of them when each is good', () => {
    const good = card([taped('high', 398, morning)], right);
    const bad = card([taped('high', 398, morning)], { ...right, overHead: 'yes' });
    expect(step({ ...good, fits: [...good.fits, ...bad.fits] }).tone).toBe('stop');
    expect(step({ ...good, fits: [...good.fits, ...good.fits] }).sentence).toBe(
      'Fitted: 3.0 mm prong, 11 links (6 left, 5 right); 3.0 mm prong, 11 links (6 left, 5 right).',
    );
  });

  it('is the bench where no hand on the dog will do', () => {
    const slides = card([taped('high', 398, morning)], { ...right, headDrop: 'slides' });
    const again = { ...slides.fits[0]!, check: { ...slides.fits[0]!.check!, outcome: { ...slides.fits[0]!.check!.outcome, step: 'finer-gauge' } } };
    expect(step({ ...slides, fits: [again] })).toMatchObject({ goTo: 'bench', tone: 'mind' });
  });

  it('counts the latest plan of each kind that is not set aside', () => {
    const [fit] = card([taped('high', 398, morning)], right).fits;
    const older = { ...fit!.plan, id: uuidv7(), at: '2026-01-01T00:00:00.000Z' };
    const fits = currentFits(decided([older, fit!.plan], [fit!.check!]));
    expect(fits.map(({ plan, check }) => [plan.id, check?.id])).toEqual([[fit!.plan.id, fit!.check!.id]]);
    const ending = { id: uuidv7(), dogId, planId: fit!.plan.id, ended: true, note: '', at: later, ...kept };
    expect(currentFits(decided([older, fit!.plan], [fit!.check!], [ending]))).toEqual([]);
    const takenBack = { ...ending, id: uuidv7(), ended: false, at: '2026-12-01T00:00:00.000Z' };
    expect(currentFits(decided([older, fit!.plan], [fit!.check!], [takenBack, ending]))).toHaveLength(1);
  });

  it('is to make the collar up again where it has been made up for another dog since, with what to put back or take out', () => {
    const [fit] = card([taped('high', 398, morning)], right).fits;
    const madeUp = (left: number, right: number, at = '2026-11-30T00:00:00.000Z', id = 'other') => ({
      collarId: fit!.plan.collarId,
      collarName: fit!.plan.inputs.collar.name,
      kind: fit!.plan.kind,
      dogId: id,
      dogName: 'Fern',
      on: { left, right },
      numbers: fit!.plan.inputs.collar.numbers,
      links: left + right,
      at,
    });
    const now = (...one: ReturnType<typeof madeUp>[]) => {
      const fits = currentFits({ ...decided([fit!.plan], [fit!.check!]), madeUp: one });
      return step({ ...card([taped('high', 398, morning)], right), fits: fits as never });
    };
    const own = fit!.check!.on as { left: number; right: number };
    expect(now(madeUp(own.left - 1, own.right))).toMatchObject({ goTo: 'check', tone: 'mind' });
    expect(now(madeUp(own.left - 1, own.right)).sentence).toMatch(/^Put one link back in: \S+ is set for Fern, \d+ links\.$/);
    expect(now(madeUp(own.left + 1, own.right + 1)).sentence).toMatch(/^Take 2 links out: /);
    // The same make-up, the dog's own, or one of before it was last found on this dog changes nothing.
    expect(now(madeUp(own.left, own.right)).tone).toBe('good');
    expect(now(madeUp(own.left, own.right, '2026-11-30T00:00:00.000Z', dogId)).tone).toBe('good');
    // A link of its own collar that was scrapped since is missing.
    const scrapped = { ...madeUp(own.left, own.right, '2026-11-30T00:00:00.000Z', dogId), links: own.left + own.right - 1 };
    expect(now(scrapped)).toMatchObject({ goTo: 'check', tone: 'mind', sentence: 'Put one link back in: Alder has 10 links now.' });
    expect(now(madeUp(own.left - 1, own.right, '2020-01-01T00:00:00.000Z')).tone).toBe('good');
    expect(now().tone).toBe('good');
  });

  it('is to leave the collar off when screening since speaks against it, until that is lifted', () => {
    const fitted = card([taped('high', 398, morning)], right);
    const sick = screening({ windpipe: 'yes' }, later);
    expect(step({ ...fitted, screenings: [screening(), sick] })).toEqual({
      kind: 'prong',
      goTo: 'screen',
      tone: 'stop',
      sentence: 'Leave the prong off: windpipe or neck disease.',
    });
    const lift = { id: uuidv7(), dogId, item: 'windpipe' as const, lifted: true, note: 'The vet has cleared it.', ...kept };
    expect(step({ ...fitted, screenings: [screening(), sick], lifts: [{ ...lift, at: morning }] }).tone).toBe('stop');
    expect(step({ ...fitted, screenings: [screening(), sick], lifts: [{ ...lift, at: '2026-03-21T09:00:00.000Z' }] }).tone).toBe('good');
  });

  it('is the bench again when the dog has grown out of what was decided, and not when it still fits', () => {
    const then = [taped('high', 398, morning)];
    expect(step({ ...card(then, right), girths: [...then, taped('high', 408, later)] }).tone).toBe('good');
    expect(step({ ...card(then, right), girths: [...then, taped('high', 428, later)] })).toMatchObject({
      goTo: 'bench',
      tone: 'mind',
      sentence: expect.stringContaining('presses'),
    });
  });

  it('is to check again when the head, taped since hands were in it, is found to be too narrow; before a check, the bench', () => {
    const then = [taped('high', 398, morning)];
    const narrow = [...then, taped('head', 415, later)];
    expect(step({ ...card(then, right), girths: narrow })).toMatchObject({
      goTo: 'check',
      tone: 'mind',
      sentence: 'Check the fit again: would pass the head, by the newer tape.',
    });
    expect(step({ ...card(then), girths: narrow })).toMatchObject({ goTo: 'bench', tone: 'stop' });
  });

  it('is the link that is still to come out where it is worn loose on purpose', () => {
    const loose = card([taped('high', 398, morning)], { ...right, under: 'flat-hand', turns: 'spins' });
    const [fit] = loose.fits;
    const outcome = { ...fit!.check!.outcome, verdict: 'good' as const, step: 'wear-loose' };
    expect(step({ ...loose, fits: [{ ...fit!, check: { ...fit!.check!, outcome } }] })).toEqual({
      kind: 'prong',
      goTo: 'check',
      tone: 'open',
      sentence: 'Loose on purpose: wear it so this session, a link tighter next time.',
    });
  });

  it('is nothing while hands have found it good, whatever the model makes of the same neck', () => {
    // 425 mm taped, 418 mm inside: by the tape it presses by 7 mm, on the dog some fingers go under it.
    const tight = [taped('high', 425, morning)];
    expect(step(card(tight)).goTo).toBe('check');
    expect(step(card(tight, right)).tone).toBe('good');
    // Other sites, and the same neck taped again to within what the tape may be off, change nothing.
    expect(step({ ...card(tight, right), girths: [...tight, taped('base', 500, later), taped('head', 520, later), taped('high', 427, later)] }).tone).toBe(
      'good',
    );
    // A weight that changed by more than a twentieth asks for hands again; by less, it does not.
    expect(step({ ...card(tight, right), dog: { ...dog, weightG: 28_300 } }).tone).toBe('good');
    expect(step({ ...card(tight, right), dog: { ...dog, weightG: 28_400 } })).toMatchObject({
      goTo: 'check',
      tone: 'open',
      sentence: 'Check the fit again: the weight has changed since the last check.',
    });
  });

  it('goes by the correction and not by what it corrects, even when that was later', () => {
    const wrong = taped('high', 478, later);
    const fixed = taped('high', 398, morning, wrong.id);
    expect(latestGirths([wrong, fixed]).high?.id).toBe(fixed.id);
    expect(step({ dog, girths: [wrong, fixed] }).goTo).toBe('bench');
  });
});
