import { GEAR_INSPECTIONS, inspectionFaults, inspectionOf, type Inspection, type NewInspection } from '@banter/contract';
import { inspect } from '@banter/core';
import { CollarEntity } from '../data/entities/collar.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { InspectionEntity, type InspectionRow } from '../data/entities/inspection.ts';
import { collarAnswer, collarKindOfRecord } from './collars.ts';
import { badField, Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

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
