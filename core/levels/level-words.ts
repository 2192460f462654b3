import type { LevelScale } from './staircase.ts';
/**
 * A level as it is said: on the device's own scale, to a tenth, with a true minus.
 *
 * @example levelWords(11.26) // '11.3'
 */
export function levelWords(level: number): string {
  const rounded = Math.round(level * 10) / 10;
  return String(rounded === 0 ? 0 : rounded).replace('-', '−');
}

/** A level so many steps of the scale away, never past its ends; a scale's tenths add up without a rest. */
export const levelSteps = (level: number, steps: number, { min, max, step }: LevelScale): number =>
  Math.round(Math.min(max, Math.max(min, level + steps * step)) * 1e6) / 1e6;
