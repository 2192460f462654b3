import { toldInColumns, type Happening, type NewHappening } from '@banter/contract';
import { BridgeEntity } from '../../data/entities/bridge.ts';
import type { HappeningRow } from '../../data/entities/happening.ts';
import type { KennelScope } from '../kennel-scope.ts';

type Row = Omit<HappeningRow, 'kennelId'>;

/** What happened as its teller told it, out of its row: its shape was looked at when it was kept. */
export const happeningAsTold = (row: Row): NewHappening => toldInColumns(row, row.id, row.saidAt.toISOString()) as NewHappening;
/** What happened, at the time that counts. */
export const happeningAsKept = (row: Row): NewHappening => toldInColumns(row, row.id, row.at.toISOString()) as NewHappening;

/** What happened with who told it, people and bridges by their names. */
export async function happeningAnswers(scope: KennelScope, rows: readonly HappeningRow[]): Promise<Happening[]> {
  if (rows.length === 0) return [];
  const bridgeIds = [...new Set(rows.flatMap(({ bridgeId }) => bridgeId ?? []))];
  const [people, bridges] = await Promise.all([scope.peopleNames(), scope.someOf(BridgeEntity, bridgeIds)]);
  const names = new Map([...people, ...bridges.map(({ id, name }) => [id, name] as const)]);
  return rows.map((row): Happening => ({
    ...happeningAsKept(row),
    saidAt: row.saidAt.toISOString(),
    recordedAt: row.recordedAt.toISOString(),
    source: row.source,
    phone: row.phone,
    personId: row.personId,
    personName: names.get(row.personId ?? row.bridgeId!) ?? '',
  }));
}

/** The row of something that a hand told besides something else: a check that felt the contacts. */
export const toldByHand = (
  told: Pick<Row, 'id' | 'event' | 'collarId' | 'data'>,
  { personId, at, recordedAt }: { personId: string; at: Date; recordedAt: Date },
): Row => ({ ...told, dogId: null, sessionId: null, eventId: null, source: 'hand', phone: '', personId, bridgeId: null, saidAt: at, at, recordedAt });
