import { createHash } from 'node:crypto';
import type { Role } from '@banter/contract';
import session, { type SessionData } from 'express-session';
import { In, LessThan, MoreThan, type DataSource } from 'typeorm';
import { doneAgain } from './done-again.ts';
import { readRows } from './read-rows.ts';
import { SessionEntity, type SessionRow } from './entities/session.ts';
import { DAY_MS } from '@banter/core';

/** A sign-in lasts this long after its last use. */
export const SESSION_MS = 30 * DAY_MS;
/** And never longer than this after its beginning, however much it is used. */
export const LONGEST_SESSION_MS = 180 * DAY_MS;

/** Whether a sign-in is over, however lately it was used. */
const isOver = ({ enteredAt }: { enteredAt?: string }): boolean => enteredAt !== undefined && Date.now() - Date.parse(enteredAt) >= LONGEST_SESSION_MS;

/** By which a session is known in the table. */
export const hashOf = (id: string) => createHash('sha256').update(id).digest('hex');

/** A person of a kennel: an id alone names nobody, as kennels may have the same. */
export type Somebody = { kennelId: string; personId: string };

/** Sessions kept in the database, so that they survive a restart and can be taken away. */
export class SessionStore extends session.Store {
  private readonly rows;

  constructor(dataSource: DataSource) {
    super();
    this.rows = dataSource.getRepository(SessionEntity);
  }

  override get(id: string, done: (error: unknown, data?: SessionData | null) => void): void {
    doneAgain(() => readRows(this.rows.manager, SessionEntity, { idHash: hashOf(id) })).then(([row]) => {
      if (!row || row.expiresAt.getTime() <= Date.now() || isOver(row.data)) return done(null, null);
      done(null, { ...(row.data as unknown as SessionData), keptUntil: row.expiresAt.getTime() });
    }, done);
  }

  override set(id: string, data: SessionData, done: (error?: unknown) => void = () => {}): void {
    const expiresAt = new Date(Date.now() + SESSION_MS);
    const row = { idHash: hashOf(id), kennelId: data.kennelId ?? null, personId: data.personId ?? null, data: { ...data, keptUntil: undefined }, expiresAt };
    doneAgain(() => this.rows.upsert(row, ['idHash'])).then(() => done(), done);
  }

  override touch(id: string, { keptUntil = 0 }: SessionData, done: (error?: unknown) => void = () => {}): void {
    // Once a day is enough to keep a used session alive; a write per request is not needed for that.
    const expiresAt = new Date(Date.now() + SESSION_MS);
    const renewBefore = new Date(expiresAt.getTime() - DAY_MS);
    if (keptUntil >= renewBefore.getTime()) return done();
    // One that could not be kept alive now is by its next use.
    doneAgain(() => this.rows.update({ idHash: hashOf(id), expiresAt: LessThan(renewBefore) }, { expiresAt })).then(
      () => done(),
      () => done(),
    );
  }

  override destroy(id: string, done: (error?: unknown) => void = () => {}): void {
    doneAgain(() => this.rows.delete({ idHash: hashOf(id) })).then(() => done(), done);
  }

  /** The sign-ins of a person, the latest used first. `idHash` names a row and signs nobody in. */
  async ofPerson({ kennelId, personId }: Somebody): Promise<SessionRow[]> {
    return await this.rows.find({ where: { kennelId, personId, expiresAt: MoreThan(new Date()) }, order: { expiresAt: 'DESC', idHash: 'ASC' } });
  }

  /** Ends sign-ins of a person by their hashes. */
  async end({ kennelId, personId }: Somebody, idHashes: readonly string[]): Promise<void> {
    if (idHashes.length > 0) await this.rows.delete({ kennelId, personId, idHash: In([...idHashes]) });
  }

  /** Removes sessions that have run out. */
  async sweep(): Promise<void> {
    await this.rows.delete({ expiresAt: LessThan(new Date()) });
  }
}

declare module 'express-session' {
  interface SessionData {
    personId: string;
    kennelId: string;
    /** What they might do when they signed in. */
    role: Role;
    /** When and from what kind of device somebody signed in. */
    enteredAt: string;
    device: string;
    /** Until when it stays in the table as it was read, ms since 1970. */
    keptUntil?: number;
  }
}
