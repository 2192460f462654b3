/** Puts the demo kennel back as it was made: `put-demo-back.ts [SECONDS]`, only if nobody used it for so long; without, at once. */
import { makeDataSource } from '../data/data-source.ts';
import { isDemoLeft } from './demo-keeper.ts';
import { resetDemo } from './seed-demo.ts';

const idleSeconds = process.argv[2] === undefined ? null : Number(process.argv[2]);
const dataSource = makeDataSource(process.env.DATABASE_URL!);
await dataSource.initialize();
try {
  if (idleSeconds === null || (await isDemoLeft(dataSource, idleSeconds))) {
    const done = await resetDemo(dataSource, new Date());
    process.stdout.write(done ? 'The demo kennel is as it was made.\n' : 'There is no demo kennel, or another Banter puts it back just now.\n');
  }
} finally {
  await dataSource.destroy();
}
