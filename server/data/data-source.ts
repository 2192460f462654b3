import { readFileSync } from 'node:fs';
import { DataSource } from 'typeorm';
import { DeedEntity } from './entities/deed.ts';
import { FieldSessionEntity, PressEntity } from './entities/field-log.ts';
import { KennelEntity } from './entities/kennel.ts';
import { SessionEntity } from './entities/session.ts';
import { KEPT_TABLES } from '../records/kept-kinds.ts';
import { LEASES_TABLE, whileAlone } from './lease.ts';
import { migrations } from './migrations/index.ts';
import { patientDriver, type Patience } from './patient-pool.ts';
import { ScopedWrites } from './scoped-writes.ts';

/**
 * An address without what stands behind its question mark, and the line that this asks for: with `?ssl-ca=FILE` it is sealed, and held with nobody whom
 * the authority in that file has not signed.
 */
export function lineOf(address: string): { url: string; ssl?: { ca: string } } {
  const [url, asked] = address.split('?', 2) as [string, string | undefined];
  const authority = new URLSearchParams(asked).get('ssl-ca');
  return authority === null ? { url } : { url, ssl: { ca: readFileSync(authority, 'utf8') } };
}

/**
 * The connection to MariaDB at a `mysql://` address; times are UTC. Not yet opened. Whoever serves has no more than its patience;
 * without one it waits as long as it takes, as the steps of the database do.
 */
export function makeDataSource(url: string, patience: Patience | null = null): DataSource {
  return new DataSource({
    type: 'mariadb',
    ...(patience ? { driver: patientDriver(patience), subscribers: [ScopedWrites] } : {}),
    ...lineOf(url),
    timezone: 'Z',
    dateStrings: ['DATE'],
    charset: 'utf8mb4_unicode_ci',
    connectTimeout: 5000,
    poolSize: 10,
    // Where a statement was asked for is in what TypeORM throws: the driver need not note it for each.
    extra: { trace: false },
    synchronize: false,
    entities: [KennelEntity, SessionEntity, DeedEntity, FieldSessionEntity, PressEntity, ...KEPT_TABLES],
    migrations,
    migrationsTransactionMode: 'none',
  });
}

/** Brings a database up to date, with all the time that takes, by a connection of its own; `waiting` is told where another server is at it. */
export async function migrate(url: string, waiting: () => void = () => {}): Promise<void> {
  const dataSource = makeDataSource(url);
  await dataSource.initialize();
  try {
    await dataSource.query(LEASES_TABLE);
    await whileAlone(dataSource, 'schema', () => dataSource.runMigrations(), waiting);
  } finally {
    await dataSource.destroy();
  }
}
