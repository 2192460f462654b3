import { COLLAR_KIND_NAMES, collarKind, linksShort, type Collar, type LockerAsked, type LockerPage, type z } from '@banter/contract';
import { IsNull } from 'typeorm';
import { GearEntity, WantEntity } from '../data/entities/gear.ts';
import { LinkMoveEntity } from '../data/entities/link-move.ts';
import { linksNeeded } from './dog-lists.ts';
import { gearAnswer, wantAnswer } from './gear.ts';
import { linkBalances } from '../standings/link-balances.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linkMoveKind } from './links.ts';
import { stockOf } from './stock.ts';

/** The newest moves of links that the locker shows. */
const SHOWN_MOVES = 200;
/** Kinds of collars that have links. */
const OF_LINKS: ReadonlySet<string> = new Set(COLLAR_KIND_NAMES.filter((name) => collarKind(name).links !== null));

/** Which collars a shelf shows. */
function shownOn(shelf: z.output<typeof LockerAsked>['shelf'], { kind, owned }: Collar): boolean {
  if (shelf === 'shopping') return !owned;
  return shelf !== 'links' || OF_LINKS.has(kind);
}

/**
 * What a kennel owns, where its links are and how they got there, and what fits still need of it: all of it, or what one of its shelves
 * shows. How much there is to buy is told with each.
 */
export async function lockerPage(scope: KennelScope, now: Date, { shelf }: z.output<typeof LockerAsked>): Promise<LockerPage> {
  const byName = { name: 'ASC', id: 'ASC' } as const;
  const shows = (...shelves: (typeof shelf)[]) => shelf === undefined || shelves.includes(shelf);
  const [collars, gear, wants, links, moves, dogs, needed] = await Promise.all([
    shows('collars', 'links', 'shopping') ? stockOf(scope) : [],
    shows('gear') ? scope.all(GearEntity, {}, byName) : [],
    scope.all(WantEntity, shows('shopping') ? {} : { boughtAt: IsNull() }, { id: 'ASC' }),
    linkBalances(scope),
    shows('links') ? scope.query(LinkMoveEntity).orderBy('record.recordedAt', 'DESC').addOrderBy('record.id', 'DESC').take(SHOWN_MOVES).getMany() : [],
    shows('links')
      ? scope.raw<{ id: string; name: string }>('SELECT id, name FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id')
      : [],
    linksNeeded(scope, now),
  ]);
  return {
    collars: collars.filter((one) => shownOn(shelf, one)),
    gear: gear.map(gearAnswer),
    wants: shows('shopping') ? wants.map(wantAnswer) : [],
    links: shows('links', 'shopping') ? links : [],
    moves: await linkMoveKind.toAnswers(scope, moves),
    dogs,
    needed: shows('links', 'shopping') ? needed : [],
    toBuy: linksShort(needed, links).length + wants.filter(({ boughtAt }) => boughtAt === null).length,
  };
}
