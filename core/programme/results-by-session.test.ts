import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resultsBySession } from '../index.ts';

const MINUTE = 60_000;

describe('one result a session (common practice)', () => {
  it('told again of the same session, or seconds later, the later one counts', () => {
    const first = { sessionId: null, at: 0, met: 5 };
    const again = { sessionId: null, at: 4000, met: 7 };
    expect(resultsBySession([again, first], 5)).toEqual([again]);
    const field = { sessionId: 's', at: 0, met: 5 };
    expect(resultsBySession([field, { sessionId: 's', at: 90 * MINUTE, met: 8 }], 5)).toMatchObject([{ met: 8 }]);
    // Told in the field, and at the desk before another session could have been held: one session.
    expect(resultsBySession([field, { sessionId: null, at: 2 * MINUTE, met: 6 }], 5)).toEqual([{ sessionId: 's', at: 2 * MINUTE, met: 6 }]);
  });

  it('two sessions are two, however near they lie', () => {
    expect(resultsBySession([{ sessionId: 's', at: 0 }, { sessionId: 't', at: 1000 }], 5)).toHaveLength(2); // prettier-ignore
    expect(resultsBySession([{ sessionId: null, at: 0 }, { sessionId: null, at: 5 * MINUTE }], 5)).toHaveLength(2); // prettier-ignore
  });

  it('counts each session once and never more than were told, in whatever order they come', () => {
    const result = fc.record({ sessionId: fc.constantFrom(null, 'a', 'b', 'c'), at: fc.integer({ min: 0, max: 60 }).map((minutes) => minutes * MINUTE) });
    fc.assert(
      fc.property(fc.uniqueArray(result, { selector: ({ at }) => at, maxLength: 12 }), (told) => {
        const counted = resultsBySession(told, 5);
        const ids = counted.flatMap(({ sessionId }) => sessionId ?? []);
        expect(new Set(ids).size).toBe(ids.length);
        expect(counted.length).toBeLessThanOrEqual(told.length);
        expect(resultsBySession([...told].reverse(), 5)).toEqual(counted);
        const last = [...told].sort((a, b) => a.at - b.at).at(-1);
        if (last) expect(counted.at(-1)!.at).toBe(last.at);
      }),
    );
  });
});
