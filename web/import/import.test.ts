import { stockByKind } from '@banter/contract';
import { benchSpeaker, houseRules, houseSchools, NOTHING_NOTED, USUAL_FINGER } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { isUnitsRow, knownColumns } from './dog-columns.ts';
import { readDogRow } from './dog-row.ts';
import { FIT_HEADINGS, tableSizer } from './fit-table.ts';

const units = { length: 'cm', mass: 'kg', finger: USUAL_FINGER } as const;
const columnsOf = (...headings: string[]) => knownColumns(headings).map(({ column, unit }) => [column, unit]);

describe('the columns of a table of dogs', () => {
  it('are known by what people head them, with the unit where it is named', () => {
    expect(columnsOf('Dog name', 'High girth (in)', 'HEAD_cm', 'Weight [lb]', 'colour')).toEqual([
      ['name', null],
      ['high', 'in'],
      ['head', 'cm'],
      ['weight', 'lb'],
    ]);
    expect(columnsOf('\uFEFFname', 'neck', 'muzzle', 'muzzle length')).toEqual([
      ['name', null],
      ['high', null],
      ['muzzle', null],
      ['muzzleLength', null],
    ]);
  });
  it('that stand twice count once, the first', () => {
    expect(knownColumns(['neck', 'high'])).toEqual([{ index: 0, column: 'high', unit: null }]);
  });
  it('may have a row of units below them, which is no dog', () => {
    expect(isUnitsRow(['', 'in', 'in', 'lb'])).toBe(true);
    expect(isUnitsRow(['text', 'cm', '', 'kg'])).toBe(true);
    expect(isUnitsRow(['Inch', '39', '47', '28'])).toBe(false);
    expect(isUnitsRow(['', '', '', ''])).toBe(false);
  });
});

describe('a row of a table', () => {
  const columns = knownColumns(['name', 'high', 'head', 'weight', 'pull', 'coat', 'over coat']);
  const read = (cells: string[], unitsRow: string[] | null = null) => readDogRow(cells, columns, unitsRow, units);
  it('is read as people write it: bare in the kennel’s unit, else as it says', () => {
    expect(read(['Bracken', '39.1', '18 1/2 in', '62 lb', 'drags', '', ''])).toMatchObject({
      name: 'Bracken',
      dog: { tapedGirthMm: 391, headGirthMm: 469.9, pull: 'drags', skinGirthMm: 391 },
    });
    expect(read(['Bracken', '15 3/8', '', '62', '', '', ''], ['', 'in', 'in', 'lb', '', '', ''])).toMatchObject({ dog: { tapedGirthMm: 390.525 } });
  });
  it('over the coat takes the coat off for the skin', () => {
    const { dog } = read(['Moss', '56.6', '', '', '', '9 mm', 'yes']) as { dog: { skinGirthMm: number; hairGirthMm: number } };
    expect(dog.skinGirthMm).toBeCloseTo(566 - 18 * Math.PI, 6);
    expect(dog.hairGirthMm).toBe(566);
  });
  it.each([
    [['a', '', '', '', '', '', ''], 'The high girth is missing.'],
    [['a', 'abc', '', '', '', '', ''], 'The high girth «abc» cannot be read as a length.'],
    [['a', '15 1/0', '', '', '', '', ''], 'The high girth «15 1/0» cannot be read as a length.'],
    [['a', '391', '', '', '', '', ''], 'The high girth «391» makes no sense in cm; write its unit.'],
    [['a', '39', '', '400', '', '', ''], 'The weight «400» cannot be a dog’s.'],
    [['a', '39', '', '', 'madly', '', ''], 'The pull «madly» is none of: settled, pulls, drags.'],
  ])('that cannot be read says why: %j', (cells, reason) => {
    expect(read(cells)).toEqual({ reason });
  });
});

describe('a table of fits', () => {
  const stock = stockByKind(
    [{ id: 'a', name: 'Alder', kind: 'prong', retiredAt: null, numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 } }],
    NOTHING_NOTED,
  );
  const house = { rules: houseRules(), schools: houseSchools(), headCollarChart: [] };
  const size = (rows: string[][]) => {
    const sizer = tableSizer(stock, house, units, benchSpeaker('cm', 'kg'));
    return { text: rows.map((row) => sizer.take(row)).join(''), sizer };
  };
  it('has a line for each dog and kind, with row number, verdict and the measure that decides', () => {
    const { text, sizer } = size([
      ['name', 'high', 'head', 'weight', 'pull'],
      ['Bramble', '39.8', '47.2', '29', 'drags'],
      ['', '', '', '', ''],
      ['Sedge', 'x', '', '', ''],
    ]);
    const lines = text.trim().split('\r\n');
    expect(lines).toHaveLength(9);
    expect(lines[0]).toBe('2,Bramble,Prong,Fits,Alder,"3.0 mm prong, 11 links (6 left, 5 right)",Slack at rest,20 mm,"0 to 22 mm, aim 8 mm",,');
    expect(lines[0]!.split(',').length).toBeGreaterThanOrEqual(FIT_HEADINGS.length);
    expect(sizer.dogs()).toBe(1);
    expect(sizer.leftOut()).toEqual([{ row: 4, reason: 'The high girth «x» cannot be read as a length.' }]);
  });
  it('does not let a cell become a formula', () => {
    expect(
      size([
        ['name', 'high'],
        ['=HYPERLINK("x")', '39'],
      ]).text,
    ).toContain(`"'=HYPERLINK(""x"")"`);
  });
  it('says when there is nothing to size by', () => {
    expect(
      size([
        ['name', 'colour'],
        ['a', 'brown'],
      ]).sizer.fault(),
    ).toMatch(/no column for the high girth/);
    expect(size([]).sizer.fault()).toBe('The file is empty.');
  });
});
