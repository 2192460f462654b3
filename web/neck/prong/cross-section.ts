import { angleAtClock } from '@banter/core';
import { prongGirths, prongPieces, type LinkSplit, type ProngCollar, type ProngPiece } from '@banter/core/collars/prong';
import type { Point } from '../ring-shapes.ts';

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
