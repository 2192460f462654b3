import {
  broughtUp,
  byHandsOn,
  collarKind,
  fittingDog,
  houseOf,
  isProposed,
  isSound,
  latestGirths,
  lawAt,
  screeningOf,
  screenKind,
  type NewPlan,
  type Plan,
} from '@banter/contract';
import { capital, contractSpeaker, PIECE_WORDS, SCREEN_LEVEL_WORDS } from '@banter/core';
import { DateTime } from 'luxon';
import { IsNull } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PlaceEntity } from '../data/entities/place.ts';
import { PlanEntity, type PlanRow } from '../data/entities/plan.ts';
import { LiftEntity, ScreeningEntity } from '../data/entities/screening.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { dogAnswer } from './dogs.ts';
import { badField } from './failure.ts';
import { fitCheckKind } from './fit-checks.ts';
import { toldByHand } from './happenings/kept-happenings.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { happenedNow, keptAnswers, keptNow } from '../records/kept.ts';
import { lastWearOf } from './latest-wears.ts';
import { madeUpNow } from './made-up.ts';
import { fingerOf } from './people.ts';
import { placeAnswer } from './places.ts';
import { readable } from './readable.ts';
import type { AppendedKind } from '../records/record-base.ts';
import { liftKind, screeningKind } from './screenings.ts';
import { tapingKind } from './tapings.ts';
import { standingChecks, standingPlans, standingTapings } from './what-counts.ts';

async function compute(scope: KennelScope, id: string, sent: NewPlan): Promise<Omit<PlanRow, 'kennelId'>> {
  // Held first: no plan lands on a collar that is being scrapped.
  const [collar] = await scope.holdSome(CollarEntity, [sent.collarId]);
  const dog = await scope.get(DogEntity, sent.dogId);
  if (!collar || collar.kind !== sent.kind) throw badField('collarId', 'This collar is not in the locker.');
  if (!collar.owned) throw badField('collarId', `${collar.name} is still to be bought: say that it is here first.`);
  if (collar.retiredAt) throw badField('collarId', 'This collar has been scrapped.');
  if (!isSound({ ...collar, retiredAt: null })) throw badField('collarId', `${collar.name} ${PIECE_WORDS[collar.condition].says}: inspect it as sound first.`);
  const kennel = await kennelOf(scope);
  const house = houseOf(kennel, dog);
  const today = DateTime.now().setZone(kennel.timeZone).toISODate()!;
  const kind = collarKind(sent.kind);
  const tapes = latestGirths(await tapingKind.toAnswers(scope, await standingTapings(scope, [dog.id], 1)));
  const person = await scope.get(PersonEntity, scope.personId);
  const plans = await planKind.toAnswers(scope, await standingPlans(scope, [dog.id]));
  const told = {
    dog: dogAnswer(dog),
    plans,
    checks: await fitCheckKind.toAnswers(
      scope,
      await standingChecks(
        scope,
        plans.map((plan) => plan.id),
      ),
    ),
    madeUp: await madeUpNow(
      scope,
      plans.map(({ collarId }) => collarId),
    ),
  };
  const facts = fittingDog(dog, tapes, { finger: fingerOf(person), today, byHands: byHandsOn(told, tapes, house.rules) });

  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const screenings = await screeningKind.toAnswers(scope, await scope.all(ScreeningEntity, { dogId: dog.id }, byTime));
  const lifts = await liftKind.toAnswers(scope, await scope.all(LiftEntity, { dogId: dog.id }, byTime));
  const screen = screenKind(kind.hazards, screeningOf(screenings, lifts, facts, house.rules), kennel.screen);
  if (screen.notScreened) throw badField('dogId', 'Screen the dog first: anything against such a collar?');
  if (screen.blocked) {
    const stop = screen.findings.find((finding) => !finding.lifted)!;
    throw badField('kind', `${capital(SCREEN_LEVEL_WORDS[stop.level])}: ${stop.name}? ${stop.why} It can be lifted with a note.`);
  }
  const place = sent.placeId === null ? null : await scope.find(PlaceEntity, sent.placeId);
  if (sent.placeId !== null && !place) throw badField('placeId', 'There is no such place in this kennel.');
  const law = lawAt(sent.kind, kind.hazards, place && placeAnswer(place), today, house.rules.lawCheckDays);
  if (law.blocked) throw badField('placeId', `${kind.name} collars are not allowed at ${place!.name}.`);

  const [missing] = kind.missing(facts);
  if (missing) throw badField('dogId', missing.says);
  const here = await scope.all(CollarEntity, { kind: sent.kind, owned: true, retiredAt: IsNull() }, { name: 'ASC', id: 'ASC' });
  const stock = here.filter((one) => isProposed({ ...one, retiredAt: null }, dog));
  const outcome = kind.plan(facts, collar, stock, sent.choices, house.rules);
  if (outcome.blocked) throw badField('choices', kind.planReasons(outcome, contractSpeaker)[0]?.text ?? 'This must not be worn.');
  if (!outcome.keep && sent.note.trim() === '') throw badField('note', 'It does not fit as it is: say in a note why you save it anyway.');
  await strappedAnew(scope, id, sent);
  return {
    ...sent,
    id,
    inputs: {
      dog: facts,
      tapingIds: Object.values(tapes).map((taping) => taping.id),
      collar: { id: collar.id, name: collar.name, numbers: collar.numbers },
      place: place && { name: place.name, status: law.status },
      screen: { level: screen.level, findings: screen.findings.map(({ id: item, level, lifted }) => ({ id: item, level, lifted })) },
    },
    outcome,
    ...keptNow(scope, sent.at, house.rules),
  };
}

/** A device that is on the dog and is decided anew is strapped anew: its contacts are to be felt again. */
async function strappedAnew(scope: KennelScope, id: string, { dogId, collarId, kind, at }: NewPlan): Promise<void> {
  if (!collarKind(kind).traits.wear.contacts) return;
  const last = await lastWearOf(scope, dogId, collarId, new Date(at));
  if (last?.to !== null) return;
  await scope.insert(HappeningEntity, toldByHand({ id, event: 'contact', collarId, data: { made: null } }, happenedNow(scope, at)));
}

export const planKind: AppendedKind<PlanRow, NewPlan, Plan> = {
  entity: PlanEntity,
  compute,
  sentOf: (row) => ({
    dogId: row.dogId,
    collarId: row.collarId,
    kind: row.kind,
    choices: row.choices,
    placeId: row.placeId,
    note: row.note,
    at: row.at.toISOString(),
  }),
  toAnswers: async (scope, rows) =>
    readable(
      scope,
      'plan',
      (await keptAnswers(scope, rows)).map((record) => broughtUp('plans', record)),
    ),
};
