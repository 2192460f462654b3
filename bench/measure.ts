import { median } from '@banter/core';

/** Median milliseconds of a piece of work, after a warm-up. */
export function millisecondsOf(work: () => unknown, { runs = 400, warmUp = 50 } = {}): number {
  const times: number[] = [];
  for (let run = 0; run < runs + warmUp; run += 1) {
    const begun = performance.now();
    work();
    if (run >= warmUp) times.push(performance.now() - begun);
  }
  return median(times);
}

const p95 = (times: number[]): number => times.sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1]!;

async function timed(work: (run: number) => Promise<unknown>, run: number): Promise<number> {
  const begun = performance.now();
  await work(run);
  return performance.now() - begun;
}

/** The 95th percentile of the milliseconds of something asked for again and again. */
export async function p95Of(work: (run: number) => Promise<unknown>, { runs = 60, warmUp = 10 } = {}): Promise<number> {
  const times: number[] = [];
  for (let run = 0; run < runs + warmUp; run += 1) {
    const ms = await timed(work, run);
    if (run >= warmUp) times.push(ms);
  }
  return p95(times);
}

/** The same of two that are to be compared, in turns, so that what else the machine does weighs on both alike. */
export async function p95OfBoth(
  one: () => Promise<unknown>,
  other: () => Promise<unknown>,
  options: { runs?: number; warmUp?: number } = {},
): Promise<[number, number]> {
  return (await timesOfBoth(one, other, options)).p95s;
}

/** Medians and 95th percentiles of two that are to be compared, in turns. */
export async function timesOfBoth(
  one: () => Promise<unknown>,
  other: () => Promise<unknown>,
  { runs = 60, warmUp = 10 } = {},
): Promise<{ medians: [number, number]; p95s: [number, number] }> {
  const times: [number[], number[]] = [[], []];
  for (let run = 0; run < runs + warmUp; run += 1) {
    const pair = [await timed(one, run), await timed(other, run)] as const;
    if (run >= warmUp) pair.forEach((ms, which) => times[which]!.push(ms));
  }
  return { medians: [median(times[0]), median(times[1])], p95s: [p95(times[0]), p95(times[1])] };
}

/** A fixed piece of arithmetic that has nothing to do with Banter. */
export function referenceLoop(): number {
  let sum = 0;
  for (let i = 1; i <= 200_000; i += 1) sum += Math.sqrt(i) / (i + 1);
  return sum;
}

/** A line of the report: what, how long, as a ratio to the reference loop, and whether the budget was kept. */
export function report(name: string, ms: number, reference: number, budgetMs: number): void {
  const kept = ms <= budgetMs ? 'kept' : 'MISSED';
  console.log(`${name.padEnd(44)} ${ms.toFixed(4).padStart(9)} ms  ratio ${(ms / reference).toFixed(3).padStart(7)}  budget ${budgetMs} ms ${kept}`);
}
