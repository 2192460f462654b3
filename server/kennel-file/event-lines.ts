import type { DataSource } from 'typeorm';
import { HappeningEntity } from '../data/entities/happening.ts';
import { happeningAsTold } from '../services/happenings/kept-happenings.ts';
import { KennelScope } from '../services/kennel-scope.ts';

const AT_ONCE = 1000;

/** Everything that happened, one JSON object a line, as docs/device-events.md takes it: in the order of its ids. */
export async function* eventLines(dataSource: DataSource, who: { kennelId: string; personId: string }): AsyncGenerator<string> {
  const scope = new KennelScope(dataSource, { ...who, role: 'reader' });
  let last: string | null = null;
  for (;;) {
    const query = scope.query(HappeningEntity);
    if (last !== null) query.andWhere('record.id > :last', { last });
    const rows = await query.orderBy('record.id', 'ASC').take(AT_ONCE).getMany();
    if (rows.length === 0) return;
    yield rows.map((row) => `${JSON.stringify(happeningAsTold(row))}\n`).join('');
    last = rows.at(-1)!.id;
  }
}
