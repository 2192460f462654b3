import { HOUR_MS, WEAR_STATES } from '@banter/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wornHere, type NamedWear, type NewHappening, type WearingNow } from '../index.ts';

const NINE = Date.UTC(2026, 4, 4, 9);
const at = (hours: number) => new Date(NINE + hours * HOUR_MS).toISOString();
const id = (index: number) => `01890000-0000-7000-8000-${String(index).padStart(12, '0')}`;
const [BRAMBLE, MOSS, ALDER, HAZEL] = [id(1), id(2), id(11), id(12)];
const NAMES: Record<string, Pick<NamedWear, 'collarName' | 'kind'>> = {
  [ALDER]: { collarName: 'Long Alder', kind: 'remote' },
  [HAZEL]: { collarName: 'Hazel', kind: 'prong' },
};
const by = {
  named: (dogId: string, collarId: string) => ({ dogName: dogId === BRAMBLE ? 'Bramble' : 'Moss', ...NAMES[collarId]! }),
  moveByHours: 6,
};
const alder: WearingNow = {
  dogId: BRAMBLE,
  dogName: 'Bramble',
  collarId: ALDER,
  ...(NAMES[ALDER] as { collarName: string; kind: 'remote' }),
  from: at(-7),
  state: 'worked',
  clock: 9,
  nextPlace: 3,
  placeSince: at(-6.5),
  moveBy: at(-0.5),
  ask: true,
  alarms: [
    { code: 'place-over', tone: 'stop', text: 'Its contacts have been at 9 o’clock for more than 6 h: move it.', from: at(-0.5) },
    { code: 'day-over', tone: 'stop', text: 'Worn more than 12 h in 24 h: take it off.', from: at(-0.2) },
  ],
};
let given = 100;
const told = (event: object, hours = 0): NewHappening => ({ ...event, id: id(++given), at: at(hours) }) as NewHappening;
const on = { dogId: BRAMBLE, collarId: ALDER };

describe('what is on a dog, as this device knows it', () => {
  it('is what the kennel told where nothing was told here', () => {
    expect(wornHere([alder], [], by)).toEqual([alder]);
  });

  it('is off once it was taken off here, and on again where that was undone', () => {
    const off = told({ event: 'taken-off', ...on });
    expect(wornHere([alder], [off], by)).toEqual([]);
    expect(wornHere([alder], [off, told({ event: 'void', eventId: off.id }, 0.01)], by)).toEqual([alder]);
  });

  it('has its contacts where they were moved to, to be moved again six hours later; what was wrong of the old place is over, the rest is not', () => {
    const [now] = wornHere([alder], [told({ event: 'moved', ...on, clock: 3 })], by);
    expect(now).toMatchObject({ clock: 3, from: at(-7), placeSince: at(0), moveBy: at(6), nextPlace: null, ask: false });
    expect(now!.alarms.map(({ code }) => code)).toEqual(['day-over']);
  });

  it('is on what it was put on here, by the names this device knows, and nowhere else any more', () => {
    const all = wornHere([alder], [told({ event: 'put-on', dogId: MOSS, collarId: ALDER, clock: 2, state: 'worked' })], by);
    expect(all).toMatchObject([{ dogName: 'Moss', collarName: 'Long Alder', from: at(0), clock: 2, moveBy: at(6), alarms: [] }]);
    const prong = wornHere([alder], [told({ event: 'put-on', dogId: MOSS, collarId: HAZEL, clock: null, state: 'worked' })], by);
    expect(prong).toMatchObject([alder, { dogName: 'Moss', collarName: 'Hazel', clock: null, moveBy: null }]);
  });

  it('leaves out a collar whose name is not known here', () => {
    const put = told({ event: 'put-on', dogId: MOSS, collarId: HAZEL, clock: null, state: 'worked' });
    expect(wornHere([], [put], { ...by, named: () => null })).toEqual([]);
  });

  it('says of every collar that was touched at random what its last event says', () => {
    const event = fc.record({
      what: fc.constantFrom('put-on', 'taken-off', 'moved', 'state'),
      hours: fc.integer({ min: 1, max: 40 }),
      clock: fc.integer({ min: 1, max: 12 }),
    });
    fc.assert(
      fc.property(fc.uniqueArray(event, { maxLength: 8, selector: ({ hours }) => hours }), fc.boolean(), (all, wasOn) => {
        const unheard = all.map(({ what, hours, clock }) =>
          told(
            {
              event: what,
              ...on,
              ...((what === 'put-on' || what === 'moved') && { clock }),
              ...(what !== 'taken-off' && what !== 'moved' && { state: WEAR_STATES[clock % WEAR_STATES.length] }),
            },
            hours / 60,
          ),
        );
        // The plain way: whatever order they come in, the last that puts it on or takes it off decides; what moves it counts only while it is on.
        const order = [...all].sort((a, b) => a.hours - b.hours);
        let isOn = wasOn;
        let clock: number | null = wasOn ? 9 : null;
        for (const one of order) {
          if (one.what === 'taken-off') [isOn, clock] = [false, null];
          if (one.what === 'put-on') [isOn, clock] = [true, one.clock];
          if (one.what === 'moved' && isOn) clock = one.clock;
        }
        const now = wornHere(wasOn ? [alder] : [], unheard, by);
        expect(now.map((one) => one.clock)).toEqual(isOn ? [clock] : []);
      }),
    );
  });
});
