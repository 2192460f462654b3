import type { PlannedSessionFacts } from '@banter/contract';
import {
  calendarCase,
  dayOf,
  dealTellTale,
  HoursFacts,
  plannedFacts,
  scheduleDays,
  stagesPlanned,
  stageWish,
  type Kennel,
  type ProgrammeFacts,
} from '@banter/contract';
import { placeSessions, PROGRAMME_TEMPLATES } from '@banter/core';
import { DateTime } from 'luxon';
import { PlannedSessionEntity } from '../data/entities/calendar.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { ProgrammeEntity } from '../data/entities/programme.ts';
import { calendarPage } from '../services/calendar.ts';
import { hoursKind } from '../services/hours.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { programmeKind, stageMoveKind, stageResultKind } from '../services/programmes.ts';
import { putAppended, putVersioned } from '../records/record-base.ts';

type Make = { id: (at: Date) => string; ago: (days: number, minutes?: number) => Date; chance: () => number };

/** A programme of one dog: since when, and what came of it. The first stage begins with it. */
type ToldProgramme = {
  dog: string;
  template: string;
  daysAgo: number;
  /** Days ago, stage, and how many of how many went well. */
  results: readonly [daysAgo: number, stageId: string, met: number, of: number][];
  moves: readonly [daysAgo: number, toStage: string, note: string][];
};

const NO_TELL_TALE_DAYS = 5;
/** Moss, with six quiet wearings, is on pressure and release and has just passed it; the others are on their way. All invented. */
const TOLD_PROGRAMMES: readonly ToldProgramme[] = [
  {
    dog: 'moss',
    template: 'wear-first',
    daysAgo: 14,
    results: [
      [13, 'worn', 1, 1],
      [12, 'worn', 1, 1],
      [11, 'worn', 1, 1],
      [10, 'worn', 1, 1],
      [9, 'worn', 1, 1],
      [8, 'worn', 1, 1],
      [7, 'yield', 6, 10],
      [5, 'yield', 8, 10],
      [2, 'yield', 9, 10],
    ],
    moves: [[8, 'yield', '']],
  },
  {
    dog: 'bramble',
    template: 'level-finding',
    daysAgo: 40,
    results: [
      [30, 'known-cues', 8, 10],
      [28, 'known-cues', 9, 10],
      [16, 'more', 8, 10],
      [12, 'more', 9, 10],
      [6, 'more', 5, 10],
    ],
    moves: [
      [37, 'find', 'Wore it for a season already.'],
      [33, 'known-cues', 'Three runs in a week, all close together.'],
      [28, 'more', ''],
    ],
  },
  { dog: 'nutmeg', template: 'through-the-hoop', daysAgo: 9, results: [[8, 'food-through', 9, 10], [7, 'food-through', 10, 10], [4, 'turn-away', 7, 10]], moves: [[7, 'turn-away', '']] }, // prettier-ignore
  { dog: 'wick', template: 'fading', daysAgo: 20, results: [[18, 'slip-leash', 9, 10], [15, 'slip-leash', 8, 10], [6, 'long-line', 6, 10]], moves: [[15, 'long-line', '']] }, // prettier-ignore
  { dog: 'barnaby', template: 'nose-first', daysAgo: 6, results: [[5, 'beside', 10, 10], [4, 'beside', 9, 10], [3, 'through', 4, 10]], moves: [[4, 'through', '']] }, // prettier-ignore
  { dog: 'hale', template: 'loose-to-fitted', daysAgo: 2, results: [[1, 'two-long', 7, 10]], moves: [] },
  { dog: 'bramble', template: 'no-tell-tale', daysAgo: NO_TELL_TALE_DAYS, results: [], moves: [] },
  { dog: 'linnet', template: 'level-finding', daysAgo: 5, results: [[4, 'worn', 1, 1], [3, 'worn', 1, 1], [2, 'worn', 1, 1]], moves: [] }, // prettier-ignore
  { dog: 'sorrel', template: 'boundary', daysAgo: 1, results: [], moves: [] },
];

const at = (hour: number, minute = 0) => hour * 60 + minute;
const days = (five: [number, number] | null, saturday: [number, number] | null, sunday: [number, number] | null) => [
  five,
  five,
  five,
  five,
  five,
  saturday,
  sunday,
];

/** The week of the kennel, then of its three people. */
const TOLD_WEEKS: readonly HoursFacts['week'][] = [
  days([at(8), at(18)], [at(8), at(18)], [at(8), at(12)]),
  days([at(8), at(16)], null, [at(8), at(12)]),
  [null, [at(9), at(17, 30)], [at(9), at(17, 30)], [at(9), at(17, 30)], [at(9), at(17, 30)], [at(9), at(17, 30)], null],
  days([at(8), at(12)], [at(8), at(12)], null),
];

/** Days ahead that are planned, and days back whose held sessions had been planned. */
const AHEAD_DAYS = 21;
const BACK_DAYS = 10;

/** Keeps hours, programmes, and the sessions planned of them. */
export async function seedProgrammes(
  { scopes, dogIds, kennel, now }: { scopes: readonly KennelScope[]; dogIds: ReadonlyMap<string, string>; kennel: Kennel; now: Date },
  make: Make,
): Promise<void> {
  const lead = scopes[0]!;
  for (const [index, week] of TOLD_WEEKS.entries()) {
    const personId = index === 0 ? null : scopes[index - 1]!.personId;
    await putVersioned(lead, hoursKind, personId ?? lead.kennelId, HoursFacts.parse({ personId, week, away: [] }), null);
  }
  for (const { dog, template, daysAgo, results, moves } of TOLD_PROGRAMMES) {
    const { id: templateId, name, stages: told } = PROGRAMME_TEMPLATES.find(({ id }) => id === template)!;
    const programmeId = make.id(make.ago(daysAgo));
    const startsOn = DateTime.fromJSDate(make.ago(daysAgo), { zone: kennel.timeZone }).toISODate()!;
    const stages = structuredClone(told) as ProgrammeFacts['stages'];
    const facts = { dogId: dogIds.get(dog)!, templateId, name, stages, startsOn, state: 'running' as const, note: '', tellTale: null };
    await putVersioned(lead, programmeKind, programmeId, facts, null);
    const steps = [
      ...results.map(([ago, stageId, met, of]) => ({ when: make.ago(ago, 40), stageId, met, of })),
      ...moves.map(([ago, toStage, note]) => ({ when: make.ago(ago, 45), toStage, note })),
    ].sort((a, b) => a.when.getTime() - b.when.getTime());
    for (const { when, ...step } of steps) {
      const told = { programmeId, at: when.toISOString() };
      if ('toStage' in step) await putAppended(lead, stageMoveKind, make.id(when), { ...told, ...step });
      else await putAppended(scopes[2]!, stageResultKind, make.id(when), { ...told, ...step, sessionId: null, setback: false, note: '' });
    }
  }
  await planAhead(lead, kennel, now, make);
}

async function planAhead(lead: KennelScope, kennel: Kennel, now: Date, make: Make): Promise<void> {
  const midnight = DateTime.fromJSDate(now, { zone: kennel.timeZone }).startOf('day');
  const page = await calendarPage(lead, { from: midnight.toISODate()!, days: AHEAD_DAYS }, now);
  const dates = scheduleDays(page);
  const programmes = stagesPlanned(page, kennel, now.getTime());
  const wishes = programmes.filter(({ dealt }) => !dealt).map((one) => stageWish(one, { fromDay: 0, aroundMinutes: 0, hands: null }));
  const { placed } = placeSessions({ ...calendarCase(page, kennel, midnight.toMillis()), wishes, fixed: [] });
  const planned: PlannedSessionFacts[] = placed.map((one) => plannedFacts(one, dates));
  // What was held had been planned, near enough; a few that were planned were not held.
  const held = await lead.query(FieldSessionEntity).andWhere('record.begunAt >= :from', { from: midnight.minus({ days: BACK_DAYS }).toJSDate() }).getMany(); // prettier-ignore
  for (const { dogId, handlerId, begunAt } of held.sort((a, b) => a.begunAt.getTime() - b.begunAt.getTime())) {
    const programme = programmes.find((one) => one.programme.dogId === dogId);
    if (!programme || begunAt >= midnight.toJSDate()) continue;
    const local = DateTime.fromJSDate(begunAt, { zone: kennel.timeZone });
    const from = Math.round((local.hour * 60 + local.minute) / 15) * 15;
    const { stage } = programme.programme;
    const facts = { dogId, programmeId: programme.programme.id, stageId: stage.id, personId: handlerId, aroundMinutes: 0, state: 'planned' as const, note: '' };
    const busy = planned.some((one) => one.day === dayOf(begunAt.getTime(), kennel.timeZone) && Math.abs(one.from - from) < 30 && one.personId === handlerId);
    if (!busy) planned.push({ ...facts, day: local.toISODate()!, from, minutes: stage.minutes });
  }
  await lead.insertMany(
    PlannedSessionEntity,
    planned.map((facts) => ({ ...facts, id: make.id(now), version: 1 })),
  );
  await dealOne(lead, kennel, make);
}

/** Deals the two weeks without a tell-tale, as of the morning on which they began. */
async function dealOne(lead: KennelScope, kennel: Kennel, make: Make): Promise<void> {
  const [row] = await lead.all(ProgrammeEntity, { templateId: 'no-tell-tale' }, { id: 'ASC' });
  const { version, id, ...facts } = programmeKind.toAnswer(row!);
  const begun = make.ago(NO_TELL_TALE_DAYS, -60);
  const page = await calendarPage(lead, { from: facts.startsOn, days: AHEAD_DAYS }, begun);
  const plans = await lead.all(PlanEntity, { dogId: facts.dogId }, { at: 'DESC', id: 'DESC' });
  const collars = [...new Set(plans.map(({ collarId }) => collarId))].slice(0, 2);
  const dealt = dealTellTale({ ...facts, id, version }, { collars, seed: make.chance(), newId: () => make.id(begun) }, page, kennel, begun.getTime());
  await lead.insertMany(
    PlannedSessionEntity,
    dealt.sessions.map(({ id: sessionId, facts: one }) => ({ ...one, id: sessionId, version: 1 })),
  );
  await putVersioned(lead, programmeKind, id, { ...facts, tellTale: dealt.tellTale }, version);
}
