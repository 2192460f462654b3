import type { DogCards, DogCardsAsked, DogLines, DogsAsked, z } from '@banter/contract';
import { AWAY_RANK, CARD_STANDING, type DogCardStanding } from '../standings/card-standing.ts';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { asData } from '../data/json-column.ts';
import { dogsPage } from './dog-pages.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { cursorAfter, likePart, PAGE_ROWS, pageOf, placeOf } from './list-page.ts';

const CARDS = "stands.kennelId = :kennelId AND stands.kind = 'card' AND stands.worked = stands.touched";

/** A part of the list of dogs, whose next step is pressing first; those whose name, breed or owner says what is searched for. */
export async function dogList(scope: KennelScope, now: Date, { list, search, after }: z.output<typeof DogsAsked>): Promise<DogLines> {
  await bringUpToDate(scope, [CARD_STANDING], kennelAnswer(await kennelOf(scope)), now);
  const name = `dogs ${list} ${search}`;
  const [rank, key, id] = placeOf<[number, string, string]>(scope, name, after) ?? [-1, '', ''];
  const [rows, [count]] = await Promise.all([
    scope.raw<{ rank: number; sortKey: string; subjectId: string; data: string }>(
      `SELECT stands.\`rank\`, stands.sortKey, stands.subjectId, stands.data FROM standings stands
         ${search.trim() === '' ? '' : 'JOIN dogs ON dogs.kennelId = stands.kennelId AND dogs.id = stands.subjectId AND (dogs.name LIKE :like OR dogs.breed LIKE :like OR dogs.owner LIKE :like)'}
        WHERE ${CARDS} AND stands.\`rank\` ${list === 'here' ? '<' : '='} ${AWAY_RANK}
          AND (stands.\`rank\` > :rank OR (stands.\`rank\` = :rank AND (stands.sortKey, stands.subjectId) > (:key, :id)))
        ORDER BY stands.\`rank\`, stands.sortAt, stands.sortKey, stands.subjectId LIMIT ${PAGE_ROWS + 1}`,
      { rank, key, id, like: likePart(search) },
    ),
    scope.raw<{ here: string | null; away: string | null }>(
      `SELECT SUM(stands.\`rank\` < ${AWAY_RANK}) AS here, SUM(stands.\`rank\` = ${AWAY_RANK}) AS away FROM standings stands WHERE ${CARDS}`,
    ),
  ]);
  const { rows: page, last } = pageOf(rows);
  return {
    rows: page.map(({ data }) => (JSON.parse(data) as DogCardStanding).line),
    next: last && cursorAfter(scope, name, [last.rank, last.sortKey, last.subjectId]),
    counts: { here: Number(count?.here ?? 0), away: Number(count?.away ?? 0) },
  };
}

/** So many whole cards are answered at a time. */
const CARDS_AT_ONCE = 24;

/** Dogs with the latest of each that their cards show: those that are named, or all, also those put away, a part at a time. */
export async function dogCards(scope: KennelScope, { dogs, after }: z.output<typeof DogCardsAsked>): Promise<DogCards> {
  if (dogs !== undefined) return { rows: (await dogsPage(scope, dogs)).dogs, next: null };
  const [from] = placeOf<[string]>(scope, 'cards', after) ?? [''];
  const rows = await scope.raw<{ id: string }>(`SELECT id FROM dogs WHERE kennelId = :kennelId AND id > :from ORDER BY id LIMIT ${CARDS_AT_ONCE + 1}`, {
    from: from === '' ? '00000000-0000-0000-0000-000000000000' : from,
  });
  const ids = rows.slice(0, CARDS_AT_ONCE).map((row) => row.id);
  const cards = ids.length === 0 ? [] : (await dogsPage(scope, ids)).dogs;
  return { rows: cards, next: rows.length > CARDS_AT_ONCE ? cursorAfter(scope, 'cards', [ids.at(-1)!]) : null };
}

/** The links that fits still need, by dog, as their standings have it. Those that need none are told by their text, which is quicker than to read each as JSON. */
export async function linksNeeded(scope: KennelScope, now: Date): Promise<(DogCardStanding['links'][number] & { dogId: string; dogName: string })[]> {
  await bringUpToDate(scope, [CARD_STANDING], kennelAnswer(await kennelOf(scope)), now);
  const rows = await scope.raw<{ subjectId: string; sortKey: string; links: unknown }>(
    `SELECT stands.subjectId, stands.sortKey, JSON_EXTRACT(stands.data, '$.links') AS links FROM standings stands
      WHERE ${CARDS} AND stands.\`rank\` < ${AWAY_RANK} AND INSTR(BINARY stands.data, '"links":[{') > 0 ORDER BY stands.sortKey, stands.subjectId`,
  );
  return rows.flatMap(({ subjectId, sortKey, links }) =>
    (asData(links) as DogCardStanding['links']).map((one) => ({ dogId: subjectId, dogName: sortKey, ...one })),
  );
}
