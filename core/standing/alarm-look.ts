import { MORE_CAUSES, type MoreCause } from '../field-log/field-event.ts';

/** One of the four questions as it was answered: whether it was the cause; `at` ms. */
export type CauseAsked = { cause: MoreCause; was: boolean; at: number };

/**
 * How far an alarm of more has been looked into: what was answered since, the question that is next, and the cause once it is found.
 * `next` is null when a cause was found or all four were asked.
 */
export type AlarmLook = { answers: CauseAsked[]; next: MoreCause | null; found: MoreCause | null };

/**
 * The four questions of an alarm in their order, contact first: of each the latest answer since the alarm counts, and any contact
 * felt since answers the first. Common practice.
 *
 * @example alarmLook(10, [{ cause: 'contact', was: false, at: 12 }]).next // 'skin'
 */
export function alarmLook(firstAt: number, asked: readonly CauseAsked[]): AlarmLook {
  const since = asked.filter(({ at }) => at > firstAt);
  const answers = MORE_CAUSES.flatMap((cause) =>
    since.filter((one) => one.cause === cause).reduce<CauseAsked[]>(([last], one) => [last !== undefined && last.at > one.at ? last : one], []),
  );
  const found = answers.find(({ was }) => was)?.cause ?? null;
  const next = found === null ? (MORE_CAUSES.find((cause) => !answers.some((one) => one.cause === cause)) ?? null) : null;
  return { answers, next, found };
}

/** What was found while a session ran: the questions before a cause were asked and were not it. */
export const askedUpTo = (found: MoreCause | 'nothing', at: number): CauseAsked[] => {
  const last = found === 'nothing' ? MORE_CAUSES.length - 1 : MORE_CAUSES.indexOf(found);
  return MORE_CAUSES.slice(0, last + 1).map((cause) => ({ cause, was: cause === found, at }));
};
