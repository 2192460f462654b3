import { atLeast, needsRoleWords, type Role } from '@banter/contract';
import { computed } from 'vue';
import { useSession } from './session.ts';

/** What whoever is signed in may do here; the server decides for itself, the screen only says it before somebody types in vain. */
export function useMay() {
  const session = useSession();
  const role = computed<Role>(() => session.me?.person.role ?? 'assistant');
  return {
    role,
    write: computed(() => atLeast(role.value, 'assistant')),
    lead: computed(() => atLeast(role.value, 'lead')),
    /** Why not, or nothing when they may. */
    whyNot: (needed: Role): string => (atLeast(role.value, needed) ? '' : needsRoleWords(needed)),
  };
}
