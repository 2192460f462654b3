import type { z } from './plain-words.ts';

/** Carries the issues of a part that was parsed by a schema of its own into the whole, below the part's path. */
export function carryIssues(
  into: z.core.$ZodRawIssue[],
  parsed: { success: true } | { success: false; error: z.ZodError },
  input: unknown,
  path: PropertyKey[] = [],
): void {
  if (parsed.success) return;
  for (const { message, path: below } of parsed.error.issues) into.push({ code: 'custom', input, message, path: [...path, ...below] });
}
