import { wearingAt, type WearingNow, type WearingPage } from '@banter/contract';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { WEAR_STANDING, type DogWear } from '../standings/wear-standing.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';

/** What is on which dog at an instant, of standings that are up to date; the longest on first. */
export async function wearingNow(scope: KennelScope, now: Date): Promise<WearingNow[]> {
  const rows = await scope.raw<{ subjectId: string; data: string }>(
    "SELECT subjectId, data FROM standings WHERE kennelId = :kennelId AND kind = 'wear' AND `rank` = 0 ORDER BY sortAt, subjectId",
  );
  return rows
    .flatMap(({ subjectId, data }) => {
      const { dogName, worn } = JSON.parse(data) as DogWear;
      return wearingAt({ dogId: subjectId, dogName }, worn, now.getTime());
    })
    .sort((a, b) => (a.from < b.from ? -1 : 1));
}

/** What is on which dog of the kennel at an instant, and which rules that breaks; the longest on first. */
export async function wearingPage(scope: KennelScope, now: Date): Promise<WearingPage> {
  await bringUpToDate(scope, [WEAR_STANDING], kennelAnswer(await kennelOf(scope)), now);
  return { wearing: await wearingNow(scope, now) };
}
