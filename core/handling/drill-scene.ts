import { randomLcg } from 'd3-random';

/** What a dog does beside the leg, or what comes by. */
export const HAPPENINGS = ['ahead', 'wide', 'lags', 'drawn', 'steady'] as const;
export type Happening = (typeof HAPPENINGS)[number];
export const HAPPENING_WORDS: Record<Happening, { name: string; says: string }> = {
  ahead: { name: 'comes ahead', says: 'The dog comes ahead of the leg.' },
  wide: { name: 'goes wide', says: 'The dog goes wide.' },
  lags: { name: 'lags', says: 'The dog lags.' },
  drawn: { name: 'is drawn to another dog', says: 'Another dog passes, and yours is drawn to it.' },
  steady: { name: 'is steady past another dog', says: 'Another dog passes, and yours stays: nothing to correct, much to pay.' },
};

/** How hard it comes: how long is walked in peace, and how fast a dog leaves its place. */
export const DRILL_PACES = ['calm', 'brisk'] as const;
export type DrillPace = (typeof DRILL_PACES)[number];

/** One scene: so long of quiet walking, then what happens; so long under the right pressure until the dog yields; ms. */
export type DrillScene = { happening: Happening; quietMs: number; yieldsMs: number };

/** How long a dog takes from its place to where it is wrong, and back, ms. */
export const LEAVES_MS: Record<DrillPace, number> = { calm: 1400, brisk: 900 };
export const RETURNS_MS = 500;
/** A scene in which nobody answers is over so long after it began to happen, ms. */
export const GIVEN_MS = 4000;
/** After the dog is back it walks on so long, in which it can be paid, ms. */
export const AFTER_MS = 1500;

const between = (low: number, high: number, chance: number) => Math.round(low + (high - low) * chance);

/**
 * The scenes of a drill: every happening as often as the count allows, in an order and at moments that chance by the seed deals.
 * `seed` is a whole number from 0; the same seed makes the same drill. Lengths from memory.
 */
export function drillScenes({ seed, count, pace }: { seed: number; count: number; pace: DrillPace }): DrillScene[] {
  const random = randomLcg((seed % 99_991) / 99_991);
  const deck = Array.from({ length: count }, (_scene, index) => HAPPENINGS[index % HAPPENINGS.length]!);
  for (let last = deck.length - 1; last > 0; last -= 1) {
    const other = Math.floor(random() * (last + 1));
    [deck[last], deck[other]] = [deck[other]!, deck[last]!];
  }
  const [least, most] = pace === 'calm' ? [2000, 5000] : [900, 3200];
  return deck.map((happening) => ({ happening, quietMs: between(least, most, random()), yieldsMs: between(250, 700, random()) }));
}
