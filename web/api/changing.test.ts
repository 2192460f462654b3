import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

const store = new Map<string, string>();
/** Another page of this device, asked for at an instant: it shares the store and nothing else. */
async function pageAskedAt(at: number) {
  vi.resetModules();
  vi.stubGlobal('performance', { ...performance, timeOrigin: at });
  return import('./changing.ts');
}
beforeEach(() => {
  store.clear();
  vi.useFakeTimers({ now: 1_000_000 });
  vi.stubGlobal('localStorage', { getItem: (key: string) => store.get(key) ?? null, setItem: (key: string, text: string) => void store.set(key, text) });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what a page was sent with', () => {
  it('knows of a change that was over before it was asked for', async () => {
    const before = await pageAskedAt(900_000);
    const over = before.changing(15_000);
    vi.setSystemTime(1_000_200);
    over();
    expect((await pageAskedAt(1_000_300)).knowsAllChanges()).toBe(true);
  });

  it('does not of one that was under way then, whether it has ended meanwhile or was broken off', async () => {
    const before = await pageAskedAt(900_000);
    const over = before.changing(15_000);
    expect((await pageAskedAt(1_000_100)).knowsAllChanges()).toBe(false);
    vi.setSystemTime(1_000_200);
    over();
    expect((await pageAskedAt(1_000_100)).knowsAllChanges()).toBe(false);
  });

  it('nor of one of two that goes on; what nobody heard of any more is over after its time', async () => {
    const before = await pageAskedAt(900_000);
    const [first] = [before.changing(15_000), before.changing(15_000)];
    vi.setSystemTime(1_000_200);
    first();
    expect((await pageAskedAt(1_000_300)).knowsAllChanges()).toBe(false);
    expect((await pageAskedAt(1_015_300)).knowsAllChanges()).toBe(true);
  });

  it('is taken as it is where nothing can be remembered', async () => {
    vi.stubGlobal('localStorage', undefined);
    const page = await pageAskedAt(900_000);
    page.changing(15_000)();
    expect(page.knowsAllChanges()).toBe(true);
  });
});
