import { houseRules, mayBeOn } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { COLLAR_KIND_NAMES, handoverChanges, type HandoverSheet, collarKind } from '../index.ts';

const sheet = (more: Partial<HandoverSheet> = {}): HandoverSheet => ({
  dogName: 'Bracken',
  facts: '',
  worksOn: 'left',
  kennelName: 'Alder Carr',
  lengthUnit: 'cm',
  massUnit: 'kg',
  lead: '',
  sections: [
    { key: 'wears', title: 'What it wears', lines: [{ key: 'wears prong', label: 'Prong', text: '11 links' }] },
    { key: 'levels', title: 'Levels', lines: [{ key: 'level c', label: 'Curlew', text: 'Home 8' }] },
  ],
  daily: [{ key: 'skin', text: 'Look at the skin.' }],
  cautions: [],
  drawings: { neck: null, side: null, letter: false, clock: null },
  ...more,
});

describe('what changed since the last handover', () => {
  it('is nothing when nothing did', () => {
    expect(handoverChanges(sheet(), sheet())).toEqual([]);
  });

  it('names what is otherwise, what is new and what is gone, with what it was', () => {
    const now = sheet({
      sections: [
        { key: 'wears', title: 'What it wears', lines: [{ key: 'wears prong', label: 'Prong', text: '12 links' }, { key: 'wears flat', label: 'Flat', text: 'third hole' }] },
      ],
    }); // prettier-ignore
    expect(handoverChanges(sheet(), now)).toEqual([
      { section: 'What it wears', label: 'Prong', was: '11 links', is: '12 links' },
      { section: 'What it wears', label: 'Flat', was: null, is: 'third hole' },
      { section: 'Levels', label: 'Curlew', was: 'Home 8', is: null },
    ]);
  });
});

describe('what an owner is told of a collar', () => {
  it.each(COLLAR_KIND_NAMES)('%s: what to look at each day, and what to do when it slides, rubs and opens', (kind) => {
    const words = collarKind(kind).traits.owner(houseRules());
    for (const text of [words.slides, words.rubs, words.opens, ...words.look.map((one) => one.text)]) expect(text).toMatch(/[.!]$/);
    expect(words.look.length).toBeGreaterThan(0);
    expect(words.rubs).toContain('a vet first');
  });

  it('never tells anybody to turn a level up, nor to leave on what only supervision allows', () => {
    for (const kind of COLLAR_KIND_NAMES) {
      const { owner, wear } = collarKind(kind).traits;
      const { slides, opens, rubs, look } = owner(houseRules());
      expect([slides, opens, rubs, ...look.map(({ text }) => text)].join(' ')).not.toMatch(/(?<!Never )turn it up|higher level is/i);
      for (const crateSchool of ['always-on', 'off-in-crate'] as const) {
        if (wear.unwatched === 'never') expect([kind, mayBeOn(wear, 'house', { crateSchool })]).toEqual([kind, 'no']);
        if (wear.unwatched !== 'crate-school') expect([kind, mayBeOn(wear, 'crate', { crateSchool })]).toEqual([kind, 'no']);
      }
    }
  });
});
