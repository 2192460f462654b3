/**
 * What holds together in the database itself: every record belongs to a kennel, and what it refers to must belong to the
 * same one, by foreign keys over (kennelId, id).
 */
export const kept = `
  personId uuid NOT NULL,
  at datetime(3) NOT NULL,
  recordedAt datetime(3) NOT NULL,
  coreVersion varchar(20) NOT NULL,
  rules json NOT NULL`;

export const happened = `
  personId uuid NOT NULL,
  at datetime(3) NOT NULL,
  recordedAt datetime(3) NOT NULL`;

/** As tables were made at first; all of them became as `record` says later. */
export const recordAtFirst = `
  id uuid NOT NULL PRIMARY KEY,
  kennelId uuid NOT NULL,
  UNIQUE KEY ofKennel (kennelId, id),
  FOREIGN KEY (kennelId) REFERENCES kennels (id)`;

/** What a record's own table begins with. */
export const record = `
  id uuid NOT NULL,
  kennelId uuid NOT NULL,
  PRIMARY KEY (kennelId, id),
  FOREIGN KEY (kennelId) REFERENCES kennels (id)`;

export const refers = (column: string, table: string) => `FOREIGN KEY (kennelId, ${column}) REFERENCES ${table} (kennelId, id)`;
