import { collarKind, FIRST_SETTINGS, type LockerPage } from '@banter/contract';
import { contractSpeaker, houseRules } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { impactOf } from './house-impact.ts';
import { longWords } from './long-words.ts';
import { sayRule } from './rule-words.ts';
import { shoppingOf } from './shopping.ts';
import { HOUSE_RULES } from '@banter/core';

const numbers = { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 };
const collar = { id: 'c1', name: 'Alder', numbers };
const locker = (links: LockerPage['links'], needed: LockerPage['needed']) => ({ links, needed });

describe('the shopping list', () => {
  const on = { gaugeMm: 3, account: 'collar:c1', count: 13 };
  const fern = { dogId: 'd1', dogName: 'Fern', collarName: 'Alder', gaugeMm: 3, needs: 2 };
  it('has the links that a fit needs beyond its collar and the bag', () => {
    expect(shoppingOf(locker([on], [fern]))).toEqual([expect.objectContaining({ needs: 2, inBag: 0, text: '2 links of 3.0 mm for Fern, Alder' })]);
    expect(shoppingOf(locker([on, { gaugeMm: 3, account: 'bag', count: 1 }], [fern]))[0]!.text).toBe('one link of 3.0 mm for Fern, Alder');
    expect(shoppingOf(locker([on, { gaugeMm: 3, account: 'bag', count: 2 }], [fern]))).toEqual([]);
  });
  it('does not count a link of the bag for two fits', () => {
    const bag = { gaugeMm: 3, account: 'bag', count: 2 };
    const other = { ...fern, dogId: 'd2', dogName: 'Moss' };
    expect(shoppingOf(locker([on, bag], [fern, other])).map(({ dogName }) => dogName)).toEqual(['Moss']);
  });
});

describe('what a change of the house would mean', () => {
  const taping = {
    site: 'high',
    overCoat: false,
    coatDepthMm: null,
    tapedMm: 398,
    at: '2026-03-01T09:00:00.000Z',
    id: 't1',
    correctsId: null,
    settled: false,
    result: { girthMm: 398 },
    basis: 'skin',
  };
  const dog = { id: 'd1', name: 'Bramble', weightG: 29_000, pull: 'drags', worksOn: 'left', neckBuild: 'average', bornOn: null, house: null, archivedAt: null };
  const page = {
    dogs: [{ dog, girths: [taping], fits: [], screenings: [], lifts: [] }],
    collars: [{ ...collar, kind: 'prong', retiredAt: null }],
  } as unknown as Parameters<typeof impactOf>[0];
  const settings = { ...FIRST_SETTINGS, name: 'x', lengthUnit: 'cm', massUnit: 'kg', timeZone: 'Europe/London' } as never as Parameters<typeof impactOf>[1];
  it('names the dogs and kinds whose fit would come out otherwise, and no other', () => {
    // 11 links leave 20 mm of slack: inside 25, outside 15.
    const told = impactOf(page, settings, { ...settings, rules: { slackMaxMm: 15 } }, { finger: null, today: '2026-03-02' }, contractSpeaker);
    expect(told).toEqual([expect.objectContaining({ dog: 'Bramble', kind: 'prong', worn: false })]);
    expect(told[0]!.before).toContain('Fits');
    expect(told[0]!.after).not.toContain('Fits');
    expect(impactOf(page, settings, { ...settings, rules: { slackMaxMm: 22 } }, { finger: null, today: '2026-03-02' }, contractSpeaker)).toEqual([]);
  });
});

describe('long lengths and rules', () => {
  it('are said in feet or metres from a yard up', () => {
    expect(longWords(1219.2, 'in')).toBe('4 ft');
    expect(longWords(9144, 'cm')).toBe('9.14 m');
    expect(longWords(180, 'cm')).toBe('18.0 cm');
  });
  it('are said with their unit', () => {
    const rules = houseRules({ slackMaxMm: 30 });
    expect(sayRule(HOUSE_RULES.slackMaxMm, rules.slackMaxMm, contractSpeaker)).toBe('30 mm');
    expect(sayRule(HOUSE_RULES.biteMaxRatio, 0.1, contractSpeaker)).toBe('10 %');
    expect(sayRule(HOUSE_RULES.maxRemove, null, contractSpeaker)).toBe('3, or 6 on fine wire');
  });
});

describe('every kind of the registry', () => {
  it('names what it needs, what it is for and its caution, in sentences', () => {
    for (const name of ['prong', 'slip', 'clip-on-slip', 'martingale', 'flat', 'wide-throat', 'head-collar', 'remote', 'fence'] as const) {
      const kind = collarKind(name);
      expect([name, kind.about]).toEqual([name, expect.stringMatching(/^[A-Z].*\.$/)]);
      expect([name, kind.caution]).toEqual([name, expect.stringMatching(/\.$/)]);
      expect(kind.purposes.length).toBeGreaterThan(0);
      expect(kind.needs).toContain('high');
      for (const { numbers: usual } of kind.usual) expect([name, kind.numbers.safeParse(usual).success]).toEqual([name, true]);
      const read = kind.ruler?.readOf(kind.usual[0]!.numbers) ?? kind.usual[0]!.numbers;
      for (const field of kind.fields) expect(Object.keys(read as object)).toContain(field.id);
    }
  });
});
