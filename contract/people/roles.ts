import { z } from '../plain-words.ts';

/** What somebody may do in a kennel, from most to least. */
export const ROLES = ['lead', 'assistant', 'reader'] as const;
export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

export const ROLE_WORDS: Record<Role, { name: string; does: string }> = {
  lead: {
    name: 'Lead',
    does: 'decides: house rules, law, lifting a stop, one dog’s own rules, taking a dog off, people, the kennel as a file',
  },
  assistant: { name: 'Assistant', does: 'does the day’s work: tapes, fits, checks, sessions, plans, upkeep' },
  reader: { name: 'Reader', does: 'sees everything and changes nothing' },
};

/** Whether somebody in one role may do what needs another. */
export const atLeast = (role: Role, needed: Role): boolean => ROLES.indexOf(role) <= ROLES.indexOf(needed);

/** What is said to somebody whose role is too small. */
export const needsRoleWords = (needed: Role): string =>
  needed === 'lead' ? 'Only a lead of the kennel does this.' : 'You can only read here; a lead or an assistant changes it.';
