import { HOUR_MS } from '../units/durations.ts';
/** A planned session as it is looked for: whose, and when it was to begin (ms). */
type Planned = { id: string; dogId: string; at: number };
/** A session that was held: whose, and when it began (ms). */
type Held = { id: string; dogId: string; at: number };

/** A session begun further off than this from its time was another one. From memory. */
const WITHIN_MS = 3 * HOUR_MS;

/**
 * Which planned session each held one was: the nearest of its dog within three hours, nearest pairs first, each once. Sessions
 * nobody planned, and plans nobody kept, are in no pair. Own rule; from memory.
 *
 * @example heldSessions([{ id: 'p', dogId: 'd', at: 0 }], [{ id: 'h', dogId: 'd', at: 60_000 }]).get('p') // 'h'
 */
export function heldSessions(planned: readonly Planned[], held: readonly Held[]): Map<string, string> {
  const pairs = planned
    .flatMap((plan) => held.filter(({ dogId }) => dogId === plan.dogId).map((one) => ({ plan, one, gap: Math.abs(one.at - plan.at) })))
    .filter(({ gap }) => gap <= WITHIN_MS)
    .sort((a, b) => a.gap - b.gap || (a.plan.id < b.plan.id ? -1 : 1));
  const found = new Map<string, string>();
  const taken = new Set<string>();
  for (const { plan, one } of pairs) {
    if (found.has(plan.id) || taken.has(one.id)) continue;
    found.set(plan.id, one.id);
    taken.add(one.id);
  }
  return found;
}
