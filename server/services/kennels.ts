import type { Kennel, KennelSettings } from '@banter/contract';
import { houseRules, type HouseRules } from '@banter/core';
import type { KennelRow } from '../data/entities/kennel.ts';
import { changesOf, writeDeed } from '../records/deeds.ts';
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
export async function changeKennel(scope: KennelScope, settings: KennelSettings, version: number | null): Promise<Kennel> {
  return await scope.inOne(async (within) => {
    await within.holdKennel();
    const current = kennelAnswer(await kennelOf(within));
    const { id: _id, version: _version, demo: _demo, ...now } = current;
    if (JSON.stringify(Object.entries(now).sort()) === JSON.stringify(Object.entries(settings).sort())) return current;
    if (version !== current.version) throw new Failure('newer-version', { current });
    await within.changeKennel({ ...settings, version: version + 1 });
    await writeDeed(within, { act: 'changed', kind: 'kennel', about: { changed: changesOf(now, settings) } });
    return kennelAnswer(await kennelOf(within));
  });
}
