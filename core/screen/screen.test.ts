import { describe, expect, it } from 'vitest';
import { answersOfRecord, houseRules, lawOf, risksOfBreed, SCREEN_ITEMS, screenCollar, type Hazard } from '../index.ts';

const prong: Hazard[] = ['pinch', 'neck-load', 'contacts'];
const nose: Hazard[] = ['nose-loop'];
const flat: Hazard[] = ['neck-load'];
const answered = (answers: object, lifted: string[] = []) => ({ done: true, answers, lifted: lifted as never[] });

describe('screening', () => {
  it('stops a prong for a diseased windpipe, and asks a vet about a flat collar (common practice)', () => {
    expect(screenCollar(prong, answered({ windpipe: 'yes' }))).toMatchObject({ blocked: true, level: 'stop' });
    expect(screenCollar(flat, answered({ windpipe: 'yes' }))).toMatchObject({ blocked: true, level: 'ask-vet' });
  });

  it('stops a head collar on a flat face, and a prong under six months (common practice)', () => {
    expect(screenCollar(nose, answered({ 'flat-face': 'yes' })).level).toBe('stop');
    expect(screenCollar(prong, answered({ 'under-six-months': 'yes' })).level).toBe('stop');
    expect(screenCollar(nose, answered({ 'under-six-months': 'yes' })).level).toBe('none');
  });

  it('lets a lifted stop be planned, and still shows it', () => {
    const result = screenCollar(prong, answered({ windpipe: 'yes' }, ['windpipe']));
    expect(result.blocked).toBe(false);
    expect(result.findings).toEqual([expect.objectContaining({ id: 'windpipe', lifted: true, level: 'stop' })]);
  });

  it('does not let pinching, closing, nose loop or stimulation be planned before anybody has looked', () => {
    for (const hazards of [prong, nose, ['closes'], ['stimulates']] as Hazard[][])
      expect(screenCollar(hazards, { done: false, answers: {}, lifted: [] })).toMatchObject({ blocked: true, notScreened: true });
    expect(screenCollar(flat, { done: false, answers: {}, lifted: [] }).blocked).toBe(false);
  });

  it('takes what is not known as a caution, never as a no', () => {
    expect(screenCollar(prong, answered({ heart: 'unknown' }))).toMatchObject({ blocked: false, level: 'caution' });
  });

  it('follows the house where it has levels of its own', () => {
    expect(screenCollar(prong, answered({ heart: 'yes' }), { heart: { pinch: 'caution' } }).level).toBe('caution');
  });

  it('is answered by the record for a pup and for a taped flat face, up to and not at the limit', () => {
    const rules = houseRules();
    expect(answersOfRecord({ ageDays: 182, muzzleLengthMm: 34 }, rules)).toEqual({ 'under-six-months': 'yes', 'flat-face': 'yes' });
    expect(answersOfRecord({ ageDays: 183, muzzleLengthMm: 35 }, rules)).toEqual({});
    expect(answersOfRecord({ ageDays: null, muzzleLengthMm: null }, rules)).toEqual({});
  });

  it('knows what a breed is known for, and knows nothing of the others (from memory)', () => {
    expect(risksOfBreed('Pug')).toEqual(expect.arrayContaining(['flat-face', 'eye-pressure']));
    expect(risksOfBreed('yorkshire terrier')).toEqual(['windpipe', 'toy-throat']);
    expect([risksOfBreed('Labrador Retriever'), risksOfBreed('nobody’s breed'), risksOfBreed('')]).toEqual([[], [], []]);
  });

  it('asks each item once, with a reason', () => {
    expect(new Set(SCREEN_ITEMS.map(({ id }) => id)).size).toBe(SCREEN_ITEMS.length);
    for (const { name, why, levels } of SCREEN_ITEMS) {
      expect(name).toMatch(/\w$/);
      expect(why).toMatch(/\.$/);
      expect(Object.keys(levels).length).toBeGreaterThan(0);
    }
  });
});

describe('local law', () => {
  const place = (collars: object, checkedDaysAgo: number | null = 10) => ({ name: 'East bog', collars: collars as never, checkedDaysAgo });

  it('blocks what is not allowed; what is restricted somewhere while nobody has looked is a caution and no lock', () => {
    expect(lawOf('prong', prong, place({ prong: 'not-allowed' }), 365)).toEqual({ status: 'not-allowed', blocked: true });
    expect(lawOf('prong', prong, place({}), 365)).toEqual({ status: 'never-checked', blocked: false });
    expect(lawOf('prong', prong, null, 365)).toEqual({ status: 'never-checked', blocked: false });
    expect(lawOf('prong', prong, place({ prong: 'allowed' }, null), 365)).toEqual({ status: 'never-checked', blocked: false });
    expect(lawOf('prong', prong, place({ prong: 'not-allowed' }, null), 365).blocked).toBe(true);
    expect(lawOf('flat', flat, place({ flat: 'not-allowed' }), 365).blocked).toBe(true);
  });
  it('lets what is allowed be planned, and asks again after a year', () => {
    expect(lawOf('prong', prong, place({ prong: 'allowed' }, 365), 365)).toEqual({ status: 'allowed', blocked: false });
    expect(lawOf('prong', prong, place({ prong: 'allowed' }, 366), 365)).toEqual({ status: 'check-again', blocked: false });
    expect(lawOf('flat', flat, null, 365)).toEqual({ status: 'not-restricted', blocked: false });
  });
});
