import { CALCULATIONS } from '../calc/calculations.ts';
import { z } from '../plain-words.ts';
import { CalendarFeedsPage } from '../records/calendar-feed.ts';
import { DrillsPage } from '../records/drill.ts';
import { HandoversPage, OwnerAsked, OwnerPage, OwnerSays, OwnerTick } from '../records/handover.ts';
import { TemplatesPage } from '../records/kennel-template.ts';
import { CollarsPage } from '../records/pages.ts';
import { Photo } from '../records/skin-look.ts';
import { ClassPage } from '../kit-up/class-page.ts';
import { UpkeepAsked, UpkeepPage } from '../records/upkeep-page.ts';
import { ADDRESSED_KINDS } from '../records/addressed-kinds.ts';
import { record, type Endpoint } from './endpoint.ts';

/** The records, each kept at its own address; and the calculations that are open to everybody. */
export const RECORD_ENDPOINTS: readonly Endpoint[] = [
  { method: 'get', path: '/api/drills', summary: 'How everybody did in handling drills of late.', signIn: true, answer: DrillsPage },
  { method: 'get', path: '/api/kennel-templates', summary: 'The kennel’s own programmes.', signIn: true, answer: TemplatesPage },
  { method: 'get', path: '/api/photos/{id}', summary: 'A photo.', signIn: true, answer: z.string(), gives: 'image' },
  {
    method: 'put',
    path: '/api/photos/{id}',
    summary: 'Keeps a photo, once: JPEG, PNG or WebP, up to 15 MB. It is re-made, without what the camera wrote into it.',
    signIn: true,
    request: z.string(),
    takes: 'image',
    answer: Photo,
  },
  { method: 'get', path: '/api/collars', summary: 'All collars of the kennel.', signIn: true, answer: CollarsPage },
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
  {
    method: 'get',
    path: '/api/dogs/{id}/handovers',
    summary: 'What was handed over of a dog, its owners’ links and what was done with them.',
    signIn: true,
    answer: HandoversPage,
  },
  { method: 'get', path: '/api/handovers/{id}/pages.pdf', summary: 'A handover on one or two pages.', signIn: true, answer: z.string(), gives: 'pdf' },
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
  ...ADDRESSED_KINDS.flatMap(record),
  ...Object.entries(CALCULATIONS).map(([name, { summary, request, answer }]): Endpoint => ({
    method: 'post',
    path: `/api/calc/${name}`,
    summary,
    signIn: false,
    request,
    answer,
  })),
];
