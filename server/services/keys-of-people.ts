import type { HeldKey } from '@banter/contract';
import { In, IsNull, type EntitySchema } from 'typeorm';
import { BridgeEntity } from '../data/entities/bridge.ts';
import { CalendarFeedEntity } from '../data/entities/calendar-feed.ts';
import { DeedEntity } from '../data/entities/deed.ts';
import { OwnerLinkEntity } from '../data/entities/handover.ts';
import { InviteEntity } from '../data/entities/invite.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { writeDeed } from '../records/deeds.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';

type KeyRow = {
  id: string;
  kennelId: string;
  version: number;
  name: string;
  revokedAt: Date | null;
  expiresAt?: Date;
  usedAt?: Date | null;
  personId?: string | null;
  dogId?: string;
};
const KEYS = {
  bridge: BridgeEntity as unknown as EntitySchema<KeyRow>,
  ownerLink: OwnerLinkEntity as unknown as EntitySchema<KeyRow>,
  calendarFeed: CalendarFeedEntity as unknown as EntitySchema<KeyRow>,
  invite: InviteEntity as unknown as EntitySchema<KeyRow>,
} as const satisfies Record<HeldKey['kind'], EntitySchema<KeyRow>>;
const KINDS = Object.keys(KEYS) as HeldKey['kind'][];

/** A key that still opens something, with who answers for it and whom it tells of or is for. */
type OpenKey = HeldKey & { keeperId: string | null; aboutId: string | null; dogId: string | null; version: number };

/** Who answers for each key: who made it, or whom it was handed to last. The log says both. */
async function keepers(scope: KennelScope): Promise<Map<string, string>> {
  const deeds = await scope.all(DeedEntity, { kind: In(KINDS), act: In(['made', 'handed']) }, { at: 'ASC', id: 'ASC' });
  return new Map(
    deeds.flatMap(({ recordId, personId, act, about }) => {
      const keeper = act === 'handed' ? about.toId : personId;
      return recordId !== null && keeper ? [[recordId, keeper] as const] : [];
    }),
  );
}

/** Every key of the kennel that still opens something. */
export async function openKeys(scope: KennelScope): Promise<OpenKey[]> {
  const now = Date.now();
  const [by, ...tables] = await Promise.all([keepers(scope), ...KINDS.map((kind) => scope.all(KEYS[kind], { revokedAt: IsNull() }, { id: 'ASC' }))]);
  return KINDS.flatMap((kind, index) =>
    tables[index]!.filter(({ expiresAt, usedAt }) => (expiresAt === undefined || expiresAt.getTime() > now) && !usedAt).map((row) => ({
      kind,
      id: row.id,
      name: row.name,
      keeperId: by.get(row.id) ?? null,
      aboutId: row.personId ?? null,
      dogId: row.dogId ?? null,
      version: row.version,
    })),
  );
}

/**
 * What becomes of the keys of somebody who goes: an address that tells of them and an invitation for them are taken back; of the rest,
 * made by them, each is taken back too, or handed to another lead. Runs in the caller's transaction.
 */
export async function settleKeys(scope: KennelScope, personId: string, toId: string | null): Promise<void> {
  if (toId !== null) {
    const lead = await scope.find(PersonEntity, toId);
    if (!lead || lead.id === personId || lead.role !== 'lead' || lead.leftAt !== null || lead.passwordHash === null)
      throw badField('keysTo', 'Keys are handed to another lead of the kennel.');
  }
  const revokedAt = new Date();
  for (const { kind, id, version, keeperId, aboutId, name, dogId } of await openKeys(scope)) {
    if (keeperId !== personId && aboutId !== personId) continue;
    // An invitation is somebody's own word for somebody else: it is not handed on.
    if (toId === null || aboutId === personId || kind === 'invite') {
      await scope.updateAt(KEYS[kind], id, version, { revokedAt });
      await writeDeed(scope, {
        act: 'changed',
        kind,
        recordId: id,
        dogId,
        label: name,
        about: { changed: [{ field: 'revokedAt', from: null, to: revokedAt.toISOString() }] },
      });
    } else await writeDeed(scope, { act: 'handed', kind, recordId: id, dogId, label: name, about: { toId } });
  }
}
