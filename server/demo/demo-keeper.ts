import { spawn } from 'node:child_process';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { MINUTE_MS } from '@banter/core';

/** The demo is put back when nobody has used it for this long, s. */
export const IDLE_SECONDS = 3600;
const LOOK_MS = 5 * MINUTE_MS;

/** Whether somebody used the demo, and has gone since. */
export async function isDemoLeft(dataSource: DataSource, idleSeconds = IDLE_SECONDS): Promise<boolean> {
  const [row] = await dataSource.query<{ left: string }[]>(
    'SELECT COUNT(*) AS `left` FROM kennels WHERE demo AND usedAt < DATE_SUB(UTC_TIMESTAMP(3), INTERVAL ? SECOND)',
    [idleSeconds],
  );
  return Number(row!.left) > 0;
}

/** Looks now and then whether the demo was used and left, and has it put back by a program of its own, which holds nobody who serves. */
export class DemoKeeper {
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly dataSource: DataSource,
    private readonly log: Logger,
    private readonly projectDir: string,
  ) {}

  begin(): void {
    this.timer = setInterval(() => void this.look(), LOOK_MS);
    this.timer.unref();
  }

  end(): void {
    clearInterval(this.timer);
  }

  private async look(): Promise<void> {
    try {
      if (!(await isDemoLeft(this.dataSource))) return;
      const child = spawn(process.execPath, ['--import', 'tsx', join(this.projectDir, 'server', 'demo', 'put-demo-back.ts'), String(IDLE_SECONDS)], {
        cwd: this.projectDir,
        stdio: 'ignore',
        env: process.env,
      });
      child.on('error', (error) => this.log.warn({ error }, 'the demo was not put back'));
      child.on('exit', (code) => (code === 0 ? this.log.info('the demo was put back') : this.log.warn({ code }, 'the demo was not put back')));
    } catch (error) {
      this.log.warn({ error }, 'the demo was not looked at');
    }
  }
}
