import type { CollarKindName, Missing } from '@banter/contract';

/** Where a missing measure is got, and what that is called. */
export function toGet({ by }: Missing, dogId: string, kind: CollarKindName): { to: string; word: string } {
  return by === 'scales' ? { to: `/dogs/${dogId}/edit`, word: 'Weigh' } : { to: `/dogs/${dogId}/tape?for=${kind}`, word: 'Tape' };
}
