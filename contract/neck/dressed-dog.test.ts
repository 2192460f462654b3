import { contractSpeaker, layIn, rigOfTemplate, SCREEN_ITEM_IDS, type WearState, rigTemplates } from '@banter/core';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import {
  dayStart,
  dressedDog,
  FIRST_SETTINGS,
  inspectionOf,
  momentOn,
  nightSpans,
  wearAndDeviceEvents,
  type Kennel,
  type NeckPage,
  type NewHappening,
  RIG_CATALOGUE,
  nextStep,
} from '../index.ts';

const ZONE = 'Europe/London';
const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 5, 10, 9);
const kennel: Kennel = { id: 'k', version: 1, demo: false, name: 'Gorse End', lengthUnit: 'cm', massUnit: 'kg', timeZone: ZONE, ...FIRST_SETTINGS };
const kept = { recordedAt: '2026-06-01T08:00:00.000Z', personId: 'p', personName: 'Robin' };
const taping = (site: string, mm: number) => ({
  id: site,
  dogId: 'd',
  site,
  tapedMm: mm,
  overCoat: false,
  coatDepthMm: null,
  at: '2026-06-01T08:00:00.000Z',
  correctsId: null,
  settled: false,
  basis: 'skin',
  result: { girthMm: mm },
  reasons: [],
  ...kept,
});
const plan = (kind: 'prong' | 'remote', numbers: object, choices: object) => ({
  id: `plan-${kind}`,
  dogId: 'd',
  collarId: kind,
  kind,
  choices,
  inputs: { collar: { id: kind, name: kind === 'prong' ? 'Hazel' : 'Curlew', numbers }, dog: {} },
  outcome: { keep: true, blocked: false },
  at: '2026-06-02T08:00:00.000Z',
  note: '',
});
const PRONG = { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 };
const REMOTE = {
  footprintMm: 62,
  scaleMin: 0,
  scaleMax: 100,
  scaleStep: 1,
  modes: ['momentary'],
  massG: 92,
  spacingMm: 37,
  postsMm: [12],
  strapMinMm: 200,
  strapMaxMm: 700,
};
const collar = (id: string, numbers: object) => ({ condition: 'sound', id, kind: id, name: id === 'prong' ? 'Hazel' : 'Curlew', numbers, retiredAt: null });

/** A dog with a prong and a remote collar decided, 400 mm round and 160 mm long in the neck. */
function wholePage(more: Partial<NeckPage> = {}): NeckPage {
  return {
    dog: { id: 'd', name: 'Yarrow', bornOn: '2023-04-01', weightG: 29_000, neckBuild: 'average', pull: 'drags', worksOn: 'left', house: null },
    tapings: [taping('high', 400), taping('head', 472), taping('neck-length', 160), taping('coat-depth', 6)],
    plans: [
      plan('prong', PRONG, { gaugeSchool: 'pull-first', betweenSchool: 'finer', split: { left: 6, right: 5 }, start: null, ring: 'live', ringPlace: 'nape' }),
      plan('remote', REMOTE, { options: { placement: 'upper-half' }, on: { strapMm: 464, postMm: 12, clock: 3 } }),
    ],
    checks: [],
    endings: [],
    screenings: [
      { id: 's', dogId: 'd', answers: Object.fromEntries(SCREEN_ITEM_IDS.map((id) => [id, 'no'])), note: '', at: '2026-06-01T07:00:00.000Z', ...kept },
    ],
    lifts: [],
    collars: [collar('prong', PRONG), collar('remote', REMOTE)],
    places: [],
    gear: [],
    links: [],
    madeUp: [],
    dressing: null,
    events: [],
    skinLooks: [],
    dogNames: {},
    ...more,
  } as unknown as NeckPage;
}
let count = 0;
const event = (hoursAgo: number, own: object) =>
  ({ id: `e${String((count += 1)).padStart(4, '0')}`, at: new Date(NOW - hoursAgo * HOUR).toISOString(), ...own }) as unknown as NeckPage['events'][number];
const on = (hoursAgo: number, collarId: string, clock: number | null = null, state: WearState = 'worked') =>
  event(hoursAgo, { event: 'put-on', dogId: 'd', collarId, clock, state });
const of = (more: Partial<NeckPage> = {}, now = NOW) => dressedDog(wholePage(more), kennel, now, contractSpeaker);
const line = (dressed: ReturnType<typeof of>, what: string) => dressed.door.lines.find((one) => one.what === what)!;
const rig = (id: string) =>
  rigOfTemplate(
    rigTemplates(RIG_CATALOGUE).find((template) => template.id === id)!,
    RIG_CATALOGUE,
  );

describe('a dog as it stands dressed', () => {
  it('without anything laid out stands in the usual order: training, electronic', () => {
    const { items, laidOut, ring } = of();
    expect(laidOut).toBe(false);
    expect(items.map(({ id, layer }) => [id, layer])).toEqual([
      ['prong', 'training'],
      ['remote', 'electronic'],
    ]);
    expect(ring).toMatchObject({ clock: 12, leashSide: 'right' });
  });

  it('keeps an order that was laid out, and puts below what has been fitted since', () => {
    const dressing = { id: 'd', version: 1, stack: [{ as: 'fit' as const, kind: 'remote' as const }], rig: [] };
    const { items, stack } = of({ dressing });
    expect(items.map(({ id }) => id)).toEqual(['remote', 'prong']);
    expect(stack.reasons.map(({ code }) => code)).toContain('electronic-above-training');
  });

  it('judges the rig by the prong’s own closing, and the ring the leash is on', () => {
    const parts = rig('coupler-to-flat').map((part) => (part.kind === 'coupler' ? { ...part, slackMm: 28 } : part));
    const { rig: judged } = of({ dressing: { id: 'd', version: 1, stack: [], rig: parts } });
    expect(judged!.reasons).toContainEqual(expect.objectContaining({ code: 'backup-loads-early', slackMm: 28, neededMm: 28, against: 'closing' }));
  });

  it('knows where the contacts sit, have been and go next, by the skin of the neck', () => {
    const { contacts } = of({ events: [on(5, 'remote', 3)] });
    expect(contacts[0]).toMatchObject({ at: 3, girthMm: 400, footprintMm: 62 });
    expect(contacts[0]!.rotation).toMatchObject({ next: 9, moveBy: NOW + HOUR });
  });

  it('says what the other school of placement would', () => {
    const { contacts } = of();
    expect(contacts[0]!.other.school).toBe('clear-of-throat');
    const allowed = contacts[0]!.other.rotation.places.filter((place) => place.allowed).map(({ clock }) => clock);
    // 62 mm on 400 mm: 31 mm either side of 4 and 8 stay clear of the windpipe, 33.3 mm away.
    expect(allowed).toEqual([1, 2, 3, 4, 8, 9, 10, 11, 12]);
  });
  it('a wear that was taken back is no wear', () => {
    const told = on(5, 'remote', 3);
    expect(of({ events: [told, event(1, { event: 'void', eventId: told.id })] }).wears).toEqual([]);
  });

  it('of a morning’s steps takes those of the day, in the kennel’s zone, across midnight', () => {
    // Put on the evening before at 23:30 London time; its routine was done at 23:00, on that day.
    const midnight = Date.UTC(2026, 5, 9, 23);
    const at = (minutes: number, own: object) => ({ ...event(0, own), at: new Date(midnight + minutes * 60_000).toISOString() }) as NeckPage['events'][number];
    const events = [
      at(-60, { event: 'tried', collarId: 'remote', level: 0 }),
      at(-30, { event: 'put-on', dogId: 'd', collarId: 'remote', clock: 3, state: 'worked' }),
    ];
    const { contacts } = of({ events }, midnight + 2 * HOUR);
    expect(contacts[0]!.routine.find(({ id }) => id === 'tried')).toMatchObject({ state: 'done' });
  });
});

describe('the check at the door', () => {
  const good = { verdict: 'good', step: 'good' };
  const checks = ['prong', 'remote'].map((kind) => ({
    id: `check-${kind}`,
    planId: `plan-${kind}`,
    dogId: 'd',
    kind,
    attempt: 1,
    on: kind === 'prong' ? { left: 6, right: 5 } : { strapMm: 464, postMm: 12, clock: 3 },
    outcome: good,
    at: '2026-06-03T08:00:00.000Z',
  })) as unknown as NeckPage['checks'];
  const stack = [
    { as: 'fit' as const, kind: 'prong' as const },
    { as: 'fit' as const, kind: 'remote' as const },
  ];
  const dressing = { id: 'd', version: 1, stack, rig: rig('slip-lead-below') };

  it('is open in every line about which nothing is known', () => {
    const { door } = of();
    expect(door.go).toBe(false);
    expect(door.lines.filter(({ tone }) => tone === 'good').map(({ what }) => what)).toEqual(['gear', 'ring', 'side']);
  });
  it('names what is laid out and not on, and what is on and not laid out', () => {
    expect(line(of({ dressing }), 'stack')).toMatchObject({ tone: 'open', says: 'Not on yet: prong Hazel and remote electronic Curlew.' });
    const only = { ...dressing, stack: stack.slice(0, 1) };
    // The remote collar is fitted, so it belongs below; taken out of the fits it would be a stray.
    expect(line(of({ dressing: only, events: [on(1, 'prong'), on(1, 'remote', 3)] }), 'stack').tone).toBe('good');
  });
  it('contacts: over six hours, on flagged skin or off the school is a stop, in words with the limit', () => {
    expect(line(of({ events: [on(6.1, 'remote', 3)] }), 'contacts')).toMatchObject({ tone: 'stop', says: expect.stringContaining('more than 6 h') });
    // Contact is felt where it sits now; felt before it was moved there says nothing.
    const felt = (hoursAgo: number, made: boolean | null) => {
      const at = new Date(NOW - hoursAgo * HOUR).toISOString();
      return { event: 'contact' as const, id: `felt ${hoursAgo}`, at, collarId: 'remote', made, source: 'hand' as const, saidAt: at, phone: '', ...kept };
    };
    expect(line(of({ events: [on(1, 'remote', 3)] }), 'contacts')).toMatchObject({ tone: 'open', says: '3 o’clock: contact not checked.' });
    expect(line(of({ events: [felt(2, true), on(1, 'remote', 3)] }), 'contacts').tone).toBe('open');
    expect(line(of({ events: [on(1, 'remote', 3), felt(0.5, true)] }), 'contacts')).toMatchObject({
      tone: 'good',
      says: expect.stringContaining('contact good at'),
    });
    expect(line(of({ events: [on(1, 'remote', 3), felt(0.5, true), felt(0.2, null)] }), 'contacts').tone).toBe('open');
    expect(line(of({ events: [on(1, 'remote', 3), felt(0.5, false)] }), 'contacts')).toMatchObject({
      tone: 'stop',
      says: expect.stringContaining('contact not good'),
    });
    expect(line(of({ events: [on(1, 'remote', 5)] }), 'contacts')).toMatchObject({ tone: 'stop', says: expect.stringContaining('no place for contacts') });
    const pink = [
      { id: 's', dogId: 'd', clock: 3, under: 'contacts', grade: 1, sore: null, note: '', photoId: null, at: new Date(NOW - 2 * HOUR).toISOString(), ...kept },
    ];
    expect(line(of({ events: [on(1, 'remote', 3)], skinLooks: pink as never }), 'contacts').tone).toBe('stop');
    expect(line(of({ events: [on(1, 'remote', 9)], skinLooks: pink as never }), 'skin')).toMatchObject({
      tone: 'good',
      says: expect.stringContaining('clear of it'),
    });
  });
  it('a look at the skin is good for seven days', () => {
    const clear = (days: number) =>
      of({
        skinLooks: [
          {
            id: 's',
            dogId: 'd',
            clock: 3,
            under: 'prong',
            grade: 0,
            sore: null,
            note: '',
            photoId: null,
            at: new Date(NOW - days * 24 * HOUR).toISOString(),
            ...kept,
          },
        ] as never,
      });
    expect(line(clear(7), 'skin').tone).toBe('good');
    expect(line(clear(8), 'skin')).toMatchObject({ tone: 'open', says: 'Skin not checked for 8 days (a check is good for 7).' });
  });
  it('a rule of wearing that is broken now is the line of who watches', () => {
    expect(line(of({ events: [on(1, 'prong', null, 'alone')] }), 'supervision')).toMatchObject({ tone: 'stop', says: expect.stringContaining('alone') });
  });
  it('a fit that was never checked is open, and one that must come off is a stop', () => {
    expect(line(of({ dressing }), 'fit').tone).toBe('open');
    const bad = checks.map((check) => ({ ...check, outcome: { verdict: 'stop', step: 'stop' } })) as never;
    expect(line(of({ dressing, checks: bad }), 'fit').tone).toBe('stop');
  });
  it('a fit that the list of dues sends back is no good line at the door either: the same sentence on both', () => {
    expect(line(of({ dressing, checks }), 'fit')).toEqual({ what: 'fit', tone: 'good', says: 'Checked on the dog: good.' });
    // 430 mm since: 418 mm of collar at rest press.
    const grown = { ...taping('high', 430), id: 'newer', at: '2026-06-09T08:00:00.000Z' };
    const page = { dressing, checks, tapings: [taping('high', 400), grown, taping('neck-length', 160)] as never };
    const said = line(of(page), 'fit');
    expect(said).toMatchObject({ tone: 'mind', says: expect.stringMatching(/^Prong Hazel: re-size: presses, by the newer tape\.$/) });
    const made = of(page);
    const { dog, tapings, screenings, lifts } = { ...wholePage(), ...page };
    const step = nextStep(
      { dog, girths: tapings, fits: [made.fits.find(({ plan: { kind } }) => kind === 'prong')!], screenings, lifts },
      { kennel, today: '2026-06-10' },
      contractSpeaker,
    );
    expect(said.says.toLowerCase()).toContain(step.sentence.toLowerCase());
  });
});

describe('days of the kennel', () => {
  it('nights run from midnight to five on the kennel’s clock, also when the clocks change', () => {
    // 29 March 2026 in London: the hour from one to two is left out, so the night is four hours long.
    const [spring] = nightSpans(Date.UTC(2026, 2, 29, 0), Date.UTC(2026, 2, 29, 12), ZONE);
    expect((spring!.to - spring!.from) / HOUR).toBe(4);
    // 25 October 2026: an hour comes twice.
    const [autumn] = nightSpans(Date.UTC(2026, 9, 24, 23), Date.UTC(2026, 9, 25, 12), ZONE);
    expect((autumn!.to - autumn!.from) / HOUR).toBe(6);
  });
  it('agree with a date library for any instant and zone', () => {
    const zone = fc.constantFrom('Europe/London', 'America/St_Johns', 'Pacific/Auckland', 'Asia/Kathmandu', 'UTC');
    fc.assert(
      fc.property(fc.integer({ min: Date.UTC(2020, 0, 1), max: Date.UTC(2030, 0, 1) }), zone, (at, where) => {
        const start = dayStart(at, where);
        expect(start).toBeLessThanOrEqual(at);
        expect(at - start).toBeLessThan(25 * HOUR + 1);
        expect(DateTime.fromMillis(start, { zone: where }).toFormat('HH:mm')).toMatch(/^0[01]:00$/);
        for (const night of nightSpans(at, at + 48 * HOUR, where)) {
          expect(night.to).toBeGreaterThan(at);
          expect(DateTime.fromMillis(night.to, { zone: where }).hour).toBe(5);
        }
      }),
      { numRuns: 200 },
    );
  });
  it('say the time today, and the day with it otherwise', () => {
    expect(momentOn(NOW, NOW, ZONE)).toBe('10:00');
    expect(momentOn(NOW - 24 * HOUR, NOW, ZONE)).toBe('Tue 9 Jun, 10:00');
  });
});

it('events are told apart: wearing, devices, and what was taken back', () => {
  const told = wearAndDeviceEvents([
    { event: 'tried', id: 'a', at: '2026-06-01T08:00:00.000Z', collarId: 'remote', level: 0 },
    { event: 'put-on', id: 'b', at: '2026-06-01T09:00:00.000Z', dogId: 'd', collarId: 'remote', clock: 3, state: 'worked' },
    { event: 'void', id: 'c', at: '2026-06-01T10:00:00.000Z', eventId: 'b' },
  ] as NewHappening[]);
  expect([told.wear.length, told.device.length]).toEqual([0, 1]);
});

describe('a prong that closes with a quick-release buckle', () => {
  const released = (laid: readonly unknown[]) => {
    const numbers = { ...PRONG, quickRelease: true };
    const plans = wholePage().plans.map((one) =>
      one.kind === 'prong' ? { ...one, inputs: { ...one.inputs, collar: { ...one.inputs.collar, numbers } } } : one,
    );
    return of({ plans, dressing: { stack: [], rig: laid } } as unknown as Partial<NeckPage>);
  };
  const counted = (dressed: ReturnType<typeof of>) => dressed.rig!.reasons.filter(({ code }) => code === 'part-not-counted');

  it('has one part more that can fail, and a rig laid out without it says so (common practice)', () => {
    const dressed = released(rig('bare-prong'));
    expect(counted(dressed)).toHaveLength(1);
    const laidIn = layIn(rig('bare-prong'), 'prong', dressed.catalogue);
    const whole = released(laidIn);
    expect(counted(whole)).toHaveLength(0);
    expect(whole.rig!.singlePoints.map((id) => laidIn.find((part) => part.id === id)!.kind)).toContain('quick-release');
    expect(whole.rig!.connected).toBe(true);
    // Laid in anew it does not stand beside what was there: one way from hand to dog.
    expect(whole.rig!.routes).toHaveLength(1);
  });
  it('one that opens at a link has none', () => {
    expect(of({ dressing: { stack: [], rig: rig('bare-prong') } } as unknown as Partial<NeckPage>).rig!.reasons.map(({ code }) => code)).not.toContain(
      'part-not-counted',
    );
  });
  it('is looked at in upkeep, and only there', () => {
    const items = (quickRelease: boolean) => inspectionOf({ kind: 'prong', numbers: { ...PRONG, quickRelease } }).items.map(({ id }) => id);
    expect(items(true)).toContain('quick-release');
    expect(items(false)).not.toContain('quick-release');
  });
});
