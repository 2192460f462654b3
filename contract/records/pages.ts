import { PIECE_STANDINGS, WEAR_STATES } from '@banter/core';
import { COLLAR_KIND_NAMES } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Collar } from './collar.ts';
import { Instant, RecordId } from './common.ts';
import { Hours, PlannedSession } from './calendar.ts';
import { Dog } from './dog.ts';
import { Dressing } from './dressing.ts';
import { Ending } from './ending.ts';
import { Happening } from '../happenings/happening.ts';
import { FitCheck } from './fit-check.ts';
import { Gear, Want } from './gear.ts';
import { KennelTemplate } from './kennel-template.ts';
import { LinkBalance, LinkMove } from './link-move.ts';
import { Cursor } from './list-page.ts';
import { Place } from './place.ts';
import { Plan } from './plan.ts';
import { Programme, StageMove, StageResult } from './programme.ts';
import { Lift, Screening } from './screening.ts';
import { SkinLook } from './skin-look.ts';
import { Taping } from './taping.ts';
import { MadeUp, SetFor } from '../standing/made-up.ts';
import { NeckFelt } from '../standing/neck-felt.ts';
import { Weighing } from './weighing.ts';

/** A dog with what its card shows: the latest measure of each site, its fits as they stand, and its screening. */
export const DogCard = z.object({
  dog: Dog,
  girths: z.array(Taping),
  fits: z.array(
    z.object({ plan: Plan, check: FitCheck.nullable(), elsewhere: MadeUp.nullable(), felt: NeckFelt.nullable(), is: z.enum(PIECE_STANDINGS).default('sound') }),
  ),
  screenings: z.array(Screening),
  lifts: z.array(Lift),
});
export type DogCard = z.infer<typeof DogCard>;

/** Whose cards are asked for: so many dogs by their ids, or where the list of all goes on. */
export const DogCardsAsked = z.object({
  dogs: z
    .string()
    .transform((text) => text.split(',').filter(Boolean))
    .pipe(z.array(RecordId).max(60))
    .optional(),
  after: Cursor.optional(),
});
/** Dogs with all that is known of their fits, a part at a time. */
export const DogCards = z.object({ rows: z.array(DogCard), next: Cursor.nullable() });
export type DogCards = z.infer<typeof DogCards>;

/** A record that is kept and cannot be read any more: it is left out wherever something is worked out, and named where it belongs. */
export const UnreadableRecord = z.object({ kind: z.enum(['plan', 'fitCheck', 'handover']), id: RecordId, at: Instant });
export type UnreadableRecord = z.infer<typeof UnreadableRecord>;

/** A dog as it stands: the latest measures of each site, what was decided for each of its collars last and found on it, oldest first; and what of the kennel a fit draws on: collars, links and places, of its own or for the bench all that can be chosen. */
export const DogPage = z.object({
  dog: Dog,
  tapings: z.array(Taping),
  plans: z.array(Plan),
  checks: z.array(FitCheck),
  endings: z.array(Ending),
  screenings: z.array(Screening),
  lifts: z.array(Lift),
  collars: z.array(Collar),
  places: z.array(Place),
  links: z.array(LinkBalance),
  /** For whom each of these collars is made up now. */
  madeUp: z.array(MadeUp),
  /** At the bench: for which other dogs collars of the stock are made up now. */
  setFor: z.array(SetFor).default([]),
  unreadable: z.array(UnreadableRecord),
});
export type DogPage = z.infer<typeof DogPage>;

/** All that a dog can be fitted with that the kennel does not have yet: its collars, links and places. */
export const KennelBench = DogPage.pick({ collars: true, links: true, places: true });
export type KennelBench = z.infer<typeof KennelBench>;

/**
 * A dog as it stands and how it is dressed: its stack and rig with the pieces of gear in it, the looks at its skin of the last year and the
 * latest of every place, and the events of its own and of its collars of the last sixty days, with those of any wear that has lasted
 * longer; and the programmes that run with their moves.
 */
export const NeckPage = z.object({
  ...DogPage.shape,
  dressing: Dressing.nullable(),
  gear: z.array(Gear),
  events: z.array(Happening),
  skinLooks: z.array(SkinLook),
  /** Names of the dogs that events speak of. */
  dogNames: z.record(z.string(), z.string()),
  programmes: z.array(Programme),
  moves: z.array(StageMove),
});
export type NeckPage = z.infer<typeof NeckPage>;

/** A dog as it stands, with every high girth that stands and every weighing, oldest first; of weighings those that were corrected, too. */
export const GrowthPage = z.object({
  ...DogPage.shape,
  weighings: z.array(Weighing),
  /** High girths of before the tapings that the page shows, mm. */
  tapedBefore: z.array(z.object({ id: RecordId, at: Instant, tapedMm: z.number() })).default([]),
});
export type GrowthPage = z.infer<typeof GrowthPage>;

/** A dog as it stands, its programmes, and what was told of those that are under way. */
export const ProgrammesPage = z.object({
  ...DogPage.shape,
  programmes: z.array(Programme),
  results: z.array(StageResult),
  moves: z.array(StageMove),
  templates: z.array(KennelTemplate),
  /** Its sessions planned of late and to come. */
  sessions: z.array(PlannedSession),
  kennelHours: Hours.nullable(),
  people: z.array(z.object({ id: RecordId, name: z.string() })),
  /** What it wore, and when sessions of it began, in the last thirty days. */
  wears: z.array(z.object({ collarId: RecordId, from: Instant, to: Instant.nullable() })),
  held: z.array(z.object({ id: RecordId, dogId: RecordId, begunAt: Instant, endedAt: Instant.nullable() })),
});
export type ProgrammesPage = z.infer<typeof ProgrammesPage>;

/** Something that is on a dog now: since when, how it is watched, where its contacts sit, and the rules it breaks, in words. */
export const WearingNow = z.object({
  dogId: RecordId,
  dogName: z.string(),
  collarId: RecordId,
  collarName: z.string(),
  kind: z.enum(COLLAR_KIND_NAMES),
  from: Instant,
  state: z.enum(WEAR_STATES),
  clock: z.number().nullable(),
  /** Where its contacts go next; null: it has none, or no place is free. */
  nextPlace: z.number().nullable().default(null),
  /** Since when it is at that place. */
  placeSince: Instant.nullable().default(null),
  /** When its contacts are moved at the latest; null: it has none, or nobody has said where they are. */
  moveBy: Instant.nullable(),
  ask: z.boolean(),
  alarms: z.array(z.object({ code: z.string(), tone: z.enum(['good', 'mind', 'stop', 'open']), text: z.string(), from: Instant })),
});
export type WearingNow = z.infer<typeof WearingNow>;
export const WearingPage = z.object({ wearing: z.array(WearingNow) });
export type WearingPage = z.infer<typeof WearingPage>;

export const CollarsPage = z.object({ collars: z.array(Collar) });
export type CollarsPage = z.infer<typeof CollarsPage>;

/** Everything the kennel owns, where its links are, how they got there, and what is to be bought. */
/** The shelves of the locker; one is asked for at a time, and without a name all of it. */
export const LOCKER_SHELVES = ['collars', 'links', 'gear', 'shopping'] as const;
export const LockerAsked = z.object({ shelf: z.enum(LOCKER_SHELVES).optional() });

export const LockerPage = z.object({
  collars: z.array(Collar),
  gear: z.array(Gear),
  wants: z.array(Want),
  links: z.array(LinkBalance),
  moves: z.array(LinkMove),
  /** The dogs that are here, to whom links may be lent. */
  dogs: z.array(z.object({ id: RecordId, name: z.string() })),
  /** The links that fits of dogs still need beyond those on their collars, and of which the bag has these or not. */
  needed: z.array(z.object({ dogId: RecordId, dogName: z.string(), collarName: z.string(), gaugeMm: z.number(), needs: z.number().int() })),
  /** Links that the bag lacks, and things on the list. */
  toBuy: z.number().int(),
});
export type LockerPage = z.infer<typeof LockerPage>;

export const PlacesPage = z.object({ places: z.array(Place) });
export type PlacesPage = z.infer<typeof PlacesPage>;
