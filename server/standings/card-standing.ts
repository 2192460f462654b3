import { collarKind, dayOf, dayStart, dogLine, type DogCard, type DogLine } from '@banter/contract';
import { linksAt, DAY_MS, HOUR_MS, type LinkCountAt } from '@banter/core';
import { dogsPage } from '../services/dog-pages.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { linksOnCollars } from '../services/links.ts';
import type { StandingKind, Stands } from './standing-kind.ts';

/** What speaks for or against a collar goes by a dog's age only while it is younger than this, days. Common practice: at most half a year matters. */
const AGE_MATTERS_DAYS = 400;

/** Links that a fit of a dog still needs beyond those on its collar. */
export type LinksNeeded = { collarName: string; gaugeMm: number; needs: number };

/** A dog as lists show it, and the links that its fits still need. */
export type DogCardStanding = { line: DogLine; links: LinksNeeded[] };

/** The ranks of the list of dogs; those that are put away come after all others. */
const RANKS = { stop: 0, mind: 1, open: 2, good: 3 } as const;
export const AWAY_RANK = 8;

function linksNeeded({ fits }: DogCard, counts: readonly LinkCountAt[]): LinksNeeded[] {
  return fits.flatMap(({ plan, check }): LinksNeeded[] => {
    const kind = collarKind(plan.kind);
    const own = kind.links?.(plan.inputs.collar.numbers);
    if (!own) return [];
    const target = check ? kind.nextSetting(check.outcome) : kind.firstSetting(plan.choices);
    const needs = own.inIt(target) - linksAt(counts, own.gaugeMm, `collar:${plan.inputs.collar.id}`);
    return needs > 0 ? [{ collarName: plan.inputs.collar.name, gaugeMm: own.gaugeMm, needs }] : [];
  });
}

/** How each dog stands in the list of dogs. */
export const CARD_STANDING: StandingKind<DogCardStanding> = {
  name: 'card',
  of: 'dog',
  version: 5,
  work: async (scope: KennelScope, ids, kennel, now) => {
    const today = dayOf(now.getTime(), kennel.timeZone);
    const { dogs, collars } = await dogsPage(scope, ids);
    const counts = (await linksOnCollars(
      scope,
      collars.map(({ id }) => id),
    )) as LinkCountAt[];
    const midnight = dayStart(dayStart(now.getTime(), kennel.timeZone) + 36 * HOUR_MS, kennel.timeZone);
    return new Map(
      dogs.map((card): [string, Stands<DogCardStanding>] => {
        const { id, bornOn, archivedAt, name } = card.dog;
        const isYoung = bornOn !== null && Date.parse(today) - Date.parse(bornOn) < AGE_MATTERS_DAYS * DAY_MS;
        const line = dogLine(card, kennel, today);
        const isHere = archivedAt === null;
        return [
          id,
          {
            data: { line, links: isHere ? linksNeeded(card, counts) : [] },
            until: isYoung ? midnight : null,
            order: { rank: isHere ? RANKS[line.step.tone] : AWAY_RANK, key: name },
          },
        ];
      }),
    );
  },
};
