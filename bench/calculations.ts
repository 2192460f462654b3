/**
 * `npm run bench`: how long the calculations take, as ratios to a reference loop on the same machine, beside the budget of
 * 2 ms a call. Medians of many runs after a warm-up.
 */
import { chooseProng, fingerSlack, houseRules, median, taping, unrollNeck, type ProngCollar } from '@banter/core';

const RUNS = 400;
const WARM_UP = 50;

function millisecondsOf(work: () => unknown): number {
  const times: number[] = [];
  for (let run = 0; run < RUNS + WARM_UP; run += 1) {
    const begun = performance.now();
    work();
    if (run >= WARM_UP) times.push(performance.now() - begun);
  }
  return median(times);
}

/** A fixed piece of arithmetic that has nothing to do with Banter. */
function referenceLoop(): number {
  let sum = 0;
  for (let i = 1; i <= 200_000; i += 1) sum += Math.sqrt(i) / (i + 1);
  return sum;
}

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

const reference = millisecondsOf(referenceLoop);
const rows: [string, number, number][] = [
  ['tape, ten readings', millisecondsOf(() => taping({ site: 'high', readingsMm, weightKg: 29, neckBuild: 'average' }, rules)), 2],
  ['finger slack', millisecondsOf(() => fingerSlack(390, 4, { thicknessMm: 14, widthMm: 18 })), 2],
  ['prong, four collars, four schools', millisecondsOf(() => chooseProng(few, rules)), 2],
  ['prong, 5,000 collars, four schools', millisecondsOf(() => chooseProng(many, rules)), 50],
  ['unrolled neck', millisecondsOf(() => unrollNeck({ highMm: 398, midMm: 442, baseMm: 500 })), 2],
];
console.log(`reference loop: ${reference.toFixed(3)} ms (1.00)`);
for (const [name, ms, budget] of rows) {
  console.log(
    `${name.padEnd(36)} ${ms.toFixed(4).padStart(9)} ms  ratio ${(ms / reference).toFixed(3).padStart(7)}  budget ${budget} ms ${ms <= budget ? 'kept' : 'MISSED'}`,
  );
}
