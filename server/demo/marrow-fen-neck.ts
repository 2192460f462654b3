import { RIG_CATALOGUE, type DressingFacts, type NewHappening, type NewSkinLook } from '@banter/contract';
import { partsOfRole, rigOfTemplate, rigTemplates, type FittedRigPart, type WearState, HOUR_MS, MINUTE_MS } from '@banter/core';

import { CONTACT_FAILS_DAYS_AGO } from './marrow-fen-field.ts';

/** How a dog of the story is dressed, and which pieces of the locker its rig is of, by the id of the part. Everything here is invented. */
export type ToldDressing = { dog: string; dressing: DressingFacts; pieces: Readonly<Record<string, string>> };

const template = (id: string): FittedRigPart[] =>
  rigOfTemplate(
    rigTemplates(RIG_CATALOGUE).find((one) => one.id === id)!,
    RIG_CATALOGUE,
  );
const own = (key: string, what: 'flat collar' | 'harness' | 'parasite band', name: string, widthMm: number, holds: boolean | null = null) => ({
  as: 'extra' as const,
  key,
  what,
  name,
  widthMm,
  holds,
  plastic: false,
});

export const TOLD_DRESSINGS: readonly ToldDressing[] = [
  {
    // A backup that loads too early: 20 mm of slack, and the prong closes by 28.
    dog: 'bramble',
    dressing: {
      stack: [{ as: 'fit', kind: 'prong' }, { as: 'fit', kind: 'remote' }, own('owners', 'flat collar', 'Blue', 20, true)],
      rig: template('coupler-to-flat').map((part) => (part.kind === 'coupler' ? { ...part, slackMm: 20 } : part)),
    },
    pieces: { leash: 'Brown four-foot', coupler: 'Short coupler' },
  },
  {
    // A rig in which everything is a single point, and its leash is to be mended.
    dog: 'moss',
    dressing: { stack: [{ as: 'fit', kind: 'prong' }, own('band', 'parasite band', '', 12)], rig: template('bare-prong') },
    pieces: { leash: 'Old six-foot' },
  },
  {
    // Sound: two leashes in one hand.
    dog: 'nutmeg',
    dressing: {
      stack: [{ as: 'fit', kind: 'martingale' }, own('harness', 'harness', 'Hut harness', 25)],
      rig: [
        ...template('martingale'),
        { ...partsOfRole('harness', RIG_CATALOGUE)[0]! },
        ...template('harness-and-wide')
          .filter(({ id }) => id === 'second-leash' || id === 'second-snap')
          .map((part) => (part.id === 'second-snap' ? { ...part, to: 'harness ring' as const } : part)),
      ],
    },
    pieces: {},
  },
];

/** A look at the skin of the story, in days ago. */
export type ToldSkin = Pick<NewSkinLook, 'clock' | 'under' | 'grade' | 'sore' | 'note'> & { dog: string; daysAgo: number; hour: number; by: 0 | 1 | 2 };

export const TOLD_SKIN: readonly ToldSkin[] = [
  {
    dog: 'bramble',
    daysAgo: 38,
    hour: 18,
    by: 0,
    clock: 3,
    under: 'contacts',
    grade: 1,
    sore: { fit: 'loose', stayed: 'not-tried', metal: 'same' },
    note: 'After the day the strap was a hole too loose.',
  },
  { dog: 'bramble', daysAgo: 36, hour: 18, by: 0, clock: 3, under: 'contacts', grade: 0, sore: null, note: '' },
  { dog: 'bramble', daysAgo: 20, hour: 17, by: 1, clock: 9, under: 'contacts', grade: 1, sore: { fit: 'good', stayed: 'no', metal: 'same' }, note: '' },
  { dog: 'bramble', daysAgo: 17, hour: 17, by: 1, clock: 9, under: 'contacts', grade: 0, sore: null, note: '' },
  {
    dog: 'bramble',
    daysAgo: 1,
    hour: 15,
    by: 2,
    clock: 12,
    under: 'contacts',
    grade: 1,
    sore: { fit: 'good', stayed: 'not-tried', metal: 'same' },
    note: 'Sat at the nape a second day running.',
  },
  {
    dog: 'moss',
    daysAgo: 26,
    hour: 16,
    by: 2,
    clock: 6,
    under: 'prong',
    grade: 2,
    sore: { fit: 'loose', stayed: 'not-tried', metal: 'same' },
    note: 'Hair gone where it slid.',
  },
  {
    dog: 'moss',
    daysAgo: 21,
    hour: 16,
    by: 2,
    clock: 6,
    under: 'prong',
    grade: 1,
    sore: { fit: 'good', stayed: 'not-tried', metal: 'same' },
    note: 'Vet: rubbed. Kept off five days.',
  },
  { dog: 'moss', daysAgo: 12, hour: 16, by: 2, clock: 6, under: 'prong', grade: 0, sore: null, note: '' },
  { dog: 'nutmeg', daysAgo: 2, hour: 9, by: 1, clock: 6, under: 'strap', grade: 0, sore: null, note: '' },
];

type Make = { id: (at: Date) => string; ago: (days: number, minutes?: number) => Date };
type Untimed<Event> = Event extends NewHappening ? Omit<Event, 'id' | 'at'> : never;

/**
 * Forty days of Bramble's work on the bog, four or five mornings a week, as the ledger has them: routine, on, moved at noon on
 * long days, off; with a prong left on in the crate, a morning without a try, and a device told to be on too long in one place.
 */
export function toldWears(
  ids: { bramble: string; moss: string; nutmeg: string; hazel: string; curlew: string; longAlder: string; willow: string },
  make: Make,
  now: Date,
): NewHappening[] {
  const events: NewHappening[] = [];
  /** Minutes after nine o'clock of a day so many days ago. */
  const tell = (days: number, minutes: number, event: Untimed<NewHappening>) => {
    const at = make.ago(days, minutes);
    if (at < now) events.push({ ...event, id: make.id(at), at: at.toISOString() } as NewHappening);
  };
  const device = (days: number, minutes: number, untried: boolean) => {
    const collarId = ids.curlew;
    tell(days, minutes, { event: 'charged', collarId, percent: 82 + ((days * 7) % 18) });
    tell(days, minutes + 1, { event: 'covers', collarId, shut: true });
    tell(days, minutes + 2, { event: 'switched', collarId, on: true });
    tell(days, minutes + 3, { event: 'paired', collarId, paired: true });
    if (!untried) tell(days, minutes + 4, { event: 'tried', collarId, level: 0 });
  };
  const state = (days: number, minutes: number, collarId: string, value: WearState) =>
    tell(days, minutes, { event: 'state', dogId: ids.bramble, collarId, state: value });
  const PLACES = [3, 9, 12, 10, 2];
  for (let days = 40; days >= 1; days -= 1) {
    if (days % 7 === 0 || days % 7 === 3 || days === 39) continue;
    const clock = days <= 2 ? 12 : PLACES[days % PLACES.length]!;
    const on = { dogId: ids.bramble, clock: null, state: 'worked' as const };
    device(days, -30, days === 9);
    tell(days, 0, { event: 'put-on', ...on, collarId: ids.hazel });
    tell(days, 1, { event: 'put-on', ...on, collarId: ids.curlew, clock });
    // Of late nobody has felt; see Levels.
    if (days > CONTACT_FAILS_DAYS_AGO + 1) tell(days, 3, { event: 'contact', collarId: ids.curlew, made: true });
    const long = days % 5 === 0;
    if (days === 12) {
      state(days, 70, ids.hazel, 'crated');
      state(days, 70, ids.curlew, 'crated');
      tell(days, 96, { event: 'taken-off', dogId: ids.bramble, collarId: ids.hazel });
    } else tell(days, 85 + (days % 4) * 6, { event: 'taken-off', dogId: ids.bramble, collarId: ids.hazel });
    if (long && days !== 5) tell(days, 240, { event: 'moved', dogId: ids.bramble, collarId: ids.curlew, clock: PLACES[(days + 1) % PLACES.length]! });
    tell(days, long ? 385 : 120 + (days % 3) * 10, { event: 'taken-off', dogId: ids.bramble, collarId: ids.curlew });
  }
  for (let days = 20; days >= 2; days -= 3) {
    tell(days, 120, { event: 'put-on', dogId: ids.moss, collarId: ids.longAlder, clock: null, state: 'worked' });
    tell(days, 175, { event: 'taken-off', dogId: ids.moss, collarId: ids.longAlder });
  }
  // Put on this morning, and nobody has said that it came off: it is asked about.
  const forgotten = new Date(now.getTime() - 6.5 * HOUR_MS);
  events.push({ event: 'put-on', id: make.id(forgotten), at: forgotten.toISOString(), dogId: ids.moss, collarId: ids.longAlder, clock: null, state: 'worked' });
  // At the door just now.
  const justNow = new Date(now.getTime() - 8 * MINUTE_MS);
  events.push({ event: 'put-on', id: make.id(justNow), at: justNow.toISOString(), dogId: ids.nutmeg, collarId: ids.willow, clock: null, state: 'worked' });
  return events;
}
