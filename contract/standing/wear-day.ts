import {
  askOffAfterHours,
  clockWords,
  contractSpeaker,
  HOUR_MS,
  WEAR_MARK_TONES,
  WEAR_MARK_WORDS,
  wordReason,
  type FitTone,
  type House,
  type SkinLook,
  type WearMark,
  type WearState,
} from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { rotationOf, type ContactsOfFit } from '../neck/contact-places.ts';
import { dressedWears } from '../neck/dressed-wears.ts';
import { momentOn } from '../neck/kennel-days.ts';
import type { Collar } from '../records/collar.ts';
import type { NewHappening } from '../happenings/happening.ts';
import type { WearingNow } from '../records/pages.ts';
import type { TodayFound } from '../today/today-facts.ts';

/** A collar on a dog as it goes on by the clock until something is told; all instants ms. */
export type WornThen = {
  collarId: string;
  collarName: string;
  kind: CollarKindName;
  from: number;
  state: WearState;
  clock: number | null;
  /** Where its contacts go next; null: it has none, nothing is known of its fit, or no place is free. */
  nextPlace: number | null;
  /** Since when it is at that place. */
  placeSince: number;
  /** When its contacts are moved to another place at the latest; null: it has none, or nobody has said where they are. */
  moveBy: number | null;
  /** When it is asked whether it is still on; null: never. */
  askFrom: number | null;
  alarms: { code: WearMark['code']; tone: FitTone; text: string; from: number; to: number | null }[];
};

/** A device whose battery is low from an instant on, ms. */
export type BatteryThen = { collarId: string; name: string; lowFrom: number };

/** The day of the kennel that a wear is told for, ms. */
type Day = { from: number; to: number };

/**
 * What is on a dog, out of the events of its collars, with every alarm that the clock alone will bring until the day is over: the same that
 * `dressedWears` says at each of its instants. What was on and is off again is left out.
 */
export function wornThen(
  dogId: string,
  events: readonly NewHappening[],
  collars: readonly Collar[],
  by: { skin: readonly SkinLook[]; girthMm: number | null; house: House; timeZone: string; now: number; contacts: readonly ContactsOfFit[] },
  day: Day,
): WornThen[] {
  const { rules } = by.house;
  const wears = dressedWears(dogId, events, collars, { ...by, now: day.to - 1 });
  return wears.flatMap(({ wear, collar, marks }): WornThen[] => {
    if (wear.to !== null || !collar) return [];
    const contacts = by.contacts.find(({ collarId }) => collarId === collar.id);
    const rule = collarKind(collar.kind).traits.wear;
    const place = wear.places.at(-1);
    const askAfter = askOffAfterHours(rule, rules);
    return [
      {
        collarId: collar.id,
        collarName: collar.name,
        kind: collar.kind,
        from: wear.from,
        state: wear.states.at(-1)!.value,
        clock: place?.value ?? null,
        nextPlace: contacts && by.girthMm !== null ? rotationOf(contacts, wears, { ...by, girthMm: by.girthMm }, rules).next : null,
        placeSince: place?.from ?? wear.from,
        moveBy: rule.contacts && place ? place.from + rules.moveByHours * HOUR_MS : null,
        askFrom: askAfter === null ? null : wear.from + askAfter * HOUR_MS,
        alarms: marks
          .filter(({ to }) => to === null || to > day.from)
          .map((mark) => ({
            code: mark.code,
            tone: WEAR_MARK_TONES[mark.code],
            text: wordReason(WEAR_MARK_WORDS, mark, contractSpeaker).text,
            from: mark.from,
            to: mark.to,
          })),
      },
    ];
  });
}

const iso = (ms: number) => new Date(ms).toISOString();
type Named = { dogId: string; dogName: string };

/** What is on a dog at an instant (ms) of the day that it was told for. */
export const wearingAt = ({ dogId, dogName }: Named, worn: readonly WornThen[], now: number): WearingNow[] =>
  worn.map(({ from, moveBy, placeSince, askFrom, alarms, ...one }) => ({
    dogId,
    dogName,
    ...one,
    from: iso(from),
    placeSince: iso(placeSince),
    moveBy: moveBy === null ? null : iso(moveBy),
    ask: askFrom !== null && askFrom <= now,
    alarms: alarms
      .filter((alarm) => alarm.from <= now && (alarm.to === null || alarm.to > now))
      .map((alarm) => ({ code: alarm.code, tone: alarm.tone, text: alarm.text, from: iso(alarm.from) })),
  }));

/** A place to be moved within so long is due today. From memory. */
const MOVE_AHEAD_MS = 2 * HOUR_MS;

/** What is wrong with what a dog wears, what is to be moved soon, what may have come off and was not told, and what is to be charged. */
export function wearDues(
  named: Named,
  { worn, batteries }: { worn: readonly WornThen[]; batteries: readonly BatteryThen[] },
  { day, timeZone, rules }: { day: Day; timeZone: string; rules: House['rules'] },
): TodayFound[] {
  const { dogId, dogName } = named;
  /** An instant as it is said on that day. */
  const moment = (at: number) => momentOn(at, Math.max(at, day.from), timeZone);
  const ofWorn = worn.flatMap(({ collarId, collarName, clock, from: on, moveBy, askFrom, alarms }): TodayFound[] => [
    ...alarms.map(({ code, text, tone, from, to }): TodayFound => ({
      dogId,
      dogName,
      collarId,
      code: code === 'place-over' ? 'move-place' : code === 'skin-says-off' ? 'skin-off' : 'worn-wrong',
      tone,
      title: code === 'place-over' ? `Move ${collarName} on ${dogName}.` : `${dogName}, ${collarName}: ${text}`,
      why: code === 'place-over' ? text : `Since ${moment(from)}.`,
      to: `/dogs/${dogId}/neck/${code === 'place-over' ? 'contacts' : 'wear'}`,
      does: code === 'place-over' ? 'Move it' : 'Fix',
      at: from,
      key: `${collarId} ${code} ${from}`,
      dueFrom: from,
      dueUntil: to,
    })),
    ...(moveBy === null
      ? []
      : [
          {
            dogId,
            dogName,
            collarId,
            code: 'move-place',
            tone: 'open',
            title: `Move ${collarName} on ${dogName} by ${moment(moveBy)}.`,
            why: `At ${clockWords(clock!)} since ${moment(moveBy - rules.moveByHours * HOUR_MS)}; a place is moved after ${rules.moveByHours} h.`,
            to: `/dogs/${dogId}/neck/contacts`,
            does: 'Move it',
            at: moveBy,
            key: `${collarId} soon`,
            dueFrom: moveBy - MOVE_AHEAD_MS,
            dueUntil: moveBy,
          } satisfies TodayFound,
        ]),
    ...(askFrom === null
      ? []
      : [
          {
            dogId,
            dogName,
            collarId,
            code: 'still-on',
            tone: 'mind',
            title: `${dogName}: is ${collarName} still on?`,
            why: `On since ${moment(on)}; no entry that it came off.`,
            to: `/dogs/${dogId}/neck/wear`,
            does: 'Answer',
            at: on,
            key: `${collarId} ask`,
            dueFrom: askFrom,
            dueUntil: null,
          } satisfies TodayFound,
        ]),
  ]);
  const low = batteries.map(({ collarId, name, lowFrom }): TodayFound => ({
    dogId,
    dogName,
    collarId,
    code: 'charge',
    tone: 'open',
    title: `Charge ${name}.`,
    why: `About ${rules.chargePercent} % or less left.`,
    to: `/dogs/${dogId}/neck/wear`,
    does: 'See it',
    key: `${collarId} charge`,
    dueFrom: lowFrom,
    dueUntil: null,
  }));
  return [...ofWorn, ...low];
}
