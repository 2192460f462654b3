import { EntitySchema } from 'typeorm';

/** A sign-in. The cookie holds the session's id; the table only its SHA-256, so that a copy of the table signs nobody in. */
export type SessionRow = { idHash: string; kennelId: string | null; personId: string | null; data: object; expiresAt: Date };

export const SessionEntity = new EntitySchema<SessionRow>({
  name: 'session',
  tableName: 'sessions',
  columns: {
    idHash: { type: 'char', length: 64, primary: true },
    kennelId: { type: 'uuid', nullable: true },
    personId: { type: 'uuid', nullable: true },
    data: { type: 'json' },
    expiresAt: { type: 'datetime', precision: 3 },
  },
});
