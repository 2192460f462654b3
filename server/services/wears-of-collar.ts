import { wearAndDeviceEvents } from '@banter/contract';
import { wearsOf, type Wear } from '@banter/core';
import { In, LessThanOrEqual } from 'typeorm';
import { EventEntity } from '../data/entities/event.ts';
import { eventAsSent } from './events.ts';
import type { KennelScope } from './kennel-scope.ts';

const WEARING = ['put-on', 'taken-off', 'moved', 'state'] as const;

/** How a collar was worn by a dog up to an instant, oldest first; what was taken back never was. */
export async function wearsOfCollar(scope: KennelScope, dogId: string, collarId: string, until: Date): Promise<Wear[]> {
  const [told, voids] = await Promise.all([
    scope.all(EventEntity, { collarId, event: In([...WEARING]), at: LessThanOrEqual(until) }, { at: 'ASC', id: 'ASC' }),
    scope.all(EventEntity, { collarId, event: 'void' }, { at: 'ASC' }),
  ]);
  return wearsOf(wearAndDeviceEvents([...told, ...voids].map(eventAsSent)).wear).wears.filter((wear) => wear.dogId === dogId);
}
