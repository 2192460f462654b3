import type { Kennel } from '@banter/contract';
import { CORE_VERSION } from '@banter/core';
import type { KennelScope } from '../services/kennel-scope.ts';
import type { StandingKind } from './standing-kind.ts';

/** So many dogs are worked out at a time: what is read for them stays small. */
const AT_ONCE = 60;

type Row = { dogId: string; fresh: string | number; data: unknown };
const asData = (data: unknown): unknown => (typeof data === 'string' ? JSON.parse(data) : data);
const parts = <One>(all: readonly One[]): One[][] =>
  Array.from({ length: Math.ceil(all.length / AT_ONCE) }, (_none, part) => all.slice(part * AT_ONCE, (part + 1) * AT_ONCE));

/** By what a standing was worked out, besides the records: code and settings. */
const basisOf = ({ version }: Pick<StandingKind<unknown>, 'version'>, kennel: Pick<Kennel, 'version'>) => `${CORE_VERSION} ${version} ${kennel.version}`;

/** What stands of dogs, as it is kept; what was touched since, or never worked out, is worked out now and kept. */
export async function standingsOf<Data>(
  scope: KennelScope,
  kind: StandingKind<Data>,
  dogIds: readonly string[],
  kennel: Kennel,
  now: Date,
): Promise<Map<string, Data>> {
  if (dogIds.length === 0) return new Map();
  const rows = await scope.raw<Row>(
    `SELECT dogId, data FROM standings
      WHERE kennelId = :kennelId AND kind = :kind AND worked = touched AND basis = :basis AND (untilAt IS NULL OR untilAt > :now)`,
    { kind: kind.name, basis: basisOf(kind, kennel), now },
  );
  const wanted = new Set(dogIds);
  const kept = new Map<string, Data>();
  for (const { dogId, data } of rows) if (wanted.has(dogId)) kept.set(dogId, asData(data) as Data);
  for (const some of parts(dogIds.filter((id) => !kept.has(id))))
    for (const [dogId, data] of await workOut(scope, kind, some, kennel, now)) kept.set(dogId, data);
  return kept;
}

/** Works out what stands of some dogs, and keeps it for those that nobody has touched meanwhile. */
async function workOut<Data>(scope: KennelScope, kind: StandingKind<Data>, dogIds: readonly string[], kennel: Kennel, now: Date): Promise<Map<string, Data>> {
  const { touched, stands } = await scope.inOne(async (within) => {
    // Read before the records: what is written after this has touched the dog, and what was worked out is not kept.
    const rows = await within.raw<{ dogId: string; touched: string | number }>(
      'SELECT dogId, touched FROM standings WHERE kennelId = :kennelId AND kind = :kind AND dogId IN (:dogIds)',
      { kind: kind.name, dogIds },
    );
    return { touched: new Map(rows.map((row) => [row.dogId, Number(row.touched)])), stands: await kind.work(within, dogIds, kennel, now) };
  });
  const worked = [...stands]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([dogId, { data, until }]) => ({
      dogId,
      touched: touched.get(dogId) ?? 0,
      until: until === null ? null : sqlInstant(until),
      data: JSON.stringify(data),
    }));
  await scope.inOne((within) =>
    within.raw(
      `INSERT INTO standings (kennelId, kind, dogId, touched, worked, basis, untilAt, data)
       SELECT :kennelId, :kind, told.dogId, told.touched, told.touched, :basis, told.until, told.data
         FROM JSON_TABLE(:worked, '$[*]' COLUMNS (dogId VARCHAR(36) PATH '$.dogId', touched BIGINT PATH '$.touched', until DATETIME(3) PATH '$.until', data LONGTEXT PATH '$.data')) told
       ON DUPLICATE KEY UPDATE basis = IF(standings.touched = VALUES(touched), VALUES(basis), standings.basis), untilAt = IF(standings.touched = VALUES(touched), VALUES(untilAt), standings.untilAt),
         data = IF(standings.touched = VALUES(touched), VALUES(data), standings.data), worked = IF(standings.touched = VALUES(touched), VALUES(worked), standings.worked)`,
      { kind: kind.name, basis: basisOf(kind, kennel), worked: JSON.stringify(worked) },
    ),
  );
  return new Map([...stands].map(([dogId, { data }]) => [dogId, data]));
}

/** An instant (ms) as the database writes it, UTC. */
const sqlInstant = (ms: number) => new Date(ms).toISOString().replace('T', ' ').replace('Z', '');

/**
 * Works everything out anew that is kept of dogs and still counts, and says of which it differs from what was kept: of none, or a
 * record was written without touching what stands of its dog.
 */
export async function rebuildStandings(
  scope: KennelScope,
  kinds: readonly StandingKind<unknown>[],
  kennel: Kennel,
  now: Date,
): Promise<{ looked: number; differ: { kind: string; dogId: string }[] }> {
  const differ: { kind: string; dogId: string }[] = [];
  let looked = 0;
  for (const kind of kinds) {
    const rows = await scope.raw<Row>(
      `SELECT dogId, data FROM standings
        WHERE kennelId = :kennelId AND kind = :kind AND worked = touched AND basis = :basis AND (untilAt IS NULL OR untilAt > :now) ORDER BY dogId`,
      { kind: kind.name, basis: basisOf(kind, kennel), now },
    );
    looked += rows.length;
    for (const some of parts(rows)) {
      const anew = await workOut(
        scope,
        kind,
        some.map(({ dogId }) => dogId),
        kennel,
        now,
      );
      for (const { dogId, data } of some) if (JSON.stringify(asData(data)) !== JSON.stringify(anew.get(dogId))) differ.push({ kind: kind.name, dogId });
    }
  }
  return { looked, differ };
}
