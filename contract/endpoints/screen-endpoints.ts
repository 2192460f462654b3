import { FitsAnswer, FitsRequest } from '../calc/fits.ts';
import { CalendarChange, CalendarChanged } from '../records/calendar.ts';
import { CalendarAsked, CalendarPage } from '../records/calendar-page.ts';
import { BridgesPage } from '../records/bridge.ts';
import { HappeningBatch, HappeningsKept, LinesKept } from '../happenings/batch.ts';
import { NewHappening } from '../happenings/happening.ts';
import { FieldSessionPage, SessionAsked } from '../records/field-log.ts';
import { FieldAsked, FieldDogsFound, FieldPage } from '../records/field-page.ts';
import { LevelsPage, PressesAsked, PressesPage } from '../records/levels-page.ts';
import { DogsAsked, DogLines } from '../records/dog-line.ts';
import { DogRecord, DogRecordAsked } from '../records/dog-record.ts';
import { FindAsked, Found } from '../records/found.ts';
import {
  DogCards,
  DogCardsAsked,
  DogPage,
  GrowthPage,
  KennelBench,
  LockerAsked,
  LockerPage,
  NeckPage,
  PlacesPage,
  ProgrammesPage,
  WearingPage,
} from '../records/pages.ts';
import { TodayItems, TodayItemsAsked, TodayPage } from '../records/today-page.ts';
import type { Endpoint } from './endpoint.ts';

/** What the screens show, each in one answer; and what hands, phones and bridges tell. */
export const SCREEN_ENDPOINTS: readonly Endpoint[] = [
  {
    method: 'get',
    path: '/api/locker',
    summary: 'Everything the kennel owns, where its links are, and what is to be bought.',
    signIn: true,
    asks: LockerAsked,
    answer: LockerPage,
  },
  { method: 'get', path: '/api/found', summary: 'Dogs and collars by a part of their names.', signIn: true, asks: FindAsked, answer: Found },
  { method: 'get', path: '/api/places', summary: 'The places where the kennel works, with what is allowed there.', signIn: true, answer: PlacesPage },
  {
    method: 'post',
    path: '/api/fits',
    summary: 'Many dogs against one stock: every kind of collar for each.',
    signIn: false,
    request: FitsRequest,
    answer: FitsAnswer,
  },
  {
    method: 'get',
    path: '/api/dogs',
    summary: 'The list of dogs, whose next step is pressing first; by name, breed or owner.',
    signIn: true,
    asks: DogsAsked,
    answer: DogLines,
  },
  {
    method: 'get',
    path: '/api/dog-cards',
    summary: 'Dogs with the latest measures, fits and screenings of each: some of them by their ids, or all, a part at a time.',
    signIn: true,
    asks: DogCardsAsked,
    answer: DogCards,
  },
  {
    method: 'get',
    path: '/api/dogs/{id}/page',
    summary: 'A dog as it stands: its latest measures, and what was decided and checked of its collars.',
    signIn: true,
    answer: DogPage,
  },
  {
    method: 'get',
    path: '/api/dogs/{id}/bench',
    summary: 'A dog as it stands, and all that the kennel owns, to choose from.',
    signIn: true,
    answer: DogPage,
  },
  { method: 'get', path: '/api/bench', summary: 'All that a new dog can be fitted with.', signIn: true, answer: KennelBench },
  { method: 'get', path: '/api/dogs/{id}/neck', summary: 'A dog as it stands and how it is dressed.', signIn: true, answer: NeckPage },
  {
    method: 'get',
    path: '/api/dogs/{id}/record',
    summary: 'What happened to a dog, the latest days first; all of it, or one part.',
    signIn: true,
    asks: DogRecordAsked,
    answer: DogRecord,
  },
  {
    method: 'get',
    path: '/api/today',
    summary: 'What is due, in the order in which it matters; asked for as text/event-stream it goes on with each change.',
    signIn: true,
    answer: TodayPage,
  },
  {
    method: 'get',
    path: '/api/today/items',
    summary: 'What else is due today, from where the list went on.',
    signIn: true,
    asks: TodayItemsAsked,
    answer: TodayItems,
  },
  { method: 'get', path: '/api/wearing', summary: 'What is on which dog now, and what is wrong with that.', signIn: true, answer: WearingPage },
  { method: 'get', path: '/api/bridges', summary: 'Programs that may tell events of this kennel’s devices.', signIn: true, answer: BridgesPage },
  {
    method: 'post',
    path: '/api/events',
    summary:
      'Events, one JSON object a line (docs/device-events.md), told by a bridge with its key or by somebody signed in. Each is kept once, whatever the order.',
    signIn: true,
    request: NewHappening,
    takes: 'lines',
    answer: LinesKept,
  },
  {
    method: 'post',
    path: '/api/happenings',
    summary:
      'What happened, in order, as a phone or a desk tells it; each is kept once, however often it is sent. What cannot stand is named and stays where it was told. A device whose clock is off answers 409 clock-off until somebody has decided. Lines of JSON are taken as at /api/events.',
    signIn: true,
    request: HappeningBatch,
    answer: HappeningsKept,
  },
  {
    method: 'get',
    path: '/api/field',
    summary: 'All that a phone needs to log in the field without a connection: the dogs that work of late, and those that are asked for.',
    signIn: true,
    asks: FieldAsked.pick({ dogs: true }),
    answer: FieldPage,
  },
  {
    method: 'get',
    path: '/api/field/dogs',
    summary: 'Dogs by a part of their names, as the field log needs them.',
    signIn: true,
    asks: FieldAsked.pick({ search: true }),
    answer: FieldDogsFound,
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
  {
    method: 'get',
    path: '/api/dogs/{id}/growth',
    summary: 'A dog as it stands, with every high girth that stands and its weighings.',
    signIn: true,
    answer: GrowthPage,
  },
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
];
