import type { PeoplePage, PersonStanding } from '@banter/contract';
import { technicalError, type Finger } from '@banter/core';
import { In, IsNull } from 'typeorm';
import { CalendarFeedEntity } from '../data/entities/calendar-feed.ts';
import { DeedEntity } from '../data/entities/deed.ts';
import { InviteEntity } from '../data/entities/invite.ts';
import { PersonEntity, type PersonRow } from '../data/entities/person.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { changesOf, note } from './deeds.ts';
import { Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';

/** Somebody's own finger, or null until they have measured it. */
export function fingerOf({ fingerThicknessMm, fingerWidthMm }: Pick<PersonRow, 'fingerThicknessMm' | 'fingerWidthMm'>): Finger | null {
  return fingerThicknessMm === null || fingerWidthMm === null ? null : { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm };
}

/** The people of a kennel with their fingers, and for each month how well their readings of girths agree. */
export async function peoplePage(scope: KennelScope): Promise<PeoplePage> {
  const people = await scope.all(PersonEntity, {}, { createdAt: 'ASC', id: 'ASC' });
  const tapings = await scope.all(TapingEntity, {}, { at: 'ASC', id: 'ASC' });
  return {
    people: people.map((person) => {
      const byMonth = new Map<string, number[][]>();
      for (const { personId, basis, at, readingsMm } of tapings) {
        if (personId !== person.id || basis === 'length') continue;
        const month = at.toISOString().slice(0, 7);
        byMonth.set(month, [...(byMonth.get(month) ?? []), readingsMm]);
      }
      return {
        id: person.id,
        name: person.name,
        role: person.role,
        leftAt: person.leftAt && person.leftAt.toISOString(),
        signsIn: person.passwordHash !== null,
        finger: fingerOf(person),
        tape: [...byMonth].map(([month, sets]) => {
          const { tem, percent } = technicalError(sets);
          return { month, sets: sets.length, temMm: tem, temPercent: percent };
        }),
      };
    }),
  };
}

/**
 * Gives somebody a role, or ends their access. Whoever has left stands in the records and signs in no more; the private addresses of
 * the calendar that they made, or that tell of them, and their unused invitations are taken back. The last lead stays one. Their sign-ins are the caller's to end.
 */
export async function setStanding(scope: KennelScope, personId: string, { role, left }: PersonStanding): Promise<void> {
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
    if (leaves) await takeAddressesBack(within, personId);
    await note(within, { act: leaves ? 'left' : 'changed', kind: 'person', recordId: personId, label: person.name, about: leaves ? {} : { changed: changesOf({ role: person.role }, { role }) } }); // prettier-ignore
  });
}

/** What somebody made that would let them back in: addresses of the calendar, those that tell of them, and invitations nobody has used. */
async function takeAddressesBack(scope: KennelScope, personId: string): Promise<void> {
  const made = await scope.all(DeedEntity, { personId, kind: In(['calendarFeed', 'invite']), act: 'made' }, {});
  const theirs = new Set(made.map(({ recordId }) => recordId));
  const revokedAt = new Date();
  const feeds = await scope.all(CalendarFeedEntity, { revokedAt: IsNull() }, {});
  for (const feed of feeds.filter((one) => one.personId === personId || theirs.has(one.id)))
    await scope.updateAt(CalendarFeedEntity, feed.id, feed.version, { revokedAt });
  const invites = await scope.all(InviteEntity, { revokedAt: IsNull(), usedAt: IsNull() }, {});
  for (const invite of invites.filter((one) => one.personId === personId || theirs.has(one.id)))
    await scope.updateAt(InviteEntity, invite.id, invite.version, { revokedAt });
}
