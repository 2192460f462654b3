import { ADDRESSED_KINDS } from '../records/addressed-kinds.ts';
import type { Role } from './roles.ts';

/** What is everybody's own affair, whatever their role: signing in and out, their finger, their sign-ins. */
const OWN_AFFAIRS =
  /^\/(sign-in|sign-in\/demo|sign-up|sign-out|me|my-sessions|my-password|my-leaving|invitation|join|owner|owner\/ticks|owner\/says|owner\/pages\.pdf)$/;
const leadsOnly = (whose: 'by' | 'readBy', others: string) =>
  new RegExp(`^/(${[...ADDRESSED_KINDS.filter((kind) => kind[whose] === 'lead').map(({ path }) => path), others].join('|')})(/|$)`);
/** Addresses that only a lead changes, and that only a lead reads: of records as their rows say, and some more. */
const LEAD_CHANGES = leadsOnly('by', 'kennel|people|imports');
const LEAD_READS = leadsOnly('readBy', 'kennel\\.json|imports');

/**
 * The role that a request needs, by its method and its path below `/api`. Reading is anybody's of the kennel, changing an
 * assistant's, and what decides over others a lead's.
 */
export function neededRole(method: string, asked: string): Role {
  // Addresses are the same in capitals, and a role must not depend on how one is written.
  const path = asked.toLowerCase();
  if (method === 'GET' || method === 'HEAD') return LEAD_READS.test(path) ? 'lead' : 'reader';
  if (OWN_AFFAIRS.test(path)) return 'reader';
  return LEAD_CHANGES.test(path) ? 'lead' : 'assistant';
}

/** What decides who gets in: in the demo, which everybody enters, nobody does it. */
const WHO_GETS_IN = /^\/(invites|people|my-password|my-leaving)(\/|$)/;

/** Whether a request is refused in the demo kennel. */
export const notInTheDemo = (method: string, asked: string): boolean => method !== 'GET' && method !== 'HEAD' && WHO_GETS_IN.test(asked.toLowerCase());
