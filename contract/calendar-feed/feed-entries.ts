import { outgrowthTitle } from '../growth/outgrows.ts';
import type { WearingNow } from '../records/pages.ts';
import { pieceDue, type PieceAlone } from '../upkeep/pieces.ts';
import type { DogDueFacts, TodayFacts } from '../today/today-facts.ts';
import { DAY_MS, MINUTE_MS } from '@banter/core';

/** What is done in a moment stands so long in a calendar. */
const MOMENT_MS = 15 * MINUTE_MS;

/** One entry of a calendar elsewhere. `uid` stays the same however often it is read; times ms; `day` is for all of a day. */
export type FeedEntry =
  | { uid: string; sequence: number; summary: string; description: string; begins: number; ends: number }
  | { uid: string; sequence: number; summary: string; description: string; day: string };

export type FeedFacts = Pick<TodayFacts, 'rules' | 'places'> &
  Pick<DogDueFacts, 'skins' | 'growth' | 'planned' | 'stageNames' | 'people'> & {
    dogNames: ReadonlyMap<string, string>;
    pieces: readonly PieceAlone[];
    /** What is on a dog now. */
    wearing: readonly WearingNow[];
    /** The day of an instant in the kennel’s zone. */
    dayOf: (at: number) => string;
    now: number;
    /** Whose sessions; null: everybody’s. */
    personId: string | null;
  };

const allDay = (uid: string, at: string, summary: string, description: string): FeedEntry => ({ uid, sequence: 0, summary, description, day: at });

/**
 * What a kennel’s calendar tells elsewhere: sessions, places to be moved, looks at the skin and at gear, what growth will need and
 * looks at the law that run out. Each has an id that stays the same while the thing is the same. RFC 5545 asks for that (§3.8.4.7).
 */
export function feedEntries(facts: FeedFacts): FeedEntry[] {
  const { planned, stageNames, dogNames, people, wearing, skins, growth, pieces, places, rules, dayOf, now, personId } = facts;
  const name = (id: string) => people.find((one) => one.id === id)?.name ?? '';
  const sessions = planned
    .filter((one) => personId === null || one.personId === personId)
    .map((one): FeedEntry => {
      const what = stageNames[one.id] ?? one.note;
      return {
        uid: `session-${one.id}`,
        // A calendar takes a change only when its number has gone up.
        sequence: one.version - 1,
        summary: `${dogNames.get(one.dogId) ?? ''}${what ? `: ${what}` : ''}`,
        description: `With ${name(one.personId)}.${one.aroundMinutes > 0 ? ` Collar on ${one.aroundMinutes} minutes before and after.` : ''}${one.note ? ` ${one.note}` : ''}`,
        begins: one.at,
        ends: one.at + one.minutes * MINUTE_MS,
      };
    });
  const moves = wearing.flatMap(({ dogName, collarId, collarName, moveBy }): FeedEntry[] => {
    if (moveBy === null) return [];
    const due = Date.parse(moveBy);
    const description = 'Its contacts have been in one place for long enough by then.';
    return [{ uid: `move-${collarId}-${due}`, sequence: 0, summary: `Move ${collarName} on ${dogName}`, description, begins: due, ends: due + MOMENT_MS }];
  });
  const skin = skins.flatMap(({ dogId, dogName, skin: { flags } }) =>
    flags.flatMap(({ clock, untilMs }): FeedEntry[] => {
      if (untilMs === null) return [];
      return [
        {
          uid: `skin-${dogId}-${clock}-${untilMs}`,
          sequence: 0,
          summary: `Check ${dogName}’s skin at ${clock} o’clock again`,
          description: 'Its rest is over then.',
          begins: untilMs,
          ends: untilMs + MOMENT_MS,
        },
      ];
    }),
  );
  const checks = pieces
    .filter(({ scrapped }) => !scrapped)
    .map((piece) => {
      const { why, at } = pieceDue(piece, now, rules);
      return allDay(`inspect-${piece.id}-${why === 'never' ? 'first' : dayOf(at)}`, dayOf(Math.max(at, now)), `Inspect ${piece.name}`, 'Inspection.');
    });
  const grown = growth.flatMap(({ dogId, dogName, bornOn, outgrows }) =>
    outgrows.flatMap((one): FeedEntry[] => {
      const { planId, change, outgrown } = one;
      const next = change ?? outgrown;
      if (!next || next.when.likely === null) return [];
      const at = Date.parse(bornOn) + next.when.likely * DAY_MS;
      return [
        allDay(
          `grows-${dogId}-${planId}`,
          dayOf(Math.max(at, now)),
          outgrowthTitle(dogName, one),
          change ? `Then ${change.says}.` : `Then ${outgrown!.wanted}.`,
        ),
      ];
    }),
  );
  const law = places
    .filter(({ retiredAt, checkedOn }) => retiredAt === null && checkedOn !== null)
    .map(({ id, name: place, checkedOn }) =>
      allDay(
        `law-${id}-${checkedOn}`,
        new Date(Date.parse(checkedOn!) + rules.lawCheckDays * DAY_MS).toISOString().slice(0, 10),
        `Check the law at ${place}`,
        `Last checked on ${checkedOn}.`,
      ),
    );
  return [...sessions, ...moves, ...skin, ...checks, ...grown, ...law];
}
