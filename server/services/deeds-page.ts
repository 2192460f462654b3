import type { DeedsAsked, DeedsPage } from '@banter/contract';
import { DateTime } from 'luxon';
import { DeedEntity } from '../data/entities/deed.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PersonEntity } from '../data/entities/person.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';

/** Lines that are answered at a time. */
const PAGE = 100;

/** Who did what, the latest first. */
export async function deedsPage(scope: KennelScope, asked: DeedsAsked): Promise<DeedsPage> {
  const { timeZone } = await kennelOf(scope);
  const query = scope.query(DeedEntity);
  if (asked.personId) query.andWhere('record.personId = :personId', { personId: asked.personId });
  if (asked.dogId) query.andWhere('record.dogId = :dogId', { dogId: asked.dogId });
  if (asked.kind) query.andWhere('record.kind = :kind', { kind: asked.kind });
  const day = (text: string) => DateTime.fromISO(text, { zone: timeZone }).startOf('day');
  if (asked.from) query.andWhere('record.at >= :from', { from: day(asked.from).toJSDate() });
  if (asked.to) query.andWhere('record.at < :to', { to: day(asked.to).plus({ days: 1 }).toJSDate() });
  if (asked.before) {
    const last = await scope.get(DeedEntity, asked.before);
    query.andWhere('(record.at < :lastAt OR (record.at = :lastAt AND record.id < :lastId))', { lastAt: last.at, lastId: last.id });
  }
  const rows = await query
    .orderBy('record.at', 'DESC')
    .addOrderBy('record.id', 'DESC')
    .take(PAGE + 1)
    .getMany();
  const [people, dogs, kinds] = await Promise.all([
    scope.all(PersonEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(DogEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.raw<{ kind: string }>('SELECT DISTINCT kind FROM deeds WHERE kennelId = :kennelId ORDER BY kind'),
  ]);
  const named = (all: readonly { id: string; name: string }[]) => all.map(({ id, name }) => ({ id, name }));
  const nameOf = (all: readonly { id: string; name: string }[]) => {
    const names = new Map(all.map(({ id, name }) => [id, name]));
    return (id: string | null) => (id === null ? '' : (names.get(id) ?? ''));
  };
  const [personName, dogName] = [nameOf(people), nameOf(dogs)];
  return {
    deeds: rows.slice(0, PAGE).map(({ kennelId: _kennel, at, ...row }) => ({
      ...row,
      at: at.toISOString(),
      personName: personName(row.personId),
      dogName: dogName(row.dogId),
    })),
    more: rows.length > PAGE,
    people: named(people),
    dogs: named(dogs),
    kinds: kinds.map(({ kind }) => kind),
  };
}
