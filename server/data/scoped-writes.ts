import { EventSubscriber, type EntitySubscriberInterface } from 'typeorm';
import { recordColumns } from './columns.ts';

/** Tables whose rows are of no kennel alone: sign-ins by their hash, counts of tries, who listens, what servers know of each other. */
const OWN_WAY = new Set(['kennels', 'sessions', 'tries', 'listeners', 'leases', 'changes', 'migrations']);
const WRITE = /^\s*(?:UPDATE|DELETE\s+FROM)\s+`?(\w+)`?([\s\S]*)$/i;

/** The condition by which a row is of a kennel. */
const BY_KENNEL = new RegExp(`WHERE[\\s\\S]*\\b${Object.keys(recordColumns)[1]}\\b`, 'i');

/** Whether a statement changes or removes rows of records without naming their kennel. */
export function isUnscopedWrite(sql: string): boolean {
  const [, table, rest] = WRITE.exec(sql) ?? [];
  return table !== undefined && !OWN_WAY.has(table.toLowerCase()) && !BY_KENNEL.test(rest!);
}

/**
 * Refuses, before it is sent, whatever would change a record by its id alone: ids are a kennel's own, and another kennel may have the
 * same. The steps of the database run without it.
 */
export class ScopedWrites implements EntitySubscriberInterface {
  beforeQuery({ query }: { query: string }): void {
    if (isUnscopedWrite(query)) throw new Error('a record was to be changed without its kennel');
  }
}
// Called as a function, so that no compiler has to know decorators.
EventSubscriber()(ScopedWrites);
