import { asCsvText, collarKind, fitAll, type KindFit, type StockByKind } from '@banter/contract';
import { speakLimit, speakQuantity, type House, type Speaker } from '@banter/core';
import Papa from 'papaparse';
import { isUnitsRow, knownColumns, type KnownColumn } from './dog-columns.ts';
import { readDogRow, type RowUnits } from './dog-row.ts';

/** A row that was not sized: its number in the file, as a spreadsheet counts, and why. */
export type LeftOut = { row: number; reason: string };

export const FIT_HEADINGS = [
  'row',
  'dog',
  'kind',
  'verdict',
  'collar',
  'made up as',
  'deciding measure',
  'measure',
  'limit',
  'look for',
  'still to tape',
] as const;

function fitCells(row: number, dog: string, fit: KindFit, speak: Speaker): string[] {
  const { deciding } = fit;
  return [
    String(row),
    dog,
    collarKind(fit.kind).name,
    fit.verdict,
    fit.collarName ?? '',
    fit.line ?? '',
    deciding?.what ?? '',
    deciding?.measure ? speakQuantity(deciding.measure, speak) : '',
    deciding ? speakLimit(deciding, speak) : '',
    fit.wanted ?? '',
    fit.missing.map(({ says }) => says).join(' '),
  ].map(asCsvText);
}

export type TableSizer = {
  /** Takes a row; answers the lines of its fits, or nothing for a heading, a units row, an empty row or one that is left out. */
  take: (cells: readonly string[]) => string;
  dogs: () => number;
  leftOut: () => readonly LeftOut[];
  /** Why nothing can be sized at all, once the heading has been read. */
  fault: () => string | null;
};

/** Sizes a table of dogs row by row against a stock. The first row is its heading; a second that only names units is taken as such. */
export function tableSizer(stock: StockByKind, house: House, units: RowUnits, speak: Speaker): TableSizer {
  let columns: KnownColumn[] | null = null;
  let unitsRow: readonly string[] | null = null;
  let row = 0;
  let dogs = 0;
  let fault: string | null = null;
  const leftOut: LeftOut[] = [];
  return {
    take: (cells) => {
      row += 1;
      if (cells.every((cell) => cell.trim() === '')) return '';
      if (columns === null) {
        columns = knownColumns(cells);
        if (!columns.some(({ column }) => column === 'high')) fault = 'There is no column for the high girth. Head it «high», «neck» or «girth».';
        return '';
      }
      if (fault) return '';
      if (dogs === 0 && unitsRow === null && leftOut.length === 0 && isUnitsRow(cells)) {
        unitsRow = cells;
        return '';
      }
      const read = readDogRow(cells, columns, unitsRow, units);
      if ('reason' in read) {
        leftOut.push({ row, reason: read.reason });
        return '';
      }
      dogs += 1;
      const lines = fitAll(read.name, read.dog, stock, house, speak).map((fit) => fitCells(row, read.name, fit, speak));
      return `${Papa.unparse(lines, { newline: '\r\n' })}\r\n`;
    },
    dogs: () => dogs,
    leftOut: () => leftOut,
    fault: () => fault ?? (columns === null ? 'The file is empty.' : null),
  };
}
