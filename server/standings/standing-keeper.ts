import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { KennelEntity } from '../data/entities/kennel.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { kennelAnswer } from '../services/kennels.ts';
import { bringUpToDate } from './kept-standings.ts';
import { STANDING_KINDS } from './standing-kinds.ts';

/** How often it is looked for, ms. */
const LOOK_MS = 60_000;
/** So many kennels at a time; the others come next. */
const MOST_KENNELS = 20;

/**
 * Works out ahead what time has made another, as a new day does for every dog at once: so that whoever comes in the morning waits for
 * nothing. What is not worked out yet is so by its first reader; several servers may do the same, and come to the same.
 */
export class StandingKeeper {
  private readonly dataSource: DataSource;
  private readonly log: Logger;
  private timer: NodeJS.Timeout | undefined;
  private working: Promise<void> = Promise.resolve();
  private isBusy = false;

  constructor(dataSource: DataSource, log: Logger) {
    this.dataSource = dataSource;
    this.log = log;
  }

  begin(): void {
    this.timer = setInterval(() => {
      if (this.isBusy) return;
      this.isBusy = true;
      this.working = this.look(new Date())
        .catch((error: unknown) => this.log.warn({ error }, 'what stands was not worked out ahead'))
        .finally(() => (this.isBusy = false));
    }, LOOK_MS);
    this.timer.unref();
  }

  /** Works out what is over at an instant, in the kennels where something is. */
  async look(now: Date): Promise<void> {
    const rows = await this.dataSource.query<{ kennelId: string }[]>(`SELECT DISTINCT kennelId FROM standings WHERE untilAt <= ? LIMIT ${MOST_KENNELS}`, [now]);
    for (const { kennelId } of rows) {
      const kennel = await this.dataSource.getRepository(KennelEntity).findOneBy({ id: kennelId });
      if (!kennel) continue;
      const scope = new KennelScope(this.dataSource, { kennelId, personId: kennelId, role: 'reader' });
      await bringUpToDate(scope, STANDING_KINDS, kennelAnswer(kennel), now);
    }
  }

  /** Looks no more, and waits for the look that goes on. */
  async end(): Promise<void> {
    clearInterval(this.timer);
    await this.working;
  }
}
