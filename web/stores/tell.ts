import { Entry, type NewEvent } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { ref } from 'vue';
import { useKeep } from './keep.ts';

type Own<Event> = Event extends NewEvent ? Omit<Event, 'id' | 'at'> : never;
/** What happened, before it has an id and a time. */
export type ToldNow = Own<NewEvent>;

/**
 * Tells what happens to collars, with one tap each, and takes the last of it back. An entry is kept whole or not at all, is sent
 * again until there is a connection, and is then kept once. `said` is the sentence of what was told last, while it can be undone.
 */
export function useTell(after: () => Promise<void>) {
  const keeping = useKeep();
  const said = ref('');
  const last = ref<string[]>([]);

  async function send(source: 'hand' | 'stand-in', events: NewEvent[]): Promise<boolean> {
    const kept = await keeping.keep(`/api/entries/${events[0]!.id}`, Entry, { source, events });
    if (kept) await after();
    return kept !== null;
  }

  /** Tells events as of now, or as of a time that somebody gave (ISO). */
  async function tell(
    sentence: string,
    events: readonly ToldNow[],
    { at = null, source = 'hand' as 'hand' | 'stand-in' }: { at?: string | null; source?: 'hand' | 'stand-in' } = {},
  ) {
    if (events.length === 0) return false;
    const when = at ?? new Date().toISOString();
    const told = events.map((event) => ({ ...event, id: uuidv7(), at: when }) as NewEvent);
    if (!(await send(source, told))) return false;
    said.value = sentence;
    last.value = told.map(({ id }) => id);
    return true;
  }

  /** Tells events that each have their own time. */
  async function tellAt(sentence: string, events: readonly (ToldNow & { at: string })[]) {
    const told = events.map((event) => ({ ...event, id: uuidv7() }) as NewEvent);
    if (!(await send('hand', told))) return false;
    said.value = sentence;
    last.value = told.map(({ id }) => id);
    return true;
  }

  /** Takes earlier events back; they stay in the record. */
  async function takeBack(ids: readonly string[], sentence = 'Taken back.') {
    const at = new Date().toISOString();
    const events = ids.map((eventId): NewEvent => ({ event: 'void', id: uuidv7(), at, eventId }));
    if (!(await send('hand', events))) return;
    said.value = sentence;
    last.value = [];
  }

  return { tell, tellAt, takeBack, said, last, undo: () => takeBack(last.value), keeping };
}
export type Telling = ReturnType<typeof useTell>;
