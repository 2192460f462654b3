import { z } from '@banter/contract';
import type { LeftOut } from '../import/fit-table.ts';

/** Rows of one file that are sized at the most; what is beyond them is said to be left out. */
export const MOST_ROWS = 50_000;

/** What the worker is asked: a file or pasted text, the stock by kind, what the house holds to, and the units that are spoken. */
export const FitManyRequest = z.object({
  file: z.union([z.instanceof(Blob), z.string()]),
  stock: z.record(z.string(), z.array(z.object({ id: z.string(), name: z.string(), numbers: z.unknown() }))),
  house: z.object({ rules: z.record(z.string(), z.number().nullable()), schools: z.record(z.string(), z.string()), headCollarChart: z.array(z.unknown()) }),
  units: z.object({ length: z.enum(['in', 'cm']), mass: z.enum(['lb', 'kg']), finger: z.object({ thicknessMm: z.number(), widthMm: z.number() }) }),
});
export type FitManyRequest = z.infer<typeof FitManyRequest>;

/** What the worker tells: how far it is, that it is done, or why it cannot. */
export type FitManyNews =
  | { kind: 'progress'; bytes: number; dogs: number; leftOut: number }
  | { kind: 'done'; csv: Blob; dogs: number; leftOut: LeftOut[]; cutOff: boolean }
  | { kind: 'failed'; reason: string };
