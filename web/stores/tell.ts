import { WEAR_AND_DEVICE_HAPPENINGS, type Happening, type NewHappening } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { isOnItsWay, YARD_RECORDS, type EntryOutcome, type YardRecord } from '../outbox/outbox-entry.ts';
import { useOutbox } from './outbox.ts';

/** So long a record that was one tap can be taken back before it is sent, ms. */
const HOLD_MS = 6000;

type Own<Event> = Event extends NewHappening ? Omit<Event, 'id' | 'at'> : never;
/** What happened, before it has an id and a time. */
export type EventToTell = Own<NewHappening>;

/**
 * Tells what happens to collars, with one tap each, and takes the last of it back. It goes through the outbox of this device: taps go on while
 * there is no connection. What is told together is kept whole or not at all, and once. `said` is the sentence of what was told last, while it
 * can be undone; `after` brings the screen up to date once the kennel has it.
 */
export function useTell(after: () => Promise<void>) {
  const outbox = useOutbox();
  const said = ref('');
  const last = ref<string[]>([]);
  const fault = ref('');
  /** Entries told here that could not be sent at once. */
  const boxed = ref<readonly string[]>([]);
  const waiting = computed(() => outbox.entries.filter(({ id, status }) => boxed.value.includes(id) && isOnItsWay(status)).length);

  async function send(source: 'hand' | 'stand-in', words: string, happenings: NewHappening[]): Promise<EntryOutcome['is']> {
    const outcome = await outbox.tell(happenings, { words, source });
    fault.value = outcome.is === 'refused' ? outcome.message : '';
    // It was read here, at once, and nothing was typed: there is nothing left to put right.
    if (outcome.is === 'refused') await outbox.letGo(happenings[0]!.id);
    if (outcome.is === 'boxed') boxed.value = [...boxed.value, happenings[0]!.id];
    // Told to the hand only once the screen knows it: the next tap is judged by what the screen shows.
    if (outcome.is === 'kept') await after();
    return outcome.is;
  }
  // What was safe on this device and has arrived since.
  watch(waiting, (now, before) => {
    if (now < before) void after();
  });

  async function tellAll(sentence: string, happenings: NewHappening[], source: 'hand' | 'stand-in') {
    if (happenings.length === 0 || (await send(source, sentence, happenings)) === 'refused') return false;
    said.value = sentence;
    last.value = happenings.map(({ id }) => id);
    holding.value = null;
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
      events.map((event) => ({ ...event, id: uuidv7(), at: when }) as NewHappening),
      source,
    );
  }
  /** Tells events that each have their own time. */
  const tellAt = (sentence: string, events: readonly (EventToTell & { at: string })[]) =>
    tellAll(
      sentence,
      events.map((event) => ({ ...event, id: uuidv7() }) as NewHappening),
      'hand',
    );
  /** Takes earlier events back; they stay in the record. */
  async function takeBack(ids: readonly string[], sentence = 'Undone.') {
    const at = new Date().toISOString();
    const events = ids.map((eventId): NewHappening => ({ event: 'void', id: uuidv7(), at, eventId }));
    if ((await send('hand', sentence, events)) === 'refused') return;
    said.value = sentence;
    last.value = [];
  }

  /** A record that is still here, and that one tap takes back as if it had never been. */
  const holding = ref<string | null>(null);
  function hold(sentence: string, path: YardRecord, about: string, body: Record<string, unknown>) {
    const id = uuidv7();
    [said.value, last.value, fault.value, holding.value] = [sentence, [], '', id];
    void outbox.add({ id, words: `${YARD_RECORDS[path]}: ${about}`, sent: { is: 'record', path, body } }, { holdMs: HOLD_MS }).then((outcome) => {
      if (outcome.is === 'refused') fault.value = outcome.message;
      if (outcome.is === 'kept') void after();
    });
    setTimeout(() => holding.value === id && (holding.value = null), HOLD_MS);
  }
  async function undo() {
    if (holding.value === null) return takeBack(last.value);
    await outbox.letGo(holding.value);
    [holding.value, said.value] = [null, 'Undone.'];
  }

  const canUndo = computed(() => last.value.length > 0 || holding.value !== null);
  return { tell, tellAt, takeBack, hold, said, fault, held: waiting, canUndo, undo, tryNow: () => void outbox.trySend() };
}
export type Telling = ReturnType<typeof useTell>;

/**
 * What is known of what happened, with what was told on this device laid over it as far as it is not among it yet: of these collars, and what
 * takes something of it back. `by` is who is at this device.
 */
export function withTold(
  known: readonly Happening[],
  told: readonly NewHappening[],
  collarIds: ReadonlySet<string>,
  by: { id: string; name: string },
): Happening[] {
  const there = new Set(known.map(({ id }) => id));
  const speaksOf = new Set([...there, ...told.map(({ id }) => id)]);
  const fresh = told.filter((one) => {
    if (there.has(one.id)) return false;
    return one.event === 'void' ? speaksOf.has(one.eventId) : 'collarId' in one && collarIds.has(one.collarId) && ON_A_NECK.has(one.event);
  });
  if (fresh.length === 0) return [...known];
  const kept = { source: 'hand' as const, phone: '', personId: by.id, personName: by.name };
  const mine = fresh.map((one): Happening => ({ ...one, saidAt: one.at, recordedAt: one.at, ...kept }));
  return [...known, ...mine].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
}
const ON_A_NECK: ReadonlySet<string> = new Set(WEAR_AND_DEVICE_HAPPENINGS);
