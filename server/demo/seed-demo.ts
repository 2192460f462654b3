import { group } from 'd3-array';
import { FIRST_SETTINGS, NewFitCheck, NewPlan, NewScreening, NewTaping, type DogFacts, type NewLinkMove } from '@banter/contract';
import { SCREEN_ITEM_IDS, DAY_MS, HOUR_MS, MINUTE_MS, NOTHING_NOTED } from '@banter/core';
import { randomLcg, randomNormal } from 'd3-random';
import { DateTime } from 'luxon';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { doneAgain } from '../data/done-again.ts';
import { whileAlone } from '../data/lease.ts';
import { FitCheckEntity } from '../data/entities/fit-check.ts';
import { KennelEntity } from '../data/entities/kennel.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { InspectionEntity } from '../data/entities/inspection.ts';
import { LinkMoveEntity } from '../data/entities/link-move.ts';
import { StageMoveEntity, StageResultEntity } from '../data/entities/programme.ts';
import { WeighingEntity } from '../data/entities/weighing.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { ScreeningEntity } from '../data/entities/screening.ts';
import { SkinLookEntity } from '../data/entities/skin-look.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { collarKindOfRecord } from '../services/collars.ts';
import { dogKind } from '../services/dogs.ts';
import { dressingKind } from '../services/dressings.ts';
import { keepHappenings, type Unit } from '../services/happenings/keep-happenings.ts';
import { fitCheckKind } from '../services/fit-checks.ts';
import { gearKind, wantKind } from '../services/gear.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { kennelAnswer, kennelOf } from '../services/kennels.ts';
import { linkMoveKind } from '../services/links.ts';
import { placeKind } from '../services/places.ts';
import { planKind } from '../services/plans.ts';
import { putAppended, putVersioned } from '../records/record-base.ts';
import { screeningKind } from '../services/screenings.ts';
import { skinLookKind } from '../services/skin-looks.ts';
import { tapingKind } from '../services/tapings.ts';
import { TOLD_DOGS, type ToldTaping } from './marrow-fen-dogs.ts';
import { MARROW_FEN_SETTINGS, toldSessions } from './marrow-fen-field.ts';
import { TOLD_DRESSINGS, TOLD_SKIN, toldWears } from './marrow-fen-neck.ts';
import { seedInspections } from './marrow-fen-inspections.ts';
import { seedWeighings } from './marrow-fen-weighings.ts';
import { seedOwnerWords } from './marrow-fen-owners.ts';
import { seedProgrammes } from './marrow-fen-programmes.ts';
import { TOLD_GEAR, TOLD_OTHERS, TOLD_PLACES } from './marrow-fen-locker.ts';
import { RIGHT_ANSWERS, TOLD_COLLARS, TOLD_FITS } from './marrow-fen-fits.ts';

const STAFF = ['Wenna Sedge', 'Corin Haw', 'Odile Marsh'] as const;
/** Their fingers, thick and wide, mm; one has not measured hers. */
const STAFF_FINGERS: Record<(typeof STAFF)[number], { fingerThicknessMm: number | null; fingerWidthMm: number | null }> = {
  'Wenna Sedge': { fingerThicknessMm: 14, fingerWidthMm: 17 },
  'Corin Haw': { fingerThicknessMm: 17, fingerWidthMm: 21 },
  'Odile Marsh': { fingerThicknessMm: null, fingerWidthMm: null },
};
/** How far apart each person’s readings fall, as a standard deviation in mm. */
const TAPE_NOISE_MM = [1.1, 1.6, 1.4] as const;
const SEED = 0.61803;
const KENNEL_ZONE = 'Europe/London';

/** Ids and readings that are the same for the same day, so that the demo can be made again. */
function generator(now: Date) {
  const random = randomLcg(SEED);
  const normal = randomNormal.source(random)(0, 1);
  const today = new Date(Math.floor(now.getTime() / DAY_MS) * DAY_MS);
  return {
    ago: (days: number, minutes = 0) => new Date(today.getTime() - days * DAY_MS + 9 * HOUR_MS + minutes * MINUTE_MS),
    id: (at: Date) =>
      uuidv7({ msecs: at.getTime(), random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)), seq: Math.floor(random() * 2 ** 31) }),
    chance: () => random(),
    normal: () => Math.max(-2, Math.min(2, normal())),
    reading: (girthMm: number, noiseMm: number) => Math.round(girthMm + Math.max(-2, Math.min(2, normal())) * noiseMm),
  };
}

type Generator = ReturnType<typeof generator>;

function readingsOf(taping: ToldTaping, make: Generator): number[] {
  const noise = TAPE_NOISE_MM[taping.by];
  // The middle one is the told girth itself, so that the story's cases come out as told.
  const readings = [make.reading(taping.girthMm, noise), taping.girthMm, make.reading(taping.girthMm, noise)];
  const [low, high] = [Math.min(readings[0]!, readings[2]!), Math.max(readings[0]!, readings[2]!)];
  if (low > taping.girthMm) readings[0] = 2 * taping.girthMm - low;
  if (high < taping.girthMm) readings[2] = 2 * taping.girthMm - high;
  return taping.oddMm === undefined ? readings : [...readings, taping.girthMm, taping.girthMm + taping.oddMm];
}

/** Tells what happened in the demo kennel; all of it can be kept. */
async function tellDemo(scope: KennelScope, units: readonly Unit[], phone: string, now: Date): Promise<void> {
  const outcomes = await keepHappenings(scope, units, { teller: { source: 'hand', bridgeId: null }, strict: true, phone, aheadMs: 0 }, now.getTime());
  const odd = outcomes.flat().find(({ status }) => status !== 'kept');
  if (odd) throw new Error(`the demo kennel cannot be told: ${odd.message}`);
}

/** Tables of what happened: in the demo everything was written down as it happened. */
const HAPPENED = [
  ScreeningEntity,
  TapingEntity,
  WeighingEntity,
  PlanEntity,
  FitCheckEntity,
  SkinLookEntity,
  InspectionEntity,
  HappeningEntity,
  StageResultEntity,
  StageMoveEntity,
  LinkMoveEntity,
].map(({ options }) => options.tableName!);

async function seed(manager: EntityManager, now: Date): Promise<void> {
  const make = generator(now);
  const founded = make.ago(95);
  const kennelId = make.id(founded);
  await manager.insert(KennelEntity, {
    id: kennelId,
    version: 1,
    name: 'Marrow Fen Field Dogs',
    lengthUnit: 'cm',
    massUnit: 'kg',
    timeZone: KENNEL_ZONE,
    ...FIRST_SETTINGS,
    moreSettings: MARROW_FEN_SETTINGS,
    demo: true,
    createdAt: founded,
  });
  const scopes: KennelScope[] = [];
  for (const name of STAFF) {
    const id = make.id(founded);
    const role = scopes.length === 0 ? ('lead' as const) : ('assistant' as const);
    await manager.insert(PersonEntity, {
      id,
      kennelId,
      name,
      email: null,
      passwordHash: null,
      ...STAFF_FINGERS[name],
      role,
      leftAt: null,
      createdAt: new Date(founded.getTime() + scopes.length),
    });
    scopes.push(new KennelScope(manager, { kennelId, personId: id, role, backdated: true }));
  }

  const collarIds = new Map<string, string>();
  for (const { key, name, metal, measuredDaysAgo, note, ...numbers } of TOLD_COLLARS) {
    const at = make.ago(measuredDaysAgo ?? 20);
    const id = make.id(at);
    collarIds.set(key, id);
    const measuredOn = measuredDaysAgo === null ? null : DateTime.fromJSDate(at, { zone: KENNEL_ZONE }).toISODate();
    await putVersioned(
      scopes[0]!,
      collarKindOfRecord,
      id,
      { kind: 'prong', name, metal, condition: 'sound', numbers, measuredOn, owned: true, note, retiredAt: null },
      null,
    );
  }

  for (const { key, measuredDaysAgo, ...facts } of TOLD_OTHERS) {
    const at = make.ago(measuredDaysAgo ?? 20);
    const id = make.id(at);
    collarIds.set(key, id);
    const measuredOn = measuredDaysAgo === null ? null : DateTime.fromJSDate(at, { zone: KENNEL_ZONE }).toISODate();
    await putVersioned(scopes[0]!, collarKindOfRecord, id, { ...facts, measuredOn, owned: true, retiredAt: null }, null);
  }
  const gearIds = new Map<string, string>();
  for (const facts of TOLD_GEAR) {
    const id = make.id(make.ago(75));
    gearIds.set(facts.name, id);
    await putVersioned(scopes[1]!, gearKind, id, { massG: null, loadRated: null, ...facts, retiredAt: null }, null);
  }
  const placeIds = new Map<string, string>();
  for (const { key, checkedDaysAgo, ...facts } of TOLD_PLACES) {
    const id = make.id(make.ago(90));
    placeIds.set(key, id);
    const checkedOn = checkedDaysAgo === null ? null : DateTime.fromJSDate(make.ago(checkedDaysAgo), { zone: KENNEL_ZONE }).toISODate();
    await putVersioned(scopes[0]!, placeKind, id, { ...facts, checkedOn, retiredAt: null }, null);
  }
  const boughtAt = make.ago(50);
  const bought: NewLinkMove = {
    gaugeMm: 3,
    count: 3,
    from: 'outside',
    to: 'bag',
    why: 'bought',
    note: 'Spare links for the big necks.',
    at: boughtAt.toISOString(),
  };
  await putAppended(scopes[0]!, linkMoveKind, make.id(boughtAt), bought);

  const dogIds = new Map<string, string>();
  for (const told of TOLD_DOGS) {
    const { ageDays, weightKg, ...facts } = told.facts;
    const at = make.ago(90);
    const dogId = make.id(at);
    dogIds.set(told.key, dogId);
    const bornOn = DateTime.fromJSDate(make.ago(Math.round(ageDays)), { zone: KENNEL_ZONE }).toISODate();
    const placeId = told.place ? placeIds.get(told.place)! : null;
    const dog: DogFacts = {
      ...NOTHING_NOTED,
      house: null,
      heelLine: '',
      toolsWhere: null,
      ...facts,
      placeId,
      bornOn,
      bornGuessed: ageDays > 365,
      weightG: weightKg * 1000,
      archivedAt: null,
    };
    await putVersioned(scopes[0]!, dogKind, dogId, dog, null);

    const events: { at: Date; keep: () => Promise<void> }[] = [];
    if (told.screened) {
      const screenedAt = make.ago(88);
      const answers = { ...Object.fromEntries(SCREEN_ITEM_IDS.map((id) => [id, 'no'])), ...told.screened };
      events.push({
        at: screenedAt,
        keep: async () => {
          const id = make.id(screenedAt);
          await putAppended(scopes[0]!, screeningKind, id, NewScreening.parse({ dogId, answers, note: '', at: screenedAt.toISOString() }));
        },
      });
    }
    told.tapings.forEach((taping, index) => {
      const tapedAt = make.ago(taping.daysAgo, 3 * index);
      events.push({
        at: tapedAt,
        keep: async () => {
          const id = make.id(tapedAt);
          const readingsMm = readingsOf(taping, make);
          const sent = NewTaping.parse({
            dogId,
            site: taping.site,
            way: 'tape',
            readingsMm,
            typed: readingsMm.map((mm) => String(mm / 10)),
            overCoat: taping.coatDepthMm !== undefined,
            coatDepthMm: taping.coatDepthMm ?? null,
            weightG: (taping.weightKg ?? weightKg) * 1000,
            neckBuild: facts.neckBuild,
            at: tapedAt.toISOString(),
            correctsId: null,
            settled: false,
          });
          await putAppended(scopes[taping.by]!, tapingKind, id, sent);
        },
      });
    });
    for (const fit of TOLD_FITS.filter((one) => one.dog === told.key)) {
      const plannedAt = make.ago(fit.daysAgo, 30);
      const planId = make.id(plannedAt);
      events.push({
        at: plannedAt,
        keep: async () => {
          const sent = NewPlan.parse({
            dogId,
            collarId: collarIds.get(fit.collar),
            kind: fit.kind ?? 'prong',
            choices: fit.choices,
            placeId,
            note: fit.note,
            at: plannedAt.toISOString(),
          });
          await putAppended(scopes[fit.by]!, planKind, planId, sent);
        },
      });
      for (const check of fit.checks) {
        const checkedAt = new Date(plannedAt.getTime() + check.minutesAfter * MINUTE_MS);
        events.push({
          at: checkedAt,
          keep: async () => {
            const id = make.id(checkedAt);
            const sent = NewFitCheck.parse({
              dogId,
              planId,
              kind: fit.kind ?? 'prong',
              on: check.on,
              answers: fit.kind ? check.answers : { ...RIGHT_ANSWERS, ...check.answers },
              note: check.note,
              at: checkedAt.toISOString(),
            });
            await putAppended(scopes[check.by]!, fitCheckKind, id, sent);
          },
        });
      }
    }
    // In the order they happened, so that each plan is made from what was known then.
    events.sort((a, b) => a.at.getTime() - b.at.getTime());
    for (const event of events) await event.keep();
  }
  await seedWeighings(manager, scopes, dogIds, make);
  for (const { dog, dressing, pieces } of TOLD_DRESSINGS) {
    const rig = dressing.rig.map((part) => ({ ...part, gearId: pieces[part.id] === undefined ? null : gearIds.get(pieces[part.id]!)! }));
    await putVersioned(scopes[0]!, dressingKind, dogIds.get(dog)!, { ...dressing, rig }, null);
  }
  for (const { dog, daysAgo, hour, by, ...look } of TOLD_SKIN) {
    const at = make.ago(daysAgo, (hour - 9) * 60);
    const id = make.id(at);
    await putAppended(scopes[by]!, skinLookKind, id, { ...look, dogId: dogIds.get(dog)!, photoId: null, at: at.toISOString() });
  }
  const [bramble, moss, nutmeg] = ['bramble', 'moss', 'nutmeg'].map((key) => dogIds.get(key)!) as [string, string, string];
  const [hazel, curlew, longAlder, willow] = ['twin', 'remote', 'long', 'martingale-middle'].map((key) => collarIds.get(key)!) as [
    string,
    string,
    string,
    string,
  ];
  const wears = toldWears({ bramble, moss, nutmeg, hazel, curlew, longAlder, willow }, make, now);
  await tellDemo(
    scopes[0]!,
    wears.map((told) => [told]),
    '',
    now,
  );
  const field = toldSessions(
    {
      dogs: { bramble, moss, nutmeg, wick: dogIds.get('wick')!, hale: dogIds.get('hale')! },
      curlew,
      staff: scopes.map(({ personId }) => personId),
    },
    make,
  );
  for (const [by, sessions] of group(field, (one) => one.by)) {
    const told = sessions.flatMap(({ events }) => events.map((event) => [event]));
    await tellDemo(scopes[by]!, told, `phone of ${STAFF[by]}`, now);
  }
  const kennel = kennelAnswer(await kennelOf(scopes[0]!));
  await seedOwnerWords(scopes[0]!, dogIds, kennel, now, make);
  await seedInspections(scopes, make);
  await seedProgrammes({ scopes, dogIds, kennel, now }, make);
  await putVersioned(
    scopes[1]!,
    wantKind,
    make.id(make.ago(19)),
    { what: 'For Tansy: a wide-throat collar that takes 30 cm near the middle of its range.', dogId: null, boughtAt: null },
    null,
  );
  // The ledger, too, as if it had been kept at the time it happened.
  await manager.query("UPDATE link_moves SET at = ? WHERE kennelId = ? AND why = 'stocked'", [founded, kennelId]);
  for (const table of HAPPENED) await manager.query(`UPDATE \`${table}\` SET recordedAt = at WHERE kennelId = ?`, [kennelId]);
}

/** Takes everything out of the demo kennel, its log and its visitors' sign-ins included, and the kennel itself. */
async function takeDemoOut(manager: EntityManager, kennelId: string): Promise<void> {
  const tables = await manager.query<{ name: string }[]>(
    "SELECT TABLE_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND COLUMN_NAME = 'kennelId'",
  );
  // All of it goes: in which order does not matter.
  await manager.query('SET SESSION foreign_key_checks = 0');
  try {
    for (const { name } of tables) await manager.query(`DELETE FROM \`${name}\` WHERE kennelId = ?`, [kennelId]);
    await manager.query('DELETE FROM kennels WHERE id = ? AND demo', [kennelId]);
  } finally {
    await manager.query('SET SESSION foreign_key_checks = 1');
  }
}

/** Puts the demo kennel back as it was made, all of it or nothing. False when there is none, or another Banter is at it. */
export async function resetDemo(dataSource: DataSource, now: Date): Promise<boolean> {
  const putBack = () =>
    dataSource.transaction(async (manager) => {
      const demo = await manager.findOneBy(KennelEntity, { demo: true });
      if (!demo) return false;
      await takeDemoOut(manager, demo.id);
      await seed(manager, now);
      return true;
    });
  return (await whileAlone(dataSource, 'demo', () => doneAgain(putBack), null)) ?? false;
}

/**
 * Puts the demo kennel, Marrow Fen Field Dogs, into a database that holds no kennel yet; leaves any other alone.
 * All of it or nothing. The same day makes the same kennel, to the id.
 */
export async function seedDemo(dataSource: DataSource, now: Date): Promise<void> {
  const isEmpty = async () => (await dataSource.getRepository(KennelEntity).count()) === 0;
  if (!(await isEmpty())) return;
  // Another server may have been at it, and be done.
  await whileAlone(
    dataSource,
    'demo',
    async () => (await isEmpty()) && (await dataSource.transaction((manager) => seed(manager, now))),
    () => {},
  );
}
