import { CALCULATIONS } from './calc/calculations.ts';
import { z } from './plain-words.ts';
import { FitsAnswer, FitsRequest } from './calc/fits.ts';
import { Doorstep, EndSessions, Me, MySessionsPage, NewPassword, PeoplePage, PersonFacts, PersonStanding, SignIn, SignUp } from './records/account.ts';
import { Collar, CollarFacts } from './records/collar.ts';
import { CalendarFeed, CalendarFeedFacts, CalendarFeedsPage } from './records/calendar-feed.ts';
import { CalendarChange, CalendarChanged, Hours, HoursFacts } from './records/calendar.ts';
import { CalendarAsked, CalendarPage } from './records/calendar-page.ts';
import { Bridge, BridgeFacts, BridgesPage } from './records/bridge.ts';
import { Dog, DogFacts } from './records/dog.ts';
import { Drill, DrillsPage, NewDrill } from './records/drill.ts';
import { Dressing, DressingFacts } from './records/dressing.ts';
import { Ending, NewEnding } from './records/ending.ts';
import { Entry, EventsKept, NewEntry, NewEvent } from './records/event.ts';
import { DeedsAsked, DeedsPage } from './records/deed.ts';
import { Handover, HandoversPage, NewHandover, OwnerAsked, OwnerLink, OwnerLinkFacts, OwnerPage, OwnerTick } from './records/handover.ts';
import { Invitation, InvitationAsked, Invite, InviteFacts, InvitesPage, Join } from './records/invite.ts';
import { FieldBatch, FieldBatchKept, FieldSessionPage, LevelCap, NewLevelCap, SessionAsked } from './records/field-log.ts';
import { FieldPage } from './records/field-page.ts';
import { LevelsPage, PressesAsked, PressesPage } from './records/levels-page.ts';
import { FitCheck, NewFitCheck } from './records/fit-check.ts';
import { Gear, GearFacts, Want, WantFacts } from './records/gear.ts';
import { Inspection, NewInspection } from './records/inspection.ts';
import { ImportAsked, KeepImport, KennelImport } from './kennel-file/kennel-file.ts';
import { Kennel, KennelSettings } from './records/kennel.ts';
import { KennelTemplate, KennelTemplateFacts, TemplatesPage } from './records/kennel-template.ts';
import { LinkMove, NewLinkMove } from './records/link-move.ts';
import { CollarsPage, DogPage, DogsPage, GrowthPage, LockerPage, NeckPage, PlacesPage, ProgrammesPage, WearingPage } from './records/pages.ts';
import { Place, PlaceFacts } from './records/place.ts';
import { NewStageMove, NewStageResult, Programme, ProgrammeFacts, StageMove, StageResult } from './records/programme.ts';
import { NewPlan, Plan } from './records/plan.ts';
import { Lift, NewLift, NewScreening, Screening } from './records/screening.ts';
import { NewSkinLook, Photo, SkinLook } from './records/skin-look.ts';
import { NewTaping, Taping } from './records/taping.ts';
import { TodayPage } from './records/today-page.ts';
import { ClassPage } from './kit-up/class-page.ts';
import { UpkeepPage } from './records/upkeep-page.ts';
import { NewWeighing, Weighing } from './records/weighing.ts';

/** One address of the interface: what it takes and answers. `versioned` ones take If-Match and may answer 409. */
export type Endpoint = {
  method: 'get' | 'put' | 'post';
  path: string;
  summary: string;
  signIn: boolean;
  versioned?: boolean;
  request?: z.ZodType;
  /** What stands behind the question mark of a get. */
  asks?: z.ZodObject;
  /** What else than JSON it takes: an image, or lines of JSON; and what else it answers. */
  takes?: 'image' | 'lines' | 'file';
  gives?: 'image' | 'calendar' | 'pdf' | 'csv' | 'lines';
  answer: z.ZodType | null;
};

const record = (path: string, noun: string, request: z.ZodType, answer: z.ZodType, versioned: boolean): Endpoint[] => [
  { method: 'get', path: `/api/${path}/{id}`, summary: `One ${noun}.`, signIn: true, answer },
  {
    method: 'put',
    path: `/api/${path}/{id}`,
    summary: versioned
      ? `Creates a ${noun}, or changes it when If-Match names its version. The same request again is the same request.`
      : `Keeps a ${noun}, once; the same request again is the same request. It is never changed.`,
    signIn: true,
    versioned,
    request,
    answer,
  },
];

/** Every address of the interface. The OpenAPI document is made from this table, and a test holds the server to it. */
export const ENDPOINTS: readonly Endpoint[] = [
  { method: 'get', path: '/api/health', summary: 'Whether Banter can serve.', signIn: false, answer: z.object({ ok: z.boolean() }) },
  { method: 'get', path: '/api/doorstep', summary: 'Who is signed in, and whether there is a demo kennel.', signIn: false, answer: Doorstep },
  { method: 'post', path: '/api/sign-up', summary: 'Makes a kennel with its first person, and signs in.', signIn: false, request: SignUp, answer: Me },
  { method: 'post', path: '/api/sign-in', summary: 'Signs in.', signIn: false, request: SignIn, answer: Me },
  { method: 'post', path: '/api/sign-in/demo', summary: 'Signs in to the demo kennel, where there is one.', signIn: false, answer: Me },
  { method: 'post', path: '/api/sign-out', summary: 'Signs out.', signIn: false, answer: null },
  { method: 'get', path: '/api/kennel', summary: 'The kennel and its settings.', signIn: true, answer: Kennel },
  {
    method: 'put',
    path: '/api/kennel',
    summary: 'Changes the kennel’s settings; If-Match names its version.',
    signIn: true,
    versioned: true,
    request: KennelSettings,
    answer: Kennel,
  },
  {
    method: 'get',
    path: '/api/kennel.json',
    summary: 'The whole kennel as one JSON document, a record at a time (docs/kennel-file.md). A lead’s.',
    signIn: true,
    answer: z.unknown(),
  },
  { method: 'get', path: '/api/kennel-file.schema.json', summary: 'The schema of a kennel’s file.', signIn: false, answer: z.unknown() },
  {
    method: 'post',
    path: '/api/imports',
    summary: 'Takes a kennel’s file, up to 1 GB, or one table of it as CSV, and begins to look it through; nothing is changed by it. A lead’s.',
    signIn: true,
    request: z.unknown(),
    takes: 'file',
    asks: ImportAsked,
    answer: KennelImport,
  },
  {
    method: 'get',
    path: '/api/events.ndjson',
    summary: 'Everything told of collars and devices, one JSON object a line (docs/device-events.md).',
    signIn: true,
    answer: z.string(),
    gives: 'lines',
  },
  {
    method: 'get',
    path: '/api/csv/{table}.csv',
    summary: 'A table as CSV (RFC 4180): dogs, tape, fits, presses, skin or locker.',
    signIn: true,
    answer: z.string(),
    gives: 'csv',
  },
  { method: 'get', path: '/api/imports/{id}', summary: 'What would happen, what is wrong, or how far it is. A lead’s.', signIn: true, answer: KennelImport },
  {
    method: 'post',
    path: '/api/imports/{id}/keep',
    summary: 'Begins to keep it, all of it or nothing. A lead’s.',
    signIn: true,
    request: KeepImport,
    answer: KennelImport,
  },
  { method: 'post', path: '/api/imports/{id}/drop', summary: 'Lets it go. A lead’s.', signIn: true, answer: null },
  { method: 'put', path: '/api/me', summary: 'Changes what somebody says of themselves: their finger.', signIn: true, request: PersonFacts, answer: Me },
  { method: 'get', path: '/api/my-sessions', summary: 'Where somebody is signed in.', signIn: true, answer: MySessionsPage },
  {
    method: 'post',
    path: '/api/my-sessions',
    summary: 'Ends one sign-in of somebody’s own, or all but this one.',
    signIn: true,
    request: EndSessions,
    answer: MySessionsPage,
  },
  {
    method: 'post',
    path: '/api/my-password',
    summary: 'Changes a password; all other sign-ins end.',
    signIn: true,
    request: NewPassword,
    answer: MySessionsPage,
  },
  { method: 'post', path: '/api/my-leaving', summary: 'Leaves the kennel: all access ends at once.', signIn: true, answer: null },
  { method: 'get', path: '/api/people', summary: 'The people of the kennel, and how well their tapes agree.', signIn: true, answer: PeoplePage },
  {
    method: 'put',
    path: '/api/people/{id}',
    summary: 'Somebody’s role, or the end of their access, which holds at once wherever they are signed in. A lead’s.',
    signIn: true,
    request: PersonStanding,
    answer: PeoplePage,
  },
  { method: 'get', path: '/api/invites', summary: 'The invitations of the kennel. A lead’s.', signIn: true, answer: InvitesPage },
  ...record('invites', 'invitation', InviteFacts, Invite, true),
  {
    method: 'post',
    path: '/api/invitation',
    summary: 'What an invitation’s link leads to; known by its key alone.',
    signIn: false,
    request: InvitationAsked,
    answer: Invitation,
  },
  { method: 'post', path: '/api/join', summary: 'Joins a kennel by an invitation, once, and signs in.', signIn: false, request: Join, answer: Me },
  {
    method: 'get',
    path: '/api/deeds',
    summary: 'Who did what, the latest first, a hundred lines at a time; nobody can change it.',
    signIn: true,
    asks: DeedsAsked,
    answer: DeedsPage,
  },
  {
    method: 'get',
    path: '/api/locker',
    summary: 'Everything the kennel owns, where its links are, and what is to be bought.',
    signIn: true,
    answer: LockerPage,
  },
  { method: 'get', path: '/api/places', summary: 'The places where the kennel works, with what is allowed there.', signIn: true, answer: PlacesPage },
  {
    method: 'post',
    path: '/api/fits',
    summary: 'Many dogs against one stock: every kind of collar for each.',
    signIn: false,
    request: FitsRequest,
    answer: FitsAnswer,
  },
  { method: 'get', path: '/api/dogs', summary: 'All dogs with what their cards show.', signIn: true, answer: DogsPage },
  { method: 'get', path: '/api/dogs/{id}/page', summary: 'A dog with its whole record.', signIn: true, answer: DogPage },
  { method: 'get', path: '/api/dogs/{id}/neck', summary: 'A dog with its whole record and how it is dressed.', signIn: true, answer: NeckPage },
  {
    method: 'get',
    path: '/api/today',
    summary: 'What is due, in the order in which it matters; asked for as text/event-stream it goes on with each change.',
    signIn: true,
    answer: TodayPage,
  },
  { method: 'get', path: '/api/wearing', summary: 'What is on which dog now, and what is wrong with that.', signIn: true, answer: WearingPage },
  { method: 'get', path: '/api/bridges', summary: 'Programs that may tell events of this kennel’s devices.', signIn: true, answer: BridgesPage },
  {
    method: 'post',
    path: '/api/events',
    summary:
      'Events, one JSON object a line (docs/device-events.md), told by a bridge with its key or by somebody signed in. Each is kept once, whatever the order.',
    signIn: true,
    request: NewEvent,
    takes: 'lines',
    answer: EventsKept,
  },
  {
    method: 'put',
    path: '/api/entries/{id}',
    summary: 'Events told by a hand, kept together or not at all; the first one’s id is the entry’s.',
    signIn: true,
    request: NewEntry,
    answer: Entry,
  },
  { method: 'get', path: '/api/field', summary: 'All that a phone needs to log in the field without a connection.', signIn: true, answer: FieldPage },
  {
    method: 'post',
    path: '/api/field-log',
    summary:
      'What a phone logged, in order; each event is kept once, however often it is sent. What cannot stand is named and stays with the phone. A phone whose clock is off answers 409 clock-off until somebody has decided.',
    signIn: true,
    request: FieldBatch,
    answer: FieldBatchKept,
  },
  {
    method: 'get',
    path: '/api/field-sessions/{id}',
    summary: 'One session with everything that was told of it, or what arrived since.',
    signIn: true,
    asks: SessionAsked,
    answer: FieldSessionPage,
  },
  { method: 'get', path: '/api/dogs/{id}/levels', summary: 'What the screen Levels shows of a dog, but its single presses.', signIn: true, answer: LevelsPage },
  {
    method: 'get',
    path: '/api/dogs/{id}/presses',
    summary: 'Presses of a span on one device: each for itself where they are few, else put together.',
    signIn: true,
    asks: PressesAsked,
    answer: PressesPage,
  },
  { method: 'get', path: '/api/dogs/{id}/growth', summary: 'A dog with its whole record and its weighings.', signIn: true, answer: GrowthPage },
  { method: 'get', path: '/api/dogs/{id}/programmes', summary: 'A dog with its programmes and what was told of them.', signIn: true, answer: ProgrammesPage },
  { method: 'get', path: '/api/calendar', summary: 'The kennel’s calendar of a span of days.', signIn: true, asks: CalendarAsked, answer: CalendarPage },
  {
    method: 'post',
    path: '/api/calendar-changes',
    summary: 'Sessions planned, moved and dropped together, or not at all; the same change again is the same change.',
    signIn: true,
    request: CalendarChange,
    answer: CalendarChanged,
  },
  { method: 'get', path: '/api/drills', summary: 'How everybody did in handling drills of late.', signIn: true, answer: DrillsPage },
  ...record('drills', 'handling drill', NewDrill, Drill, false),
  { method: 'get', path: '/api/kennel-templates', summary: 'The kennel’s own programmes.', signIn: true, answer: TemplatesPage },
  ...record('kennel-templates', 'programme of the kennel’s own', KennelTemplateFacts, KennelTemplate, true),
  ...record('hours', 'week of the kennel or of somebody', HoursFacts, Hours, true),
  ...record('programmes', 'programme', ProgrammeFacts, Programme, true),
  ...record('stage-results', 'result of a session for its stage', NewStageResult, StageResult, false),
  ...record('stage-moves', 'move to another stage', NewStageMove, StageMove, false),
  ...record('level-caps', 'cap of a level', NewLevelCap, LevelCap, false),
  { method: 'get', path: '/api/photos/{id}', summary: 'A photo.', signIn: true, answer: z.string(), gives: 'image' },
  {
    method: 'put',
    path: '/api/photos/{id}',
    summary: 'Keeps a photo, once: JPEG, PNG or WebP, up to 15 MB. It is made anew, without what the camera wrote into it.',
    signIn: true,
    request: z.string(),
    takes: 'image',
    answer: Photo,
  },
  ...record('dressings', 'dressing', DressingFacts, Dressing, true),
  ...record('skin-looks', 'look at the skin', NewSkinLook, SkinLook, false),
  ...record('bridges', 'bridge', BridgeFacts, Bridge, true),
  ...record('dogs', 'dog', DogFacts, Dog, true),
  { method: 'get', path: '/api/collars', summary: 'All collars of the kennel.', signIn: true, answer: CollarsPage },
  ...record('collars', 'collar', CollarFacts, Collar, true),
  {
    method: 'get',
    path: '/api/calendar.ics',
    summary: 'The kennel’s calendar as a file that other calendars read (RFC 5545).',
    signIn: true,
    answer: z.string(),
    gives: 'calendar',
  },
  {
    method: 'get',
    path: '/api/feeds/{key}.ics',
    summary: 'The same under a private address, for whoever has its key.',
    signIn: false,
    answer: z.string(),
    gives: 'calendar',
  },
  { method: 'get', path: '/api/calendar-feeds', summary: 'The private addresses of the kennel’s calendar.', signIn: true, answer: CalendarFeedsPage },
  ...record('calendar-feeds', 'private address of the calendar', CalendarFeedFacts, CalendarFeed, true),
  {
    method: 'get',
    path: '/api/dogs/{id}/handovers',
    summary: 'What was handed over of a dog, its owners’ links and what was done with them.',
    signIn: true,
    answer: HandoversPage,
  },
  ...record('handovers', 'handover', NewHandover, Handover, false),
  { method: 'get', path: '/api/handovers/{id}/pages.pdf', summary: 'A handover on one or two pages.', signIn: true, answer: z.string(), gives: 'pdf' },
  ...record('owner-links', 'owner’s link', OwnerLinkFacts, OwnerLink, true),
  { method: 'post', path: '/api/owner', summary: 'What an owner sees by the key of their link.', signIn: false, request: OwnerAsked, answer: OwnerPage },
  {
    method: 'post',
    path: '/api/owner/ticks',
    summary: 'Ticks a line of the daily check, or takes the tick back.',
    signIn: false,
    request: OwnerTick,
    answer: OwnerPage,
  },
  {
    method: 'post',
    path: '/api/owner/pages.pdf',
    summary: 'The handover on one or two pages, for an owner.',
    signIn: false,
    request: OwnerAsked,
    answer: z.string(),
    gives: 'pdf',
  },
  { method: 'get', path: '/api/class', summary: 'What tomorrow’s class is kitted up from.', signIn: true, answer: ClassPage },
  { method: 'get', path: '/api/upkeep', summary: 'Everything that is kept up, how it was found last, and who wears it.', signIn: true, answer: UpkeepPage },
  ...record('inspections', 'look at a piece of gear', NewInspection, Inspection, false),
  ...record('weighings', 'weighing', NewWeighing, Weighing, false),
  ...record('tapings', 'taping', NewTaping, Taping, false),
  ...record('screenings', 'screening', NewScreening, Screening, false),
  ...record('lifts', 'lift', NewLift, Lift, false),
  ...record('plans', 'plan', NewPlan, Plan, false),
  ...record('fit-checks', 'fit check', NewFitCheck, FitCheck, false),
  ...record('endings', 'fit set aside', NewEnding, Ending, false),
  ...record('places', 'place', PlaceFacts, Place, true),
  ...record('gear', 'piece of gear', GearFacts, Gear, true),
  ...record('wants', 'thing to buy', WantFacts, Want, true),
  ...record('link-moves', 'move of links', NewLinkMove, LinkMove, false),
  ...Object.entries(CALCULATIONS).map(([name, { summary, request, answer }]): Endpoint => ({
    method: 'post',
    path: `/api/calc/${name}`,
    summary,
    signIn: false,
    request,
    answer,
  })),
];
