import {
  dayOf,
  rigPieces,
  GEAR_INSPECTIONS,
  inspectionFaults,
  inspectionOf,
  type Inspection,
  type NewInspection,
  type UpkeepPage,
  type Dog,
  type DogsPage,
} from '@banter/contract';
import { inspect, DAY_MS } from '@banter/core';
import { CollarEntity } from '../data/entities/collar.ts';
import { DressingEntity } from '../data/entities/dressing.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { InspectionEntity, type InspectionRow } from '../data/entities/inspection.ts';
import { collarAnswer, collarKindOfRecord } from './collars.ts';
import { dogsPage } from './dog-pages.ts';
import { badField, Failure } from './failure.ts';
import { gearAnswer } from './gear.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { happenedNow, keptAnswers } from './kept.ts';
import type { AppendedKind } from './record-base.ts';

const CONDITION_OF = { ok: 'sound', mend: 'mend', scrap: 'worn' } as const;

/** The latest inspection decides what a piece is: one told late changes nothing of a later one. */
async function isLatest(scope: KennelScope, row: Omit<InspectionRow, 'kennelId'>): Promise<boolean> {
  const [latest] = await scope.all(InspectionEntity, row.collarId === null ? { gearId: row.gearId! } : { collarId: row.collarId }, { at: 'DESC', id: 'DESC' });
  return latest?.id === row.id;
}

/** The piece is as it was found: sound, to be mended, or scrapped; what was scrapped by mistake comes back. */
async function changePiece(row: Omit<InspectionRow, 'kennelId'>, scope: KennelScope): Promise<void> {
  if (!(await isLatest(scope, row))) return;
  const change = { condition: CONDITION_OF[row.outcome], retiredAt: row.outcome === 'scrap' ? row.at : null };
  if (row.collarId !== null) {
    const collar = await scope.hold(CollarEntity, row.collarId);
    await scope.updateAt(CollarEntity, collar.id, collar.version, change);
    await collarKindOfRecord.after!(collarAnswer(await scope.get(CollarEntity, collar.id)), scope, collar);
  } else {
    const piece = await scope.hold(GearEntity, row.gearId!);
    await scope.updateAt(GearEntity, piece.id, piece.version, change);
  }
}

export const inspectionKind: AppendedKind<InspectionRow, NewInspection, Inspection> = {
  entity: InspectionEntity,
  compute: async (scope, id, sent) => {
    // Held first: what another scraps meanwhile is looked at as it then stands.
    const [collar = null] = await scope.holdSome(CollarEntity, sent.collarId === null ? [] : [sent.collarId]);
    const [piece = null] = await scope.holdSome(GearEntity, sent.gearId === null ? [] : [sent.gearId]);
    if (sent.collarId !== null && !collar) throw badField('collarId', 'This collar is not in the locker.');
    if (sent.gearId !== null && !piece) throw badField('gearId', 'This piece is not in the locker.');
    const spec = collar ? inspectionOf(collar) : GEAR_INSPECTIONS[piece!.what];
    const faults = inspectionFaults(spec, sent.answers);
    if (faults.length > 0) throw new Failure('bad-input', { errors: faults.map(({ item, message }) => ({ path: `answers.${item}`, message })) });
    const { outcome, copy } = inspect(spec, sent.answers);
    return { ...sent, id, outcome, copy, ...happenedNow(scope, sent.at) };
  },
  after: changePiece,
  sentOf: ({ collarId, gearId, answers, note, at }) => ({ collarId, gearId, answers, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** A dog with the collars that were decided for it, and when each was checked last. */
export type DogWears = { dog: Pick<Dog, 'id' | 'name' | 'bornOn'>; worn: readonly { collarId: string; lookedAt: string | null }[] };
export const dogWears = ({ dog, fits }: Pick<DogsPage['dogs'][number], 'dog' | 'fits'>): DogWears => ({
  dog,
  worn: fits.map(({ plan, check }) => ({ collarId: plan.collarId, lookedAt: check?.at ?? null })),
});

/** Everything that is kept up; what the dogs here wear is looked up unless it is known. */
export async function upkeepPage(scope: KennelScope, now: Date, known?: readonly DogWears[]): Promise<UpkeepPage> {
  const byName = { name: 'ASC', id: 'ASC' } as const;
  const [kennel, collars, gear, inspections, dressings, wears, here] = await Promise.all([
    kennelOf(scope),
    scope.all(CollarEntity, {}, byName),
    scope.all(GearEntity, {}, byName),
    scope.all(InspectionEntity, {}, { at: 'DESC', id: 'DESC' }),
    scope.all(DressingEntity, {}, { id: 'ASC' }),
    // How often each went on since it was inspected, or measured and called sound: one that was taken back never did.
    scope.raw<{ collarId: string; count: string }>(
      `SELECT worn.collarId, COUNT(*) AS count FROM events worn
        LEFT JOIN collars measured ON measured.kennelId = worn.kennelId AND measured.id = worn.collarId AND measured.\`condition\` = 'sound'
        WHERE worn.kennelId = :kennelId AND worn.event = 'put-on'
          AND worn.at > COALESCE((SELECT MAX(looked.at) FROM inspections looked WHERE looked.kennelId = worn.kennelId AND looked.collarId = worn.collarId), '1970-01-01')
          AND worn.at >= COALESCE(measured.measuredOn, '1970-01-01')
          AND NOT EXISTS (SELECT 1 FROM events taken WHERE taken.kennelId = worn.kennelId AND taken.eventId = worn.id)
        GROUP BY worn.collarId`,
    ),
    known ?? dogsPage(scope).then(({ dogs }) => dogs.filter(({ dog }) => dog.archivedAt === null).map(dogWears)),
  ]);
  const today = Date.parse(dayOf(now.getTime(), kennel.timeZone));
  const pieces = gear.map(gearAnswer);
  const dressingOf = new Map(dressings.map((one) => [one.id, one]));
  return {
    collars: collars.map(collarAnswer),
    gear: pieces,
    inspections: await keptAnswers(scope, inspections),
    wears: wears.map(({ collarId, count }) => ({ collarId, count: Number(count) })),
    worn: here.flatMap(({ dog, worn }) => {
      const on = { dogId: dog.id, dogName: dog.name, ageDays: dog.bornOn === null ? null : Math.round((today - Date.parse(dog.bornOn)) / DAY_MS) };
      return [
        ...worn.map(({ collarId, lookedAt }) => ({ ...on, pieceId: collarId, lookedAt })),
        ...rigPieces(dressingOf.get(dog.id) ?? null, pieces).map(({ piece }) => ({ ...on, pieceId: piece.id, lookedAt: null })),
      ];
    }),
  };
}
