import { createHash } from 'node:crypto';
import type { DataSource, EntitySchema, FindOptionsWhere } from 'typeorm';
import { KennelScope } from './kennel-scope.ts';

/** What has a private key: of the key itself only the SHA-256 is kept, and it can be taken back. */
type Keyed = { id: string; kennelId: string; keyHash: string; revokedAt: Date | null };
type Seen = { lastSeenAt: Date | null };

/** So often, at most, is it noted that a key was used. */
const SEEN_EVERY_MS = 60_000;

export const hashOfKey = (key: string): string => createHash('sha256').update(key).digest('hex');

/** What a key opens, or null: one that was guessed and one that was taken back or has run out are alike. */
export async function keyedRow<Row extends Keyed & { expiresAt?: Date | null }>(
  dataSource: DataSource,
  entity: EntitySchema<Row>,
  key: string,
): Promise<Row | null> {
  const row = await dataSource.getRepository(entity).findOneBy({ keyHash: hashOfKey(key) } as FindOptionsWhere<Row>);
  if (!row || row.revokedAt) return null;
  return row.expiresAt && row.expiresAt.getTime() <= Date.now() ? null : row;
}

/** The same, noting that it was used. */
export async function keyedRowSeen<Row extends Keyed & Seen & { expiresAt?: Date | null }>(
  dataSource: DataSource,
  entity: EntitySchema<Row>,
  key: string,
): Promise<Row | null> {
  const row = await keyedRow(dataSource, entity, key);
  const now = new Date();
  if (row && (!row.lastSeenAt || now.getTime() - row.lastSeenAt.getTime() > SEEN_EVERY_MS))
    await new KennelScope(dataSource, { kennelId: row.kennelId, personId: row.id, role: 'reader' }).change(entity, row.id, { lastSeenAt: now } as Partial<Row>);
  return row;
}

/** A row of a private key as it is answered: without the kennel, times as text. */
export function keyedAnswer<Row extends Keyed>({ kennelId: _kennel, ...row }: Row) {
  return Object.fromEntries(Object.entries(row).map(([name, value]) => [name, (value as unknown) instanceof Date ? (value as Date).toISOString() : value])) as {
    [Name in keyof Omit<Row, 'kennelId'>]: Row[Name] extends Date ? string : Row[Name] extends Date | null ? string | null : Row[Name];
  };
}
