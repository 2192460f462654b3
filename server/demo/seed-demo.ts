import { NewFitCheck, NewPlan, NewTaping, type DogFacts } from '@banter/contract';
import { randomLcg, randomNormal } from 'd3-random';
import { DateTime } from 'luxon';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { FitCheckEntity } from '../data/entities/fit-check.ts';
import { KennelEntity } from '../data/entities/kennel.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { collarKindOfRecord } from '../services/collars.ts';
import { dogKind } from '../services/dogs.ts';
import { fitCheckKind } from '../services/fit-checks.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { planKind } from '../services/plans.ts';
import { putAppended, putVersioned } from '../services/record-base.ts';
import { tapingKind } from '../services/tapings.ts';
import { TOLD_DOGS, type ToldTaping } from './marrow-fen-dogs.ts';
import { RIGHT_ANSWERS, TOLD_COLLARS, TOLD_FITS } from './marrow-fen-fits.ts';

const STAFF = ['Wenna Sedge', 'Corin Haw', 'Odile Marsh'] as const;
/** How far apart each person’s readings fall, as a standard deviation in mm. */
const TAPE_NOISE_MM = [1.1, 1.6, 1.4] as const;
const SEED = 0.61803;
const DAY_MS = 86_400_000;
const KENNEL_ZONE = 'Europe/London';

/** Ids and readings that are the same for the same day, so that the demo can be made again. */
function generator(now: Date) {
  const random = randomLcg(SEED);
  const normal = randomNormal.source(random)(0, 1);
  const today = new Date(Math.floor(now.getTime() / DAY_MS) * DAY_MS);
  return {
    ago: (days: number, minutes = 0) => new Date(today.getTime() - days * DAY_MS + 9 * 3_600_000 + minutes * 60_000),
    id: (at: Date) =>
      uuidv7({ msecs: at.getTime(), random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)), seq: Math.floor(random() * 2 ** 31) }),
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

/** Keeps a verdict as if it had been kept at the time it happened. */
async function keepThen<Row extends { id: string }>(manager: EntityManager, table: string, id: Row['id'], at: Date): Promise<void> {
  await manager.query(`UPDATE \`${table}\` SET recordedAt = ? WHERE id = ?`, [at, id]);
}

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
    gaugeSchool: 'pull-first',
    betweenSchool: 'finer',
    ringPlace: 'nape',
    rules: {},
    demo: true,
    createdAt: founded,
  });
  const scopes: KennelScope[] = [];
  for (const name of STAFF) {
    const id = make.id(founded);
    await manager.insert(PersonEntity, { id, kennelId, name, email: null, passwordHash: null, createdAt: new Date(founded.getTime() + scopes.length) });
    scopes.push(new KennelScope(manager, { kennelId, personId: id }));
  }

  const collarIds = new Map<string, string>();
  for (const { key, name, metal, measuredDaysAgo, note, ...numbers } of TOLD_COLLARS) {
    const at = make.ago(measuredDaysAgo);
    const id = make.id(at);
    collarIds.set(key, id);
    const measuredOn = DateTime.fromJSDate(at, { zone: KENNEL_ZONE }).toISODate();
    await putVersioned(scopes[0]!, collarKindOfRecord, id, { kind: 'prong', name, metal, numbers, measuredOn, note, retiredAt: null }, null);
  }

  for (const told of TOLD_DOGS) {
    const { ageDays, weightKg, ...facts } = told.facts;
    const at = make.ago(90);
    const dogId = make.id(at);
    const bornOn = DateTime.fromJSDate(make.ago(Math.round(ageDays)), { zone: KENNEL_ZONE }).toISODate();
    const dog: DogFacts = { ...facts, bornOn, bornGuessed: ageDays > 365, weightG: weightKg * 1000, archivedAt: null };
    await putVersioned(scopes[0]!, dogKind, dogId, dog, null);

    const events: { at: Date; keep: () => Promise<void> }[] = [];
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
            readingsMm,
            typed: readingsMm.map((mm) => String(mm / 10)),
            overCoat: taping.coatDepthMm !== undefined,
            coatDepthMm: taping.coatDepthMm ?? null,
            weightG: (taping.weightKg ?? weightKg) * 1000,
            neckBuild: facts.neckBuild,
            at: tapedAt.toISOString(),
            correctsId: null,
          });
          await putAppended(scopes[taping.by]!, tapingKind, id, sent);
          await keepThen<{ id: string }>(manager, TapingEntity.options.tableName!, id, tapedAt);
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
            kind: 'prong',
            choices: fit.choices,
            note: fit.note,
            at: plannedAt.toISOString(),
          });
          await putAppended(scopes[fit.by]!, planKind, planId, sent);
          await keepThen<{ id: string }>(manager, PlanEntity.options.tableName!, planId, plannedAt);
        },
      });
      for (const check of fit.checks) {
        const checkedAt = new Date(plannedAt.getTime() + check.minutesAfter * 60_000);
        events.push({
          at: checkedAt,
          keep: async () => {
            const id = make.id(checkedAt);
            const sent = NewFitCheck.parse({
              dogId,
              planId,
              kind: 'prong',
              on: check.on,
              answers: { ...RIGHT_ANSWERS, ...check.answers },
              note: check.note,
              at: checkedAt.toISOString(),
            });
            await putAppended(scopes[check.by]!, fitCheckKind, id, sent);
            await keepThen<{ id: string }>(manager, FitCheckEntity.options.tableName!, id, checkedAt);
          },
        });
      }
    }
    // In the order they happened, so that each plan is made from what was known then.
    events.sort((a, b) => a.at.getTime() - b.at.getTime());
    for (const event of events) await event.keep();
  }
}

/**
 * Puts the demo kennel, Marrow Fen Field Dogs, into a database that holds no kennel yet; leaves any other alone.
 * All of it or nothing. The same day makes the same kennel, to the id.
 */
export async function seedDemo(dataSource: DataSource, now: Date): Promise<void> {
  if ((await dataSource.getRepository(KennelEntity).count()) > 0) return;
  await dataSource.transaction((manager) => seed(manager, now));
}
