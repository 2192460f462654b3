import { sessionStory, type FieldEvent } from '@banter/core';
import { describe, expect, it } from 'vitest';
import type { FieldDevice } from '../index.ts';
import { pressFacts, usualHere } from './press-facts.ts';

const NINE = Date.UTC(2026, 4, 4, 9);
const HOUR = 3_600_000;
const iso = (ms: number) => new Date(ms).toISOString();
const device: FieldDevice = {
  collarId: 'c',
  name: 'Grey',
  scale: { min: 1, max: 100, step: 1 },
  modes: ['momentary'],
  ceiling: 40,
  cap: null,
  levels: {},
  runBegins: {},
  worn: { from: iso(NINE), clock: 3, placeSince: iso(NINE) },
  contact: null,
  triedAt: null,
  battery: null,
  lockedUntil: null,
  skin: null,
};
/** A session of presses, each with its level and what came of it. */
function told(id: string, at: number, presses: [number, 'none' | 'small' | 'did' | 'too-much'][], more: object[] = []) {
  const session = { sessionId: id };
  const events = [
    { ...session, id: `${id} begin`, at, event: 'begin', dogId: 'd', setting: 'yard', handlerId: 'me', purpose: 'work' },
    ...presses.flatMap(([level, response], index) => [
      { ...session, id: `${id} p${index}`, at: at + index * 1000 + 100, event: 'press', collarId: 'c', level, mode: 'momentary' },
      { ...session, id: `${id} r${index}`, at: at + index * 1000 + 600, event: 'response', pressId: `${id} p${index}`, response, latencyMs: 500 },
    ]),
    ...more.map((own, index) => ({ ...session, id: `${id} m${index}`, at: at + 60_000 + index, ...own })),
  ] as FieldEvent[];
  return sessionStory(id, events)!;
}
const later = told('later', NINE + 3 * HOUR, []);
const facts = (earlier: ReturnType<typeof told>[], own: Partial<FieldDevice> = {}, session = later) =>
  pressFacts({ moveByHours: 6, programmes: [] }, { ...device, ...own }, { setting: 'yard', now: NINE + 3 * HOUR, timeZone: 'UTC', session, earlier });

describe('what a phone knows before a press', () => {
  it('holds what was too much in an earlier session of the morning as the ceiling, although nobody else has heard of it', () => {
    expect(facts([]).ceiling).toBe(40);
    expect(facts([told('first', NINE + HOUR, [[12, 'did'], [14, 'too-much']])]).ceiling).toBe(14); // prettier-ignore
    expect(facts([told('first', NINE + HOUR, [[55, 'too-much']])]).ceiling).toBe(40);
  });

  it('forgets what was taken back', () => {
    const first = told('first', NINE + HOUR, [[14, 'too-much']], [{ event: 'void', eventId: 'first r0' }]);
    expect(facts([first]).ceiling).toBe(40);
  });

  it('takes contact as felt from an earlier session only since it sits where it sits', () => {
    const felt = told('first', NINE + HOUR, [], [{ event: 'contact', collarId: 'c', made: true }]);
    expect(facts([felt]).contactMade).toBe(true);
    expect(facts([felt], { worn: { from: iso(NINE), clock: 9, placeSince: iso(NINE + 2 * HOUR) } }).contactMade).toBeNull();
    expect(facts([felt], { worn: null }).contactMade).toBeNull();
    expect(facts([felt], {}, told('later', NINE + 3 * HOUR, [], [{ event: 'contact', collarId: 'c', made: false }])).contactMade).toBe(false);
  });

  it('knows what the latest earlier session needed here where the kennel knows nothing, and goes by the kennel where it does', () => {
    const earlier = [told('first', NINE, [[7, 'did']]), told('second', NINE + HOUR, [[9, 'small'], [9, 'did'], [3, 'none']])]; // prettier-ignore
    expect(usualHere(device, 'yard', earlier)).toEqual({ level: 9, how: 'needed' });
    expect(usualHere(device, 'street', earlier)).toBeNull();
    expect(usualHere({ ...device, levels: { yard: { offered: { level: 5, how: 'known' }, lastNeeded: 5, alarm: null } } }, 'yard', earlier)).toEqual({
      level: 5,
      how: 'known',
    });
    // What the kennel offers nothing for is not offered out of a session either.
    expect(usualHere({ ...device, levels: { yard: { offered: null, lastNeeded: 41, alarm: null } } }, 'yard', earlier)).toBeNull();
    expect(facts(earlier).usual).toBe(9);
  });

  it('holds an alarm until somebody feels that the contacts touch', () => {
    const levels = { yard: { offered: null, lastNeeded: 6, alarm: { by: 4, since: '1 May', at: iso(NINE) } } };
    const touch = (made: boolean) => told('later', NINE + 3 * HOUR, [], [{ event: 'contact', collarId: 'c', made }]);
    expect(facts([], { levels })).toMatchObject({ alarm: { by: 4, since: '1 May' }, lastNeeded: 6 });
    expect(facts([], { levels }, touch(false)).alarm).not.toBeNull();
    expect(facts([], { levels }, touch(true)).alarm).toBeNull();
  });
});
