import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contactStanding } from '../index.ts';

describe('the state of contacts', () => {
  it('moved, taken off and put on, or strapped anew: not checked until somebody feels them again (common practice)', () => {
    const felt = [{ at: 20, made: true }];
    expect(contactStanding(10, felt)).toEqual({ state: 'good', at: 20 });
    expect(contactStanding(30, felt)).toEqual({ state: 'not-checked' });
    expect(contactStanding(null, felt)).toEqual({ state: 'off' });
    expect(contactStanding(10, [...felt, { at: 25, made: false }])).toEqual({ state: 'lost', at: 25 });
    expect(contactStanding(10, [...felt, { at: 25, made: null }])).toEqual({ state: 'not-checked' });
  });

  it('goes by the latest, in whatever order they arrive', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.record({ at: fc.integer({ min: 0, max: 50 }), made: fc.boolean() }), { selector: ({ at }) => at }), (felt) => {
        const sorted = [...felt].sort((a, b) => a.at - b.at);
        expect(contactStanding(10, felt)).toEqual(contactStanding(10, sorted));
        const last = sorted.at(-1);
        if (last && last.at >= 10) expect(contactStanding(10, felt)).toEqual({ state: last.made ? 'good' : 'lost', at: last.at });
      }),
    );
  });
});
