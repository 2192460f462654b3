import { WEAR_HAPPENINGS, wearAndDeviceEvents } from '@banter/contract';
import { wearsOf, type Wear } from '@banter/core';
import { In, LessThanOrEqual } from 'typeorm';
import { HappeningEntity } from '../data/entities/happening.ts';
import { happeningAsKept } from './happenings/kept-happenings.ts';
import type { KennelScope } from './kennel-scope.ts';

/** How a collar was worn by a dog up to an instant, oldest first; what was taken back never was. */
export async function wearsOfCollar(scope: KennelScope, dogId: string, collarId: string, until: Date): Promise<Wear[]> {
  const [told, voids] = await Promise.all([
    scope.all(HappeningEntity, { collarId, event: In([...WEAR_HAPPENINGS]), at: LessThanOrEqual(until) }, { at: 'ASC', id: 'ASC' }),
    scope.all(HappeningEntity, { collarId, event: 'void' }, { at: 'ASC' }),
  ]);
  return wearsOf(wearAndDeviceEvents([...told, ...voids].map(happeningAsKept)).wear).wears.filter((wear) => wear.dogId === dogId);
}
