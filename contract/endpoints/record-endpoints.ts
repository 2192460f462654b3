import { CALCULATIONS } from '../calc/calculations.ts';
import { z } from '../plain-words.ts';
import { Collar, CollarFacts } from '../records/collar.ts';
import { CalendarFeed, CalendarFeedFacts, CalendarFeedsPage } from '../records/calendar-feed.ts';
import { Hours, HoursFacts } from '../records/calendar.ts';
import { Bridge, BridgeFacts } from '../records/bridge.ts';
import { Dog, DogFacts } from '../records/dog.ts';
import { Drill, DrillsPage, NewDrill } from '../records/drill.ts';
import { Dressing, DressingFacts } from '../records/dressing.ts';
import { Ending, NewEnding } from '../records/ending.ts';
import { Handover, HandoversPage, NewHandover, OwnerAsked, OwnerLink, OwnerLinkFacts, OwnerPage, OwnerSays, OwnerTick } from '../records/handover.ts';
import { LevelCap, NewLevelCap } from '../records/field-log.ts';
import { FitCheck, NewFitCheck } from '../records/fit-check.ts';
import { Gear, GearFacts, Want, WantFacts } from '../records/gear.ts';
import { Inspection, NewInspection } from '../records/inspection.ts';
import { KennelTemplate, KennelTemplateFacts, TemplatesPage } from '../records/kennel-template.ts';
import { LinkMove, NewLinkMove } from '../records/link-move.ts';
import { CollarsPage } from '../records/pages.ts';
import { Place, PlaceFacts } from '../records/place.ts';
import { NewStageMove, NewStageResult, Programme, ProgrammeFacts, StageMove, StageResult } from '../records/programme.ts';
import { NewPlan, Plan } from '../records/plan.ts';
import { Lift, NewLift, NewScreening, Screening } from '../records/screening.ts';
import { NewSkinLook, Photo, SkinLook } from '../records/skin-look.ts';
import { NewTaping, Taping } from '../records/taping.ts';
import { ClassPage } from '../kit-up/class-page.ts';
import { UpkeepAsked, UpkeepPage } from '../records/upkeep-page.ts';
import { NewWeighing, Weighing } from '../records/weighing.ts';
import { record, type Endpoint } from './endpoint.ts';

/** The records, each kept at its own address; and the calculations that are open to everybody. */
export const RECORD_ENDPOINTS: readonly Endpoint[] = [
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
    path: '/api/owner/says',
    summary: 'Says what is not right today or was done, or takes it back; the kennel sees it under its dues.',
    signIn: false,
    request: OwnerSays,
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
  {
    method: 'get',
    path: '/api/upkeep',
    summary: 'What is kept up, how it was found last, and who wears it: a part of one list, or one piece.',
    signIn: true,
    asks: UpkeepAsked,
    answer: UpkeepPage,
  },
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
