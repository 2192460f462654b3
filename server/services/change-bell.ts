import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import type { KennelBus } from './kennel-bus.ts';

/** How often changes of other servers are looked for while somebody listens here, ms. */
const LOOK_MS = 300;
/** Numbers are given before what they number is kept: so long after a number a lower one may still come, ms. */
const LATE_MS = 5_000;
/** What was there at the sweep before is taken out at the next, by this server's own time and nobody's clock, ms. */
const SWEEP_MS = 60_000;

type Row = { id: string; kennelId: string };

/**
 * Rings on every server when a kennel has changed: each change is a row, and each server on which somebody listens reads those that came since it
 * looked last, one small read whatever the number of screens and kennels. A change that could not be passed on is seen by the clock.
 */
export class ChangeBell {
  /** Numbers seen of late, each with when (ms); below the lowest nothing is looked for any more. */
  private readonly seen = new Map<number, number>();
  private from = 0;
  private sweptTo = 0;
  private looking: NodeJS.Timeout | undefined;
  private sweeping: NodeJS.Timeout | undefined;
  private isBusy = false;

  constructor(
    private readonly dataSource: DataSource,
    private readonly bus: KennelBus,
    private readonly log: Logger,
    private readonly serverId: string,
  ) {}

  begin(): void {
    this.bus.passesOn((kennelId) => void this.ring(kennelId));
    this.looking = setInterval(() => void this.lookOnce(), LOOK_MS).unref();
    this.sweeping = setInterval(() => void this.sweep(), SWEEP_MS).unref();
  }

  end(): void {
    clearInterval(this.looking);
    clearInterval(this.sweeping);
  }

  private async ring(kennelId: string): Promise<void> {
    await this.dataSource
      .query('INSERT INTO changes (kennelId, serverId) VALUES (?, ?)', [kennelId, this.serverId])
      .catch((error: unknown) => this.log.warn({ error }, 'other servers were not told of a change'));
  }

  private async lookOnce(): Promise<void> {
    if (this.isBusy) return;
    if (!this.bus.isAnybodyListening()) return;
    this.isBusy = true;
    try {
      await this.look();
    } catch (error) {
      this.log.debug({ error }, 'changes of other servers could not be read');
    } finally {
      this.isBusy = false;
    }
  }

  /** Hears what other servers have changed since it looked last. */
  async look(): Promise<void> {
    const rows = await this.dataSource.query<Row[]>('SELECT id, kennelId FROM changes WHERE id > ? AND serverId <> ? ORDER BY id', [this.from, this.serverId]);
    const now = performance.now();
    const fresh = rows.filter(({ id }) => !this.seen.has(Number(id)));
    for (const { id } of fresh) this.seen.set(Number(id), now);
    for (const kennelId of new Set(fresh.map((row) => row.kennelId))) this.bus.heard(kennelId);
    for (const [id, at] of this.seen) {
      if (now - at < LATE_MS) continue;
      this.seen.delete(id);
      this.from = Math.max(this.from, id);
    }
  }

  private async sweep(): Promise<void> {
    try {
      await this.dataSource.query('DELETE FROM changes WHERE id <= ?', [this.sweptTo]);
      const [row] = await this.dataSource.query<{ last: string | null }[]>('SELECT MAX(id) AS last FROM changes');
      this.sweptTo = Number(row!.last ?? 0);
    } catch (error) {
      this.log.debug({ error }, 'changes that everybody knows were not taken out');
    }
  }
}
