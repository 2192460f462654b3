import { dayOf, dayStart, dogDues, dogDuesUntil, timeOn } from '@banter/contract';
import { benchSpeaker, houseRules, pieceStanding, DAY_MS } from '@banter/core';
import { dayPlanned } from '../services/calendar.ts';
import { dogsPage } from '../services/dog-pages.ts';
import { growthOf } from '../services/growth-of.ts';
import { saidByOwners } from '../services/owner-links.ts';
import { piecesOf, wornByDogs } from '../services/worn-pieces.ts';
import { levelsUp, WORKED_DAYS } from '../services/levels-up.ts';
import { latestSkin, skinOfDogs } from '../services/skin-standings.ts';
import { levelsOfDogs } from './levels-of-dogs.ts';
import type { StandingKind } from './standing-kind.ts';

/** What is due of each dog by itself on a day of the kennel, and what it wears: Today and Upkeep read it, and work out nothing of a dog themselves. */
export const DAY_STANDING: StandingKind<null> = {
  name: 'day',
  of: 'dog',
  version: 7,
  work: async (scope, dogIds, kennel, now) => {
    const page = await dogsPage(scope, dogIds);
    const worn = await wornByDogs(scope, page.dogs);
    const pieces = await piecesOf(scope, worn);
    const [looks, levels] = [await latestSkin(scope, now, dogIds), await levelsOfDogs(scope, page, kennel, now)];
    // A curve of weighings knows no hours: it is read at the beginning of the day.
    const { growing, growth } = await growthOf(scope, page.dogs, kennel, new Date(dayStart(now.getTime(), kennel.timeZone)));
    // A phone's clock may run ahead: a look from a moment that is still to come counts from then, and not only from tomorrow.
    const ahead = await scope.raw<{ dogId: string; at: Date }>(
      'SELECT dogId, MIN(at) AS at FROM skin_looks WHERE kennelId = :kennelId AND dogId IN (:dogIds) AND at > :now GROUP BY dogId',
      { dogIds, now },
    );
    const lookAhead = new Map(ahead.map(({ dogId, at }) => [dogId, at.getTime()]));
    const names = new Map(page.collars.map(({ id, name }) => [id, name]));
    const today = dayOf(now.getTime(), kennel.timeZone);
    const calendar = await dayPlanned(scope, today, dogIds);
    const planned = calendar.sessions.map((one) => ({ ...one, at: timeOn(one.day, one.from, kennel.timeZone) }));
    const held = calendar.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) }));
    const owners = await saidByOwners(scope, now, dogIds);
    const by = {
      kennel,
      today,
      now: now.getTime(),
      rules: houseRules(kennel.rules),
      speak: benchSpeaker(kennel.lengthUnit, kennel.massUnit),
    };
    return new Map(
      page.dogs.map((card) => {
        const { id } = card.dog;
        const facts = {
          ...by,
          cards: [card],
          planned: planned.filter(({ dogId }) => dogId === id),
          held: held.filter(({ dogId }) => dogId === id),
          people: calendar.people,
          stageNames: calendar.stageNames,
          owners: owners.filter(({ dogId }) => dogId === id),
          growing,
          growth: growth.filter(({ dogId }) => dogId === id),
          skins: skinOfDogs(looks, [card.dog], kennel, now),
          levels: levelsUp([card], levels, (collarId) => names.get(collarId) ?? '', now),
          unfit: (worn.get(id) ?? []).flatMap(({ pieceId }) => {
            const piece = pieces.get(pieceId);
            const is = piece ? pieceStanding(piece) : 'sound';
            return piece && is !== 'sound' ? [{ dogId: id, dogName: card.dog.name, pieceId, name: piece.name, is }] : [];
          }),
        };
        const here = card.dog.archivedAt === null;
        const works = (levels.get(id) ?? []).flatMap(({ settings }) =>
          settings.flatMap(({ workedAt }) => (workedAt === null ? [] : [workedAt + WORKED_DAYS * DAY_MS])),
        );
        const until = Math.min(dogDuesUntil(facts), lookAhead.get(id) ?? Infinity, ...works.filter((at) => at > by.now));
        return [id, { data: null, until, dues: here ? dogDues(facts) : [], wears: here ? worn.get(id)! : [] }];
      }),
    );
  },
};
