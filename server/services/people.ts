import type { PeoplePage, PersonStanding } from '@banter/contract';
import { technicalError, type Finger } from '@banter/core';
import { group } from 'd3-array';
import { IsNull } from 'typeorm';
import { PersonEntity, type PersonRow } from '../data/entities/person.ts';
import { asData } from '../data/json-column.ts';
import { changesOf, writeDeed } from '../records/deeds.ts';
import { Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { openKeys, settleKeys } from './keys-of-people.ts';

/** Somebody's own finger, or null until they have measured it. */
export function fingerOf({ fingerThicknessMm, fingerWidthMm }: Pick<PersonRow, 'fingerThicknessMm' | 'fingerWidthMm'>): Finger | null {
  return fingerThicknessMm === null || fingerWidthMm === null ? null : { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm };
}

/** The people of a kennel with their fingers, and for each month how well their readings of girths agree. */
export async function peoplePage(scope: KennelScope): Promise<PeoplePage> {
  // Who can get in by what is a lead's to know.
  const keys = scope.role === 'lead' ? await openKeys(scope) : [];
  const people = await scope.all(PersonEntity, {}, { createdAt: 'ASC', id: 'ASC' });
  // Of all tapings of the kennel no more than this asks for.
  const girths = await scope.raw<{ personId: string; month: string; readingsMm: unknown }>(
    `SELECT personId, DATE_FORMAT(at, '%Y-%m') AS month, readingsMm FROM tapings WHERE kennelId = :kennelId AND basis <> 'length' ORDER BY at, id`,
  );
  const readOf = group(
    girths.map((girth) => ({ ...girth, readingsMm: asData(girth.readingsMm) as number[] })).filter(({ readingsMm }) => readingsMm.length > 1),
    ({ personId }) => personId,
  );
  return {
    people: people.map((person) => {
      return {
        id: person.id,
        name: person.name,
        role: person.role,
        leftAt: person.leftAt && person.leftAt.toISOString(),
        signsIn: person.passwordHash !== null,
        finger: fingerOf(person),
        keys: keys.filter(({ keeperId }) => keeperId === person.id).map(({ kind, id, name }) => ({ kind, id, name })),
        tape: [...group(readOf.get(person.id) ?? [], ({ month }) => month)].map(([month, sets]) => {
          const { tem, percent } = technicalError(sets.map(({ readingsMm }) => readingsMm));
          return { month, sets: sets.length, temMm: tem, temPercent: percent };
        }),
      };
    }),
  };
}

/**
 * Gives somebody a role, or ends their access. Whoever has left stands in the records and signs in no more; the keys that they made are
 * taken back, or handed to another lead (`settleKeys`). The last lead stays one. Their sign-ins are the caller's to end.
 */
export async function setStanding(scope: KennelScope, personId: string, { role, left, keysTo = null }: PersonStanding): Promise<void> {
  await scope.inOneAsItStands(async (within) => {
    await within.holdKennel();
    const person = await within.get(PersonEntity, personId);
    // Somebody who only stands in the records can lead nobody.
    const leads = (await within.all(PersonEntity, { role: 'lead', leftAt: IsNull() }, {})).filter(
      ({ id, passwordHash }) => id === personId || passwordHash !== null,
    );
    const wasLead = person.role === 'lead' && person.leftAt === null;
    if (wasLead && (left || role !== 'lead') && leads.length === 1) throw new Failure('last-lead');
    if (person.leftAt !== null && !left) throw new Failure('bad-input', { errors: [{ path: 'left', message: 'They come back by an invitation.' }] });
    const leaves = left && person.leftAt === null;
    if (!leaves && role === person.role) return;
    await within.change(PersonEntity, personId, leaves ? { role, leftAt: new Date(), email: null, passwordHash: null } : { role });
    if (leaves) await settleKeys(within, personId, keysTo);
    await writeDeed(within, {
      act: leaves ? 'left' : 'changed',
      kind: 'person',
      recordId: personId,
      label: person.name,
      about: leaves ? {} : { changed: changesOf({ role: person.role }, { role }) },
    });
  });
}
