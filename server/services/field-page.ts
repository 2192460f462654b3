import { group } from 'd3-array';
import {
  dressedWears,
  ElectronicNumbersShape,
  footprintOf,
  hasContacts,
  houseOf,
  latestGirths,
  fittingDog,
  dayOf,
  dayStartOf,
  programmeStanding,
  toldEvents,
  type FieldDevice,
  type FieldPage,
  type Taping,
  type DogsPage,
} from '@banter/contract';
import { ceilingOf, deviceAt, ladderRung, placesOverlap, skinFlags, WORK_SETTINGS, type FindingTrial, type SkinLook } from '@banter/core';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { EventEntity } from '../data/entities/event.ts';
import { FieldSessionEntity, LevelCapEntity, PressEntity } from '../data/entities/field-log.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { SkinLookEntity } from '../data/entities/skin-look.ts';
import { dogsPage } from './dog-pages.ts';
import { toldOf } from './events.ts';
import { sessionAnswers } from './field-log.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';

const DAY_MS = 86_400_000;
/** Wears, tries and contact of the last days bear on a press; skin on longer ones. */
const EVENT_DAYS = 4;
const SKIN_DAYS = 90;
const OPEN_DAYS = 14;
const RECENT_HOURS = 12;
const NEEDED_SESSIONS = 3;

const iso = (ms: number) => new Date(ms).toISOString();
/** What is usual by setting: the working level where a curve gives one, else what the last sessions needed. */
async function usualLevels(scope: KennelScope, since: Date) {
  const findings = await scope.all(PressEntity, { purpose: 'finding', at: MoreThanOrEqual(since) }, { at: 'ASC' });
  const sessions = await scope.all(FieldSessionEntity, { begunAt: MoreThanOrEqual(since) }, { begunAt: 'ASC' });
  const trials = group(
    findings.filter(({ response }) => response !== null),
    ({ dogId, collarId }) => `${dogId} ${collarId}`,
  );
  const needed = new Map<string, Map<string, number[]>>();
  for (const { dogId, tally, purpose } of sessions) {
    if (purpose !== 'work') continue;
    for (const { collarId, setting, level } of tally.needed) {
      const own = needed.get(`${dogId} ${collarId}`) ?? new Map<string, number[]>();
      own.set(setting, [...(own.get(setting) ?? []), level].slice(-NEEDED_SESSIONS));
      needed.set(`${dogId} ${collarId}`, own);
    }
  }
  return (dogId: string, collarId: string, limits: Pick<Parameters<typeof ladderRung>[1], 'scale' | 'ceiling' | 'cap' | 'rules'>): FieldDevice['usual'] => {
    const usual: FieldDevice['usual'] = {};
    for (const [setting, levels] of needed.get(`${dogId} ${collarId}`) ?? []) {
      usual[setting] = { level: [...levels].sort((a, b) => a - b)[Math.floor((levels.length - 1) / 2)]!, how: 'needed' };
    }
    for (const [setting, rows] of group(trials.get(`${dogId} ${collarId}`) ?? [], (row) => row.setting)) {
      const own = rows.map(({ level, response, at }): FindingTrial => ({ level, response: response!, at: at.getTime() }));
      const { working } = ladderRung(own, limits);
      if (working !== null) usual[setting] = { level: working, how: 'working' };
    }
    return usual;
  };
}

/** Programmes that run, each with the stage its dog is in and what moves it on. */
async function runningProgrammes(
  scope: KennelScope,
  timeZone: string,
  now: Date,
): Promise<(FieldPage['dogs'][number]['programmes'][number] & { dogId: string })[]> {
  const rows = await scope.all(ProgrammeEntity, { state: 'running' }, { startsOn: 'ASC', id: 'ASC' });
  if (rows.length === 0) return [];
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const moves = (await scope.all(StageMoveEntity, { programmeId: In(rows.map(({ id }) => id)) }, byTime)).map(({ programmeId, toStage, at }) => ({ programmeId, toStage, at: at.toISOString() })); // prettier-ignore
  return rows.map((row) => {
    const own = moves.filter(({ programmeId }) => programmeId === row.id);
    const { stage } = programmeStanding(row, { results: [], moves: own }, { startedAt: dayStartOf(row.startsOn, timeZone), now: now.getTime() });
    const { what, needed, of } = stage.pass;
    return { id: row.id, dogId: row.dogId, name: row.name, stageId: stage.id, stageName: stage.name, what, needed, of, setback: stage.fallBack.setback };
  });
}

/** All that a phone needs to log in the field: dogs with their devices and what is known of these, people, settings, open sessions. The dogs are looked up unless they are known. */
export async function fieldPage(scope: KennelScope, now: Date, known?: DogsPage): Promise<FieldPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const { dogs, collars } = known ?? (await dogsPage(scope));
  const here = dogs.filter(({ dog }) => dog.archivedAt === null);
  const devices = here.flatMap(({ fits }) => fits.filter(({ plan }) => plan.kind === 'remote' || plan.kind === 'fence'));
  const collarIds = [...new Set(devices.map(({ plan }) => plan.collarId))];
  const dogIds = [...new Set(devices.map(({ plan }) => plan.dogId))];
  const since = (days: number) => new Date(now.getTime() - days * DAY_MS);
  const of = dogIds.length > 0;
  const [events, looks, much, caps, people, open, usual, recent, programmes] = await Promise.all([
    of ? scope.all(EventEntity, { collarId: In(collarIds), at: MoreThanOrEqual(since(EVENT_DAYS)) }, { at: 'ASC', id: 'ASC' }) : [],
    of ? scope.all(SkinLookEntity, { dogId: In(dogIds), at: MoreThanOrEqual(since(SKIN_DAYS)) }, { at: 'ASC', id: 'ASC' }) : [],
    scope.all(PressEntity, { response: 'too-much' }, { at: 'ASC' }),
    scope.all(LevelCapEntity, {}, { at: 'ASC', id: 'ASC' }),
    scope.all(PersonEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(FieldSessionEntity, { endedAt: IsNull(), begunAt: MoreThanOrEqual(since(OPEN_DAYS)) }, { begunAt: 'ASC' }),
    usualLevels(scope, since(SKIN_DAYS)),
    scope.all(FieldSessionEntity, { lastAt: MoreThanOrEqual(new Date(now.getTime() - RECENT_HOURS * 3_600_000)) }, { begunAt: 'ASC' }),
    runningProgrammes(scope, kennel.timeZone, now),
  ]);
  const told = events.map(toldOf);
  const deviceOf = (card: (typeof here)[number], collarId: string): FieldDevice[] => {
    const { dog } = card;
    const collar = collars.find(({ id }) => id === collarId);
    if (!collar || !hasContacts(collar)) return [];
    const numbers = ElectronicNumbersShape.parse(collar.numbers);
    const house = houseOf(kennel, dog);
    const skin = looks.filter(({ dogId }) => dogId === dog.id).map(({ clock, grade, at }): SkinLook => ({ clock, grade, at: at.getTime() }));
    const fitting = fittingDog(dog, latestGirths(card.girths as Taping[]), { today: dayOf(now.getTime(), kennel.timeZone) });
    const girthMm = fitting.skinGirthMm ?? fitting.hairGirthMm;
    const own = told.filter((event) => 'collarId' in event && event.collarId === collarId);
    const voids = told.filter(({ event }) => event === 'void');
    const wear = dressedWears(dog.id, [...own, ...voids], [collar], { skin, girthMm, house, timeZone: kennel.timeZone, now: now.getTime() }).findLast(
      (one) => one.wear.to === null,
    )?.wear;
    const place = wear?.places.at(-1) ?? null;
    const { device } = toldEvents([...own, ...voids]);
    const state = deviceAt(device, now.getTime());
    const contact = device.findLast((event) => event.event === 'contact');
    const tried = device.findLast((event) => event.event === 'tried');
    const flags = skinFlags(skin, now.getTime(), house.rules);
    const flag =
      flags.find(({ grade }) => grade >= 2) ??
      (place?.value != null && girthMm !== null ? flags.find(({ clock }) => placesOverlap(clock, place.value!, girthMm, footprintOf(collar)!)) : undefined);
    const scale = { min: numbers.scaleMin, max: numbers.scaleMax, step: numbers.scaleStep };
    const ceiling = ceilingOf(much.filter((press) => press.dogId === dog.id && press.collarId === collarId));
    const cap = caps.findLast((one) => one.dogId === dog.id && one.collarId === collarId)?.cap ?? null;
    return [
      {
        collarId,
        name: collar.name,
        scale,
        modes: numbers.modes,
        ceiling,
        cap,
        usual: usual(dog.id, collarId, { scale, ceiling, cap, rules: house.rules }),
        worn: wear ? { from: iso(wear.from), clock: place?.value ?? null, placeSince: iso(place?.from ?? wear.from) } : null,
        contact: contact?.event === 'contact' ? { made: contact.made, at: iso(contact.at) } : null,
        triedAt: tried ? iso(tried.at) : null,
        battery: state.percent === null ? null : { percent: state.percent, at: now.toISOString(), on: state.on === true },
        lockedUntil: state.lockedUntil === null ? null : iso(state.lockedUntil),
        skin: flag ? { clock: flag.clock, grade: flag.grade, until: flag.untilMs === null ? null : iso(flag.untilMs) } : null,
      },
    ];
  };
  return {
    kennelId: kennel.id,
    asOf: now.toISOString(),
    dogs: here.map((card) => ({
      id: card.dog.id,
      name: card.dog.name,
      breed: card.dog.breed,
      worksOn: card.dog.worksOn,
      kinds: card.fits.map(({ plan }) => plan.kind),
      moveByHours: houseOf(kennel, card.dog).rules.moveByHours,
      devices: card.fits.flatMap(({ plan }) => deviceOf(card, plan.collarId)),
      programmes: programmes.filter(({ dogId }) => dogId === card.dog.id).map(({ dogId: _dog, ...one }) => one),
    })),
    handlers: people.map(({ id, name }) => ({ id, name })),
    settings: [...WORK_SETTINGS, ...kennel.moreSettings].map(({ id, name }) => ({ id, name })),
    open: await sessionAnswers(scope, open),
    recent: await sessionAnswers(scope, recent),
  };
}
