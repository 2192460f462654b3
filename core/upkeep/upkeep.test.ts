import { INSPECT_ELECTRONIC } from '../collars/electronic/index.ts';
import { INSPECT_SLIP } from '../collars/slip/index.ts';
import { INSPECT_PRONG } from '../collars/prong/index.ts';
import { describe, expect, it } from 'vitest';
import { inspect, inspectionDue, INSPECT_BED, INSPECT_CLOTH, INSPECT_LEASH, INSPECT_SNAP, type InspectionSpec } from '../index.ts';

const DAY = 86_400_000;
const allGood = ({ items }: InspectionSpec) => Object.fromEntries(items.map(({ id }) => [id, 'good']));
const SPECS = {
  prong: INSPECT_PRONG,
  slip: INSPECT_SLIP,
  electronic: INSPECT_ELECTRONIC,
  cloth: INSPECT_CLOTH,
  leash: INSPECT_LEASH,
  snap: INSPECT_SNAP,
  bed: INSPECT_BED,
};

describe('a piece of gear looked at whole', () => {
  it.each(Object.entries(SPECS))('%s: all good is sound, and every find leads somewhere', (_name, group) => {
    expect(inspect(group, allGood(group))).toEqual({ outcome: 'ok', copy: false, does: [], open: [] });
    for (const { id, finds, ask, how } of group.items) {
      expect(ask).toMatch(/\?$/);
      expect(how.length).toBeGreaterThan(5);
      expect(finds[0]).toMatchObject({ value: 'good', outcome: 'ok' });
      for (const { value, does } of finds.slice(1)) {
        const found = inspect(group, { ...allGood(group), [id]: value });
        expect(found.outcome).not.toBe('ok');
        expect(found.does).toEqual([{ item: id, text: does }]);
      }
    }
  });
  // Common practice: links bent are straightened, one that will not hold is scrapped; square or sharp tips, or a wrong mark, are a poor copy.
  it.each([
    ['links', 'bad', 'mend', false],
    ['links', 'link', 'mend', false],
    ['tips', 'worse', 'scrap', true],
    ['mark', 'worse', 'scrap', true],
    ['alike', 'worse', 'scrap', true],
    ['chain', 'bad', 'mend', false],
    ['swivel', 'worse', 'scrap', false],
  ] as const)('a prong with %s %s: %s', (item, value, outcome, copy) => {
    expect(inspect(INSPECT_PRONG, { ...allGood(INSPECT_PRONG), [item]: value })).toMatchObject({ outcome, copy });
  });
  it('the worst find decides, and what has not been looked at is named', () => {
    const found = inspect(INSPECT_LEASH, { click: 'bad', stitching: 'worse' });
    expect(found.outcome).toBe('scrap');
    expect(found.does).toHaveLength(2);
    expect(found.open).toEqual(['grip', 'edges']);
  });
});

describe('when it is looked at again', () => {
  const rules = { inspectDays: 30, inspectWears: 60 };
  const now = 1000 * DAY;
  const due = (lastAt: number | null, outcome: 'ok' | 'mend' | null = 'ok', wears = 0) => inspectionDue({ lastAt, outcome, wears }, now, rules);
  it('at once where it never was, or is to be mended', () => {
    expect(due(null)).toEqual({ why: 'never', at: now });
    expect(due(now - DAY, 'mend').why).toBe('mend');
  });
  it('monthly, sooner where it is worn much', () => {
    expect(due(now - 29 * DAY)).toEqual({ why: null, at: now + DAY });
    expect(due(now - 30 * DAY).why).toBe('days');
    expect(due(now - 10 * DAY, 'ok', 59).why).toBeNull();
    expect(due(now - 10 * DAY, 'ok', 60).why).toBe('wears');
  });
});
