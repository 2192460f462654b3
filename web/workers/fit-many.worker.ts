/** Sizes a whole file of dogs away from the page: in pieces, with progress, and stopped when asked. */
import { benchSpeaker } from '@banter/core';
import Papa from 'papaparse';
import { FIT_HEADINGS, tableSizer } from '../import/fit-table.ts';
import { FitManyRequest, MOST_ROWS, type FitManyNews } from './fit-many.ts';

const tell = (news: FitManyNews) => postMessage(news);

onmessage = (event: MessageEvent<unknown>) => {
  const { file, stock, house, units } = FitManyRequest.parse(event.data);
  const sizer = tableSizer(stock as never, house as never, units, benchSpeaker(units.length, units.mass));
  const parts: string[] = [`\uFEFF${Papa.unparse([[...FIT_HEADINGS]])}\r\n`];
  let cutOff = false;
  const source = file instanceof Blob ? new File([file], 'dogs.csv') : file;
  Papa.parse<string[]>(source as File, {
    chunkSize: 256 * 1024,
    skipEmptyLines: false,
    chunk: ({ data, meta }, parser) => {
      for (const cells of data) {
        if (sizer.dogs() + sizer.leftOut().length >= MOST_ROWS) {
          cutOff = true;
          break;
        }
        const lines = sizer.take(cells);
        if (lines) parts.push(lines);
      }
      tell({ kind: 'progress', bytes: meta.cursor, dogs: sizer.dogs(), leftOut: sizer.leftOut().length });
      if (cutOff || sizer.fault()) parser.abort();
    },
    complete: () => {
      const fault = sizer.fault();
      if (fault) tell({ kind: 'failed', reason: fault });
      else tell({ kind: 'done', csv: new Blob(parts, { type: 'text/csv' }), dogs: sizer.dogs(), leftOut: [...sizer.leftOut()], cutOff });
    },
    error: (error: Error) => tell({ kind: 'failed', reason: `The file could not be read: ${error.message}` }),
  });
};
