import { once } from 'node:events';
import { createReadStream, createWriteStream } from 'node:fs';
import { KENNEL_FILE_FORMAT, KENNEL_FILE_VERSION, type CsvTable, type KennelImport, type KennelPartName } from '@banter/contract';
import Papa from 'papaparse';
import { Failure } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { kennelAnswer, kennelOf } from '../services/kennels.ts';
import { plainHeading } from './csv-cells.ts';
import { BadRow, RowReader } from './csv-rows.ts';

/** Where each record of the made file came from: the row of the table, counted as a spreadsheet counts them. */
export type RowsOf = Map<KennelPartName, number[]>;

/**
 * Makes a kennel's file of a table, row by row, and says which row each of its records was. What is wrong with rows is written down
 * with the job; columns that nothing is taken from are named.
 */
export async function tableToFile(scope: KennelScope, table: CsvTable, csv: string, made: string, job: KennelImport): Promise<RowsOf> {
  const reader = await RowReader.of(scope, table);
  const { demo: _demo, version: _version, ...kennel } = kennelAnswer(await kennelOf(scope));
  const rowsOf: RowsOf = new Map();
  const parts = new Map<KennelPartName, string[]>();
  const fault = (where: string, message: string) => {
    job.faultCount += 1;
    if (job.faults.length < 100) job.faults.push({ where, message });
  };
  let headings: string[] | null = null;
  let row = 0;
  const source = createReadStream(csv, { encoding: 'utf8' });
  const lines = source.pipe(Papa.parse(Papa.NODE_STREAM_INPUT, { skipEmptyLines: 'greedy' }));
  try {
    for await (const line of lines as AsyncIterable<string[]>) {
      row += 1;
      if (headings === null) {
        headings = line.map((one) => one.trim());
        job.leftOut = reader.headed(headings).filter(Boolean);
        continue;
      }
      try {
        const cells = new Map(headings.map((heading, index) => [plainHeading(heading), line[index] ?? '']));
        for (const [part, record] of await reader.records(cells)) {
          const texts = parts.get(part) ?? [];
          parts.set(part, texts);
          texts.push(JSON.stringify(record));
          const rows = rowsOf.get(part) ?? [];
          rowsOf.set(part, rows);
          rows.push(row);
        }
      } catch (error) {
        if (!(error instanceof BadRow || error instanceof Failure)) throw error;
        fault(`row ${row}`, error instanceof BadRow ? error.message : (error.more.errors?.[0]?.message ?? error.message));
        if (job.faultCount >= 1000) break;
      }
    }
  } catch (error) {
    if (!(error instanceof BadRow)) throw error;
    fault('file', error.message);
  } finally {
    source.destroy();
  }
  if (headings === null) fault('file', 'There is no row in it.');
  const out = createWriteStream(made);
  const write = async (text: string) => {
    if (!out.write(text)) await once(out, 'drain');
  };
  await write(
    `{"format":${JSON.stringify(KENNEL_FILE_FORMAT)},"version":${KENNEL_FILE_VERSION},"exportedAt":${JSON.stringify(new Date().toISOString())},"kennel":${JSON.stringify(kennel)}`,
  );
  for (const [part, texts] of parts) await write(`,${JSON.stringify(part)}:[${texts.join(',')}]`);
  await write('}');
  out.end();
  await once(out, 'finish');
  return rowsOf;
}

/** A place in the made file as the row of the table it came from. */
export function rowWords(where: string, rowsOf: RowsOf): string {
  const [, part, index, rest] = /^(\w+)\[(\d+)\](.*)$/.exec(where) ?? [];
  const row = part === undefined ? undefined : rowsOf.get(part as KennelPartName)?.[Number(index)];
  return row === undefined ? where : `row ${row}${rest ? `, ${rest.slice(1)}` : ''}`;
}
