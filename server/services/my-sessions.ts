import type { MySessionsPage } from '@banter/contract';
import type { DataSource } from 'typeorm';
import { PersonEntity } from '../data/entities/person.ts';
import { hashOf, SESSION_MS, type SessionStore, type Somebody } from '../data/session-store.ts';

/** So much of a row's hash names it on the screen. */
const SHOWN = 16;

/** What kind of device a browser says it runs on, in a word or two: never more of it is kept. */
export function deviceOf(userAgent: string | undefined): string {
  const said = userAgent ?? '';
  const on = /iPhone|Android.*Mobile/.test(said)
    ? 'a phone'
    : /iPad|Android/.test(said)
      ? 'a tablet'
      : /Windows/.test(said)
        ? 'a desk (Windows)'
        : /Mac OS X/.test(said)
          ? 'a desk (macOS)'
          : /Linux|X11/.test(said)
            ? 'a desk (Linux)'
            : 'a program';
  return on;
}

/** Where somebody is signed in; `sessionId` is the sign-in that asks. */
export async function mySessionsPage(dataSource: DataSource, store: SessionStore, who: Somebody, sessionId: string): Promise<MySessionsPage> {
  const [rows, person] = await Promise.all([
    store.ofPerson(who),
    dataSource.getRepository(PersonEntity).findOneByOrFail({ id: who.personId, kennelId: who.kennelId }),
  ]);
  const own = hashOf(sessionId);
  // In the demo everybody is one person: nobody sees, or ends, another visitor’s sign-in.
  const shown = person.passwordHash === null ? rows.filter(({ idHash }) => idHash === own) : rows;
  return {
    email: person.email ?? '',
    hasPassword: person.passwordHash !== null,
    sessions: shown.map(({ idHash, data, expiresAt }) => {
      const { enteredAt = null, device = '' } = data as { enteredAt?: string; device?: string };
      return { id: idHash.slice(0, SHOWN), enteredAt, usedAt: new Date(expiresAt.getTime() - SESSION_MS).toISOString(), device, here: idHash === own };
    }),
  };
}

/** Ends one sign-in of somebody's own by its name on the screen, or all but the one that asks. */
export async function endSessions(dataSource: DataSource, store: SessionStore, who: Somebody, sessionId: string, id: string | null): Promise<void> {
  const person = await dataSource.getRepository(PersonEntity).findOneByOrFail({ id: who.personId, kennelId: who.kennelId });
  if (person.passwordHash === null) return;
  const own = hashOf(sessionId);
  const rows = (await store.ofPerson(who)).filter(({ idHash }) => (id === null ? idHash !== own : idHash.slice(0, SHOWN) === id));
  await store.end(
    who,
    rows.map(({ idHash }) => idHash),
  );
}
