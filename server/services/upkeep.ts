import {
  COLLAR_KIND_NAMES,
  collarKind,
  DUE_BY_TIME_RANK,
  GEAR_INSPECTIONS,
  SCRAPPED_RANK,
  type PieceAlone,
  type UpkeepAsked,
  type UpkeepList,
  type UpkeepPage,
  type UpkeepPiece,
  type GearName,
  type z,
} from '@banter/contract';
import { group } from 'd3-array';
import { DAY_STANDING } from '../standings/day-standing.ts';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { PIECE_STANDING } from '../standings/piece-standing.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { cursorAfter, PAGE_ROWS, pageOf, placeOf } from './list-page.ts';

/** Which pieces are in each list, of the standings `piece`. */
const IN_LIST: Record<UpkeepList, string> = {
  due: `(stands.\`rank\` < ${DUE_BY_TIME_RANK} OR (stands.\`rank\` = ${DUE_BY_TIME_RANK} AND stands.sortAt <= :now))`,
  later: `stands.\`rank\` = ${DUE_BY_TIME_RANK} AND stands.sortAt > :now`,
  scrapped: `stands.\`rank\` = ${SCRAPPED_RANK}`,
};
// What was owned and is so no longer is left as it was worked out last, and counts no more.
const PIECES = "FROM standings stands WHERE stands.kennelId = :kennelId AND stands.kind = 'piece' AND stands.worked = stands.touched";

/** Brings all that Upkeep reads up to date: what dogs wear first, since it says which pieces come first. */
const upToDate = async (scope: KennelScope, now: Date) => await bringUpToDate(scope, [DAY_STANDING, PIECE_STANDING], kennelAnswer(await kennelOf(scope)), now);

type Row = { subjectId: string; rank: number; sortAt: Date | null; sortKey: string; data: string };

/** Pieces with the dogs that wear them. */
async function withDogs(scope: KennelScope, rows: readonly Pick<Row, 'data'>[]): Promise<UpkeepPiece[]> {
  const pieces = rows.map(({ data }) => JSON.parse(data) as PieceAlone);
  if (pieces.length === 0) return [];
  const worn = await scope.raw<{ pieceId: string; dogId: string; dogName: string }>(
    `SELECT worn.pieceId, worn.dogId, dogs.name AS dogName FROM worn_pieces worn
       JOIN dogs ON dogs.kennelId = worn.kennelId AND dogs.id = worn.dogId WHERE worn.kennelId = :kennelId AND worn.pieceId IN (:ids) ORDER BY dogs.name, dogs.id`,
    { ids: pieces.map(({ id }) => id) },
  );
  const on = group(worn, ({ pieceId }) => pieceId);
  return pieces.map((piece) => ({ ...piece, worn: (on.get(piece.id) ?? []).map(({ dogId, dogName }) => ({ dogId, dogName })) }));
}

/** What is kept up: a part of one of its lists, or one piece by itself. */
export async function upkeepPage(scope: KennelScope, now: Date, { list, after, piece }: z.output<typeof UpkeepAsked>): Promise<UpkeepPage> {
  await upToDate(scope, now);
  const place = placeOf<[number, string, string, string]>(scope, `upkeep ${list}`, after);
  const [rank, at, key, id] = place ?? [-1, '', '', ''];
  const [rows, counts, kinds, whats] = await Promise.all([
    piece !== undefined
      ? scope.raw<Row>(`SELECT stands.* ${PIECES} AND stands.subjectId = :piece`, { piece })
      : scope.raw<Row>(
          `SELECT stands.* ${PIECES} AND ${IN_LIST[list]} ${place === null ? '' : 'AND (stands.`rank`, stands.sortAt, stands.sortKey, stands.subjectId) > (:rank, :at, :key, :id)'}
            ORDER BY stands.\`rank\`, stands.sortAt, stands.sortKey, stands.subjectId LIMIT ${PAGE_ROWS + 1}`,
          { now, rank, at: place === null ? now : new Date(at), key, id },
        ),
    scope.raw<Record<UpkeepList, string | null>>(
      `SELECT ${Object.entries(IN_LIST)
        .map(([name, where]) => `SUM(${where}) AS ${name}`)
        .join(', ')} ${PIECES}`,
      { now },
    ),
    scope.raw<{ kind: string }>('SELECT DISTINCT kind FROM collars WHERE kennelId = :kennelId AND owned AND retiredAt IS NULL'),
    scope.raw<{ what: GearName }>('SELECT DISTINCT what FROM gear WHERE kennelId = :kennelId AND retiredAt IS NULL'),
  ]);
  const page = pageOf(rows);
  const { last } = page;
  const count = (name: UpkeepList) => Number(counts[0]?.[name] ?? 0);
  const had = new Set(kinds.map(({ kind }) => kind));
  return {
    counts: { due: count('due'), later: count('later'), scrapped: count('scrapped') },
    rows: await withDogs(scope, page.rows),
    next: last && cursorAfter(scope, `upkeep ${list}`, [last.rank, last.sortAt!.toISOString(), last.sortKey, last.subjectId]),
    storing: [
      ...new Set([
        ...COLLAR_KIND_NAMES.filter((kind) => had.has(kind)).map((kind) => collarKind(kind).traits.inspection.storing),
        ...whats.map(({ what }) => GEAR_INSPECTIONS[what].storing),
      ]),
    ],
  };
}

/** Every piece of a kennel that is not scrapped, for a calendar elsewhere. */
export async function piecesKeptUp(scope: KennelScope, now: Date): Promise<PieceAlone[]> {
  await upToDate(scope, now);
  const rows = await scope.raw<Pick<Row, 'data'>>(
    `SELECT stands.data ${PIECES} AND stands.\`rank\` < ${SCRAPPED_RANK} ORDER BY stands.sortKey, stands.subjectId`,
  );
  return rows.map(({ data }) => JSON.parse(data) as PieceAlone);
}

/** How many lines name of the gear that is due. */
const NAMED = 3;

/** How many pieces are to be looked at, and the first of them; what a dog wears and is not sound is due of that dog. Reads what is up to date. */
export async function gearDue(scope: KennelScope, now: Date): Promise<{ due: number; first: { id: string; name: string; mend: boolean }[] }> {
  const NOT_OF_DOGS = `NOT EXISTS (SELECT 1 FROM worn_pieces worn
      LEFT JOIN collars ON collars.kennelId = worn.kennelId AND collars.id = worn.pieceId
      LEFT JOIN gear ON gear.kennelId = worn.kennelId AND gear.id = worn.pieceId
     WHERE worn.kennelId = stands.kennelId AND worn.pieceId = stands.subjectId AND COALESCE(collars.\`condition\`, gear.\`condition\`) <> 'sound')`;
  const [[count], rows] = [
    await scope.raw<{ due: string }>(`SELECT COUNT(*) AS due ${PIECES} AND ${IN_LIST.due} AND ${NOT_OF_DOGS}`, { now }),
    await scope.raw<Row>(
      `SELECT stands.* ${PIECES} AND ${IN_LIST.due} AND ${NOT_OF_DOGS} ORDER BY stands.\`rank\`, stands.sortAt, stands.sortKey, stands.subjectId LIMIT ${NAMED}`,
      { now },
    ),
  ];
  return {
    due: Number(count!.due),
    first: rows.map(({ rank, data }) => {
      const { id, name } = JSON.parse(data) as PieceAlone;
      return { id, name, mend: rank < 2 };
    }),
  };
}
