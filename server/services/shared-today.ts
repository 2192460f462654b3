import type { TodayPage } from '@banter/contract';
import type { KennelScope } from './kennel-scope.ts';
import { todayPage } from './today.ts';

type Working = { begunAt: number; page: Promise<TodayPage> };

/**
 * Today of each kennel, worked out once for all its screens that listen: whoever asks for no more than what was begun after a change
 * is given the same page. It is of a kennel and of nobody in it.
 */
export class SharedToday {
  private readonly working = new Map<string, Working>();
  private readonly workOut: (scope: KennelScope, now: Date) => Promise<TodayPage>;

  constructor(workOut: (scope: KennelScope, now: Date) => Promise<TodayPage> = todayPage) {
    this.workOut = workOut;
  }

  /** The page as it was worked out at `since` (ms) or later. */
  page(scope: KennelScope, since: number): Promise<TodayPage> {
    const known = this.working.get(scope.kennelId);
    if (known && known.begunAt >= since) return known.page;
    const begun: Working = { begunAt: Date.now(), page: this.workOut(scope, new Date()) };
    this.working.set(scope.kennelId, begun);
    // What failed is worked out anew by whoever asks next, and nothing is remembered of kennels where nobody listens.
    begun.page.catch(() => this.forget(scope.kennelId, begun));
    return begun.page;
  }

  /** Nobody of the kennel listens any more. */
  forget(kennelId: string, only?: Working): void {
    if (only === undefined || this.working.get(kennelId) === only) this.working.delete(kennelId);
  }
}
