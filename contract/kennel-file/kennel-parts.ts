import { faultOfParse, PART_FAULTS } from './part-faults.ts';
import { Role } from '../people/roles.ts';
import { z } from '../plain-words.ts';
import { Bridge } from '../records/bridge.ts';
import { CalendarFeed } from '../records/calendar-feed.ts';
import { Hours, PlannedSession } from '../records/calendar.ts';
import { Collar } from '../records/collar.ts';
import { Instant, line, namedLine, RecordId } from '../records/common.ts';
import { Dog } from '../records/dog.ts';
import { Dressing } from '../records/dressing.ts';
import { Drill } from '../records/drill.ts';
import { Ending } from '../records/ending.ts';
import { toldInColumns } from '../happenings/columns.ts';
import { HAPPENING_NAMES, HAPPENING_SOURCES, NewHappening } from '../happenings/happening.ts';
import { LevelCap } from '../records/field-log.ts';
import { FitCheck } from '../records/fit-check.ts';
import { Gear, Want } from '../records/gear.ts';
import { Handover, OwnerLink, OwnerVisit } from '../records/handover.ts';
import { Inspection } from '../records/inspection.ts';
import { KennelTemplate } from '../records/kennel-template.ts';
import { LinkMove } from '../records/link-move.ts';
import { Place } from '../records/place.ts';
import { Plan } from '../records/plan.ts';
import { Programme, StageMove, StageResult } from '../records/programme.ts';
import { Lift, Screening } from '../records/screening.ts';
import { SkinLook } from '../records/skin-look.ts';
import { Taping } from '../records/taping.ts';
import { Weighing } from '../records/weighing.ts';

/** What a record of a file refers to: a field, and the part in which that id must be, in the file or in the kennel. */
export type KennelRefs = Readonly<Record<string, KennelPartName>>;

/** One kind of record in a kennel's file. */
export type KennelPart = {
  /** What is in it, for people. */
  about: string;
  record: z.ZodObject;
  refs: KennelRefs;
  /** Changed in place, by versions; else it happened, and is never changed. */
  versioned: boolean;
  /** What must hold beyond the shape, as a sentence; null when it does. */
  fault?: (record: Record<string, unknown>) => string | null;
};

/** The record as it is kept: names of people are looked up, not kept with it. */
const asKept = (shape: z.ZodObject['shape'], without: readonly string[] = []): z.ZodObject =>
  z.strictObject(Object.fromEntries(Object.entries(shape).filter(([name]) => name !== 'personName' && !without.includes(name))));

const Person = z.strictObject({
  id: RecordId,
  name: namedLine(80),
  role: Role,
  leftAt: Instant.nullable(),
  fingerThicknessMm: z.number().positive().max(40).nullable(),
  fingerWidthMm: z.number().positive().max(40).nullable(),
  createdAt: Instant,
});

const Photo = z.strictObject({
  id: RecordId,
  personId: RecordId,
  /** A JPEG, in Base64 (RFC 4648). */
  jpeg: z.base64().max(24_000_000),
  widthPx: z.number().int().positive(),
  heightPx: z.number().int().positive(),
  createdAt: Instant,
});

/** Something that happened, in the columns that it is kept in. */
export const FileHappening = z.strictObject({
  id: RecordId,
  event: z.enum(HAPPENING_NAMES),
  dogId: RecordId.nullable(),
  collarId: RecordId.nullable(),
  sessionId: RecordId.nullable(),
  eventId: RecordId.nullable(),
  data: z.record(z.string(), z.unknown()),
  source: z.enum(HAPPENING_SOURCES),
  phone: line(40),
  personId: RecordId.nullable(),
  bridgeId: RecordId.nullable(),
  saidAt: Instant,
  at: Instant,
  recordedAt: Instant,
});
export type FileHappening = z.infer<typeof FileHappening>;

function happeningFault(record: Record<string, unknown>): string | null {
  const { id, at, ...columns } = record as FileHappening;
  const { source, personId, bridgeId } = columns;
  if ((source === 'bridge') !== (bridgeId !== null) || (source === 'bridge') === (personId !== null))
    return 'source: It was told either by a person or by a bridge.';
  return faultOfParse(NewHappening.safeParse(toldInColumns(columns, id, at)));
}

const dog = { dogId: 'dogs', personId: 'people' } as const;
const part = (about: string, record: z.ZodObject, refs: Record<string, string>, more: Partial<KennelPart> = {}) =>
  ({ about, record, refs, versioned: 'version' in record.shape, ...more }) as KennelPart;

/** Everything that a kennel's file holds beside the kennel itself, in the order in which it is written. */
export const KENNEL_PARTS = {
  people: part('Everybody who stands in the records. E-mails, passwords and sign-ins are not in a file.', Person, {}),
  places: part('Places where the kennel works, with what is allowed there.', asKept(Place.shape), {}),
  dogs: part('The dogs.', asKept(Dog.shape), { placeId: 'places' }),
  collars: part('The collars, with their own numbers.', asKept(Collar.shape), {}),
  gear: part('Leashes, lines, snaps, beds and the rest.', asKept(Gear.shape), {}),
  wants: part('What is to be bought.', asKept(Want.shape), { dogId: 'dogs' }),
  tapings: part('Every taping, with its readings.', asKept(Taping.shape), { ...dog, correctsId: 'tapings' }),
  weighings: part('Every weighing.', asKept(Weighing.shape), { ...dog, correctsId: 'weighings' }),
  screenings: part('Every screening.', asKept(Screening.shape), dog),
  lifts: part('Stops that were lifted, and put back.', asKept(Lift.shape), dog),
  plans: part('Every fit that was decided, with the inputs, rules and verdict of then.', asKept(Plan.shape), {
    ...dog,
    collarId: 'collars',
    placeId: 'places',
  }),
  fitChecks: part('Every fit check.', asKept(FitCheck.shape), { ...dog, planId: 'plans' }),
  endings: part('Fits that were set aside.', asKept(Ending.shape), { ...dog, planId: 'plans' }),
  inspections: part('Every look at a piece of gear.', asKept(Inspection.shape), { collarId: 'collars', gearId: 'gear', personId: 'people' }),
  linkMoves: part('Every move of links.', asKept(LinkMove.shape), { personId: 'people' }),
  dressings: part('How dogs are dressed: stack and rig, under the dog’s own id.', asKept(Dressing.shape), { id: 'dogs' }),
  photos: part('Photos of skin.', Photo, { personId: 'people' }),
  ownerLinks: part('Owners’ links. Their keys are not in a file.', asKept(OwnerLink.shape, ['keyHash']), { dogId: 'dogs' }),
  skinLooks: part('Every look at the skin.', asKept(SkinLook.shape), { ...dog, photoId: 'photos', linkId: 'ownerLinks' }),
  bridges: part('Programs that tell events. Their keys are not in a file: each is made a new one.', asKept(Bridge.shape, ['keyHash']), {}),
  happenings: part(
    'What happened: collars on and off, what devices told, and everything told of sessions. Sessions and presses are worked out from it.',
    FileHappening,
    { dogId: 'dogs', collarId: 'collars', eventId: 'happenings', personId: 'people', bridgeId: 'bridges' },
    { fault: happeningFault },
  ),
  levelCaps: part('Caps of levels.', asKept(LevelCap.shape), { ...dog, collarId: 'collars' }),
  programmes: part('Programmes of dogs.', asKept(Programme.shape), { dogId: 'dogs' }),
  stageResults: part('What came of sessions for their stages.', asKept(StageResult.shape), { programmeId: 'programmes', personId: 'people' }),
  stageMoves: part('Moves from stage to stage.', asKept(StageMove.shape), { programmeId: 'programmes', personId: 'people' }),
  hours: part(
    'Hours of the kennel, under the id «kennel», and of its people, under theirs.',
    z.strictObject({ ...Hours.shape, id: z.union([RecordId, z.literal('kennel')]) }),
    { personId: 'people' },
  ),
  plannedSessions: part('Sessions that are planned, or were dropped.', asKept(PlannedSession.shape), { ...dog, programmeId: 'programmes' }),
  kennelTemplates: part('The kennel’s own programmes.', asKept(KennelTemplate.shape), {}),
  drills: part('Handling drills.', asKept(Drill.shape), { personId: 'people' }),
  calendarFeeds: part('Private addresses of the calendar. Their keys are not in a file.', asKept(CalendarFeed.shape, ['keyHash']), { personId: 'people' }),
  handovers: part('Dogs handed over, with the sheet of then.', asKept(Handover.shape), dog),
  ownerVisits: part('What was done with owners’ links.', z.strictObject({ ...OwnerVisit.shape, dogId: RecordId }), { linkId: 'ownerLinks', dogId: 'dogs' }),
} as const satisfies Record<string, KennelPart>;

export type KennelPartName =
  | 'people'
  | 'places'
  | 'dogs'
  | 'collars'
  | 'gear'
  | 'wants'
  | 'tapings'
  | 'weighings'
  | 'screenings'
  | 'lifts'
  | 'plans'
  | 'fitChecks'
  | 'endings'
  | 'inspections'
  | 'linkMoves'
  | 'dressings'
  | 'photos'
  | 'skinLooks'
  | 'bridges'
  | 'happenings'
  | 'levelCaps'
  | 'programmes'
  | 'stageResults'
  | 'stageMoves'
  | 'hours'
  | 'plannedSessions'
  | 'kennelTemplates'
  | 'drills'
  | 'calendarFeeds'
  | 'handovers'
  | 'ownerLinks'
  | 'ownerVisits';
export const KENNEL_PART_NAMES = Object.keys(KENNEL_PARTS) as KennelPartName[];
const WITH_FAULTS: Record<KennelPartName, KennelPart> = Object.fromEntries(
  Object.entries(KENNEL_PARTS as Record<KennelPartName, KennelPart>).map(([name, one]) => [
    name,
    Object.hasOwn(PART_FAULTS, name) ? { ...one, fault: PART_FAULTS[name as keyof typeof PART_FAULTS] } : one,
  ]),
) as Record<KennelPartName, KennelPart>;
export const kennelPart = (name: KennelPartName): KennelPart => WITH_FAULTS[name];
