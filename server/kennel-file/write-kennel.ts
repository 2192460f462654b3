import { broughtUp, KENNEL_FILE_FORMAT, KENNEL_FILE_VERSION, KENNEL_PART_NAMES } from '@banter/contract';
import type { DataSource } from 'typeorm';
import { kennelAnswer, kennelOf } from '../services/kennels.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { PART_TABLES, toFile } from './part-tables.ts';

/** Records that are held at a time. */
const AT_ONCE = 500;

/**
 * A whole kennel as JSON, piece by piece: one record a line, all of one instant. Never more than a page of records is held, however
 * many there are.
 */
export async function* kennelFilePieces(dataSource: DataSource, who: { kennelId: string; personId: string }, now: Date): AsyncGenerator<string> {
  const runner = dataSource.createQueryRunner();
  await runner.connect();
  try {
    // What is read first fixes what is seen from then on.
    await runner.startTransaction('REPEATABLE READ');
    const scope = new KennelScope(runner.manager, { ...who, role: 'reader' });
    const { demo: _demo, version: _version, ...kennel } = kennelAnswer(await kennelOf(scope));
    yield `{"format":${JSON.stringify(KENNEL_FILE_FORMAT)},"version":${KENNEL_FILE_VERSION},"exportedAt":${JSON.stringify(now.toISOString())},\n"kennel":${JSON.stringify(kennel)}`;
    for (const name of KENNEL_PART_NAMES) {
      yield `,\n${JSON.stringify(name)}:[`;
      let last: string | null = null;
      for (;;) {
        const query = scope.query(PART_TABLES[name]);
        if (last !== null) query.andWhere('record.id > :last', { last });
        const rows = await query
          .orderBy('record.id', 'ASC')
          .take(name === 'photos' ? 4 : AT_ONCE)
          .getMany();
        if (rows.length === 0) break;
        yield rows
          .map((row, index) => `${last === null && index === 0 ? '\n' : ',\n'}${JSON.stringify(broughtUp(name, toFile(PART_TABLES[name], row)))}`)
          .join('');
        last = rows.at(-1)!.id;
      }
      yield ']';
    }
    yield '}\n';
  } finally {
    if (runner.isTransactionActive) await runner.rollbackTransaction();
    await runner.release();
  }
}
