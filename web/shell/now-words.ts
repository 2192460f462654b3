import type { WearingNow } from '@banter/contract';
import { HOUR_MS, speakHours } from '@banter/core';
import { useNow } from '../stores/now.ts';

/** Says of what is on a dog where its contacts sit and how long it has been on, always as of now. */
export function useNowWords() {
  const { now } = useNow(30_000);
  return ({ clock, from }: Pick<WearingNow, 'clock' | 'from'>): string => {
    const since = speakHours(Math.max(0, now.value - Date.parse(from)) / HOUR_MS);
    return clock === null ? since : `at ${clock}, ${since}`;
  };
}
