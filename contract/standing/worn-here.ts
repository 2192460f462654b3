import { HOUR_MS, wearsOf, wornStanding, type WearEvent, type WearMark } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { NewHappening } from '../happenings/happening.ts';
import { wearAndDeviceEvents } from '../happenings/wear-and-device.ts';
import type { WearingNow } from '../records/pages.ts';

/** What is broken of a place: it ends when the contacts go to another, of which the kennel will say what is wrong. */
const OF_A_PLACE: readonly string[] = ['place-over', 'on-the-windpipe', 'on-flagged-skin'] satisfies WearMark['code'][];

/** A dog and a collar by their names, as far as this device knows them. */
export type NamedWear = { dogName: string; collarName: string; kind: CollarKindName };

/** What the kennel told of a wear, as the events that say the same. */
function eventsOf({ dogId, collarId, from, clock, placeSince, state }: WearingNow): WearEvent[] {
  const on = { dogId, collarId };
  const [begun, placed] = [Date.parse(from), Date.parse(placeSince ?? from)];
  const putOn: WearEvent = { ...on, id: '', event: 'put-on', at: begun, clock: placed > begun ? null : clock, state };
  return placed > begun && clock !== null ? [putOn, { ...on, id: '', event: 'moved', at: placed, clock }] : [putOn];
}

/**
 * What is on which dog now, as the kennel told it last, with what was told on this device and the kennel does not tell yet laid over it (`unheard`):
 * what went on is on, what came off is off, and contacts that were moved are at their new place. Where they go next, and what breaks a rule by then, the
 * kennel says. A collar whose name is not known here is left out. Common practice: what the hand did a minute ago is not asked for again.
 */
export function wornHere(
  known: readonly WearingNow[],
  unheard: readonly NewHappening[],
  { named, moveByHours }: { named: (dogId: string, collarId: string) => NamedWear | null; moveByHours: number },
): WearingNow[] {
  const { wear: told } = wearAndDeviceEvents(unheard);
  if (told.length === 0) return [...known];
  const before = new Map(known.map((one) => [`${one.dogId} ${one.collarId}`, one]));
  const touched = new Set(told.map(({ dogId, collarId }) => `${dogId} ${collarId}`));
  const events = [...known.flatMap(eventsOf), ...told].map((event, index) => ({ ...event, id: String(index).padStart(9, '0') }));
  return wearsOf(events).wears.flatMap(({ dogId, collarId, ...wear }): WearingNow[] => {
    const stands = wornStanding({ dogId, collarId, ...wear });
    const was = before.get(`${dogId} ${collarId}`) ?? null;
    if (stands === null) return [];
    if (was !== null && !touched.has(`${dogId} ${collarId}`)) return [was];
    const names = was ?? named(dogId, collarId);
    if (names === null) return [];
    const { dogName, collarName, kind } = names;
    const placeSince = new Date(stands.placeSince).toISOString();
    const isMoved = was === null || was.clock !== stands.clock || placeSince !== (was.placeSince ?? was.from);
    const hasPlace = collarKind(kind).traits.wear.contacts && stands.clock !== null;
    return [
      {
        ...{ dogId, dogName, collarId, collarName, kind, placeSince },
        ...{ from: new Date(stands.since).toISOString(), state: stands.state, clock: stands.clock },
        nextPlace: isMoved ? null : was.nextPlace,
        moveBy: hasPlace ? new Date(stands.placeSince + moveByHours * HOUR_MS).toISOString() : null,
        // Whoever told something of it here has looked at it.
        ask: false,
        alarms: (was?.alarms ?? []).filter(({ code }) => !(isMoved && OF_A_PLACE.includes(code))),
      },
    ];
  });
}
