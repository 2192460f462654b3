import { MINUTE_MS } from '../units/durations.ts';

/** A result with the session it was told of, where it was; `at` ms. */
export type ToldResult = { sessionId: string | null; at: number };

/**
 * One result a session: told again of the same session, or again so soon that no other session of this stage can have been held
 * meanwhile (`minutes` long), the later one replaces the earlier. Answers those that count, by time. Common practice: a result is
 * somebody's answer about one session.
 *
 * @example resultsBySession([{ sessionId: null, at: 0 }, { sessionId: null, at: 5000 }], 5).length // 1
 */
export function resultsBySession<Result extends ToldResult>(results: readonly Result[], minutes: number): Result[] {
  const counted: Result[] = [];
  for (const told of [...results].sort((a, b) => a.at - b.at)) {
    const isAgain = (one: Result) =>
      one.sessionId !== null && told.sessionId !== null ? one.sessionId === told.sessionId : told.at - one.at < minutes * MINUTE_MS;
    const before = counted.findIndex(isAgain);
    if (before < 0) counted.push(told);
    else counted[before] = { ...told, sessionId: told.sessionId ?? counted[before]!.sessionId };
  }
  return counted.sort((a, b) => a.at - b.at);
}
