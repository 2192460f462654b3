import { contractSpeaker, houseRules, skinStanding } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { dogDues, FIRST_SETTINGS, todayItems as itemsOf, wornToday, type DogDueFacts, type TodayFacts } from '../index.ts';

const NOON = Date.UTC(2026, 4, 4, 12);
const HOUR = 3_600_000;
const iso = (ms: number) => new Date(ms).toISOString();
const kennel = { ...FIRST_SETTINGS, id: 'k', name: 'K', version: 1, lengthUnit: 'cm', massUnit: 'kg', timeZone: 'UTC', moreSettings: [] } as never;
const nothing: TodayFacts & DogDueFacts = {
  kennel,
  today: '2026-05-04',
  now: NOON,
  rules: houseRules({}),
  speak: contractSpeaker,
  cards: [],
  dues: [],
  dogs: [],
  wearing: [],
  field: [],
  planned: [],
  held: [],
  people: [{ id: 'me', name: 'Corin Haw' }],
  stageNames: {},
  skins: [],
  levels: [],
  growth: [],
  growing: new Set(),
  pieces: [],
  places: [],
  owners: [],
};
const on = (more: object = {}) =>
  ({
    dogId: 'd',
    dogName: 'Moss',
    collarId: 'c',
    collarName: 'Grey',
    kind: 'remote',
    from: iso(NOON - 5 * HOUR),
    state: 'supervised',
    clock: 3,
    ask: false,
    alarms: [],
    ...more,
  }) as never;
const device = (more: object = {}) => ({ collarId: 'c', name: 'Grey', worn: null, battery: null, skin: null, ...more });
const fieldDog = (more: object = {}) => ({ id: 'd', name: 'Moss', moveByHours: 6, devices: [device(more)] }) as never;
const session = (id: string, hour: number) =>
  ({
    id,
    dogId: 'd',
    programmeId: null,
    stageId: null,
    personId: 'me',
    day: '2026-05-04',
    from: hour * 60,
    minutes: 10,
    aroundMinutes: 0,
    state: 'planned',
    note: '',
    version: 1,
    at: Date.UTC(2026, 4, 4, hour),
  }) as never;
const dog = { dog: { id: 'd', name: 'Moss', bornOn: '2020-01-01', weightG: 30_000 }, girths: [], fits: [], screenings: [], lifts: [] } as never;
/** What is due of dogs and of the kennel together, as Today puts it. */
const todayItems = (facts: TodayFacts & DogDueFacts) =>
  itemsOf({ ...facts, dogs: facts.cards.map(({ dog: { id, name } }) => ({ id, name })), dues: dogDues(facts) });
const codes = (facts: Partial<TodayFacts & DogDueFacts>) => todayItems({ ...nothing, ...facts }).map(({ code }) => code);

describe('what is due today', () => {
  it('is nothing when all is well', () => {
    expect(todayItems(nothing)).toEqual([]);
  });

  it('what hurts now stands first, then what the clock says, then what keeps', () => {
    const found = codes({
      wearing: [on({ alarms: [{ code: 'at-night', tone: 'stop', text: 'Never overnight.', from: iso(NOON - HOUR) }] }), on({ collarId: 'e', ask: true })],
      levels: [
        {
          dogId: 'd',
          dogName: 'Moss',
          device: 'Grey',
          setting: 'yard',
          reason: { code: 'needs-more', by: 6, since: '2 May', contactChecked: '1 May' },
          look: { answers: [], next: 'contact', found: null },
        },
      ],
      planned: [session('s', 13)],
      cards: [dog],
      places: [{ id: 'p', name: 'Hill huts', collars: {}, checkedBy: '', checkedOn: null, source: '', retiredAt: null, version: 1 }] as never,
    });
    expect(found).toEqual(['worn-wrong', 'level-up', 'still-on', 'session-ahead', 'fit', 'law']);
  });

  it('a place is to be moved soon within two hours of its time, and not before', () => {
    const since = (hours: number) => ({
      wearing: [on()],
      field: [fieldDog({ worn: { from: iso(NOON - 9 * HOUR), clock: 3, placeSince: iso(NOON - hours * HOUR) } })],
    });
    expect(codes(since(3.5))).toEqual([]);
    const [soon] = todayItems({ ...nothing, ...since(5) });
    expect(soon).toMatchObject({ code: 'move-place', tone: 'open', to: '/dogs/d/neck/contacts', at: iso(NOON + HOUR) });
    expect(soon!.title).toContain('13:00');
    expect(wornToday({ ...nothing, ...since(5) })[0]!.moveBy).toBe(iso(NOON + HOUR));
  });

  it('sessions are told by the clock; one that was held is gone, and many that were missed stand together', () => {
    const planned = [session('a', 8), session('b', 9), session('c', 10), session('n', 12), session('z', 15)];
    const titles = (held: TodayFacts['held']) => todayItems({ ...nothing, planned, held, cards: [dog] }).filter(({ code }) => code.startsWith('session')).map(({ code, title }) => [code, title]); // prettier-ignore
    expect(titles([])).toEqual([
      ['session-now', '12:00 Moss'],
      ['session-missed', 'Three sessions of today were not logged.'],
      ['session-ahead', '15:00 Moss'],
    ]);
    const eight = { id: 'h', dogId: 'd', at: Date.UTC(2026, 4, 4, 8, 5) };
    expect(titles([eight]).map(([code]) => code)).toEqual(['session-now', 'session-missed', 'session-missed', 'session-ahead']);
  });

  it('what an owner said comes among the first, with where it is looked into', () => {
    const said = (says: 'pink' | 'opened' | 'moved') => todayItems({ ...nothing, owners: [{ dogId: 'd', dogName: 'Moss', owner: 'Ida', says, at: NOON }] })[0];
    expect(said('pink')).toMatchObject({
      code: 'owner-says',
      tone: 'mind',
      title: 'Moss: the skin is pink, says Ida.',
      to: '/dogs/d/neck/skin',
      at: iso(NOON),
    });
    // An owner’s word rests no place by itself, and does not say that it does.
    expect(said('pink')!.why).toBe('Check the skin before anything goes on again.');
    expect(said('opened')).toMatchObject({ tone: 'mind', to: '/dogs/d/check', does: 'Check the fit' });
    expect(said('moved')).toMatchObject({ tone: 'open', to: '/dogs/d/neck/wear' });
  });

  it('a battery, a pink place whose rest is nearly over, and red skin that keeps all off', () => {
    expect(codes({ field: [fieldDog({ battery: { percent: 41, at: iso(NOON), on: true } })] })).toEqual([]);
    expect(codes({ field: [fieldDog({ battery: { percent: 40, at: iso(NOON), on: true } })] })).toEqual(['charge']);
    // Whatever the dog wears: a prong rubs as a receiver does. A pink place rests 72 h where the house says so.
    const skin = (grade: 1 | 2 | 3, hoursAgo: number) => ({
      skins: [{ dogId: 'd', dogName: 'Moss', skin: skinStanding([{ clock: 3, grade, at: NOON - hoursAgo * HOUR }], NOON, { restHours: 72 }) }],
    });
    expect(codes(skin(1, 52))).toEqual([]);
    expect(codes(skin(1, 66))).toEqual(['skin-again']);
    const [off, ...others] = todayItems({ ...nothing, ...skin(2, 400 * 24) });
    expect(off).toMatchObject({ code: 'skin-off', tone: 'stop' });
    expect(others).toEqual([]);
    expect(off!.why).toContain('a vet is asked');
  });

  it('a link that growth will need within a fortnight, with what comes then', () => {
    const grows = (days: number) => ({
      growth: [{ dogId: 'd', dogName: 'Moss', bornOn: '2026-01-01', outgrows: [{ kind: 'prong', planId: 'p', collarName: 'Rush', change: { girthMm: 380, when: { earliest: null, likely: (NOON - Date.UTC(2026, 0, 1)) / 86_400_000 + days, latest: null }, says: '14 links' }, outgrown: null }] }] as never, // prettier-ignore
    });
    expect(codes(grows(15))).toEqual([]);
    const [due] = todayItems({ ...nothing, ...grows(3) });
    expect(due).toMatchObject({ code: 'outgrows', title: 'Let out «Rush» for Moss in about three days.', why: 'Then 14 links.', to: '/dogs/d/growth' });
  });

  it('gear to be looked at is one line, not twenty', () => {
    const piece = (name: string) => ({ id: name, of: 'collar', name, scrapped: false, condition: 'sound', due: { why: 'days', at: NOON }, worn: [] }) as never;
    const items = todayItems({ ...nothing, pieces: ['A', 'B', 'C', 'D'].map(piece) });
    expect(items).toMatchObject([{ code: 'upkeep', title: 'Four pieces of gear to look at.', why: '«A», «B», «C» and 1 more.', to: '/upkeep' }]);
    expect(todayItems({ ...nothing, pieces: [piece('A')] })[0]!.to).toBe('/upkeep?piece=A');
  });

  it('once the contact was felt, a level that rose asks for skin and place, then the battery, then what distracts', () => {
    const rose = (next: 'contact' | 'skin' | 'battery' | null, found: 'contact' | null = null) => {
      const reason = { code: 'needs-more', by: 6, since: '2 May', contactChecked: null } as const;
      const look = { answers: [], next, found };
      return todayItems({ ...nothing, levels: [{ dogId: 'd', dogName: 'Moss', device: 'Grey', setting: 'yard', reason, look }] })[0]!.title;
    };
    expect(rose('contact')).toBe('Check the contact: Moss needs more in yard.');
    expect(rose('skin')).toBe('Check skin and place: Moss needs more in yard.');
    expect(rose('battery')).toBe('Check the battery: Moss needs more in yard.');
    expect(rose(null)).toBe('Nothing found: Moss needs more in yard.');
    // Contact that does not touch stays due until it does.
    expect(rose(null, 'contact')).toBe('Mend the contact: Moss needs more in yard.');
  });

  it('a piece to be mended that a dog wears comes first, with the dog’s name', () => {
    const piece = (name: string, condition: string, worn: object[], scrapped = false) =>
      ({ id: name, of: 'collar', name, scrapped, condition, due: { why: 'days', at: NOON }, worn }) as never;
    const moss = [{ collarId: 'Hazel', dogId: 'd', dogName: 'Moss' }];
    const items = todayItems({ ...nothing, pieces: [piece('A', 'sound', []), piece('Hazel', 'mend', moss)] });
    expect(items.map(({ code }) => code)).toEqual(['mend', 'upkeep']);
    expect(items[0]).toMatchObject({ tone: 'stop', dogId: 'd', title: 'Moss: mend «Hazel» before it goes on.', to: '/upkeep?piece=Hazel' });
    expect(items[1]).toMatchObject({ title: 'Look at «A».' });
    const title = (condition: string, scrapped = false) => todayItems({ ...nothing, pieces: [piece('Hazel', condition, moss, scrapped)] })[0]!.title;
    expect(title('worn')).toBe('Moss: «Hazel» is worn out. Take another.');
    expect(title('sound', true)).toBe('Moss: «Hazel» is scrapped. Take another.');
    expect(title('sound')).toBe('Look at «Hazel».');
  });

  it('the same facts make the same list, each thing once', () => {
    const facts = { ...nothing, wearing: [on({ ask: true }), on({ ask: true })] };
    expect(todayItems(facts)).toHaveLength(1);
    expect(todayItems(facts)).toEqual(todayItems(facts));
  });
});
