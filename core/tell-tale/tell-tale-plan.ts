import { randomLcg } from 'd3-random';
import type { Counts } from './mutual-information.ts';

/** One time of the plan: a day and a time of day (as a share of the open hours), what goes on, and whether work follows. */
export type TellTaleSlot = { day: number; part: number; worn: readonly string[]; work: boolean };

/** Collars that may go on together; more combinations than this say nothing in two weeks. */
const MOST_COLLARS = 3;
/** How often the shuffle is tried for one without three of the same in a row. */
const TRIES = 200;

/** Every combination of collars, nothing on among them. */
export function combinations(collars: readonly string[]): string[][] {
  return collars.slice(0, MOST_COLLARS).reduce<string[][]>((all, collar) => [...all, ...all.map((worn) => [...worn, collar])], [[]]);
}

function shuffled<One>(items: readonly One[], random: () => number): One[] {
  const dealt = [...items];
  for (let last = dealt.length - 1; last > 0; last -= 1) {
    const other = Math.floor(random() * (last + 1));
    [dealt[last], dealt[other]] = [dealt[other]!, dealt[last]!];
  }
  return dealt;
}

/**
 * Two weeks of collars on and off, two and three times a day in turn: each combination is followed by work as often as by nothing,
 * as nearly as the count of times allows, in an order that chance by a seed deals, never three of the same in a row.
 * Common practice; the balance is a complete block design dealt at random (Fisher, The Design of Experiments, 1935).
 */
export function tellTalePlan({ collars, days = 14, seed }: { collars: readonly string[]; days?: number; seed: number }): TellTaleSlot[] {
  const random = randomLcg(seed);
  const combos = combinations(collars);
  const times = Array.from({ length: days }, (_day, day) => (day % 2 === 0 ? 2 : 3)).flatMap((perDay, day) =>
    Array.from({ length: perDay }, (_time, time) => ({ day, part: (time + 0.15 + 0.7 * random()) / perDay })),
  );
  // Whole pairs of «work» and «nothing» first; what is left over is dealt to other combinations each time.
  const cells: { worn: string[]; work: boolean }[] = [];
  while (cells.length < times.length) {
    for (const worn of shuffled(combos, random)) {
      const first = random() < 0.5;
      cells.push({ worn, work: first }, { worn, work: !first });
    }
  }
  const used = cells.slice(0, times.length);
  const key = ({ worn, work }: { worn: readonly string[]; work: boolean }) => `${worn.join('+')} ${work}`;
  const runs = (dealt: readonly { worn: readonly string[]; work: boolean }[]) =>
    dealt.some((_one, index) => index >= 2 && key(dealt[index]!) === key(dealt[index - 1]!) && key(dealt[index]!) === key(dealt[index - 2]!));
  let dealt = shuffled(used, random);
  for (let tries = 0; tries < TRIES && runs(dealt); tries += 1) dealt = shuffled(used, random);
  return times.map((time, index) => ({ ...time, ...dealt[index]! }));
}

/** What was worn, as a row of the table; what followed, as a column: work, or nothing. */
export function tellTaleCounts(happened: readonly { worn: readonly string[]; work: boolean }[]): { rows: string[][]; counts: number[][] } {
  const rows = new Map<string, { worn: string[]; counts: [number, number] }>();
  for (const { worn, work } of happened) {
    const sorted = [...worn].sort();
    const row = rows.get(sorted.join('+')) ?? { worn: sorted, counts: [0, 0] };
    row.counts[work ? 0 : 1] += 1;
    rows.set(sorted.join('+'), row);
  }
  return { rows: [...rows.values()].map(({ worn }) => worn), counts: [...rows.values()].map(({ counts }) => counts) };
}

/** The row that gives most away, and which way it should be worn more often; null where none stands out by a whole time. */
export function tellTaleAdvice(counts: Counts): { row: number; wear: 'with-nothing' | 'with-work'; times: number } | null {
  const total = counts.flat().reduce((sum, count) => sum + count, 0);
  const work = counts.reduce((sum, row) => sum + (row[0] ?? 0), 0);
  if (total === 0) return null;
  const excess = counts.map((row, index) => {
    const worn = (row[0] ?? 0) + (row[1] ?? 0);
    return { index, over: (row[0] ?? 0) - (worn * work) / total };
  });
  const [most] = excess.sort((a, b) => Math.abs(b.over) - Math.abs(a.over));
  if (!most || Math.abs(most.over) < 1) return null;
  return { row: most.index, wear: most.over > 0 ? 'with-nothing' : 'with-work', times: Math.round(Math.abs(most.over)) };
}
