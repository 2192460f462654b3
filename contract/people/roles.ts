import { z } from '../plain-words.ts';

/** What somebody may do in a kennel, from most to least. */
export const ROLES = ['lead', 'assistant', 'reader'] as const;
export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

export const ROLE_WORDS: Record<Role, { name: string; does: string }> = {
  lead: {
    name: 'Lead',
    does: 'decides: house rules and law, lifting a stop, what a dog has of its own, taking a dog off the list, people, and the whole kennel as a file',
  },
  assistant: { name: 'Assistant', does: 'does the day’s work: tapes, fits, checks, sessions, plans, upkeep' },
  reader: { name: 'Reader', does: 'sees everything and changes nothing' },
};

/** Whether somebody in one role may do what needs another. */
export const atLeast = (role: Role, needed: Role): boolean => ROLES.indexOf(role) <= ROLES.indexOf(needed);

/** What is everybody's own affair, whatever their role: signing in and out, their finger, their sign-ins. */
const OWN_AFFAIRS = /^\/(sign-in|sign-in\/demo|sign-up|sign-out|me|my-sessions|my-password|my-leaving|invitation|join|owner|owner\/ticks|owner\/pages\.pdf)$/;
/** Addresses that only a lead changes. */
const LEAD_CHANGES = /^\/(kennel|lifts|places|bridges|invites|people|imports)(\/|$)/;
/** Addresses that only a lead reads. */
const LEAD_READS = /^\/(invites|kennel\.json|imports)(\/|$)/;

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

/** What is said to somebody whose role is too small. */
export const needsRoleWords = (needed: Role): string =>
  needed === 'lead' ? 'Only a lead of the kennel does this.' : 'You read in this kennel; a lead or an assistant changes it.';

/** What decides who gets in: in the demo, which everybody enters, nobody does it. */
const WHO_GETS_IN = /^\/(invites|people|my-password|my-leaving)(\/|$)/;

/** Whether a request is refused in the demo kennel. */
export const notInTheDemo = (method: string, asked: string): boolean => method !== 'GET' && method !== 'HEAD' && WHO_GETS_IN.test(asked.toLowerCase());
