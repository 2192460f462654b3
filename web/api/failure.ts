import type { FieldError, Problem } from '@banter/contract';

/** Why a request came to nothing: the server said so, or nobody answered. */
export class RequestFailure extends Error {
  /** The server's own words, or null when it could not be reached. */
  readonly problem: Problem | null;

  constructor(problem: Problem | null) {
    super(problem?.title ?? 'Banter could not be reached.');
    this.problem = problem;
  }

  /** Whether the same request may work in a moment: no connection, or the records are away. */
  get mayPass(): boolean {
    return this.problem === null || this.problem.status === 503 || this.problem.status === 429;
  }

  get errors(): FieldError[] {
    return this.problem?.errors ?? [];
  }
}

/** A failure in one plain sentence. */
export function failureSentence(failure: unknown): string {
  if (!(failure instanceof RequestFailure)) return 'Something went wrong on this page.';
  if (failure.problem === null) return 'No connection to Banter.';
  const [first] = failure.errors;
  return first ? first.message : (failure.problem.detail ?? failure.problem.title);
}
