import { atLeast, INVITE_DAYS, type Invitation, type Invite, type InviteFacts, type Join, type Me } from '@banter/contract';
import { IsNull, type DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { InviteEntity, type InviteRow } from '../data/entities/invite.ts';
import { KennelEntity } from '../data/entities/kennel.ts';
import { PersonEntity, type PersonRow } from '../data/entities/person.ts';
import { hashOfPassword, meAnswer, passwordOfItsOwn, roomForEmail } from './accounts.ts';
import { writeDeed } from '../records/deeds.ts';
import { badField, Failure } from './failure.ts';
import { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { hashOfKey, keyedAnswer, keyedRow } from './private-keys.ts';
import type { VersionedKind } from '../records/record-base.ts';
import { DAY_MS, HOUR_MS } from '@banter/core';

/** A clock at the desk may be off by this much. */
const PATIENCE_MS = HOUR_MS;

/** Who joins is nobody yet. */
const NOBODY = '00000000-0000-7000-8000-000000000000';

/** Whether somebody can sign in: they have a password, and are still of the kennel. */
const signsIn = ({ passwordHash, leftAt }: PersonRow): boolean => passwordHash !== null && leftAt === null;

export const inviteKind: VersionedKind<InviteRow, InviteFacts, Invite> = {
  entity: InviteEntity,
  toColumns: ({ expiresAt, revokedAt, ...facts }) => ({ ...facts, expiresAt: new Date(expiresAt), revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: keyedAnswer,
  admit: async ({ personId, expiresAt, keyHash, revokedAt }, scope, _id, before) => {
    if (before && before.keyHash !== keyHash) throw badField('keyHash', 'An invitation keeps its key; make another one.');
    if (!before && Date.parse(expiresAt) > Date.now() + INVITE_DAYS * DAY_MS + PATIENCE_MS)
      throw badField('expiresAt', `An invitation holds ${INVITE_DAYS} days at most.`);
    if (before && Date.parse(expiresAt) > before.expiresAt.getTime()) throw badField('expiresAt', 'An invitation is not made longer; make another one.');
    if (personId === null) return;
    const person = await scope.find(PersonEntity, personId);
    if (!person) throw badField('personId', 'There is nobody of this id in this kennel.');
    // One that is taken back may name anybody; one that lets in, nobody who can already.
    if (revokedAt === null && signsIn(person)) throw badField('personId', `${person.name} signs in already.`);
  },
  after: async ({ id, personId, revokedAt }, scope) => {
    if (personId === null || revokedAt !== null) return;
    // There is one open invitation for somebody: a new one takes the earlier back.
    for (const earlier of await scope.all(InviteEntity, { personId, revokedAt: IsNull(), usedAt: IsNull() }, { id: 'ASC' }))
      if (earlier.id !== id) await scope.updateAt(InviteEntity, earlier.id, earlier.version, { revokedAt: new Date() });
  },
};

/** An invitation that still holds, by its key. */
async function open(dataSource: DataSource, key: string): Promise<InviteRow> {
  const invite = await keyedRow(dataSource, InviteEntity, key);
  if (!invite || invite.usedAt) throw new Failure('no-invitation');
  return invite;
}

/** What an invitation's link leads to. */
export async function invitationOf(dataSource: DataSource, key: string): Promise<Invitation> {
  const { kennelId, name, role, expiresAt } = await open(dataSource, key);
  const kennel = await dataSource.getRepository(KennelEntity).findOneByOrFail({ id: kennelId });
  return { kennelName: kennel.name, name, role, expiresAt: expiresAt.toISOString() };
}

/** Joins by an invitation: it holds once, however many try at the same moment, and never changes an account that is in use. */
export async function joinBy(dataSource: DataSource, { key, name, email, password }: Join): Promise<Me> {
  const { kennelId } = await open(dataSource, key);
  await roomForEmail(dataSource, email);
  await passwordOfItsOwn(dataSource, email, password);
  const passwordHash = await hashOfPassword(password);
  const joining = new KennelScope(dataSource, { kennelId, personId: NOBODY, role: 'reader' });
  // One made in the demo before that was refused lets nobody in, either.
  if ((await kennelOf(joining)).demo) throw new Failure('no-invitation');
  const personId = await joining.inOneAsItStands(async (scope) => {
    // One at a time: of two invitations for one person the second finds them in.
    await scope.holdKennel();
    const [invite] = await scope.all(InviteEntity, { keyHash: hashOfKey(key), usedAt: IsNull(), revokedAt: IsNull() }, {});
    if (!invite) throw new Failure('no-invitation');
    const { role } = invite;
    const id = invite.personId ?? uuidv7();
    const now = new Date();
    await scope.change(InviteEntity, invite.id, { usedAt: now });
    const entry = { name: name.trim(), email, passwordHash, role, leftAt: null };
    if (invite.personId === null) await scope.insert(PersonEntity, { ...entry, id, fingerThicknessMm: null, fingerWidthMm: null, createdAt: now });
    else {
      const person = await scope.hold(PersonEntity, id);
      if (signsIn(person)) throw new Failure('no-invitation');
      await scope.change(PersonEntity, id, entry);
    }
    await writeDeed(scope.as(id), {
      act: 'made',
      kind: 'person',
      recordId: id,
      label: atLeast(role, 'lead') ? 'as a lead' : `as ${role === 'assistant' ? 'an assistant' : 'a reader'}`,
    });
    return id;
  });
  const scope = joining.as(personId);
  return meAnswer(await scope.get(PersonEntity, personId), await kennelOf(scope));
}
