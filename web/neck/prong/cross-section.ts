import { angleAtClock, prongGirths, prongPieces, type LinkSplit, type ProngCollar, type ProngPiece } from '@banter/core';

/** A point of the drawing in mm, from the middle of the neck; x to the dog's right, y down. */
export type Point = { x: number; y: number };

/** A piece of the collar with where its middle sits on the ring and which way it looks. */
export type PlacedPiece = ProngPiece & { from: number; to: number; middle: Point; degrees: number };

/** A prong round a neck in cross-section, to scale in mm. */
export type ProngSection = {
  neckRadius: number;
  restRadius: number;
  closedRadius: number;
  /** The middle of the collar at rest: with slack it hangs from the nape, and all its room is at the throat. */
  centre: Point;
  pieces: PlacedPiece[];
};

/** The cross-section of a collar made up with a split, its ring at a clock place. Source: geometry of circles. */
export function prongSection(collar: ProngCollar, split: LinkSplit, girthMm: number, ringAt: number): ProngSection {
  const { relaxedGirthMm, closedGirthMm } = prongGirths(collar, split.left + split.right, girthMm);
  const neckRadius = girthMm / (2 * Math.PI);
  const restRadius = Math.max(1, relaxedGirthMm / (2 * Math.PI));
  const centre = { x: 0, y: Math.max(0, restRadius - neckRadius) };
  const start = angleAtClock(ringAt);
  const pieces = prongPieces(collar, split).map((piece) => {
    const from = start + piece.startMm / restRadius;
    const to = from + piece.lengthMm / restRadius;
    const angle = (from + to) / 2;
    return {
      ...piece,
      from,
      to,
      middle: { x: centre.x + restRadius * Math.sin(angle), y: centre.y - restRadius * Math.cos(angle) },
      degrees: (angle * 180) / Math.PI,
    };
  });
  return { neckRadius, restRadius, closedRadius: Math.max(1, closedGirthMm / (2 * Math.PI)), centre, pieces };
}

/** A piece of a ring between two radii and two angles, as an SVG path. */
export function ringSector(centre: Point, inner: number, outer: number, from: number, to: number): string {
  const at = (radius: number, angle: number) => `${centre.x + radius * Math.sin(angle)},${centre.y - radius * Math.cos(angle)}`;
  const large = to - from > Math.PI ? 1 : 0;
  return `M${at(inner, from)} A${inner},${inner} 0 ${large} 1 ${at(inner, to)} L${at(outer, to)} A${outer},${outer} 0 ${large} 0 ${at(outer, from)} Z`;
}
