import { crc32 } from 'node:zlib';
import type { Collar } from '@banter/contract';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { collarAnswer } from './collars.ts';
import type { KennelScope } from './kennel-scope.ts';

/** So many collars are remembered by this process at once, of the kennels that were asked for last; a kennel's stock is some hundred, rarely thousands. */
const MOST_COLLARS = 20_000;
const remembered = new Map<string, { stamp: string; collars: readonly Collar[] }>();

/** What changes with every write of a collar: a version only goes up, and no collar is ever deleted. In SQL and here, the same. */
const STAMP = `SELECT CONCAT_WS(' ', COUNT(*), COALESCE(SUM(version), 0), COALESCE(BIT_XOR(CRC32(CONCAT(id, ' ', version))), 0)) AS stamp
                 FROM collars WHERE kennelId = :kennelId`;
export function stampOf(rows: readonly Pick<CollarRow, 'id' | 'version'>[]): string {
  const versions = rows.reduce((sum, { version }) => sum + version, 0);
  const mixed = rows.reduce((mix, { id, version }) => (mix ^ crc32(`${id} ${version}`)) >>> 0, 0);
  return `${rows.length} ${versions} ${mixed}`;
}

/**
 * All collars of a kennel as they are told, by name; not to be changed. They are read once, and again once any was written, by whichever server:
 * what is remembered counts as long as the database says the same of its versions. The stamp is made of the very rows that were read, so that a
 * node which is behind another is no matter. Not within a transaction, whose own writes may never come to be.
 */
export async function stockOf(scope: KennelScope): Promise<readonly Collar[]> {
  const [{ stamp } = { stamp: '' }] = await scope.raw<{ stamp: string }>(STAMP);
  const known = remembered.get(scope.kennelId);
  remembered.delete(scope.kennelId);
  if (known?.stamp === stamp) {
    remembered.set(scope.kennelId, known);
    return known.collars;
  }
  const rows = await scope.all(CollarEntity, {}, { name: 'ASC', id: 'ASC' });
  const collars = rows.map(collarAnswer);
  remembered.set(scope.kennelId, { stamp: stampOf(rows), collars });
  forgetOldest();
  return collars;
}

function forgetOldest(): void {
  let held = [...remembered.values()].reduce((sum, { collars }) => sum + collars.length, 0);
  for (const [kennelId, { collars }] of remembered) {
    if (held <= MOST_COLLARS || remembered.size === 1) return;
    remembered.delete(kennelId);
    held -= collars.length;
  }
}
