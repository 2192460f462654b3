import type { TodayPage } from '@banter/contract';
import type { KennelScope } from './kennel-scope.ts';
import { setTimeout as pause } from 'node:timers/promises';
import { todayPage } from './today.ts';

/** However often something changes, it is worked out no oftener than this, ms. */
const SPACING_MS = 1000;

type Working = { begunAt: number; page: Promise<TodayPage> };

/**
 * Today of each kennel, worked out once for all its screens that listen: whoever asks for no more than what was begun after a change
 * is given the same page. It is of a kennel and of nobody in it.
 */
export class SharedToday {
  private readonly working = new Map<string, Working>();
  /** Of which kennels it is about to be worked out: whoever asks meanwhile is told the same. */
  private readonly due = new Map<string, Promise<TodayPage>>();
  private readonly workOut: (scope: KennelScope, now: Date) => Promise<TodayPage>;

  constructor(
    workOut: (scope: KennelScope, now: Date) => Promise<TodayPage> = todayPage,
    private readonly spacingMs = SPACING_MS,
  ) {
    this.workOut = workOut;
  }

  /** The page as it was worked out at `since` (ms) or later. */
  page(scope: KennelScope, since: number): Promise<TodayPage> {
    const { kennelId } = scope;
    const known = this.working.get(kennelId);
    if (known && known.begunAt >= since) return known.page;
    const waitMs = (known?.begunAt ?? 0) + this.spacingMs - Date.now();
    if (waitMs <= 0) return this.pageNow(scope);
    const due = this.due.get(kennelId) ?? pause(waitMs).then(() => (this.due.delete(kennelId), this.pageNow(scope)));
    this.due.set(kennelId, due);
    return due;
  }

  /** The page as it is worked out now, for a screen that has none yet. */
  pageNow(scope: KennelScope): Promise<TodayPage> {
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
