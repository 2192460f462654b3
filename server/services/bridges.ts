import type { Bridge, BridgeFacts } from '@banter/contract';
import type { DataSource } from 'typeorm';
import { BridgeEntity, type BridgeRow } from '../data/entities/bridge.ts';
import { keyedAnswer, keyedRowSeen } from './private-keys.ts';
import type { VersionedKind } from '../records/record-base.ts';

export const bridgeKind: VersionedKind<BridgeRow, BridgeFacts, Bridge> = {
  entity: BridgeEntity,
  toColumns: ({ revokedAt, ...facts }) => ({ ...facts, revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: keyedAnswer,
};

/** The bridge of a key, or null when there is none or it was taken back; notes that it was heard of. */
export const bridgeOfKey = (dataSource: DataSource, key: string): Promise<BridgeRow | null> => keyedRowSeen(dataSource, BridgeEntity, key);
