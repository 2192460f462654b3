/** Hours on the clock of the neck in cross-section, as seen from behind the dog: 12 nape, 3 its right, 6 windpipe, 9 its left. */
export const NAPE = 12;
export const THROAT = 6;

/**
 * Where a clock place lies on the unrolled neck, as a share of the way across from 6 (0, left edge) over 9 (¼),
 * 12 (½) and 3 (¾) to 6 (1, right edge). The throat itself answers 0.
 *
 * @example acrossAtClock(12) // 0.5
 */
export function acrossAtClock(clock: number): number {
  return ((((clock - THROAT) % 12) + 12) % 12) / 12;
}

/** Angle of a clock place on the cross-section, in radians clockwise from the nape at the top. */
export function angleAtClock(clock: number): number {
  return ((clock % 12) / 12) * 2 * Math.PI;
}

/** A point on a circle at a clock place; x to the dog's right, y down, in the unit of the radius. */
export function pointAtClock(clock: number, radius: number): { x: number; y: number } {
  const angle = angleAtClock(clock);
  return { x: radius * Math.sin(angle), y: -radius * Math.cos(angle) };
}
