import { acrossAtClock } from './clock.ts';
import { girthAt, girthProfile, type NeckLevel, type NeckTape } from './girth-profile.ts';
import { atMost } from '../units/tolerance.ts';

/** A point on the unrolled neck in mm: x across from the nape (negative to the dog's left), y down from the ear base. */
export type NeckPoint = { x: number; y: number };

/** One straight piece of the outline; dashed where it leads to a guess. */
export type OutlineEdge = { from: NeckPoint; to: NeckPoint; guessed: boolean };

/** The neck as a flat map, to scale, in mm. */
export type UnrolledNeck = {
  levels: [NeckLevel, NeckLevel, NeckLevel];
  outline: NeckPoint[];
  edges: OutlineEdge[];
  widthMm: number;
  lengthMm: number;
};

/**
 * Unrolls a neck: ears at the top edge, shoulders at the bottom, throat at both ends, nape in the middle.
 * The outline is as wide as the girth at each height, straight between the taped sites. Source: geometry.
 */
export function unrollNeck(tape: NeckTape): UnrolledNeck {
  const { levels, lengthTaped } = girthProfile(tape);
  const [high, mid, base] = levels;
  const at = (level: NeckLevel, side: -1 | 1): NeckPoint => ({ x: (side * level.girthMm) / 2, y: level.downMm });
  const edge = (from: NeckLevel, to: NeckLevel, side: -1 | 1): OutlineEdge => ({
    from: at(from, side),
    to: at(to, side),
    guessed: !(from.taped && to.taped),
  });
  return {
    levels,
    outline: [at(high, -1), at(high, 1), at(mid, 1), at(base, 1), at(base, -1), at(mid, -1)],
    edges: [
      { from: at(high, -1), to: at(high, 1), guessed: false },
      edge(high, mid, 1),
      edge(mid, base, 1),
      { from: at(base, -1), to: at(base, 1), guessed: !(base.taped && lengthTaped) },
      edge(mid, base, -1),
      edge(high, mid, -1),
    ],
    widthMm: Math.max(high.girthMm, mid.girthMm, base.girthMm),
    lengthMm: base.downMm,
  };
}

/** Where a clock place at a height lies on the map, in mm. The throat is at the left end; add the girth for the right. */
export function placeOnNeck(neck: UnrolledNeck, clock: number, downMm: number): NeckPoint {
  return { x: (acrossAtClock(clock) - 0.5) * girthAt(neck.levels, downMm), y: downMm };
}

/**
 * A stretch along a collar laid on the map. `startMm` and `lengthMm` run clockwise from the collar's own middle, which lies
 * at `middleClock`; `insideMm` is the collar's inside girth, stretched or shrunk onto the girth it lies on. A stretch that
 * runs over the throat is cut in two. Answers spans in mm from the nape.
 */
export function spansOnNeck(
  neck: UnrolledNeck,
  collar: { middleClock: number; downMm: number; insideMm: number },
  startMm: number,
  lengthMm: number,
): { fromX: number; toX: number }[] {
  const girth = girthAt(neck.levels, collar.downMm);
  const scale = girth / collar.insideMm;
  const wrap = (x: number) => ((((x + girth / 2) % girth) + girth) % girth) - girth / 2;
  const fromX = wrap((acrossAtClock(collar.middleClock) - 0.5) * girth + startMm * scale);
  const toX = fromX + lengthMm * scale;
  if (atMost(toX, girth / 2)) return [{ fromX, toX }];
  return [
    { fromX, toX: girth / 2 },
    { fromX: -girth / 2, toX: toX - girth },
  ];
}
