import { calculationOf, computeFits, fieldErrors, FitsRequest, type FieldError, type ProblemCode } from '@banter/contract';

/** Many dogs against one stock, beside the calculations by name. */
export const FITS = 'fits';

/** A calculation that was asked for: its name, and the bytes that came. */
export type CalculationAsked = { name: string; bytes: Uint8Array };
/** What came of it: the answer as JSON, or a problem out of the catalogue. */
export type CalculationAnswered = { json: string } | { problem: ProblemCode; errors?: FieldError[] };

const schemaAndComputeOf = (name: string) =>
  name === FITS ? { request: FitsRequest, compute: computeFits as (asked: unknown) => unknown } : (calculationOf(name) ?? null);

/** Reads, checks and computes, all in one, so that none of it is left to whoever serves. Bytes that are not JSON and input that is not right are answers. */
export function answerCalculation({ name, bytes }: CalculationAsked): CalculationAnswered {
  const calculation = schemaAndComputeOf(name);
  if (!calculation) return { problem: 'not-found' };
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return { problem: 'not-json' };
  }
  const parsed = calculation.request.safeParse(body);
  if (!parsed.success) return { problem: 'bad-input', errors: fieldErrors(parsed.error) };
  return { json: JSON.stringify(calculation.compute(parsed.data as never)) };
}
