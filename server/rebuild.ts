/**
 * Works out anew what stands of every dog of every kennel and how many links are where, and says what differed from what was kept; `npm run rebuild` starts it on
 * the database of DATABASE_URL. Ends with 1 where something differed: a record was then written without what follows from it.
 */
import { makeDataSource } from './data/data-source.ts';
import { KennelEntity } from './data/entities/kennel.ts';
import { KennelScope } from './services/kennel-scope.ts';
import { kennelAnswer } from './services/kennels.ts';
import { rebuildStandings } from './standings/kept-standings.ts';
import { rebuildBalances } from './standings/link-balances.ts';
import { STANDING_KINDS } from './standings/standing-kinds.ts';

const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL is not set; «npm run rebuild» sets it.');
const dataSource = makeDataSource(url);
await dataSource.initialize();
try {
  const kennels = await dataSource.getRepository(KennelEntity).find({ order: { id: 'ASC' } });
  const now = new Date();
  const [totals, differ] = [{ looked: 0, kennels: kennels.length }, [] as string[]];
  for (const kennel of kennels) {
    const scope = new KennelScope(dataSource, { kennelId: kennel.id, personId: kennel.id, role: 'reader' });
    const rebuilt = await rebuildStandings(scope, STANDING_KINDS, kennelAnswer(kennel), now);
    totals.looked += rebuilt.looked;
    for (const { kind, subjectId } of rebuilt.differ) differ.push(`${kennel.name}, ${kind} of ${subjectId}`);
    const summed = await rebuildBalances(scope);
    totals.looked += summed.looked;
    for (const account of summed.differ) differ.push(`${kennel.name}, links of ${account}`);
  }
  console.log(
    `${totals.looked} kept standings and counts of links of ${totals.kennels} kennels were worked out again: ${differ.length === 0 ? 'none differed' : `${differ.length} differed`}.`,
  );
  for (const one of differ) console.log(`  ${one}`);
  if (differ.length > 0) process.exitCode = 1;
} finally {
  await dataSource.destroy();
}
