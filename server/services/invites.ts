import { atLeast, INVITE_DAYS, type Invitation, type Invite, type InviteFacts, type Join, type Me } from '@banter/contract';
import { IsNull, type DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { InviteEntity, type InviteRow } from '../data/entities/invite.ts';
import { KennelEntity } from '../data/entities/kennel.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { emailTaken, hashOfPassword, meAnswer } from './accounts.ts';
import { note } from './deeds.ts';
import { badField, Failure } from './failure.ts';
import { KennelScope } from './kennel-scope.ts';
import { hashOfKey, keyedAnswer, keyedRow } from './private-keys.ts';
import type { VersionedKind } from './record-base.ts';

const DAY_MS = 86_400_000;
/** A clock at the desk may be off by this much. */
const PATIENCE_MS = 3_600_000;

export const inviteKind: VersionedKind<InviteRow, InviteFacts, Invite> = {
  entity: InviteEntity,
  toColumns: ({ expiresAt, revokedAt, ...facts }) => ({ ...facts, expiresAt: new Date(expiresAt), revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: keyedAnswer,
  admit: async ({ personId, expiresAt, keyHash }, scope, _id, before) => {
    if (before && before.keyHash !== keyHash) throw badField('keyHash', 'An invitation keeps its key; make another one.');
    if (!before && Date.parse(expiresAt) > Date.now() + INVITE_DAYS * DAY_MS + PATIENCE_MS)
      throw badField('expiresAt', `An invitation holds ${INVITE_DAYS} days at most.`);
    if (before && Date.parse(expiresAt) > before.expiresAt.getTime()) throw badField('expiresAt', 'An invitation is not made longer; make another one.');
    if (personId === null) return;
    const person = await scope.find(PersonEntity, personId);
    if (!person) throw badField('personId', 'There is nobody of this id in this kennel.');
    if (person.passwordHash !== null) throw badField('personId', `${person.name} signs in already.`);
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

/** Joins by an invitation: it holds once, however many try at the same moment. */
export async function joinBy(dataSource: DataSource, { key, name, email, password }: Join): Promise<Me> {
  await open(dataSource, key);
  const passwordHash = await hashOfPassword(password);
  const now = new Date();
  try {
    return await dataSource.transaction(async (manager) => {
      const taken = await manager.update(InviteEntity, { keyHash: hashOfKey(key), usedAt: IsNull(), revokedAt: IsNull() }, { usedAt: now });
      if (taken.affected !== 1) throw new Failure('no-invitation');
      const { kennelId, personId, role } = await manager.findOneByOrFail(InviteEntity, { keyHash: hashOfKey(key) });
      const id = personId ?? uuidv7();
      const entry = { name: name.trim(), email, passwordHash, role, leftAt: null };
      if (personId === null) await manager.insert(PersonEntity, { ...entry, id, kennelId, fingerThicknessMm: null, fingerWidthMm: null, createdAt: now });
      else await manager.update(PersonEntity, { id, kennelId }, entry);
      await note(new KennelScope(manager, { kennelId, personId: id }), { act: 'made', kind: 'person', recordId: id, label: atLeast(role, 'lead') ? 'as a lead' : `as ${role === 'assistant' ? 'an assistant' : 'a reader'}` }); // prettier-ignore
      const [person, kennel] = [await manager.findOneByOrFail(PersonEntity, { id, kennelId }), await manager.findOneByOrFail(KennelEntity, { id: kennelId })];
      return meAnswer(person, kennel);
    });
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') throw emailTaken();
    throw error;
  }
}
