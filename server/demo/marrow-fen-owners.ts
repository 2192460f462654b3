import type { Kennel } from '@banter/contract';
import { DAY_MS } from '@banter/core';
import { randomBytes } from 'node:crypto';
import { OwnerLinkEntity } from '../data/entities/handover.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { keepSaying, ownerLinkKind } from '../services/owner-links.ts';
import { putVersioned } from '../records/record-base.ts';

/** What an owner of the story said of its dog, so many days ago. Everything here is invented. */
const TOLD = [{ dog: 'linnet', owner: 'Household Marl', madeDaysAgo: 5, says: 'pink', saidDaysAgo: 1, minutes: 10 * 60 }] as const;
const LINK_DAYS = 60;

/** Links of owners, and what they said through these: a pink place rests, and stands among the dues. Nobody has the key of a link of the demo. */
export async function seedOwnerWords(
  lead: KennelScope,
  dogIds: ReadonlyMap<string, string>,
  kennel: Kennel,
  now: Date,
  make: { ago: (days: number, minutes?: number) => Date; id: (at: Date) => string },
): Promise<void> {
  for (const { dog, owner, madeDaysAgo, says, saidDaysAgo, minutes } of TOLD) {
    const id = make.id(make.ago(madeDaysAgo));
    const keyHash = randomBytes(32).toString('hex');
    const expiresAt = new Date(now.getTime() + LINK_DAYS * DAY_MS).toISOString();
    await putVersioned(lead, ownerLinkKind, id, { dogId: dogIds.get(dog)!, name: owner, keyHash, expiresAt, revokedAt: null }, null);
    const at = make.ago(saidDaysAgo, minutes);
    await keepSaying(lead, await lead.get(OwnerLinkEntity, id), { id: make.id(at), says, done: true }, kennel, at);
  }
}
