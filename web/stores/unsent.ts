import { answersDue, type OnItsWay, type TodayItem } from '@banter/contract';
import { countOf } from '@banter/core';
import { computed } from 'vue';
import { entryWords } from '../outbox/entry-words.ts';
import { happeningsOf, type OutboxEntry } from '../outbox/outbox-entry.ts';
import { toSend } from '../outbox/outbox-sender.ts';
import { useOutbox } from './outbox.ts';
import { useWearing } from './wearing.ts';

/** What was done on this device and the kennel has not got yet, by the dog that it is of: what is shown of that dog elsewhere does not know of it. */
export function useUnsent() {
  const outbox = useOutbox();
  const wearing = useWearing();
  const dogOfSession = computed(() => new Map(outbox.told.flatMap((told) => (told.event === 'begin' ? [[told.sessionId, told.dogId] as const] : []))));
  const dogOfCollar = computed(() => new Map(wearing.wearing.map(({ collarId, dogId }) => [collarId, dogId] as const)));

  function doneBy(entry: OutboxEntry): OnItsWay[] {
    const { sent } = entry;
    if (sent.is === 'record') return [{ dogId: typeof sent.body.dogId === 'string' ? sent.body.dogId : null, made: { path: sent.path } }];
    return happeningsOf(entry).map((told): OnItsWay => {
      const ofSession = 'sessionId' in told && told.sessionId !== undefined ? dogOfSession.value.get(told.sessionId) : undefined;
      const ofCollar = 'collarId' in told ? dogOfCollar.value.get(told.collarId) : undefined;
      const collar = 'collarId' in told ? { collarId: told.collarId } : {};
      return { dogId: 'dogId' in told ? told.dogId : (ofSession ?? ofCollar ?? null), told: { event: told.event, ...collar } };
    });
  }
  /** Oldest first. */
  const all = computed(() => toSend(outbox.entries).map((entry) => ({ entry, done: doneBy(entry) })));
  return {
    /** What is on its way for a dog while it cannot be sent, in a sentence; empty where nothing is. */
    of(dogId: string): string {
      const own = outbox.stuck ? all.value.filter(({ done }) => done.some((one) => one.dogId === dogId)) : [];
      const last = own.at(-1);
      if (!last) return '';
      return `Not sent yet: ${own.length > 1 ? `${countOf(own.length, 'entry', 'entries')}, last ` : ''}${entryWords(last.entry, null).replace(/\.$/, '')}.`;
    },
    /** What was done here about something that is due and has not arrived, in words, and whether it is all there is to do; null where nothing was. */
    answering(item: TodayItem): { says: string; isDone: boolean } | null {
      const own = all.value.flatMap(({ entry, done }) => done.flatMap((one) => ({ entry, is: answersDue(item, one) })).filter(({ is }) => is !== null));
      const last = own.at(-1);
      return last ? { says: entryWords(last.entry, null), isDone: own.some(({ is }) => is === 'done') } : null;
    },
  };
}
