import { contractSpeaker, houseRules, skinStanding } from '@banter/core';
import { describe, expect, it } from 'vitest';
import {
  dogDues,
  FIRST_SETTINGS,
  todayChange,
  todayChanged,
  todayItems as itemsOf,
  wearDues,
  wearingAt,
  type DogDueFacts,
  type TodayFacts,
  type TodayPage,
  type WornThen,
} from '../index.ts';

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
  planned: [],
  held: [],
  people: [{ id: 'me', name: 'Corin Haw' }],
  stageNames: {},
  skins: [],
  levels: [],
  growth: [],
  growing: new Set(),
  unfit: [],
  gear: { due: 0, first: [] },
  places: [],
  owners: [],
};
const moss = { dogId: 'd', dogName: 'Moss' };
const on = (more: Partial<WornThen> = {}): WornThen => ({
  nextPlace: null,
  collarId: 'c',
  collarName: 'Grey',
  kind: 'remote',
  from: NOON - 5 * HOUR,
  state: 'supervised',
  clock: 3,
  placeSince: NOON - 5 * HOUR,
  moveBy: null,
  askFrom: null,
  alarms: [],
  ...more,
});
const day = { from: Date.UTC(2026, 4, 4), to: Date.UTC(2026, 4, 5) };
const worn = (...all: WornThen[]) => wearDues(moss, { worn: all, batteries: [] }, { day, timeZone: 'UTC', rules: houseRules({}) });
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
const todayItems = (facts: TodayFacts & DogDueFacts) => itemsOf({ ...facts, dues: [...facts.dues, ...dogDues(facts)] });
const codes = (facts: Partial<TodayFacts & DogDueFacts>) => todayItems({ ...nothing, ...facts }).map(({ code }) => code);

describe('what is due today', () => {
  it('is nothing when all is well', () => {
    expect(todayItems(nothing)).toEqual([]);
  });

  it('what hurts now stands first, then what the clock says, then what keeps', () => {
    const found = codes({
      dues: worn(
        on({ alarms: [{ code: 'at-night', tone: 'stop', text: 'Never overnight.', from: NOON - HOUR, to: null }] }),
        on({ collarId: 'e', askFrom: NOON - HOUR }),
      ),
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
    const since = (hours: number) => on({ moveBy: NOON + (6 - hours) * HOUR });
    expect(codes({ dues: worn(since(3.5)) })).toEqual([]);
    const [soon] = todayItems({ ...nothing, dues: worn(since(5)) });
    expect(soon).toMatchObject({ code: 'move-place', tone: 'open', to: '/dogs/d/neck/contacts', at: iso(NOON + HOUR) });
    expect(soon!.title).toContain('13:00');
    expect(wearingAt(moss, [since(5)], NOON)[0]!.moveBy).toBe(iso(NOON + HOUR));
  });

  it('sessions are told by the clock; one that was held is gone, and many that were missed stand together', () => {
    const planned = [session('a', 8), session('b', 9), session('c', 10), session('n', 12), session('z', 15)];
    const titles = (held: DogDueFacts['held']) => todayItems({ ...nothing, planned, held, cards: [dog] }).filter(({ code }) => code.startsWith('session')).map(({ code, title }) => [code, title]); // prettier-ignore
    expect(titles([])).toEqual([
      ['session-now', '12:00 Moss'],
      ['session-missed', '3 sessions of today were not logged.'],
      ['session-ahead', '15:00 Moss'],
    ]);
    const eight = { id: 'h', dogId: 'd', at: Date.UTC(2026, 4, 4, 8, 5) };
    expect(titles([eight]).map(([code]) => code)).toEqual(['session-now', 'session-missed', 'session-missed', 'session-ahead']);
    // From its first minute on it is due; when its minutes are over nobody has logged it.
    const at = (minute: number) => todayItems({ ...nothing, now: Date.UTC(2026, 4, 4, 12, minute), planned: [session('n', 12)], cards: [dog] })[0]!.code;
    expect([-1, 0, 10].map(at)).toEqual(['session-ahead', 'session-now', 'session-now']);
    expect(at(11)).toBe('session-missed');
  });

  it('names the first of many sessions that nobody logged, and says how many more there are', () => {
    const planned = Array.from({ length: 15 }, (_none, index) => ({ ...(session(`s${index}`, 6) as { at: number }), at: Date.UTC(2026, 4, 4, 6, index * 10) }));
    const [together, ...others] = todayItems({ ...nothing, planned: planned as never, cards: [dog] });
    expect(others.filter(({ code }) => code.startsWith('session'))).toEqual([]);
    expect(together!.title).toBe('15 sessions of today were not logged.');
    expect(together!.why).toMatch(/^06:00 Moss, 06:10 Moss, .* and 3 more\.$/);
  });

  it('what an owner said comes among the first, with where it is looked into', () => {
    const said = (says: 'pink' | 'opened' | 'moved') =>
      todayItems({ ...nothing, owners: [{ dogId: 'd', dogName: 'Moss', owner: 'Ida', says, at: NOON, until: NOON + HOUR }] })[0];
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
    const yesterday = { dogId: 'd', dogName: 'Moss', owner: 'Ida', says: 'pink' as const, at: NOON - 2 * HOUR, until: NOON };
    expect(todayItems({ ...nothing, owners: [yesterday] })).toEqual([]);
  });

  it('a battery, a pink place whose rest is nearly over, and red skin that keeps all off', () => {
    const low = (lowFrom: number) =>
      wearDues(moss, { worn: [], batteries: [{ collarId: 'c', name: 'Grey', lowFrom }] }, { day, timeZone: 'UTC', rules: houseRules({}) });
    expect(codes({ dues: low(NOON + 1) })).toEqual([]);
    expect(codes({ dues: low(NOON) })).toEqual(['charge']);
    // Whatever the dog wears: a prong rubs as a receiver does. A pink place rests 72 h where the house says so.
    const skin = (grade: 1 | 2 | 3, hoursAgo: number) => ({
      skins: [{ dogId: 'd', dogName: 'Moss', skin: skinStanding([{ clock: 3, grade, at: NOON - hoursAgo * HOUR }], NOON, { restHours: 72 }) }],
    });
    expect(codes(skin(1, 52))).toEqual([]);
    expect(codes(skin(1, 66))).toEqual(['skin-again']);
    const [off, ...others] = todayItems({ ...nothing, ...skin(2, 400 * 24) });
    expect(off).toMatchObject({ code: 'skin-off', tone: 'stop' });
    expect(others.filter(({ code }) => code.startsWith('session'))).toEqual([]);
    expect(off!.why).toContain('a vet is asked');
  });

  it('a link that growth will need within a fortnight, with what comes then', () => {
    const grows = (days: number) => ({
      growth: [{ dogId: 'd', dogName: 'Moss', bornOn: '2026-01-01', outgrows: [{ kind: 'prong', planId: 'p', collarName: 'Rush', change: { girthMm: 380, when: { earliest: null, likely: (NOON - Date.UTC(2026, 0, 1)) / 86_400_000 + days, latest: null }, says: '14 links' }, outgrown: null }] }] as never, // prettier-ignore
    });
    expect(codes(grows(15))).toEqual([]);
    const [due] = todayItems({ ...nothing, ...grows(3) });
    expect(due).toMatchObject({ code: 'outgrows', title: 'Let out Rush for Moss in about 3 days.', why: 'Then 14 links.', to: '/dogs/d/growth' });
  });

  it('gear to be looked at is one line, not twenty', () => {
    const piece = (name: string) => ({ id: name, name, mend: false });
    const items = todayItems({ ...nothing, gear: { due: 4, first: ['A', 'B', 'C'].map(piece) } });
    expect(items).toMatchObject([{ code: 'upkeep', title: '4 pieces of gear to inspect.', why: 'A, B, C and 1 more.', to: '/upkeep' }]);
    expect(todayItems({ ...nothing, gear: { due: 1, first: [piece('A')] } })[0]!.to).toBe('/upkeep?piece=A');
  });

  it('once the contact was felt, a level that rose asks for skin and place, then the battery, then what distracts', () => {
    const rose = (next: 'contact' | 'skin' | 'battery' | null, found: 'contact' | null = null) => {
      const reason = { code: 'needs-more', by: 6, since: '2 May', contactChecked: null } as const;
      const look = { answers: [], next, found };
      return todayItems({ ...nothing, levels: [{ dogId: 'd', dogName: 'Moss', device: 'Grey', setting: 'yard', reason, look }] })[0]!.title;
    };
    expect(rose('contact')).toBe('Moss: check the contact. The yard level rose.');
    expect(rose('skin')).toBe('Moss: check skin and place. The yard level rose.');
    expect(rose('battery')).toBe('Moss: check the battery. The yard level rose.');
    expect(rose(null)).toBe('Moss: nothing found. The yard level rose.');
    // Contact that does not touch stays due until it does.
    expect(rose(null, 'contact')).toBe('Moss: mend the contact. The yard level rose.');
  });

  it('a piece to be mended that a dog wears comes first, with the dog’s name', () => {
    const unfit = (is: DogDueFacts['unfit'][number]['is']) => [{ ...moss, pieceId: 'Hazel', name: 'Hazel', is }];
    const items = todayItems({ ...nothing, unfit: unfit('mend'), gear: { due: 1, first: [{ id: 'A', name: 'A', mend: false }] } });
    expect(items.map(({ code }) => code)).toEqual(['mend', 'upkeep']);
    expect(items[0]).toMatchObject({ tone: 'stop', dogId: 'd', title: 'Moss: mend Hazel before it goes on.', to: '/upkeep?piece=Hazel' });
    expect(items[1]).toMatchObject({ title: 'Inspect A.' });
    const title = (is: DogDueFacts['unfit'][number]['is']) => todayItems({ ...nothing, unfit: unfit(is) })[0]!.title;
    expect(title('worn')).toBe('Moss: Hazel is worn out. Take another.');
    expect(title('scrapped')).toBe('Moss: Hazel is scrapped. Take another.');
  });

  it('the same facts make the same list, each thing once', () => {
    const facts = { ...nothing, dues: worn(on({ askFrom: NOON }), on({ askFrom: NOON })) };
    expect(todayItems(facts)).toHaveLength(1);
    expect(todayItems(facts)).toEqual(todayItems(facts));
  });
});

describe('what a stream of Today tells', () => {
  const page = (asOf: number, titles: readonly string[]): TodayPage => ({
    asOf: iso(asOf),
    day: '2026-05-04',
    items: titles.map((title) => ({ id: title[0]!, code: 'fit', tone: 'open', ...moss, collarId: null, title, why: '', to: '', does: '', at: null })),
    next: null,
    counts: { first: 0, sessions: 0, dogs: titles.length, kept: 0 },
    wearing: [],
    sessions: { planned: 0, held: 0 },
  });
  it('is what changed, and makes the page that it is of', () => {
    const [before, now] = [page(NOON, ['A', 'B', 'C']), page(NOON + 1, ['C', 'B new', 'D'])];
    const change = todayChange(before, now);
    expect(change.items.map(({ title }) => title)).toEqual(['B new', 'D']);
    expect(change.wearing).toBeNull();
    expect(todayChanged(before, change)).toEqual(now);
    // One that was missed on the way is seen: the whole is asked for.
    expect(todayChanged(page(NOON - 1, ['A', 'B', 'C']), change)).toBeNull();
  });
});
