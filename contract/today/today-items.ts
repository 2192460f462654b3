import { HOUR_MS } from '@banter/core';
import { TODAY_CODES, type TodayItem, type TodayPage } from '../records/today-page.ts';
import { devicesDue, ownersDue } from './dogs-due.ts';
import { keptUpDue } from './kept-up-due.ts';
import { sessionsDue } from './sessions-due.ts';
import { type TodayFacts } from './today-facts.ts';
import { wornDue } from './worn-due.ts';

const TONES = { stop: 0, mind: 1, open: 2, good: 3 } as const;

/**
 * What is due, in the order in which it matters: what hurts now, then what is told by the clock, then what keeps. Each once, with its
 * reason and where it is done. The same facts make the same list on every screen. Common practice; the order is our own.
 */
export function todayItems(facts: TodayFacts): TodayItem[] {
  const found = [...wornDue(facts), ...ownersDue(facts), ...sessionsDue(facts), ...facts.dues, ...devicesDue(facts), ...keptUpDue(facts)];
  const items = found.map(({ key, at = null, ...rest }): TodayItem => ({
    ...rest,
    id: `${rest.code} ${rest.dogId ?? ''} ${key}`,
    at: at === null ? null : new Date(at).toISOString(),
  }));
  const once = [...new Map(items.map((item) => [item.id, item])).values()];
  const rank = (item: TodayItem) => (item.tone === 'stop' ? -1 : 0) * 100 + TODAY_CODES.indexOf(item.code);
  return once.sort((a, b) => rank(a) - rank(b) || TONES[a.tone] - TONES[b.tone] || (a.at ?? '').localeCompare(b.at ?? '') || (a.id < b.id ? -1 : 1));
}

/** What is on a dog now and since when, and by when its contacts are moved. */
export function wornToday({ wearing, field }: Pick<TodayFacts, 'wearing' | 'field'>): TodayPage['wearing'] {
  return wearing.map(({ dogId, dogName, collarId, collarName, from, clock }) => {
    const dog = field.find(({ id }) => id === dogId);
    const on = dog?.devices.find((device) => device.collarId === collarId)?.worn;
    const moveBy = dog && on && on.clock !== null ? new Date(Date.parse(on.placeSince) + dog.moveByHours * HOUR_MS).toISOString() : null;
    return { dogId, dogName, collarId, collarName, from, clock, moveBy };
  });
}
