import type { LockerPage } from '@banter/contract';
import { CollarEntity } from '../data/entities/collar.ts';
import { GearEntity, WantEntity } from '../data/entities/gear.ts';
import { LinkMoveEntity } from '../data/entities/link-move.ts';
import { collarAnswer } from './collars.ts';
import { linksNeeded } from './dog-lists.ts';
import { gearAnswer, wantAnswer } from './gear.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linkBalances, linkMoveKind } from './links.ts';

/** The newest moves of links that the locker shows. */
const SHOWN_MOVES = 200;

/** Everything a kennel owns, where its links are and how they got there, and what fits still need of it. */
export async function lockerPage(scope: KennelScope, now: Date): Promise<LockerPage> {
  const byName = { name: 'ASC', id: 'ASC' } as const;
  const [collars, gear, wants, links, moves, dogs, needed] = await Promise.all([
    scope.all(CollarEntity, {}, byName),
    scope.all(GearEntity, {}, byName),
    scope.all(WantEntity, {}, { id: 'ASC' }),
    linkBalances(scope),
    scope.query(LinkMoveEntity).orderBy('record.recordedAt', 'DESC').addOrderBy('record.id', 'DESC').take(SHOWN_MOVES).getMany(),
    scope.raw<{ id: string; name: string }>('SELECT id, name FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id'),
    linksNeeded(scope, now),
  ]);
  return {
    collars: collars.map(collarAnswer),
    gear: gear.map(gearAnswer),
    wants: wants.map(wantAnswer),
    links,
    moves: await linkMoveKind.toAnswers(scope, moves),
    dogs,
    needed,
  };
}
