import { BASE_TO_HIGH } from '../measure/neck-build.ts';

/** Neck length over high girth where the length is not taped, ear base to shoulder. From memory. */
const LENGTH_TO_HIGH = 0.42;

/** What is known of a neck, in mm. */
export type NeckTape = {
  highMm: number;
  midMm?: number | undefined;
  baseMm?: number | undefined;
  lengthMm?: number | undefined;
};

/** A height on the neck with its girth, both mm; `taped` false where it is a guess. */
export type NeckLevel = { site: 'high' | 'mid' | 'base'; downMm: number; girthMm: number; taped: boolean };

/**
 * The neck's girth from the ear base down: high at the top, mid half-way, base at the shoulders.
 *
 * What is not taped is guessed and marked: the base a quarter more than the high girth (or as far beyond mid as mid is
 * beyond high), mid half-way between its neighbours, the length 0.42 of the high girth. Base ratio and length from memory.
 */
export function girthProfile({ highMm, midMm, baseMm, lengthMm }: NeckTape): { levels: [NeckLevel, NeckLevel, NeckLevel]; lengthTaped: boolean } {
  const length = lengthMm ?? LENGTH_TO_HIGH * highMm;
  const base = baseMm ?? (midMm === undefined ? BASE_TO_HIGH * highMm : Math.max(midMm, 2 * midMm - highMm));
  const mid = midMm ?? (highMm + base) / 2;
  return {
    lengthTaped: lengthMm !== undefined,
    levels: [
      { site: 'high', downMm: 0, girthMm: highMm, taped: true },
      { site: 'mid', downMm: length / 2, girthMm: mid, taped: midMm !== undefined },
      { site: 'base', downMm: length, girthMm: base, taped: baseMm !== undefined },
    ],
  };
}

/** The girth in mm at a height, straight between the levels and level beyond them. */
export function girthAt(levels: readonly NeckLevel[], downMm: number): number {
  const first = levels[0]!;
  if (downMm <= first.downMm) return first.girthMm;
  for (let i = 1; i < levels.length; i += 1) {
    const above = levels[i - 1]!;
    const below = levels[i]!;
    if (downMm <= below.downMm) {
      const share = (downMm - above.downMm) / (below.downMm - above.downMm);
      return above.girthMm + share * (below.girthMm - above.girthMm);
    }
  }
  return levels.at(-1)!.girthMm;
}
