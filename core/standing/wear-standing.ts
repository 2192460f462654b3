import type { WearState } from '../wear/wear-states.ts';

/** What happens to a collar on a dog; `at` in ms since 1970, UTC. Ids decide the order of what happened at the same instant. */
export type WearEvent = { id: string; at: number; collarId: string; dogId: string } & (
  | { event: 'put-on'; clock: number | null; state: WearState }
  | { event: 'taken-off' }
  | { event: 'moved'; clock: number }
  | { event: 'state'; state: WearState }
);

/** What is odd about the events themselves, whatever the collar. */
export type WearOddity =
  | { code: 'put-on-twice'; at: number; eventId: string }
  | { code: 'taken-off-twice'; at: number; eventId: string }
  | { code: 'never-on'; at: number; eventId: string; event: WearEvent['event'] }
  | { code: 'end-unknown'; at: number; eventId: string };

/** A stretch of one state, or of one clock place. */
export type Span<Value> = { value: Value; from: number; to: number | null };

/** One wear of a collar: from when it was put on until it was taken off, null while it is on. */
export type Wear = {
  id: string;
  collarId: string;
  dogId: string;
  from: number;
  to: number | null;
  states: Span<WearState>[];
  places: Span<number>[];
  oddities: WearOddity[];
};

const inOrder = (a: WearEvent, b: WearEvent) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

function closeSpans(wear: Wear, at: number) {
  for (const spans of [wear.states, wear.places]) {
    const last = spans.at(-1);
    if (last && last.to === null) last.to = at;
  }
  wear.to = at;
}

function nextSpan<Value>(spans: Span<Value>[], value: Value, at: number) {
  const last = spans.at(-1);
  if (last?.value === value && last.to === null) return;
  if (last) last.to = at;
  if (last && last.from === at) spans.pop();
  spans.push({ value, from: at, to: null });
}

/**
 * The wears that events amount to, whatever order they arrive in and however often each comes: events are taken by id once, in
 * the order of their times. A collar cannot be on two dogs: put on another one, its earlier wear ends there at the latest, and
 * is marked `end-unknown` to be asked about. Taken off twice, the first counts. Wears are answered by their beginning; events
 * that fit no wear come back as `strays`.
 */
export function wearsOf(events: readonly WearEvent[]): { wears: Wear[]; strays: (WearOddity & { dogId: string; collarId: string })[] } {
  const once = [...new Map(events.map((event) => [event.id, event])).values()].sort(inOrder);
  const open = new Map<string, Wear>();
  const last = new Map<string, Wear>();
  const wears: Wear[] = [];
  const strays: (WearOddity & { dogId: string; collarId: string })[] = [];
  for (const event of once) {
    const { at, collarId, dogId, id: eventId } = event;
    const on = open.get(collarId);
    const own = on?.dogId === dogId ? on : undefined;
    if (event.event === 'put-on') {
      if (own) {
        own.oddities.push({ code: 'put-on-twice', at, eventId });
        nextSpan(own.states, event.state, at);
        if (event.clock !== null) nextSpan(own.places, event.clock, at);
        continue;
      }
      if (on) {
        on.oddities.push({ code: 'end-unknown', at, eventId });
        closeSpans(on, at);
      }
      const wear: Wear = {
        id: eventId,
        collarId,
        dogId,
        from: at,
        to: null,
        states: [{ value: event.state, from: at, to: null }],
        places: event.clock === null ? [] : [{ value: event.clock, from: at, to: null }],
        oddities: [],
      };
      wears.push(wear);
      open.set(collarId, wear);
      last.set(collarId, wear);
      continue;
    }
    if (!own) {
      const before = last.get(collarId);
      if (event.event === 'taken-off' && before?.dogId === dogId && before.to !== null) before.oddities.push({ code: 'taken-off-twice', at, eventId });
      else strays.push({ code: 'never-on', at, eventId, event: event.event, dogId, collarId });
      continue;
    }
    if (event.event === 'taken-off') {
      closeSpans(own, at);
      open.delete(collarId);
    } else if (event.event === 'moved') nextSpan(own.places, event.clock, at);
    else nextSpan(own.states, event.state, at);
  }
  return { wears, strays };
}

/** How a collar sits on a dog now: since when, at which place since when (null: nobody has said), and how the dog is looked after; times ms. */
export type WornStanding = { since: number; clock: number | null; placeSince: number; state: WearState };

/** How a wear stands; null for one that has ended, or none: the collar is off the dog. */
export function wornStanding(wear: Wear | null): WornStanding | null {
  if (wear === null || wear.to !== null) return null;
  const place = wear.places.at(-1);
  return { since: wear.from, clock: place?.value ?? null, placeSince: place?.from ?? wear.from, state: wear.states.at(-1)!.value };
}
