import { collarPiece, gearPiece, pieceOrder, type PieceAlone } from '@banter/contract';
import { houseRules } from '@banter/core';
import { CollarEntity } from '../data/entities/collar.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { InspectionEntity } from '../data/entities/inspection.ts';
import { collarAnswer } from '../services/collars.ts';
import { gearAnswer } from '../services/gear.ts';
import { joinTakenBack } from '../services/happenings/taken-back.ts';
import { keptAnswers } from '../records/kept.ts';
import type { StandingKind, Stands } from './standing-kind.ts';

/** How each piece of gear was found last, how often it went on since, and its place among what is to be looked at. */
export const PIECE_STANDING: StandingKind<PieceAlone> = {
  name: 'piece',
  of: 'piece',
  version: 2,
  work: async (scope, ids, kennel) => {
    const rules = houseRules(kennel.rules);
    const [collars, gear, inspections, wears, worn] = await Promise.all([
      scope.someOf(CollarEntity, ids),
      scope.someOf(GearEntity, ids),
      scope
        .query(InspectionEntity)
        .andWhere('(record.collarId IN (:...ids) OR record.gearId IN (:...ids))', { ids })
        .andWhere(
          `NOT EXISTS (SELECT 1 FROM inspections later WHERE later.kennelId = record.kennelId
            AND (later.collarId = record.collarId OR later.gearId = record.gearId) AND (later.at, later.id) > (record.at, record.id))`,
        )
        .getMany()
        .then((rows) => keptAnswers(scope, rows)),
      // How often each went on since it was inspected, or measured and called sound: one that was taken back never did.
      scope.raw<{ collarId: string; count: string }>(
        `SELECT worn.collarId, COUNT(*) AS count FROM happenings worn
          ${joinTakenBack('worn')}
          LEFT JOIN collars measured ON measured.kennelId = worn.kennelId AND measured.id = worn.collarId AND measured.\`condition\` = 'sound'
          WHERE worn.kennelId = :kennelId AND worn.collarId IN (:ids) AND worn.event = 'put-on'
            AND worn.at > COALESCE((SELECT MAX(looked.at) FROM inspections looked WHERE looked.kennelId = worn.kennelId AND looked.collarId = worn.collarId), '1970-01-01')
            AND worn.at >= COALESCE(measured.measuredOn, '1970-01-01')
            AND taken.id IS NULL
          GROUP BY worn.collarId`,
        { ids },
      ),
      scope.raw<{ pieceId: string }>('SELECT DISTINCT pieceId FROM worn_pieces WHERE kennelId = :kennelId AND pieceId IN (:ids)', { ids }),
    ]);
    const lastOf = new Map(inspections.map((one) => [one.collarId ?? one.gearId, one]));
    const counts = new Map(wears.map(({ collarId, count }) => [collarId, Number(count)]));
    const onDogs = new Set(worn.map(({ pieceId }) => pieceId));
    const pieces = [
      ...collars.filter(({ owned }) => owned).map((row) => collarPiece(collarAnswer(row), lastOf.get(row.id) ?? null, counts.get(row.id) ?? 0)),
      ...gear.map((row) => gearPiece(gearAnswer(row), lastOf.get(row.id) ?? null)),
    ];
    return new Map(
      pieces.map((piece): [string, Stands<PieceAlone>] => {
        const { rank, at } = pieceOrder(piece, onDogs.has(piece.id), rules);
        return [piece.id, { data: piece, until: null, order: { rank, at, key: piece.name } }];
      }),
    );
  },
};
