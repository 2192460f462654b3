import type { LockerPage } from '@banter/contract';
import { CollarEntity } from '../data/entities/collar.ts';
import { GearEntity, WantEntity } from '../data/entities/gear.ts';
import { LinkMoveEntity } from '../data/entities/link-move.ts';
import { collarAnswer } from './collars.ts';
import { dogsPage } from './dog-pages.ts';
import { gearAnswer, wantAnswer } from './gear.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linkBalances, linkMoveKind } from './links.ts';

/** The newest moves of links that the locker shows. */
const SHOWN_MOVES = 200;

/** Everything a kennel owns, where its links are and how they got there, and the fits that draw on it. */
export async function lockerPage(scope: KennelScope): Promise<LockerPage> {
  const byName = { name: 'ASC', id: 'ASC' } as const;
  const [collars, gear, wants, links, moves, { dogs }] = await Promise.all([
    scope.all(CollarEntity, {}, byName),
    scope.all(GearEntity, {}, byName),
    scope.all(WantEntity, {}, { id: 'ASC' }),
    linkBalances(scope),
    scope.query(LinkMoveEntity).orderBy('record.recordedAt', 'DESC').addOrderBy('record.id', 'DESC').take(SHOWN_MOVES).getMany(),
    dogsPage(scope),
  ]);
  return {
    collars: collars.map(collarAnswer),
    gear: gear.map(gearAnswer),
    wants: wants.map(wantAnswer),
    links,
    moves: await linkMoveKind.toAnswers(scope, moves),
    plans: dogs.flatMap(({ dog, fits }) => (dog.archivedAt === null ? fits.map((fit) => ({ dogId: dog.id, dogName: dog.name, ...fit })) : [])),
  };
}
