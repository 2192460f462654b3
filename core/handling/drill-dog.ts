import type { CorrectionWays } from './correction-ways.ts';
import { AFTER_MS, GIVEN_MS, LEAVES_MS, RETURNS_MS, type DrillPace, type DrillScene } from './drill-scene.ts';
import { yieldsAt, type Pressure } from './judge-drill.ts';

/** Where the dog is against its place beside the leg: ahead (negative: behind) and out from the leg, in body lengths; and where the other dog is, if any (0 to 1 across the drawing). */
export type DrillDog = { ahead: number; out: number; happening: boolean; yielding: boolean; other: number | null; over: boolean };

/** How far a dog leaves its place, in body lengths. From memory. */
const FAR = { ahead: [0.75, 0], wide: [0.05, 0.8], lags: [-0.75, 0], drawn: [0.3, 0.75], steady: [0, 0] } as const;
const ease = (share: number) => (share <= 0 ? 0 : share >= 1 ? 1 : share * share * (3 - 2 * share));

/** When a scene is over, ms from its beginning. */
export const sceneEnds = (scene: DrillScene, yieldedAt: number | null): number =>
  yieldedAt === null ? scene.quietMs + GIVEN_MS : yieldedAt + RETURNS_MS + AFTER_MS;

/**
 * The dog of a scene at a moment, ms from its beginning, under the pressures so far; a pressure that lasts still ends at that
 * moment. Pure, so that what is drawn and what is judged are the same dog.
 */
export function drillDog(scene: DrillScene, pressures: readonly Pressure[], at: number, { ways, pace }: { ways: CorrectionWays; pace: DrillPace }): DrillDog {
  const since = at - scene.quietMs;
  const leaves = LEAVES_MS[pace];
  const yieldedAt = yieldsAt(scene, pressures, ways);
  const [ahead, out] = FAR[scene.happening];
  const gone = (moment: number) => ease((moment - scene.quietMs) / leaves);
  const share = yieldedAt === null || at < yieldedAt ? gone(at) : gone(yieldedAt) * (1 - ease((at - yieldedAt) / RETURNS_MS));
  const passes = scene.happening === 'drawn' || scene.happening === 'steady';
  return {
    ahead: ahead * share,
    out: out * share,
    happening: since >= 0,
    yielding: yieldedAt !== null && at >= yieldedAt,
    other: passes && since > -1200 ? Math.min(1.1, (since + 1200) / (leaves + 3200)) : null,
    over: at >= sceneEnds(scene, yieldedAt),
  };
}
