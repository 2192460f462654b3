import { CALCULATIONS } from '@banter/contract';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
const ask = (name: string, body: unknown) =>
  supertest(banter.app)
    .post(`/api/calc/${name}`)
    .send(body as object);

const prong = {
  girthMm: 500,
  weightKg: 40,
  pull: 'pulls',
  gaugeSchool: 'weight-line',
  betweenSchool: 'snug',
  stock: [{ id: 'a', gaugeMm: 4, pitchMm: 42, insideGirthMm: 540, links: 12, closingMm: 30 }],
};
const tape = { site: 'high', readingsMm: [390, 391, 402] };
const examples = {
  slip: { girthMm: 304.8, headGirthMm: 330, ringMm: 20, school: 'slack' },
  'clip-on-slip': { girthMm: 520, use: 'backup' },
  martingale: { girthMm: 400, headGirthMm: 470, strapMinMm: 300, strapMaxMm: 450, loopMm: 160, school: 'rings-apart' },
  strap: {
    kind: 'flat',
    girthMm: 390,
    headGirthMm: 470,
    fingerThicknessMm: 16,
    fingerWidthMm: 20,
    sizesMm: [
      [300, 400],
      [380, 460],
    ],
  },
  'head-collar': { girthMm: 380, muzzleGirthMm: 200, stopGirthMm: 240, muzzleLengthMm: 90, fingerThicknessMm: 14, fingerWidthMm: 17 },
  contacts: { coatDepthMm: 9, postsMm: [9, 12, 16] },
} as const;
const fingers = { girthMm: 390, fingers: 1, fingerThicknessMm: 16, fingerWidthMm: 16 };

describe('calculations without a screen', () => {
  it('answers the open examples of the contract', async () => {
    expect((await ask('finger-slack', fingers)).body.slackMm).toBeCloseTo(14.6, 1);
    const answer = (await ask('prong', prong)).body;
    expect(answer.choice).toMatchObject({
      stockId: 'a',
      links: 11,
      slackMm: -2,
      relaxedGirthMm: 498,
      closedGirthMm: 468,
      biteMm: 32,
      verdict: 'between',
      left: 6,
      right: 5,
      startLinks: 11,
      change: -1,
    });
    expect(answer.all).toHaveLength(1);
    expect(answer.schools.map((one: { school: string }) => one.school)).toEqual(['weight-line', 'pull-first', 'scale-with-power', 'most-links']);
    const slip = (await ask('slip', examples.slip)).body;
    expect(slip).toMatchObject({ passesHead: true, verdict: 'fits', recommend: 'slip' });
    expect([slip.lengthMm, slip.slackMm, slip.headClearanceMm].map((mm) => mm.toFixed(1))).toEqual(['355.6', '30.8', '5.6']);
    expect((await ask('clip-on-slip', { girthMm: 520, use: 'training' })).body).toMatchObject({ lengthMinMm: 520, lengthMaxMm: 520 });
    const backup = (await ask('clip-on-slip', examples['clip-on-slip'])).body;
    expect([backup.lengthMinMm.toFixed(1), backup.lengthMaxMm.toFixed(1)]).toEqual(['596.2', '621.6']);
    expect((await ask('martingale', examples.martingale)).body).toMatchObject({
      strapMm: 362,
      openGirthMm: 442,
      closedGirthMm: 362,
      ringGapMm: 38,
      verdict: 'fits',
    });
    expect((await ask('strap', examples.strap)).body).toMatchObject({ size: [380, 460], verdict: 'fits' });
    expect((await ask('contacts', examples.contacts)).body).toMatchObject({ postMm: 12, verdict: 'fits' });
    expect((await ask('tape', tape)).body).toMatchObject({ girthMm: 391, spreadMm: 12, repeat: true, oddIndex: 2 });
  });

  it('answers exactly what its schema promises, with reasons as code and sentence', async () => {
    for (const [name, body] of [
      ['tape', tape],
      ['finger-slack', fingers],
      ['prong', prong],
      ...(Object.entries(examples) as [keyof typeof examples, object][]),
    ] as const) {
      const { body: answer } = await ask(name, body).expect(200);
      expect(CALCULATIONS[name].answer.safeParse(answer).success).toBe(true);
      for (const reason of answer.reasons) {
        expect(reason.code).toMatch(/^[a-z]+(-[a-z]+)*$/);
        expect(reason.text).toMatch(/^[A-Z0-9].*[.?]$/);
      }
    }
  });

  it('takes house rules for one call, and defaults for what is left out', async () => {
    expect((await ask('tape', { ...tape, rules: { tapeSpreadMm: 15 } })).body.repeat).toBe(false);
    // Twelve links leave 40 mm: inside a window of 45, and closing by 60 they still bite by 20.
    const longer = { ...prong, stock: [{ ...prong.stock[0], closingMm: 60 }] };
    expect((await ask('prong', { ...longer, rules: { slackAimMm: 30, slackMaxMm: 45 } })).body.choice).toMatchObject({
      links: 12,
      verdict: 'fits',
      slackMm: 40,
      biteMm: 20,
    });
    expect((await ask('prong', { ...prong, rules: { pressMaxMm: 1 } })).body.choice.reasons.map((one: { code: string }) => one.code)).toContain(
      'presses-at-rest',
    );
    expect((await ask('prong', { ...prong, rules: { slackMaxMm: 5 } })).status).toBe(200);
  });

  it.each([
    ['a girth of 3', 'prong', { ...prong, girthMm: 3 }, 'girthMm'],
    ['a girth in words', 'prong', { ...prong, girthMm: '500' }, 'girthMm'],
    ['a head of 1201', 'prong', { ...prong, headGirthMm: 1201 }, 'headGirthMm'],
    ['a weight of 0', 'prong', { ...prong, weightKg: 0 }, 'weightKg'],
    ['an unknown school', 'prong', { ...prong, gaugeSchool: 'feeling' }, 'gaugeSchool'],
    ['an empty stock', 'prong', { ...prong, stock: [] }, 'stock'],
    ['negative links', 'prong', { ...prong, stock: [{ ...prong.stock[0], links: -2 }] }, 'stock[0].links'],
    ['half a link', 'prong', { ...prong, stock: [{ ...prong.stock[0], links: 2.5 }] }, 'stock[0].links'],
    ['a pitch of 0', 'prong', { ...prong, stock: [{ ...prong.stock[0], pitchMm: 0 }] }, 'stock[0].pitchMm'],
    ['three loose links', 'prong', { ...prong, looseLinks: 3 }, 'looseLinks'],
    ['an id twice', 'prong', { ...prong, stock: [prong.stock[0], prong.stock[0]] }, 'stock[1].id'],
    ['an unknown name', 'prong', { ...prong, grith: 1 }, 'grith'],
    ['an unknown rule', 'prong', { ...prong, rules: { slackMax: 3 } }, 'rules.slackMax'],
    ['a window upside down', 'prong', { ...prong, rules: { slackMinMm: 30 } }, 'rules.slackMaxMm'],
    ['no reading', 'tape', { ...tape, readingsMm: [] }, 'readingsMm'],
    ['eleven readings', 'tape', { ...tape, readingsMm: Array(11).fill(390) }, 'readingsMm'],
    ['a reading of 99', 'tape', { ...tape, readingsMm: [390, 99] }, 'readingsMm[1]'],
    ['a null reading', 'tape', { ...tape, readingsMm: [390, null] }, 'readingsMm[1]'],
    ['a muzzle of 601', 'tape', { site: 'muzzle', readingsMm: [600, 601] }, 'readingsMm[1]'],
    ['an unknown site', 'tape', { ...tape, site: 'tail' }, 'site'],
    ['a coat below nothing', 'tape', { ...tape, coatDepthMm: -1 }, 'coatDepthMm'],
    ['a coat that leaves no neck', 'tape', { site: 'high', readingsMm: [110, 110], coatDepthMm: 20 }, 'coatDepthMm'],
    ['five fingers', 'finger-slack', { ...fingers, fingers: 5 }, 'fingers'],
    ['a finger of 41 mm', 'finger-slack', { ...fingers, fingerWidthMm: 41 }, 'fingerWidthMm'],
    ['a finger narrower than thick', 'finger-slack', { ...fingers, fingerWidthMm: 15 }, 'fingerWidthMm'],
    ['a finger of no thickness', 'finger-slack', { ...fingers, fingerThicknessMm: 0 }, 'fingerThicknessMm'],
    ['nothing', 'finger-slack', {}, 'girthMm'],
    ['a slip without a head', 'slip', { ...examples.slip, headGirthMm: undefined }, 'headGirthMm'],
    ['an unknown slip school', 'slip', { ...examples.slip, school: 'snug' }, 'school'],
    ['a ring below nothing', 'slip', { ...examples.slip, ringMm: -1 }, 'ringMm'],
    ['a use of neither kind', 'clip-on-slip', { girthMm: 520, use: 'tow' }, 'use'],
    ['a strap range reversed', 'martingale', { ...examples.martingale, strapMaxMm: 200 }, 'strapMaxMm'],
    ['a loop of nothing', 'martingale', { ...examples.martingale, loopMm: 0 }, 'loopMm'],
    ['a strap of neither kind', 'strap', { ...examples.strap, kind: 'round' }, 'kind'],
    ['three fingers under a strap', 'strap', { ...examples.strap, fingers: 3 }, 'fingers'],
    ['a size reversed', 'strap', { ...examples.strap, sizesMm: [[400, 300]] }, 'sizesMm[0]'],
    ['no sizes', 'strap', { ...examples.strap, sizesMm: [] }, 'sizesMm'],
    ['a thin finger', 'strap', { ...examples.strap, fingerWidthMm: 10 }, 'fingerWidthMm'],
    ['a muzzle of 39', 'head-collar', { ...examples['head-collar'], muzzleGirthMm: 39 }, 'muzzleGirthMm'],
    ['a muzzle without length', 'head-collar', { ...examples['head-collar'], muzzleLengthMm: 0 }, 'muzzleLengthMm'],
    ['no posts', 'contacts', { coatDepthMm: 9, postsMm: [] }, 'postsMm'],
    ['a post below nothing', 'contacts', { coatDepthMm: 9, postsMm: [12, -3] }, 'postsMm[1]'],
  ])('refuses %s with a sentence at the field', async (_what, name, body, path) => {
    const response = await ask(name, body);
    expect(response.status).toBe(422);
    expect(response.headers['content-type']).toContain('application/problem+json');
    expect(response.body).toMatchObject({ status: 422, code: 'bad-input', title: expect.any(String) });
    expect(response.body.errors.map((error: { path: string }) => error.path)).toContain(path);
    for (const error of response.body.errors) expect(error.message).toMatch(/^[A-Z].*\.$/);
  });

  it.each([['null'], ['5'], ['"text"'], ['[]'], ['true']])('refuses a body of %s as bad input, not as a fault', async (text) => {
    const response = await supertest(banter.app).post('/api/calc/prong').set('Content-Type', 'application/json').send(text);
    expect(response.status).toBe(422);
  });

  it.each([['{"a":'], ['{"girthMm": NaN}'], [''], ['girthMm=390']])('answers 400 to «%s», which is not JSON', async (text) => {
    const response = await supertest(banter.app).post('/api/calc/prong').set('Content-Type', 'application/json').send(text);
    expect(response.status).toBe(400);
    expect(response.headers['content-type']).toContain('application/problem+json');
  });

  it('does not let a number past the largest in', async () => {
    const response = await supertest(banter.app)
      .post('/api/calc/finger-slack')
      .set('Content-Type', 'application/json')
      .send(JSON.stringify(fingers).replace('390', '1e999'));
    expect(response.status).toBe(422);
  });

  it('answers 413 over 64 KiB, 404 to an unknown name, 405 to a GET', async () => {
    expect((await ask('tape', { ...tape, note: 'x'.repeat(70_000) })).status).toBe(413);
    expect((await ask('horoscope', tape)).status).toBe(404);
    expect((await ask('constructor', tape)).status).toBe(404);
    expect((await supertest(banter.app).get('/api/calc/tape')).status).toBe(405);
  });

  it('answers 429 when there are too many', async () => {
    const strict = await openBanter({ limits: { calculationsPerMinute: 3 } });
    const statuses = [];
    for (let i = 0; i < 5; i += 1) statuses.push((await supertest(strict.app).post('/api/calc/tape').send(tape)).status);
    await strict.close();
    expect(statuses).toEqual([200, 200, 200, 429, 429]);
  });
});

describe('where contacts go, and what a rig hangs on', () => {
  const rotation = { girthMm: 480, footprintMm: 60, school: 'upper-half', now: '2026-03-29T09:00:00Z', worn: [], skin: [] };
  const worn = (clock: number, from: string, to: string | null) => ({ clock, from: `2026-03-${from}Z`, to: to && `2026-03-${to}Z` });

  it('rotation: never worn first, nearest to 3 or 9; the present place and its skin are left alone', async () => {
    const first = (await ask('rotation', rotation)).body;
    expect(first).toMatchObject({ next: 3, moveBy: null, capacityHours: 12 });
    expect(first.places.map((place: { clock: number }) => place.clock)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    const second = (await ask('rotation', { ...rotation, worn: [worn(3, '29T05:00:00', null)] })).body;
    expect(second).toMatchObject({ next: 9, moveBy: '2026-03-29T11:00:00.000Z', capacityHours: 8 });
    expect(second.places[2]).toEqual({ clock: 3, allowed: true, restedHours: 0 });
    const red = (await ask('rotation', { ...rotation, skin: [{ clock: 2.5, grade: 2, at: '2026-03-01T00:00:00Z' }] })).body;
    expect(red).toMatchObject({ next: null, capacityHours: 0 });
    expect(red.reasons.map(({ code }: { code: string }) => code)).toContain('skin-off');
    const shorter = (await ask('rotation', { ...rotation, rules: { moveByHours: 1, dayHours: 4, restHours: 1 } })).body;
    expect(shorter.capacityHours).toBe(4);
  });

  it('rotation refuses what cannot have happened, at its place', async () => {
    const refused: [object, string][] = [
      [{ worn: [worn(3, '29T05:00:00', '29T04:00:00')] }, 'worn[0].to'],
      [{ worn: [worn(3, '29T10:00:00', null)] }, 'worn[0].from'],
      [{ worn: [worn(3, '28T05:00:00', null), worn(9, '29T05:00:00', null)] }, 'worn[1].to'],
      [{ worn: [worn(3.25, '28T05:00:00', null)] }, 'worn[0].clock'],
      [{ skin: [{ clock: 3, grade: 4, at: '2026-03-01T00:00:00Z' }] }, 'skin[0].grade'],
      [{ skin: [{ clock: 3, grade: 1, at: '2026-03-30T00:00:00Z' }] }, 'skin[0].at'],
      [{ girthMm: 99 }, 'girthMm'],
      [{ school: 'anywhere' }, 'school'],
      [{ now: 'this morning' }, 'now'],
    ];
    for (const [more, path] of refused) {
      const response = await ask('rotation', { ...rotation, ...more });
      expect(response.status, path).toBe(422);
      expect(response.body.errors.map((error: { path: string }) => error.path)).toContain(path);
    }
  });

  const part = (id: string, from: string, to: string) => ({ id, kind: id, from, to });
  const prong = [part('leash', 'hand', 'live'), part('swivel', 'live', 'c1'), part('chain', 'c1', 'c2'), part('links', 'c2', 'dog')];
  const backed = [...prong, part('clip', 'c2', 'flatRing'), part('flat collar', 'flatRing', 'dog')];

  it('rig: the open examples of the contract', async () => {
    expect((await ask('rig', { parts: prong })).body).toMatchObject({ sound: false, singlePoints: ['leash', 'swivel', 'chain', 'links'] });
    expect((await ask('rig', { parts: backed })).body).toMatchObject({ sound: false, singlePoints: ['leash', 'swivel', 'chain'] });
    const two = (await ask('rig', { parts: [...backed, part('second leash', 'hand', 'flatRing')] })).body;
    expect(two).toMatchObject({ sound: true, singlePoints: [] });
    expect(two.routes).toHaveLength(2);
  });

  it('rig: loops and loose ends are answered and named; nothing that leads to the dog is an answer, too', async () => {
    const loose = (await ask('rig', { parts: [...prong, part('tag', 'c1', 'c1'), part('dangling', 'live', 'nowhere')] })).body;
    expect(loose).toMatchObject({ sound: false, singlePoints: ['leash', 'swivel', 'chain', 'links'], loose: ['tag', 'dangling'] });
    expect(loose.reasons.map(({ code }: { code: string }) => code)).toContain('loose-end');
    const apart = (await ask('rig', { parts: [part('leash', 'hand', 'live')] })).body;
    expect(apart).toMatchObject({ sound: false, singlePoints: [], routes: [] });
    expect(apart.reasons).toMatchObject([{ code: 'not-connected' }]);
  });

  it('rig refuses two parts of one id, and none at all', async () => {
    expect((await ask('rig', { parts: [part('a', 'hand', 'dog'), part('a', 'hand', 'dog')] })).body.errors).toMatchObject([{ path: 'parts[1].id' }]);
    expect((await ask('rig', { parts: [] })).status).toBe(422);
  });
});

describe('levels, drift and what a collar gives away', () => {
  const trials = [3, 4, 4, 5, 5, 6, 6, 7].map((level, index) => ({ level, noticed: [false, false, true, false, true, true, false, true][index]! }));

  it('threshold: a curve where levels overlap; symmetric trials settle in their middle', async () => {
    const found = (await ask('threshold', { trials })).body;
    expect(found.converged).toBe(true);
    expect(found.level).toBeCloseTo(5, 6);
    expect(found.high95 - found.level).toBeCloseTo(found.level - found.low95, 9);
    expect(found.intercept + found.slope * found.level).toBeCloseTo(0, 9);
    const target = (await ask('threshold', { trials, target: 0.75 })).body;
    expect(1 / (1 + Math.exp(-(found.intercept + found.slope * target.level)))).toBeCloseTo(0.75, 9);
  });
  it('threshold: without a curve, the levels to try next', async () => {
    const apart = (await ask('threshold', { trials: [trials[0], { level: 6, noticed: true }] })).body;
    expect(apart).toMatchObject({ level: null, low95: null, high95: null, intercept: null, slope: null, converged: false });
    expect(apart.reasons).toEqual([{ code: 'apart', text: expect.stringContaining('Try levels 3 to 6 again next.') }]);
  });
  it('working-level: the open example, and a level that nobody may be offered', async () => {
    const run = (told: string) => ({ trials: told.split(' ').map((one) => ({ level: Number(one.slice(0, -1)), noticed: one.endsWith('+') })) });
    const runs = [run('0- 1- 2- 3- 4- 5- 6+ 5- 6+ 5- 6+ 5-')];
    const scale = { min: 0, max: 100, step: 1 };
    const found = (await ask('working-level', { runs, scale })).body;
    expect(found).toMatchObject({ state: 'known', level: 6, turns: 6, turnsMean: 5.5, low95: 5, high95: 6, highestNoticed: 6 });
    const barred = (await ask('working-level', { runs, scale, ceiling: 6 })).body;
    expect(barred).toMatchObject({ level: null, reasons: [{ code: 'at-ceiling', text: expect.stringContaining('6 was too much') }] });
    expect((await ask('working-level', { runs, scale, rules: { levelKnownSteps: 0.5 } })).body.state).toBe('rough');
  });
  it('drift: the house’s λ and limit unless the call names others', async () => {
    const series = { values: [10, 12, 12, 13], mean: 10, sd: 1, k: 0.5, h: 4 };
    const house = (await ask('drift', series)).body;
    expect(house.ewma[1]).toBeCloseTo(10.6, 9);
    expect(house.ewmaHigh).toBeCloseTo(10 + 3 * Math.sqrt(0.3 / 1.7), 9);
    expect(house.cusumHigh).toEqual([0, 1.5, 3, 5.5]);
    // 11.02 and then 11.614 against 11.26; 5.5 against 4.
    expect(house.alarms).toEqual([
      { index: 3, chart: 'ewma', side: 'high' },
      { index: 3, chart: 'cusum', side: 'high' },
    ]);
    expect(house.reasons.map(({ code }: { code: string }) => code)).toEqual(['ewma-alarm', 'cusum-alarm', 'contact-first']);
    const other = (await ask('drift', { ...series, lambda: 1, limit: 2 })).body;
    expect(other.ewma).toEqual([10, 12, 12, 13]);
    expect(other.ewmaLow).toBe(8);
    expect((await ask('drift', { ...series, rules: { ewmaLambda: 1, ewmaLimit: 2 } })).body).toEqual(other);
  });
  it('tell-tale: a whole bit where the collar says it all, none where it says nothing', async () => {
    expect((await ask('tell-tale', { counts: [[9, 0], [0, 9]] })).body).toMatchObject({ bits: 1, rowBits: 1, columnBits: 1 }); // prettier-ignore
    expect((await ask('tell-tale', { counts: [[4, 4], [2, 2]] })).body.bits).toBeCloseTo(0, 12); // prettier-ignore
    expect((await ask('tell-tale', { counts: [[0]] })).body).toMatchObject({ bits: 0, reasons: [{ code: 'nothing-counted' }] });
  });
  it('growth: a curve by its weighings with its interval, girth by the cube root of its own tape, and by size while they are few', async () => {
    const kg = (age: number) => 30 * Math.exp(-Math.exp(-0.0155 * (age - 92)));
    const weighIns = [56, 70, 98, 126, 168, 210, 280, 350].map((ageDays) => ({ ageDays, weightKg: kg(ageDays) }));
    const found = (await ask('growth', { weighIns, girths: [{ ageDays: 350, girthMm: 400 }], at: [98, 700] })).body;
    expect(found.converged).toBe(true);
    expect(found.asymptoteKg).toBeCloseTo(30, 4);
    expect(found.ratePerDay).toBeCloseTo(0.0155, 6);
    expect(found.at[0].weightKg).toBeCloseTo(kg(98), 5);
    expect(found.at[0].girthMm).toBeCloseTo(400 * Math.cbrt(kg(98) / kg(350)), 2);
    const few = (await ask('growth', { weighIns: weighIns.slice(0, 1), adultWeightKg: 30 })).body;
    expect(few).toMatchObject({ converged: false, at: [{ ageDays: 56, girthMm: null }] });
    expect(few.at[0].low95Kg).toBeLessThan(few.at[0].weightKg);
    expect(few.reasons.map(({ code }: { code: string }) => code)).toEqual(['few-weighings', 'no-girth']);
  });
  it('load: a strap, a slip and a prong round the clock', async () => {
    const strap = { leashForceN: 100, girthMm: 400, widthMm: 25 };
    const flat = (await ask('load', { kind: 'flat', ...strap })).body;
    expect(flat.byClock).toHaveLength(24);
    expect(flat).toMatchObject({ tipForceN: null, reasons: [{ code: 'carries-below' }, { code: 'model-leaves-out' }] });
    // 50 N on 63.66 mm of radius and 25 mm of width.
    expect(flat.peakKPa).toBeCloseTo(31.4159, 3);
    const slip = (await ask('load', { kind: 'slip', ...strap })).body;
    const kPa = (clock: number) => slip.byClock.find((one: { clock: number }) => one.clock === clock).kPa;
    expect(kPa(12) / kPa(6)).toBeCloseTo(Math.exp(0.3 * Math.PI), 6);
    const prong = (await ask('load', { kind: 'prong', leashForceN: 100, girthMm: 400, pitchMm: 40, tipAreaMm2: 5 })).body;
    expect(prong.tipForceN).toBeCloseTo(15.708, 3);
  });
  it.each([
    ['threshold', { trials: [] }, 'trials'],
    ['threshold', { trials: [{ level: '4', noticed: true }] }, 'trials[0].level'],
    ['threshold', { trials, target: 0.49 }, 'target'],
    ['threshold', { trials, target: 0.96 }, 'target'],
    ['working-level', { runs: [], scale: { min: 0, max: 10, step: 1 } }, 'runs'],
    ['working-level', { runs: [{ trials: [] }], scale: { min: 0, max: 10, step: 1 } }, 'runs[0].trials'],
    ['working-level', { runs: [{ trials: [{ level: 2.5, noticed: true }] }], scale: { min: 0, max: 10, step: 1 } }, 'runs[0].trials[0].level'],
    ['working-level', { runs: [{ trials: [{ level: 11, noticed: true }] }], scale: { min: 0, max: 10, step: 1 } }, 'runs[0].trials[0].level'],
    ['working-level', { runs: [{ trials: [{ level: 2, noticed: true }] }], scale: { min: 10, max: 0, step: 1 } }, 'scale.max'],
    ['working-level', { runs: [{ trials: [{ level: 2, noticed: true }] }], scale: { min: 0, max: 10, step: 1 }, ceiling: 12 }, 'ceiling'],
    ['drift', { values: [], mean: 1, sd: 1, k: 1, h: 1 }, 'values'],
    ['drift', { values: [1], mean: 1, sd: -1, k: 1, h: 1 }, 'sd'],
    ['drift', { values: [1], mean: 1, sd: 1, k: 1, h: 1, lambda: 0 }, 'lambda'],
    ['drift', { values: [1], mean: 1, sd: 1, k: 1, h: 1, lambda: 1.01 }, 'lambda'],
    ['drift', { values: [1, null], mean: 1, sd: 1, k: 1, h: 1 }, 'values[1]'],
    ['drift', { values: [1], mean: 1, sd: 1 }, 'k'],
    ['tell-tale', { counts: [] }, 'counts'],
    ['tell-tale', { counts: [[]] }, 'counts[0]'],
    ['tell-tale', { counts: [[1, 2], [3]] }, 'counts[1]'],
    ['tell-tale', { counts: [[1.5]] }, 'counts[0][0]'],
    ['tell-tale', { counts: [[-1]] }, 'counts[0][0]'],
    ['growth', { weighIns: [] }, 'weighIns'],
    ['growth', { weighIns: [{ ageDays: -1, weightKg: 5 }] }, 'weighIns[0].ageDays'],
    ['growth', { weighIns: [{ ageDays: 60, weightKg: 0 }] }, 'weighIns[0].weightKg'],
    ['growth', { weighIns: [{ ageDays: 60, weightKg: 5 }], girths: [{ ageDays: 60, girthMm: 99 }] }, 'girths[0].girthMm'],
    ['growth', { weighIns: [{ ageDays: 60, weightKg: 5 }], at: ['90'] }, 'at[0]'],
    ['load', { kind: 'harness', leashForceN: 1, girthMm: 400 }, 'kind'],
    ['load', { kind: 'flat', leashForceN: 1, girthMm: 400 }, 'widthMm'],
    ['load', { kind: 'prong', leashForceN: 1, girthMm: 400, pitchMm: 30 }, 'tipAreaMm2'],
    ['load', { kind: 'slip', leashForceN: -1, girthMm: 400, widthMm: 3 }, 'leashForceN'],
    ['load', { kind: 'slip', leashForceN: 1, girthMm: 400, widthMm: 3, friction: -0.1 }, 'friction'],
  ])('%s refuses %j at %s', async (name, body, path) => {
    const response = await ask(name, body);
    expect(response.status).toBe(422);
    expect(response.body.errors.map((error: { path: string }) => error.path)).toContain(path);
  });
});
