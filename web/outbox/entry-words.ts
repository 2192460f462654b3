import type { FieldPage } from '@banter/contract';
import { eventSentence } from '../field/event-words.ts';
import { happeningsOf, type OutboxEntry } from './outbox-entry.ts';

/** What an entry says, for whoever looks at what has not been saved. */
export const entryWords = (entry: OutboxEntry, page: Pick<FieldPage, 'settings' | 'dogs'> | null): string =>
  entry.words ||
  happeningsOf(entry)
    .map((told) => eventSentence(told, page))
    .join(', ');
