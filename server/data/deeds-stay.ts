import type { DataSource } from 'typeorm';

/** By which the database itself refuses to change the log or take out of it; the demo's goes when the demo is put back. By their names. */
export const DEEDS_STAY = {
  deeds_no_update: `CREATE OR REPLACE TRIGGER deeds_no_update BEFORE UPDATE ON deeds FOR EACH ROW
  SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.'`,
  deeds_no_delete: `CREATE OR REPLACE TRIGGER deeds_no_delete BEFORE DELETE ON deeds FOR EACH ROW
  IF NOT EXISTS (SELECT 1 FROM kennels WHERE kennels.id = OLD.kennelId AND kennels.demo) THEN
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.';
  END IF`,
} as const;

/** Where several servers copy what is written, an account without SUPER makes no trigger. Source: MariaDB error codes, 1419. */
const NOT_ALLOWED = 1419;

/** Makes a trigger where this account may; where it may not, an administrator does (docs/cluster.md). False then. */
export async function whereAllowed(make: () => Promise<unknown>): Promise<boolean> {
  try {
    await make();
    return true;
  } catch (error) {
    if ((error as { errno?: number }).errno !== NOT_ALLOWED) throw error;
    return false;
  }
}

/** Whether the database keeps the log: what lacks is made, where this account may. */
export async function deedsStay(dataSource: DataSource): Promise<boolean> {
  const there = await dataSource.query<{ name: string }[]>(
    "SELECT TRIGGER_NAME AS name FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = DATABASE() AND EVENT_OBJECT_TABLE = 'deeds'",
  );
  const names = new Set(there.map(({ name }) => name));
  const lacking = Object.entries(DEEDS_STAY).filter(([name]) => !names.has(name));
  const made: boolean[] = [];
  for (const [, sql] of lacking) made.push(await whereAllowed(() => dataSource.query(sql)));
  return made.every(Boolean);
}
