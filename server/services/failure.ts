import type { FieldError, ProblemCode } from '@banter/contract';

/** A failure out of the catalogue, thrown anywhere below HTTP and answered in one place. */
export class Failure extends Error {
  readonly code: ProblemCode;
  readonly more: { detail?: string; errors?: FieldError[]; current?: unknown };

  constructor(code: ProblemCode, more: { detail?: string; errors?: FieldError[]; current?: unknown } = {}) {
    super(code);
    this.code = code;
    this.more = more;
  }
}

/** Bad input at one field. */
export function badField(path: string, message: string): Failure {
  return new Failure('bad-input', { errors: [{ path, message }] });
}
