/**
 * `npm run bench`: how long the calculations take, as ratios to a reference loop on the same machine, beside the budget of
 * 2 ms a call, 50 ms for a dog against 5,000 collars, and a frame (16 ms) for a step of a slider. Medians of many runs after a warm-up.
 */
import { chooseProng, type ProngCollar } from '@banter/core/collars/prong';
import {
  fingerSlack,
  houseRules,
  taping,
  unrollNeck,
  benchSpeaker,
  houseSchools,
  type FittingDog,
  rotateContacts,
  rigOfTemplate,
  rigTemplates,
  rigProposals,
  rigRoutes,
  collarLoad,
  fitGrowth,
  growthReasons,
  wearMarks,
  wearsOf,
  type WearEvent,
  NOTHING_NOTED,
} from '@banter/core';
import { COLLAR_KIND_NAMES, COLLAR_KINDS, collarKind, fitAll, stockByKind, RIG_CATALOGUE, fitSureness, type SureNeck } from '@banter/contract';
import { choose } from '../web/workers/choose.ts';
import { millisecondsOf, referenceLoop, report } from './measure.ts';

const rules = houseRules();
const stockOf = (count: number): ProngCollar[] =>
  Array.from({ length: count }, (_none, i) => ({
    id: String(i),
    gaugeMm: [2, 2.25, 3, 3.2, 4][i % 5]!,
    pitchMm: [17, 24, 31, 33, 42][i % 5]!,
    insideGirthMm: 300 + ((i * 37) % 400),
    links: 8 + (i % 9),
    closingMm: 20 + (i % 12),
  }));
const question = (count: number) => ({
  girthMm: 398,
  headGirthMm: 472,
  weightKg: 29,
  pull: 'drags' as const,
  gaugeSchool: 'pull-first' as const,
  betweenSchool: 'finer' as const,
  stock: stockOf(count),
});
const few = question(4);
const many = question(5000);
const readingsMm = [390, 391, 392, 398, 391, 390, 389, 392, 391, 390];

/** A locker of 5,000 collars of every kind, none like another, and a dog that is taped for all of them. */
const lockerOf = (count: number) =>
  stockByKind(
    Array.from({ length: count }, (_none, i) => {
      const kind = COLLAR_KIND_NAMES[i % COLLAR_KIND_NAMES.length]!;
      const { usual } = COLLAR_KINDS[kind];
      return { id: `c${i}`, name: `Hook ${i}`, kind, retiredAt: null, numbers: usual[Math.floor(i / 9) % usual.length]!.numbers };
    }),
    NOTHING_NOTED,
  );
const dog: FittingDog = {
  weightKg: 29,
  pull: 'drags',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 900,
  skinGirthMm: 398,
  tapedGirthMm: 398,
  hairGirthMm: 410,
  midGirthMm: 450,
  headGirthMm: 472,
  muzzleGirthMm: 240,
  stopGirthMm: 290,
  muzzleLengthMm: 96,
  neckLengthMm: 160,
  coatDepthMm: 2,
  finger: { thicknessMm: 16, widthMm: 19 },
};
const house = { rules, schools: houseSchools(), headCollarChart: [] };
const speak = benchSpeaker('cm', 'kg');
const large = lockerOf(5000);
const usualLocker = lockerOf(27);
/** What a slider at the bench works out anew at each step: plan, rows, sentence and reasons of a made-up collar. */
const martingale = collarKind('martingale');
const hooks = usualLocker.martingale!;
const made = martingale.suggest(dog, hooks, house).choice!;
const hook = hooks.find(({ id }) => id === made.collarId)!;
function sliderStep() {
  const outcome = martingale.plan(dog, hook, hooks, made.choices, rules);
  return [
    martingale.rows(dog, hook, made.choices, outcome, rules),
    martingale.planSentence('Bramble', dog, hook, made.choices, outcome, null, speak),
    martingale.planReasons(outcome, speak),
  ];
}

/** Contacts moved every four hours for a quarter of a year, and a look at the skin a week. */
const HOUR_MS = 3_600_000;
const NOW = Date.UTC(2026, 5, 10, 9);
const worn = Array.from({ length: 540 }, (_none, n) => ({
  clock: ((n * 5) % 12) + 1,
  from: NOW - (n + 1) * 4 * HOUR_MS,
  to: n === 0 ? null : NOW - n * 4 * HOUR_MS,
}));
const skin = Array.from({ length: 13 }, (_none, n) => ({ clock: (n % 12) + 1, grade: (n % 3 === 0 ? 1 : 0) as 0 | 1, at: NOW - n * 168 * HOUR_MS }));
const rotation = { girthMm: 398, footprintMm: 62, school: 'clear-of-throat' as const, now: NOW, worn, skin };
const rig = rigOfTemplate(
  rigTemplates(RIG_CATALOGUE).find(({ id }) => id === 'coupler-second-snap')!,
  RIG_CATALOGUE,
);
/** Two months of wearing: 60 days of four wears with a move and a state each, told in any order. */
const told: WearEvent[] = Array.from({ length: 240 }, (_none, n) => {
  const at = NOW - n * 6 * HOUR_MS;
  const own = { dogId: 'd', collarId: `c${n % 2}` };
  return [
    { id: `${n}a`, at, event: 'put-on' as const, clock: 3, state: 'worked' as const, ...own },
    { id: `${n}b`, at: at + HOUR_MS, event: 'moved' as const, clock: 9, ...own },
    { id: `${n}c`, at: at + 2 * HOUR_MS, event: 'state' as const, state: 'crated' as const, ...own },
    { id: `${n}d`, at: at + 3 * HOUR_MS, event: 'taken-off' as const, ...own },
  ];
}).flat();
const context = { now: NOW + 12 * HOUR_MS, nights: [], skin, girthMm: 398, footprintMm: 62, rules, schools: houseSchools() };

/** A pup weighed every week for five months, and twice a week for as long. */
const weighed = (count: number, every: number) =>
  Array.from({ length: count }, (_none, n) => ({
    ageDays: 56 + n * every,
    weightKg: 30 * Math.exp(-Math.exp(-0.0145 * (56 + n * every - 100))) + Math.sin(n * 3) * 0.2,
  }));
const [weekly, often] = [weighed(20, 7), weighed(60, 3.5)];

/** One reading of the neck, and a collar that nobody measured. */
const sure: SureNeck = { high: { mm: 398, plusMinusMm: 10, from: 'one-reading' }, head: { mm: 470, plusMinusMm: 3, from: 'taped' } };
const typical = { id: 'c', name: 'C', numbers: collarKind('prong').usual[1]!.numbers, measured: false };

const reference = millisecondsOf(referenceLoop);
const rows: [string, number, number][] = [
  ['tape, ten readings', millisecondsOf(() => taping({ site: 'high', readingsMm, weightKg: 29, neckBuild: 'average' }, rules)), 2],
  ['finger slack', millisecondsOf(() => fingerSlack(390, 4, { thicknessMm: 14, widthMm: 18 })), 2],
  ['prong, four collars, four schools', millisecondsOf(() => chooseProng(few, rules)), 2],
  ['prong, 5,000 collars, four schools', millisecondsOf(() => chooseProng(many, rules)), 50],
  ['how sure a prong of typical numbers is', millisecondsOf(() => fitSureness('prong', dog, sure, typical, house)), 16],
  ['every kind, 27 collars', millisecondsOf(() => fitAll('Bramble', dog, usualLocker, house, speak)), 2],
  ['every kind, 5,000 collars', millisecondsOf(() => fitAll('Bramble', dog, large, house, speak), { runs: 60 }), 50],
  [
    'the same and every school',
    millisecondsOf(() => choose({ dogName: 'Bramble', dog, sure, stock: large, worn: {}, house, length: 'cm', mass: 'kg' }), { runs: 30 }),
    200,
  ],
  ['one step of a slider', millisecondsOf(sliderStep), 16],
  ['rotation, a quarter of a year', millisecondsOf(() => rotateContacts(rotation, rules)), 2],
  ['rig, its routes and proposals', millisecondsOf(() => [rigRoutes(rig), rigProposals(rig, ['prong', 'flat'], RIG_CATALOGUE)]), 2],
  [
    'two months of wears and their marks',
    millisecondsOf(() => {
      const { wears } = wearsOf(told);
      return wears.map((wear) => wearMarks(wear, collarKind('remote').traits.wear, wears, context));
    }),
    16,
  ],
  ['growth, 20 weighings', millisecondsOf(() => growthReasons(fitGrowth(weekly), weekly)), 2],
  ['growth, 60 weighings', millisecondsOf(() => growthReasons(fitGrowth(often), often)), 2],
  ['load of a slip', millisecondsOf(() => collarLoad({ kind: 'slip', leashForceN: 40, girthMm: 398, widthMm: 4, friction: 0.3 })), 2],
  ['unrolled neck', millisecondsOf(() => unrollNeck({ highMm: 398, midMm: 442, baseMm: 500 })), 2],
];
console.log(`reference loop: ${reference.toFixed(3)} ms (1.00)`);
for (const [name, ms, budget] of rows) report(name, ms, reference, budget);
