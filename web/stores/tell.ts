import { Entry, NewEntry, z, type NewEvent } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { ref } from 'vue';
import { useKeep } from './keep.ts';
import { useSession } from './session.ts';
import { stored } from './stored.ts';

type Own<Event> = Event extends NewEvent ? Omit<Event, 'id' | 'at'> : never;
/** What happened, before it has an id and a time. */
export type EventToTell = Own<NewEvent>;

/**
 * Tells what happens to collars, with one tap each, and takes the last of it back. Entries wait in a row on this device until
 * they are kept: taps go on while there is no connection, and a closed tab sends what was left when it is opened again. An entry
 * is kept whole or not at all, and once. `said` is the sentence of what was told last, while it can be undone.
 */
export function useTell(dogId: string, after: () => Promise<void>) {
  const keeping = useKeep();
  const session = useSession();
  const waiting = stored(`banter.told.${session.kennel?.id ?? 'nobody'}.${dogId}`, z.array(NewEntry), []);
  const said = ref('');
  const last = ref<string[]>([]);
  const done = new Map<string, (kept: boolean) => void>();
  let running = false;

  async function sendAll(): Promise<void> {
    if (running) return;
    running = true;
    for (let entry = waiting.value[0]; entry; entry = waiting.value[0]) {
      const id = entry.events[0]!.id;
      const kept = await keeping.keep(`/api/entries/${id}`, Entry, entry);
      // Left in the row: the page is gone, or the sign-in has ended; it goes when somebody is back.
      if (!kept && (keeping.state.value !== 'refused' || keeping.signedOut.value)) break;
      waiting.value = waiting.value.slice(1);
      // Told to the hand only once the screen knows it: the next tap is judged by what the screen shows.
      if (kept) await after();
      done.get(id)?.(kept !== null);
      done.delete(id);
      if (!kept) break;
    }
    running = false;
  }
  function send(source: 'hand' | 'stand-in', events: NewEvent[]): Promise<boolean> {
    waiting.value = [...waiting.value, { source, events }];
    const kept = new Promise<boolean>((resolve) => done.set(events[0]!.id, resolve));
    void sendAll();
    return kept;
  }
  if (waiting.value.length > 0) void sendAll();

  async function tellAll(sentence: string, told: NewEvent[], source: 'hand' | 'stand-in') {
    if (told.length === 0 || !(await send(source, told))) return false;
    said.value = sentence;
    last.value = told.map(({ id }) => id);
    return true;
  }
  /** Tells events as of now, or as of a time that somebody gave (ISO). */
  function tell(
    sentence: string,
    events: readonly EventToTell[],
    { at = null, source = 'hand' as 'hand' | 'stand-in' }: { at?: string | null; source?: 'hand' | 'stand-in' } = {},
  ) {
    const when = at ?? new Date().toISOString();
    return tellAll(
      sentence,
      events.map((event) => ({ ...event, id: uuidv7(), at: when }) as NewEvent),
      source,
    );
  }
  /** Tells events that each have their own time. */
  const tellAt = (sentence: string, events: readonly (EventToTell & { at: string })[]) =>
    tellAll(
      sentence,
      events.map((event) => ({ ...event, id: uuidv7() }) as NewEvent),
      'hand',
    );
  /** Takes earlier events back; they stay in the record. */
  async function takeBack(ids: readonly string[], sentence = 'Taken back.') {
    const at = new Date().toISOString();
    const events = ids.map((eventId): NewEvent => ({ event: 'void', id: uuidv7(), at, eventId }));
    if (!(await send('hand', events))) return;
    said.value = sentence;
    last.value = [];
  }

  return { tell, tellAt, takeBack, said, last, waiting, undo: () => takeBack(last.value), keeping };
}
export type Telling = ReturnType<typeof useTell>;
