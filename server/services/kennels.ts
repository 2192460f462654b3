import type { Kennel, KennelSettings } from '@banter/contract';
import { houseRules, type HouseRules } from '@banter/core';
import type { DataSource } from 'typeorm';
import { KennelEntity, type KennelRow } from '../data/entities/kennel.ts';
import { Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';

export function kennelAnswer({ createdAt: _createdAt, ...row }: KennelRow): Kennel {
  return row;
}

/** The kennel of a scope, with the rules and schools that hold in it. */
export async function kennelOf(scope: KennelScope): Promise<KennelRow> {
  const row = await scope.kennel();
  if (!row) throw new Failure('not-found');
  return row;
}

/** The house rules in force in a kennel: the defaults with its own laid over them. */
export function rulesOf(kennel: Pick<KennelRow, 'rules'>): HouseRules {
  return houseRules(kennel.rules);
}

/** Changes a kennel's settings at a version; an older version answers `newer-version` with the kennel as it is. */
export async function changeKennel(dataSource: DataSource, id: string, settings: KennelSettings, version: number | null): Promise<Kennel> {
  const kennels = dataSource.getRepository(KennelEntity);
  if (version !== null) {
    const done = await kennels.update({ id, version }, { ...settings, version: version + 1 });
    if (done.affected === 1) return kennelAnswer(await kennels.findOneByOrFail({ id }));
  }
  const current = kennelAnswer(await kennels.findOneByOrFail({ id }));
  const { id: _id, version: _version, demo: _demo, ...now } = current;
  if (JSON.stringify(Object.entries(now).sort()) === JSON.stringify(Object.entries(settings).sort())) return current;
  throw new Failure('newer-version', { current });
}
