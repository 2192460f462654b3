import type { NewHappening } from '@banter/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wearClashes } from './wear-clashes.ts';

const COLLAR = '01a0b3be-7a80-7552-b599-2952df64914c';
const atOf = (minute: number) => new Date(Date.UTC(2026, 0, 1) + minute * 60_000).toISOString();

const WEAR = fc.record({
  event: fc.constantFrom('put-on' as const, 'taken-off' as const, 'moved' as const, 'state' as const),
  dogId: fc.constantFrom('dog one', 'dog two'),
  minute: fc.integer({ min: 0, max: 60 }),
});
type Told = { event: 'put-on' | 'taken-off' | 'moved' | 'state'; dogId: string; minute: number };
const happening = ({ event, dogId, minute }: Told, id: string) =>
  ({
    id,
    event,
    at: atOf(minute),
    dogId,
    collarId: COLLAR,
    ...(event === 'put-on' ? { clock: null, state: 'worked' } : event === 'moved' ? { clock: 3 } : event === 'state' ? { state: 'crated' } : {}),
  }) as NewHappening;
const voidOf = (eventId: string, id: string, minute: number): NewHappening => ({ id, event: 'void', at: atOf(minute), eventId });

describe('what hands tell of a collar', () => {
  it('clashes with the same of what was told before, whether all of it is looked at or what was told since the last wear before it began', () => {
    let clashed = 0;
    fc.assert(
      fc.property(
        fc.array(WEAR, { maxLength: 14 }),
        fc.array(fc.nat({ max: 13 }), { maxLength: 3 }),
        fc.array(WEAR, { minLength: 1, maxLength: 3 }),
        fc.option(fc.nat({ max: 13 })),
        (history, takenBack, now, takesBack) => {
          const kept = history.map((one, at) => happening(one, `a${String(at).padStart(3, '0')}`));
          const voids = [...new Set(takenBack)].flatMap((at, place) => (kept[at] ? [voidOf(kept[at].id, `b${place}`, 61)] : []));
          const gone = new Set(voids.map((one) => (one.event === 'void' ? one.eventId : '')));
          const target = takesBack === null ? undefined : kept[takesBack];
          const told = [...now.map((one, at) => happening(one, `c${at}`)), ...(target && !gone.has(target.id) ? [voidOf(target.id, 'd', 62)] : [])];
          const from = [...told, ...(target ? [target] : [])].map(({ at }) => at).sort()[0]!;
          const begun = kept.filter((one) => one.event === 'put-on' && !gone.has(one.id) && one.at < from).sort((a, b) => (a.at < b.at ? 1 : -1))[0];
          const since = kept.filter(({ at }) => !begun || at >= begun.at);
          const whole = wearClashes([...kept, ...voids], told);
          clashed += whole.length > 0 ? 1 : 0;
          expect(wearClashes([...since, ...voids], told)).toEqual(whole);
        },
      ),
      { numRuns: 3000, seed: 7 },
    );
    // Most of what is told at random clashes, and not all of it.
    expect(clashed).toBeGreaterThan(500);
    expect(clashed).toBeLessThan(2950);
  });
});
