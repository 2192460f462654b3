import type { LinkBalance, LinkMove, NewLinkMove } from '@banter/contract';
import { countOf, linksAt, movesToMakeUp, overdrawn, type LinkAccount, type LinkCountAt, type LinkMoved } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';
import { v7 as uuidv7 } from 'uuid';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { LinkMoveEntity, type LinkMoveRow } from '../data/entities/link-move.ts';
import { writeDeed } from '../records/deeds.ts';
import { badField, Failure } from './failure.ts';
import { linkBalances, linksNow } from '../standings/link-balances.ts';
import type { KennelScope } from './kennel-scope.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

/** How many links are on some collars; empty ones left out. */
export const linksOnCollars = (scope: KennelScope, collarIds: readonly string[]): Promise<LinkBalance[]> =>
  linkBalances(
    scope,
    collarIds.map((id) => `collar:${id}`),
  );

/** What an account holds now, by which a move is judged. */
const heldBy = async (scope: KennelScope, account: LinkAccount) => (await linksNow(scope, [account])) as LinkCountAt[];

const accountWords = (account: LinkAccount) =>
  account === 'bag' ? 'in the bag' : account === 'scrap' ? 'among the scrap' : account.startsWith('dog:') ? 'lent with that dog' : 'on that collar';

/**
 * Makes a move of links within a transaction: one at a time in a kennel, so that of two people who move the last link one wins
 * and the other is told.
 */
async function post(
  scope: KennelScope,
  move: LinkMoved & { why: NewLinkMove['why']; note: string; at: string },
  id: string,
): Promise<Omit<LinkMoveRow, 'kennelId'>> {
  await scope.holdKennel();
  const short = overdrawn(await heldBy(scope, move.from), move);
  if (short) {
    throw new Failure('not-enough-links', {
      detail: `${countOf(move.count, 'link')} of ${gaugeName(move.gaugeMm)} should come from there, and ${short.holds === 0 ? 'there is none' : `only ${countOf(short.holds, 'link')} ${short.holds === 1 ? 'is' : 'are'}`} ${accountWords(short.account)}.`,
      errors: [
        {
          path: 'count',
          message: `There ${short.holds === 1 ? 'is' : 'are'} only ${short.holds} of ${gaugeName(move.gaugeMm)} ${accountWords(short.account)}.`,
        },
      ],
    });
  }
  return { ...move, id, ...happenedNow(scope, move.at) };
}

async function admitAccount(scope: KennelScope, account: LinkAccount, path: string): Promise<void> {
  const [what, id] = account.split(':') as [string, string | undefined];
  if (id === undefined) return;
  const found = what === 'collar' ? await scope.find(CollarEntity, id) : await scope.find(DogEntity, id);
  if (!found) throw badField(path, what === 'collar' ? 'There is no such collar in this kennel.' : 'There is no such dog in this kennel.');
}

export const linkMoveKind: AppendedKind<LinkMoveRow, NewLinkMove, LinkMove> = {
  entity: LinkMoveEntity,
  compute: async (scope, id, sent) => {
    await admitAccount(scope, sent.from, 'from');
    await admitAccount(scope, sent.to, 'to');
    return await post(scope, sent, id);
  },
  sentOf: ({ gaugeMm, count, from, to, why, note, at }) => ({ gaugeMm, count, from, to, why, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** Keeps a move that goes with something else, and writes it down as a deed of its own. */
async function keepMove(scope: KennelScope, move: Parameters<typeof post>[1]): Promise<void> {
  const id = uuidv7();
  await scope.insert(LinkMoveEntity, await post(scope, move, id));
  await writeDeed(scope, { act: 'made', kind: 'linkMove', recordId: id, at: new Date(move.at) });
}

/** Makes a collar up to the links that were found on it, from the bag or into it, in the transaction that keeps the check. */
export async function fitLinks(scope: KennelScope, collar: { id: string; gaugeMm: number }, links: number, at: string): Promise<void> {
  await scope.holdKennel();
  const counts = await heldBy(scope, `collar:${collar.id}`);
  for (const move of movesToMakeUp(counts, collar.gaugeMm, collar.id, links)) await keepMove(scope, { ...move, why: 'fitted', note: '', at });
}

/** A collar of links, and how many are in it by its own numbers. */
type LinkedCollar = { id: string; gaugeMm: number; links: number };

/** Moves links of a collar within a transaction; none where there are none to move. */
async function moveOf(
  { gaugeMm }: LinkedCollar,
  scope: KennelScope,
  count: number,
  from: LinkAccount,
  to: LinkAccount,
  why: NewLinkMove['why'],
): Promise<void> {
  if (count > 0) await keepMove(scope, { gaugeMm, count, from, to, why, note: '', at: new Date().toISOString() });
}
const heldNow = async (scope: KennelScope, { gaugeMm }: LinkedCollar, account: LinkAccount) => linksAt(await heldBy(scope, account), gaugeMm, account);
const accountOf = ({ id }: LinkedCollar) => `collar:${id}` as const;

/** Brings the ledger to what was counted on a collar when it was measured: from the bag as far as that goes, else from outside; what is fewer goes into the bag. */
export async function countCollar(scope: KennelScope, collar: LinkedCollar): Promise<void> {
  await scope.holdKennel();
  const account = accountOf(collar);
  const first = (await heldBy(scope, account)).length === 0;
  if (first) return moveOf(collar, scope, collar.links, 'outside', account, 'stocked');
  const missing = collar.links - (await heldNow(scope, collar, account));
  if (missing < 0) return moveOf(collar, scope, -missing, account, 'bag', 'counted');
  const fromBag = Math.min(missing, await heldNow(scope, collar, 'bag'));
  await moveOf(collar, scope, fromBag, 'bag', account, 'counted');
  await moveOf(collar, scope, missing - fromBag, 'outside', account, 'counted');
}

/** A collar that is scrapped takes its links with it. */
export async function scrapLinks(scope: KennelScope, collar: LinkedCollar): Promise<void> {
  await scope.holdKennel();
  await moveOf(collar, scope, await heldNow(scope, collar, accountOf(collar)), accountOf(collar), 'scrap', 'scrapped');
}

/** A collar that was scrapped by mistake brings back what it took along. */
export async function bringLinksBack(scope: KennelScope, collar: LinkedCollar): Promise<void> {
  await scope.holdKennel();
  const account = accountOf(collar);
  const moves = await scope.all(LinkMoveEntity, { gaugeMm: collar.gaugeMm }, { at: 'ASC', id: 'ASC' });
  const taken = moves.reduce(
    (sum, { from, to, count }) => sum + (from === account && to === 'scrap' ? count : from === 'scrap' && to === account ? -count : 0),
    0,
  );
  await moveOf(collar, scope, Math.min(taken, await heldNow(scope, collar, 'scrap')), 'scrap', account, 'counted');
}
