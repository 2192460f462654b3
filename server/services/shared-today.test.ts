import type { TodayPage } from '@banter/contract';
import { describe, expect, it } from 'vitest';
import type { KennelScope } from './kennel-scope.ts';
import { SharedToday } from './shared-today.ts';

const of = (kennelId: string) => ({ kennelId }) as KennelScope;

describe('Today of a kennel, whoever listens', () => {
  it('is worked out once for all who ask after the same change, and anew after the next; of each kennel by itself', async () => {
    const worked: string[] = [];
    const shared = new SharedToday(({ kennelId }, now) => {
      worked.push(kennelId);
      return Promise.resolve({ asOf: now.toISOString() } as TodayPage);
    }, 0);
    const changedAt = Date.now();
    const pages = await Promise.all(Array.from({ length: 60 }, () => shared.page(of('a'), changedAt)));
    expect(new Set(pages).size).toBe(1);
    await shared.page(of('b'), changedAt);
    expect(worked).toEqual(['a', 'b']);
    await shared.page(of('a'), Date.now() + 1);
    expect(worked).toEqual(['a', 'b', 'a']);
  });

  it('is worked out once however many changes come close together, after the last of them', async () => {
    const worked: number[] = [];
    const shared = new SharedToday((_scope, now) => {
      worked.push(now.getTime());
      return Promise.resolve({ asOf: now.toISOString() } as TodayPage);
    }, 300);
    await shared.pageNow(of('a'));
    const asked: { at: number; page: Promise<TodayPage> }[] = [];
    for (let change = 0; change < 5; change += 1) {
      const at = Date.now() + 1;
      asked.push({ at: Date.now(), page: shared.page(of('a'), at) });
    }
    const pages = await Promise.all(asked.map(({ page }) => page));
    expect(new Set(pages).size).toBe(1);
    expect(worked).toHaveLength(2);
    expect(worked[1]! - worked[0]!).toBeGreaterThanOrEqual(295);
    expect(worked[1]).toBeGreaterThanOrEqual(Math.max(...asked.map(({ at }) => at)));
  });

  it('that failed is tried again by whoever asks next', async () => {
    let times = 0;
    const shared = new SharedToday(() => {
      times += 1;
      return times === 1 ? Promise.reject(new Error('away')) : Promise.resolve({ asOf: 'then' } as TodayPage);
    }, 0);
    const since = Date.now();
    await expect(shared.page(of('a'), since)).rejects.toThrow('away');
    expect(await shared.page(of('a'), since)).toEqual({ asOf: 'then' });
  });
});
