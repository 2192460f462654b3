/** Three numbers; a symmetric table of three by three, row by row. */
export type Three = readonly [number, number, number];
export type Table = readonly [Three, Three, Three];

/** The inverse by cofactors; null where the table is singular to rounding. */
export function inverse([[a, b, c], [d, e, f], [g, h, i]]: Table): Table | null {
  const [A, B, C] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const determinant = a * A + b * B + c * C;
  const size = Math.abs(a * A) + Math.abs(b * B) + Math.abs(c * C);
  if (!(Math.abs(determinant) > 1e-13 * size)) return null;
  const by = (value: number) => value / determinant;
  return [
    [by(A), by(c * h - b * i), by(b * f - c * e)],
    [by(B), by(a * i - c * g), by(c * d - a * f)],
    [by(C), by(b * g - a * h), by(a * e - b * d)],
  ];
}

export const times = (table: Table, by: Three): Three => table.map((row) => row[0] * by[0] + row[1] * by[1] + row[2] * by[2]) as unknown as Three;
/** byᵀ · table · by. */
export const spreadOf = (table: Table, by: Three): number => {
  const t = times(table, by);
  return t[0] * by[0] + t[1] * by[1] + t[2] * by[2];
};
