import { contractSpeaker, SCREEN_ITEM_IDS, type KitUp } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { classCase, FIRST_SETTINGS, pickList, type ClassPage, type DogCard } from '../index.ts';

const kennel = { ...FIRST_SETTINGS, id: 'k', name: 'K', version: 1, lengthUnit: 'cm', massUnit: 'kg', timeZone: 'UTC', moreSettings: [], rules: {} } as never;
const card = (id: string, girthMm: number, more: object = {}) =>
  ({
    dog: {
      id,
      name: id,
      breed: '',
      bornOn: '2020-01-01',
      weightG: 30_000,
      pull: 'drags',
      worksOn: 'left',
      neckBuild: 'average',
      house: null,
      archivedAt: null,
    },
    girths: [
      {
        id: `${id} high`,
        site: 'high',
        tapedMm: girthMm,
        overCoat: false,
        coatDepthMm: null,
        correctsId: null,
        at: '2026-01-01T00:00:00.000Z',
        reasons: [],
        result: { girthMm, plusMinusMm: 3 },
      },
    ],
    fits: [],
    screenings: [{ id: `${id} s`, answers: Object.fromEntries(SCREEN_ITEM_IDS.map((one) => [one, 'no'])), note: '', at: '2026-01-01T00:00:00.000Z' }],
    lifts: [],
    ...more,
  }) as never;
const prong = (id: string, links: number, more: object = {}) =>
  ({
    id,
    kind: 'prong',
    name: id,
    metal: null,
    condition: 'sound',
    numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: links * 31 + 77, links, closingMm: 28 },
    measuredOn: null,
    owned: true,
    note: '',
    retiredAt: null,
    version: 1,
    ...more,
  }) as never;
type Case = ClassPage & { dogs: DogCard[] };
const page = (more: Partial<Case>): Case => {
  const dogs = more.dogs ?? [];
  const worn = dogs.flatMap(({ dog: { id: dogId }, fits }) =>
    fits.filter(({ elsewhere }) => !elsewhere).map(({ plan }) => ({ collarId: plan.collarId, dogId })),
  );
  return { dogs, collars: [], links: [], day: '2026-05-05', planned: [], worn, ...more };
};
const asked = (one: Case, dogs: string[]) => classCase(one, one.dogs, dogs.map((dogId) => ({ dogId, kind: 'prong' as const })), { kennel, today: '2026-05-04', speak: contractSpeaker }); // prettier-ignore

describe('what a class comes to', () => {
  it('a collar is counted from the links that are on it now, and what lies in the bag', () => {
    // Thirteen links make 480 mm; 440 mm of neck want a slack of 9 mm, at twelve: one comes out. On it are eleven, so one goes in.
    const one = page({ dogs: [card('x', 440)], collars: [prong('c', 13)], links: [{ gaugeMm: 3, account: 'collar:c', count: 11 }, { gaugeMm: 3, account: 'bag', count: 2 }] }); // prettier-ignore
    const { asked: question } = asked(one, ['x']);
    expect(question.bag).toEqual([{ gaugeMm: 3, links: 2 }]);
    expect(question.dogs[0]!.options).toEqual([{ collarId: 'c', gaugeMm: 3, change: 1, worn: false }]);
    expect(question.dogs[0]!.buys.length).toBeGreaterThan(0);
  });

  it('collars on dogs outside the class stay there; what is scrapped or to be mended is not given', () => {
    const worn = card('y', 440, { fits: [{ plan: { id: 'p', kind: 'prong', collarId: 'theirs' }, check: null }] });
    const one = page({ dogs: [card('x', 440), worn], collars: [prong('theirs', 13), prong('broken', 13, { condition: 'mend' }), prong('gone', 13, { condition: 'worn', retiredAt: '2026-01-01T00:00:00.000Z' })] }); // prettier-ignore
    expect(asked(one, ['x']).asked.dogs[0]!.options).toEqual([]);
    expect(asked(one, ['x', 'y']).asked.dogs[1]!.options).toMatchObject([{ collarId: 'theirs', worn: true }]);
  });

  it('goes by the standing of the collars: one re-linked for another is nobody’s outside the class, and what is good on its dog stays as it is', () => {
    const fit = (check: object | null, elsewhere: object | null) => ({
      plan: {
        id: 'p',
        kind: 'prong',
        collarId: 'c',
        choices: { gaugeSchool: 'weight-line', betweenSchool: 'finer', split: { left: 7, right: 6 }, start: null, ring: 'live', ringPlace: 'nape' },
        inputs: { collar: { id: 'c', numbers: {} } },
      },
      check,
      elsewhere,
      felt: null,
    });
    const relinked = card('y', 440, { fits: [fit({ on: { left: 7, right: 6 }, outcome: { verdict: 'good' } }, { dogId: 'z' })] });
    const one = page({ dogs: [card('x', 440), relinked], collars: [prong('c', 13)], links: [{ gaugeMm: 3, account: 'collar:c', count: 13 }] });
    expect(asked(one, ['x']).asked.dogs[0]!.options).toMatchObject([{ collarId: 'c', worn: false }]);
    expect(asked(one, ['y']).asked.dogs[0]!.options).toMatchObject([{ collarId: 'c', worn: false, change: -1 }]);
    // The tape wants twelve; hands found thirteen good, and no link moves.
    const felt = { at: '2026-02-01T00:00:00.000Z', lowMm: 445, highMm: 470, collarChanged: false, then: { tapedMm: 440, weightKg: 30, coatDepthMm: null } };
    const worn = card('w', 440, { fits: [{ ...fit({ on: { left: 7, right: 6 }, outcome: { verdict: 'good' } }, null), felt }] });
    const two = page({ dogs: [worn], collars: [prong('c', 13)], links: [{ gaugeMm: 3, account: 'collar:c', count: 13 }] });
    expect(asked(two, ['w']).asked.dogs[0]!.options).toMatchObject([{ collarId: 'c', worn: true, change: 0 }]);
  });

  it('a dog that is not screened, not taped, or stopped is named with the reason', () => {
    const stopped = card('z', 440, { screenings: [{ id: 's', answers: { ...Object.fromEntries(SCREEN_ITEM_IDS.map((one) => [one, 'no'])), windpipe: 'yes' }, note: '', at: '2026-01-01T00:00:00.000Z' }] }); // prettier-ignore
    const { asked: question, missing } = asked(page({ dogs: [card('u', 440, { screenings: [] }), card('t', 440, { girths: [] }), stopped] }), ['u', 't', 'z']);
    expect(question.dogs).toEqual([]);
    expect(missing.map(({ dogId }) => dogId)).toEqual(['u', 't', 'z']);
    expect(missing[0]!.why).toContain('Screen it first');
    expect(missing[1]!.why).toMatch(/^Tape/);
    expect(missing[2]!.why).toMatch(/^Not for this dog/);
  });

  it('the pick list says out of where, made up how, and what to do to the links', () => {
    const one = page({ dogs: [card('x', 440)], collars: [prong('c', 13)], links: [{ gaugeMm: 3, account: 'collar:c', count: 13 }] });
    const question = asked(one, ['x']);
    const [option] = question.asked.dogs[0]!.options;
    const found = { given: [{ dogId: 'x', given: { from: 'locker', option } }], buyLinks: [], bought: 0, linksBought: 0, linksMoved: 1 } as KitUp;
    expect(pickList(question, found, one)).toMatchObject([{ from: 'locker', name: 'c', line: '3.0 mm prong, 12 links (6 left, 6 right)', change: -1 }]);
    expect(pickList(question, found, one)[0]!.links).toMatch(/^Take out one link/);
  });
});
