import { randomLcg } from 'd3-random';

/** A table of counts: rows what is worn, columns what followed. All rows of one length; counts whole and not negative. */
export type Counts = readonly (readonly number[])[];

/** What one tells of the other, in bits. */
export type MutualInformation = {
  bits: number;
  rowBits: number;
  columnBits: number;
  /** How many times something was counted. */
  total: number;
  /** What small counts alone add on average (Miller–Madow), bits. */
  biasBits: number;
  /** Share of shuffled tables that say as much or more; null where too much was counted to shuffle. */
  chance: number | null;
};

const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0);
/** p·log₂ p summed with its sign turned, of counts. */
const entropy = (counts: readonly number[], total: number) => sum(counts.map((count) => (count > 0 ? -(count / total) * Math.log2(count / total) : 0)));
const used = (counts: readonly number[]) => counts.filter((count) => count > 0).length;

const bitsOf = (counts: Counts, rows: readonly number[], columns: readonly number[], total: number) =>
  Math.max(
    0,
    sum(counts.flatMap((row, i) => row.map((count, j) => (count > 0 ? (count / total) * Math.log2((count * total) / (rows[i]! * columns[j]!)) : 0)))),
  );

/** The most shuffles, and the most counts dealt in all of them: chance is told within a few per cent, in about a millisecond. */
const MOST_SHUFFLES = 999;
const MOST_DEALT = 32_000;
/** Beyond this many counts chance says next to nothing, and is not asked. */
const MOST_COUNTS = 500;
const SEED = 0.42;

/**
 * Mutual information of a table of counts, its entropies, what small counts alone would add, and how often chance says as much.
 * All zero, with chance 1, when nothing was counted.
 * Source: Cover & Thomas, Elements of Information Theory (2nd ed. 2006), §2.3; the bias, Miller (1955) as in Panzeri et al.,
 * J. Neurophysiol. 98 (2007), 1064–1072; the permutation test after Fisher (1935).
 *
 * @example mutualInformation([[5, 0], [0, 5]]).bits // 1
 */
export function mutualInformation(counts: Counts): MutualInformation {
  const rows = counts.map(sum);
  const columns = (counts[0] ?? []).map((_count, column) => sum(counts.map((row) => row[column]!)));
  const total = sum(rows);
  if (total === 0) return { bits: 0, rowBits: 0, columnBits: 0, total, biasBits: 0, chance: 1 };
  const bits = bitsOf(counts, rows, columns, total);
  const biasBits = Math.max(0, ((used(rows) - 1) * (used(columns) - 1)) / (2 * total * Math.LN2));
  return { bits, rowBits: entropy(rows, total), columnBits: entropy(columns, total), total, biasBits, chance: chanceOf(counts, rows, columns, total) };
}

/** How often what followed, dealt anew to what was worn, tells as much: with fixed margins only Σ n·log n of the cells differs. */
function chanceOf(counts: Counts, rows: readonly number[], columns: readonly number[], total: number): number | null {
  if (used(rows) < 2 || used(columns) < 2) return 1;
  if (total > MOST_COUNTS) return null;
  const nLogN = Array.from({ length: total + 1 }, (_one, n) => (n === 0 ? 0 : n * Math.log2(n)));
  const told = sum(counts.flatMap((row) => row.map((count) => nLogN[count]!))) - 1e-9;
  const random = randomLcg(SEED);
  const width = columns.length;
  const worn = rows.flatMap((count, row) => new Array<number>(count).fill(row * width));
  const followed = columns.flatMap((count, column) => new Array<number>(count).fill(column));
  const cells = new Array<number>(rows.length * width);
  const shuffles = Math.min(MOST_SHUFFLES, Math.floor(MOST_DEALT / total));
  let asMuch = 1;
  for (let shuffle = 0; shuffle < shuffles; shuffle += 1) {
    cells.fill(0);
    for (let left = total; left > 0; left -= 1) {
      const drawn = Math.floor(random() * left);
      const column = followed[drawn]!;
      followed[drawn] = followed[left - 1]!;
      followed[left - 1] = column;
      cells[worn[left - 1]! + column]! += 1;
    }
    let tells = 0;
    for (const count of cells) tells += nLogN[count]!;
    if (tells >= told) asMuch += 1;
  }
  return asMuch / (shuffles + 1);
}
