import {
  currentFits,
  dayOf,
  isGrowing,
  timeOn,
  dogGrowth,
  stagesPlanned,
  todayItems,
  upkeepPieces,
  wornToday,
  type Kennel,
  type TodayFacts,
  type TodayPage,
  type DeviceStanding,
} from '@banter/contract';
import { benchSpeaker, houseRules, DAY_MS } from '@banter/core';
import { PlaceEntity } from '../data/entities/place.ts';
import { calendarPage } from './calendar.ts';
import { dogsPage, growthPages } from './dog-pages.ts';
import { fieldPage, levelsOfDogs } from './field-page.ts';
import { upkeepPage } from './inspections.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { wearingPage } from './neck-page.ts';
import { latestSkin, skinOfDogs } from './skin-standings.ts';
import { saidByOwners } from './owner-links.ts';
import { placeAnswer } from './places.ts';

/** Levels speak of dogs that worked of late. */
const WORKED_DAYS = 7;

type Cards = TodayFacts['cards'];

/** Dogs that worked of late and need more than they did. */
function levelsUp(cards: Cards, levels: ReadonlyMap<string, DeviceStanding[]>, nameOf: (collarId: string) => string, now: Date): TodayFacts['levels'] {
  const lately = now.getTime() - WORKED_DAYS * DAY_MS;
  return cards.flatMap(({ dog }) =>
    (levels.get(dog.id) ?? [])
      .filter(({ settings }) => settings.some(({ workedAt }) => (workedAt ?? 0) >= lately))
      .flatMap(({ collarId, settings }) =>
        settings.flatMap(({ name, reason, look }) =>
          // Once the cause is found there is nothing left to ask; contact that was lost is due until it is good.
          reason.code === 'needs-more' && look !== null && (look.found === null || look.found === 'contact')
            ? [{ dogId: dog.id, dogName: dog.name, device: nameOf(collarId), setting: name, reason, look }]
            : [],
        ),
      ),
  );
}

/** What growth will do to what dogs wear now. */
export async function growthOf(scope: KennelScope, cards: Cards, kennel: Kennel, now: Date): Promise<{ growing: Set<string>; growth: TodayFacts['growth'] }> {
  const today = dayOf(now.getTime(), kennel.timeZone);
  const speak = benchSpeaker(kennel.lengthUnit, kennel.massUnit);
  const growing = new Set(cards.flatMap(({ dog }) => (isGrowing(dog, today) ? [dog.id] : [])));
  const asked = cards.filter(({ dog, fits }) => growing.has(dog.id) && fits.length > 0).map(({ dog }) => dog);
  const growth = (await growthPages(scope, asked)).map((told) => {
    const grown = dogGrowth(told, kennel, { now: now.getTime(), today, speak });
    // Of what is worn now alone: what was set aside is nothing to outgrow.
    const worn = new Set(currentFits(told.plans, told.checks, told.endings, told.madeUp).map(({ plan }) => plan.id));
    return {
      dogId: told.dog.id,
      dogName: told.dog.name,
      bornOn: told.dog.bornOn!,
      outgrows: grown.missing === null ? grown.outgrows.filter(({ planId }) => worn.has(planId)) : [],
    };
  });
  return { growing, growth };
}

/** Everything that Today shows of a kennel at an instant. */
export async function todayPage(scope: KennelScope, now: Date): Promise<TodayPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const today = dayOf(now.getTime(), kennel.timeZone);
  const rules = houseRules(kennel.rules);
  const speak = benchSpeaker(kennel.lengthUnit, kennel.massUnit);
  const all = await dogsPage(scope);
  const levels = await levelsOfDogs(scope, { ...all, dogs: all.dogs.filter(({ dog }) => dog.archivedAt === null) }, kennel, now);
  const looks = await latestSkin(scope, now);
  const [wearing, field, calendar, upkeep, places, owners] = await Promise.all([
    wearingPage(scope, now),
    fieldPage(scope, now, { page: all, levels, skin: looks }),
    calendarPage(scope, { from: today, days: 1 }),
    upkeepPage(scope, now, all),
    scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' }),
    saidByOwners(scope, now),
  ]);
  const cards = all.dogs.filter(({ dog }) => dog.archivedAt === null);
  const { growing, growth } = await growthOf(scope, cards, kennel, now);
  const names = new Map(all.collars.map(({ id, name }) => [id, name]));
  const here = new Set(cards.map(({ dog }) => dog.id));
  const planned = calendar.sessions.filter(({ dogId }) => here.has(dogId)).map((one) => ({ ...one, at: timeOn(one.day, one.from, kennel.timeZone) }));
  const held = calendar.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) }));
  const stages = stagesPlanned(calendar, kennel, now.getTime());
  const facts: TodayFacts = {
    kennel,
    today,
    now: now.getTime(),
    rules,
    speak,
    cards,
    wearing: wearing.wearing,
    field: field.dogs,
    planned,
    held,
    people: calendar.people,
    stageNames: Object.fromEntries(
      planned.flatMap(({ id, programmeId, stageId }) => {
        const stage = stages.find(({ programme }) => programme.id === programmeId)?.programme.stages.find((one) => one.id === stageId);
        return stage ? [[id, stage.name]] : [];
      }),
    ),
    skins: skinOfDogs(
      looks,
      cards.map(({ dog }) => dog),
      kennel,
      now,
    ),
    levels: levelsUp(cards, levels, (id) => names.get(id) ?? '', now),
    growth,
    growing,
    pieces: upkeepPieces(upkeep, now.getTime(), rules),
    places: places.map(placeAnswer),
    owners,
  };
  return {
    asOf: now.toISOString(),
    day: today,
    items: todayItems(facts),
    wearing: wornToday(facts),
    sessions: { planned: planned.length, held: held.length },
  };
}
