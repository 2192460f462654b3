import {
  collarKind,
  fitKind,
  houseOf,
  latestGirths,
  stockByKind,
  fittingDog,
  type CollarKindName,
  type DogPage,
  type Kennel,
  type LinkBalance,
} from '@banter/contract';
import { contractSpeaker, NOTHING_NOTED, slackOfFingersUnder } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { newKennel, openBanter, screening, someCollar, someDog, somePlace, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

/** Nine dogs of different builds: girths mm, weight kg, and the collar their trainer wants for each. */
const DOGS = [
  { name: 'Toy', kg: 3.4, neckBuild: 'average', pull: 'settled', high: 190, head: 226, wants: 'wide-throat' },
  { name: 'Sighthound', kg: 14, neckBuild: 'slender', pull: 'settled', high: 285, head: 296, wants: 'martingale' },
  { name: 'Spaniel', kg: 14.5, neckBuild: 'average', pull: 'pulls', high: 338, head: 400, wants: 'prong' },
  { name: 'Flat face', kg: 12.5, neckBuild: 'heavy', pull: 'pulls', high: 358, head: 402, wants: 'martingale' },
  { name: 'Retriever', kg: 29, neckBuild: 'average', pull: 'drags', high: 398, head: 472, wants: 'prong' },
  { name: 'Shepherd', kg: 32, neckBuild: 'average', pull: 'drags', high: 420, head: 448, wants: 'slip' },
  { name: 'Collie', kg: 18, neckBuild: 'average', pull: 'pulls', high: 344, head: 420, wants: 'flat' },
  { name: 'Mastiff', kg: 56, neckBuild: 'heavy', pull: 'settled', high: 592, head: 668, wants: 'head-collar' },
  { name: 'Mountain dog', kg: 45, neckBuild: 'heavy', pull: 'pulls', high: 512, head: 600, wants: 'prong' },
] as const;

const prong = (name: string, gaugeMm: number, pitchMm: number, insideGirthMm: number, links: number) => ({
  ...someCollar,
  name,
  numbers: { gaugeMm, pitchMm, insideGirthMm, links, closingMm: 31 },
});
const other = (kind: CollarKindName, name: string, numbers: object) => ({ ...someCollar, kind, name, metal: null, numbers });
const strap = { widthMm: 20, buckle: 'metal tongue', holePitchMm: null };
const STOCK = [
  prong('Rush', 2.25, 24.2, 402, 14),
  prong('Reed', 2.25, 24.2, 402, 14),
  prong('Alder', 3, 31.2, 480, 13),
  prong('Hazel', 3, 31.2, 480, 13),
  prong('Long Alder', 3, 31.2, 560, 16),
  other('wide-throat', 'Clover', { minMm: 180, maxMm: 260, ...strap }),
  other('flat', 'Bulrush', { minMm: 300, maxMm: 480, ...strap }),
  other('martingale', 'Osier', { strapMinMm: 200, strapMaxMm: 340, loopMm: 70, widthMm: 50, loop: 'cloth', hardware: 'metal', buckled: false }),
  other('martingale', 'Willow', { strapMinMm: 280, strapMaxMm: 440, loopMm: 70, widthMm: 38, loop: 'cloth', hardware: 'metal', buckled: false }),
  other('slip', 'Heron', { lengthMm: 482.6, ringMm: 20, material: 'chain', thickMm: 2.5, longLink: false }),
  other('head-collar', 'Bellpull', { neckMinMm: 430, neckMaxMm: 640, noseMinMm: 240, noseMaxMm: 400, widthMm: 16 }),
];

/** What hands and eyes find when a collar sits as it should; the fingers under it are counted from the slack it has. */
const RIGHT: Partial<Record<CollarKindName, Record<string, string | null>>> = {
  prong: { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null },
  'wide-throat': { breathing: 'free', sits: 'high', broad: 'throat', comesOver: 'no', buckle: 'sound' },
  flat: { breathing: 'free', sits: 'high', shake: 'stays', comesOver: 'no', buckle: 'sound' },
  martingale: { breathing: 'free', through: 'strap', sits: 'high', rings: 'meet', opens: 'yes', comesOver: 'no', loop: 'no' },
  slip: { breathing: 'free', letter: 'P', sits: 'high', letsGo: 'yes', gap: 'inside', passes: 'easily', headDown: 'stays' },
  'head-collar': { breathing: 'free', mouth: 'yes', slides: 'leather', nose: '1', eyes: 'yes', angle: 'yes', sits: 'high', safety: 'yes' },
};
const lengthOf: Partial<Record<CollarKindName, (on: Record<string, number>) => number>> = {
  'wide-throat': (on) => on.setMm!,
  flat: (on) => on.setMm!,
  martingale: (on) => on.strapMm! + 35,
  'head-collar': (on) => on.neckMm!,
};

it('a trainer’s afternoon: nine dogs of different builds are fitted from the locker, and the links add up when counted at the end', async () => {
  const agent = await newKennel(banter.app, 'Nine Dogs');
  const must = async (path: string, body: object) => {
    const response = await agent.put(path).send(body);
    expect([path, response.status, response.body.errors ?? null]).toEqual([path, 201, null]);
    return response.body;
  };
  const placeId = uuidv7();
  await must(`/api/places/${placeId}`, somePlace);
  for (const collar of STOCK) await must(`/api/collars/${uuidv7()}`, collar);
  // A handful of spare links of the stouter gauge is bought beforehand.
  await must(`/api/link-moves/${uuidv7()}`, { gaugeMm: 3, count: 4, from: 'outside', to: 'bag', why: 'bought', note: '', at: '2026-03-02T08:00:00.000Z' });
  const kennel = (await agent.get('/api/kennel')).body as Kennel;
  const taken = new Set<string>();
  const wornLinks = new Map<string, number>();

  for (const [index, { name, kg, high, head, wants, neckBuild, pull }] of DOGS.entries()) {
    const dogId = uuidv7();
    const at = (minute: number) => `2026-03-02T${String(9 + index).padStart(2, '0')}:${String(minute).padStart(2, '0')}:00.000Z`;
    await must(`/api/dogs/${dogId}`, { ...someDog, name, weightG: kg * 1000, neckBuild, pull });
    await must(`/api/screenings/${uuidv7()}`, { ...screening(dogId), at: at(0) });
    const sites = {
      high,
      head,
      mid: Math.round(high * 1.08),
      muzzle: Math.round(high * 0.5),
      stop: Math.round(high * 0.6),
      'muzzle-length': 90,
    } as const;
    for (const [site, mm] of Object.entries(sites))
      await must(`/api/tapings/${uuidv7()}`, {
        ...taping(dogId, { site: site as keyof typeof sites, readingsMm: [mm, mm, mm], typed: [], weightG: kg * 1000, neckBuild, at: at(5) }),
      });
    const page = (await agent.get(`/api/dogs/${dogId}/bench`)).body as DogPage;
    const facts = fittingDog(page.dog, latestGirths(page.tapings), { today: '2026-03-02' });
    const stock = stockByKind(
      page.collars.filter(({ id }) => !taken.has(id)),
      NOTHING_NOTED,
    );
    const fit = fitKind(wants, name, facts, stock, houseOf(kennel, page.dog), contractSpeaker);
    expect([name, fit.missing, fit.tone]).toEqual([name, [], expect.stringMatching(/good|mind/)]);
    taken.add(fit.collarId!);
    const planId = uuidv7();
    const plan = await must(`/api/plans/${planId}`, { dogId, collarId: fit.collarId, kind: wants, choices: fit.choices, placeId, note: '', at: at(10) });
    expect([name, plan.outcome.keep]).toEqual([name, true]);

    const kind = collarKind(wants);
    let on = kind.firstSetting(plan.choices) as Record<string, number>;
    let verdict = '';
    for (let turn = 0; turn < 5 && verdict !== 'good'; turn += 1) {
      const slackMm = lengthOf[wants] ? lengthOf[wants](on) - facts.hairGirthMm! : 0;
      const under = [4, 3, 2, 1, 0].find((count) => slackOfFingersUnder(count, facts.hairGirthMm!, facts.finger).lowMm <= slackMm + 1e-6)!;
      const answers = { ...RIGHT[wants], ...(lengthOf[wants] ? { under: String(under) } : {}) };
      const check = await must(`/api/fit-checks/${uuidv7()}`, { dogId, planId, kind: wants, on, answers, note: '', at: at(20 + turn) });
      verdict = check.outcome.verdict;
      if (wants === 'prong') wornLinks.set(fit.collarId!, on.left! + on.right!);
      on = kind.nextSetting(check.outcome) as Record<string, number>;
    }
    expect([name, verdict]).toEqual([name, 'good']);
  }

  const links = (await agent.get('/api/locker')).body.links as LinkBalance[];
  const of = (account: string, gaugeMm: number) => links.find((one) => one.account === account && one.gaugeMm === gaugeMm)?.count ?? 0;
  expect(wornLinks.size).toBe(3);
  for (const [collarId, count] of wornLinks) expect(of(`collar:${collarId}`, 3) + of(`collar:${collarId}`, 2.25)).toBe(count);
  // By hand: 2 × 14 links of 2.25 mm and 13 + 13 + 16 + 4 of 3.0 mm came in; none was lost, none made.
  const held = (gaugeMm: number) => links.filter((one) => one.gaugeMm === gaugeMm && one.account !== 'outside').reduce((sum, { count }) => sum + count, 0);
  expect([held(2.25), held(3)]).toEqual([28, 46]);
  expect([of('outside', 2.25), of('outside', 3)]).toEqual([-28, -46]);
  for (const { account, count } of links) if (account !== 'outside') expect([account, count >= 0]).toEqual([account, true]);
  const { rows: dogs } = (await agent.get('/api/dog-cards')).body as { rows: { fits: unknown[] }[] };
  expect(dogs.map(({ fits }) => fits.length)).toEqual(Array.from({ length: 9 }, () => 1));
});
