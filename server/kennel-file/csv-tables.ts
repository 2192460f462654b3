import { asCsvText, kennelPart, type CsvTable, type KennelPartName } from '@banter/contract';
import Papa from 'papaparse';
import type { DataSource, EntitySchema } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PressEntity } from '../data/entities/field-log.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { PART_TABLES, toFile, type AnyRow, type FileRecord } from './part-tables.ts';

/** The part of a kennel's file that a table is; presses are worked out from what was told of sessions. */
export const CSV_PARTS: Record<Exclude<CsvTable, 'presses'>, KennelPartName> = {
  dogs: 'dogs',
  tape: 'tapings',
  fits: 'plans',
  skin: 'skinLooks',
  locker: 'collars',
};
const PRESS_COLUMNS = ['id', 'sessionId', 'dogId', 'collarId', 'setting', 'purpose', 'level', 'mode', 'response', 'latencyMs', 'at'] as const;

const AT_ONCE = 500;

const cell = (value: unknown): string | number | boolean =>
  value === null || value === undefined
    ? ''
    : typeof value === 'object'
      ? JSON.stringify(value)
      : typeof value === 'string'
        ? asCsvText(value)
        : (value as number | boolean);

/** The columns of a table, the names of dog and collar beside their ids. */
export function csvColumns(table: CsvTable): string[] {
  const own = table === 'presses' ? [...PRESS_COLUMNS] : Object.keys(kennelPart(CSV_PARTS[table]).record.shape);
  return own.flatMap((name) => (name === 'dogId' ? ['dogId', 'dog'] : name === 'collarId' ? ['collarId', 'collar'] : [name]));
}

/** A table of a kennel, piece by piece; cells that a spreadsheet would take for a formula get an apostrophe before them. */
export async function* csvPieces(dataSource: DataSource, who: { kennelId: string; personId: string }, table: CsvTable): AsyncGenerator<string> {
  const scope = new KennelScope(dataSource, { ...who, role: 'reader' });
  const entity = table === 'presses' ? (PressEntity as unknown as EntitySchema<AnyRow>) : PART_TABLES[CSV_PARTS[table]];
  const names = async (of: typeof DogEntity | typeof CollarEntity) =>
    new Map((await scope.all(of as typeof DogEntity, {}, {})).map(({ id, name }) => [id, name]));
  const [dogs, collars] = [await names(DogEntity), await names(CollarEntity)];
  const columns = csvColumns(table);
  const named = (record: FileRecord) => ({ ...record, dog: dogs.get(String(record.dogId)) ?? '', collar: collars.get(String(record.collarId)) ?? '' });
  const text = (rows: unknown[][]) => Papa.unparse(rows as string[][], { newline: '\r\n' });
  yield `${text([columns])}\r\n`;
  let last: string | null = null;
  for (;;) {
    const query = scope.query(entity);
    if (last !== null) query.andWhere('record.id > :last', { last });
    const rows = await query.orderBy('record.id', 'ASC').take(AT_ONCE).getMany();
    if (rows.length === 0) return;
    yield `${text(
      rows.map((row) => {
        const record = named(toFile(entity, row)) as Record<string, unknown>;
        return columns.map((name) => cell(record[name]));
      }),
    )}\r\n`;
    last = rows.at(-1)!.id;
  }
}
