import type { LinkSplit } from './link-split.ts';
import type { ProngCollar } from './prong-collar.ts';
import { prongGirths } from './prong-girths.ts';

/** One piece of a prong collar along its inside, from `startMm` for `lengthMm`, clockwise from the middle of the chain. */
export type ProngPiece =
  | { kind: 'link'; side: 'left' | 'right'; place: number; startMm: number; lengthMm: number }
  | { kind: 'plate'; startMm: number; lengthMm: number }
  | { kind: 'chain'; startMm: number; lengthMm: number };

/**
 * The pieces of a prong collar round its inside, in mm clockwise (over the dog's right) from the middle of the chain.
 *
 * Each removable link is one pitch. What is left of the inside girth is shared by the centre plate, one pitch at most,
 * and the chain between the two rings. `place` counts links from the chain down, 1 first, on each side. The pieces add up
 * to the inside girth at rest. Source: geometry; the plate's share from memory.
 */
export function prongPieces(collar: ProngCollar, { left, right }: LinkSplit): ProngPiece[] {
  const inside = prongGirths(collar, left + right, 0).relaxedGirthMm;
  const rest = Math.max(0, inside - (left + right) * collar.pitchMm);
  const plate = Math.min(collar.pitchMm, rest / 2);
  const chain = rest - plate;
  const link = Math.min(collar.pitchMm, left + right > 0 ? (inside - rest) / (left + right) : 0);
  const pieces: ProngPiece[] = [{ kind: 'chain', startMm: -chain / 2, lengthMm: chain }];
  let at = chain / 2;
  for (let place = 1; place <= right; place += 1, at += link) pieces.push({ kind: 'link', side: 'right', place, startMm: at, lengthMm: link });
  pieces.push({ kind: 'plate', startMm: at, lengthMm: plate });
  at += plate;
  for (let place = left; place >= 1; place -= 1, at += link) pieces.push({ kind: 'link', side: 'left', place, startMm: at, lengthMm: link });
  return pieces;
}

/** Width of a prong collar's band on the neck in mm, tip row to tip row, by gauge. From memory. */
export function prongWidthMm(gaugeMm: number): number {
  return 12 + 4.5 * gaugeMm;
}
