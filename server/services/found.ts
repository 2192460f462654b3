import type { FindAsked, Found } from '@banter/contract';
import type { KennelScope } from './kennel-scope.ts';
import { likePart } from './list-page.ts';

/** So many of each sort are answered. */
const MOST = 8;

/** Dogs and collars by a part of their names. What was put away or scrapped comes last, or not at all. */
export async function found(scope: KennelScope, { text }: FindAsked): Promise<Found> {
  const named = { part: likePart(text), begins: likePart(text).slice(1) };
  const [dogs, collars] = await Promise.all([
    scope.raw<{ id: string; name: string; breed: string; away: 0 | 1 }>(
      `SELECT id, name, breed, archivedAt IS NOT NULL AS away FROM dogs WHERE kennelId = :kennelId AND name LIKE :part
        ORDER BY away, name NOT LIKE :begins, name, id LIMIT ${MOST}`,
      named,
    ),
    scope.raw<Found['collars'][number]>(
      `SELECT id, name, kind FROM collars WHERE kennelId = :kennelId AND retiredAt IS NULL AND name LIKE :part
        ORDER BY name NOT LIKE :begins, name, id LIMIT ${MOST}`,
      named,
    ),
  ]);
  return { dogs: dogs.map(({ away, ...dog }) => ({ ...dog, away: Boolean(Number(away)) })), collars };
}
