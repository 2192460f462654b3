import { createHash } from 'node:crypto';
import type { Bridge, BridgeFacts } from '@banter/contract';
import type { DataSource } from 'typeorm';
import { BridgeEntity, type BridgeRow } from '../data/entities/bridge.ts';
import type { VersionedKind } from './record-base.ts';

export function bridgeAnswer({ kennelId: _kennel, revokedAt, lastSeenAt, ...row }: BridgeRow): Bridge {
  return { ...row, revokedAt: revokedAt && revokedAt.toISOString(), lastSeenAt: lastSeenAt && lastSeenAt.toISOString() };
}

export const bridgeKind: VersionedKind<BridgeRow, BridgeFacts, Bridge> = {
  entity: BridgeEntity,
  toColumns: ({ revokedAt, ...facts }) => ({ ...facts, revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: bridgeAnswer,
};

/** So often, at most, is it noted that a bridge was heard of. */
const SEEN_EVERY_MS = 60_000;

/** The bridge of a key, or null when there is none or it was taken back; notes that it was heard of. */
export async function bridgeOfKey(dataSource: DataSource, key: string): Promise<BridgeRow | null> {
  const keyHash = createHash('sha256').update(key).digest('hex');
  const bridges = dataSource.getRepository(BridgeEntity);
  const bridge = await bridges.findOneBy({ keyHash });
  if (!bridge || bridge.revokedAt) return null;
  const now = new Date();
  if (!bridge.lastSeenAt || now.getTime() - bridge.lastSeenAt.getTime() > SEEN_EVERY_MS) await bridges.update({ id: bridge.id }, { lastSeenAt: now });
  return bridge;
}
