import {
  FieldBatchKept,
  FieldPage,
  FieldSessionPage,
  fieldEventOf,
  z,
  type ClockOff,
  type FieldDog,
  type FieldSession,
  type NewFieldEvent,
} from '@banter/contract';
import { joinedSessions, overlapping, sessionStory, type SessionStory, DAY_MS } from '@banter/core';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { FieldBox, type BoxedEvent, type UnreadEntry } from '../field/field-box.ts';
import { sendBox, toSend } from '../field/field-sender.ts';
import { useConnection } from './connection.ts';
import { useSession } from './session.ts';
import { stored } from './stored.ts';

type Own<Event> = Event extends NewFieldEvent ? Omit<Event, 'id' | 'at' | 'sessionId'> : never;
/** What happened in a session, before it has an id and a time. */
export type FieldEventToLog = Own<NewFieldEvent>;

const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 60_000;
/** So many dogs are asked for beside those that are offered. */
const MOST_WANTED = 20;
/** What the server has is forgotten here after this long. */
const KEPT_HERE_MS = 2 * DAY_MS;

/**
 * The field log of this phone: every tap is written down at once on the phone, shown at once, and sent when there is a
 * connection, in order and once each. Works from a cold start without one.
 */
export const useFieldLog = defineStore('field-log', () => {
  const session = useSession();
  const connection = useConnection();
  const box = shallowRef<FieldBox | null>(null);
  const boxKennel = ref('');
  const page = shallowRef<FieldPage | null>(null);
  const events = shallowRef<BoxedEvent[]>([]);
  /** Entries of this phone that cannot be read. */
  const unread = shallowRef<UnreadEntry[]>([]);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const sentence = ref('');
  const sending = ref<'still' | 'sending' | 'away' | 'signed-out' | 'failed'>('still');
  const clockAsk = shallowRef<ClockOff | null>(null);
  /** Where the last tap lies when the phone has no room. */
  const full = ref<'no' | 'spilled' | 'nowhere'>('no');
  let phone = '';
  let wait = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function open(): Promise<void> {
    const kennelId = session.kennel?.id;
    if (!kennelId) return;
    if (boxKennel.value !== kennelId) {
      boxKennel.value = kennelId;
      state.value = 'loading';
      const opened = await FieldBox.open(kennelId);
      box.value = opened;
      phone = await opened.phone(() => `phone ${uuidv7().slice(-6)}`);
      events.value = await opened.all();
      unread.value = await opened.unread();
      page.value = await opened.page();
      if (page.value) state.value = 'ready';
      void navigator.storage?.persist?.().catch(() => {});
    }
    await refresh();
    void trySend();
  }

  /** Dogs that somebody chose here beside those that are offered, the latest last. */
  const wanted = shallowRef<readonly string[]>([]);
  /** Has a dog among those that can be chosen: at once where it was found, else with the next answer. */
  async function want(dog: FieldDog | string): Promise<void> {
    const id = typeof dog === 'string' ? dog : dog.id;
    wanted.value = [...wanted.value.filter((one) => one !== id), id];
    if (typeof dog === 'string') {
      if (!dogOf(id)) await refresh();
    } else if (page.value && !dogOf(id)) {
      page.value = { ...page.value, dogs: [dog, ...page.value.dogs] };
      await box.value?.putPage(page.value);
    }
  }

  async function refresh(): Promise<void> {
    try {
      // Whoever is at work on this phone, or was chosen on it, is there, however many dogs the kennel has.
      const atWork = sessions.value.filter(({ endedAt }) => endedAt === null).flatMap(({ dogId }) => dogId ?? []);
      const asked = [...new Set([...atWork, ...wanted.value])].slice(-MOST_WANTED);
      const now = await send('GET', `/api/field${asked.length > 0 ? `?dogs=${asked.join(',')}` : ''}`, FieldPage);
      connection.reached();
      page.value = now;
      state.value = 'ready';
      await box.value?.putPage(now);
    } catch (failure) {
      const passing = failure instanceof RequestFailure && failure.mayPass;
      if (passing) connection.missed();
      if (failure instanceof RequestFailure && failure.problem?.status === 401) session.lost();
      if (page.value === null) {
        state.value = 'failed';
        sentence.value = failureSentence(failure);
      }
    }
  }

  function put(changed: readonly BoxedEvent[]) {
    const by = new Map(changed.map((one) => [one.event.id, one]));
    const there = new Set(events.value.map(({ event }) => event.id));
    events.value = [...events.value.map((one) => by.get(one.event.id) ?? one), ...changed.filter(({ event }) => !there.has(event.id))];
  }

  /** One lock for all tabs of this phone: what one sends, no other sends meanwhile. */
  const alone = <T>(work: () => Promise<T>): Promise<T> => (navigator.locks ? navigator.locks.request(`banter-field-${boxKennel.value}`, work) : work());

  let running = false;
  async function trySend(): Promise<void> {
    clearTimeout(timer);
    if (running || !box.value || clockAsk.value) return;
    running = true;
    const opened = box.value;
    sending.value = 'sending';
    const outcome = await alone(() =>
      sendBox(opened, (batch) => send('POST', '/api/field-log', FieldBatchKept, batch), { phone, now: () => Date.now(), heard: put }),
    ).catch(() => ({ is: 'away' as const }));
    running = false;
    if (outcome.is === 'done') {
      sending.value = 'still';
      wait = FIRST_WAIT_MS;
      connection.reached();
      await forgetOld();
      if (toSend(events.value).some(({ status }) => status === 'to-send')) void trySend();
    } else if (outcome.is === 'clock') {
      sending.value = 'still';
      clockAsk.value = outcome.off;
    } else if (outcome.is === 'signed-out') {
      sending.value = 'signed-out';
      session.lost();
    } else {
      sending.value = outcome.is;
      if (outcome.is === 'failed') sentence.value = outcome.sentence;
      else connection.missed();
      timer = setTimeout(() => void trySend(), wait);
      wait = Math.min(wait * 2, LONGEST_WAIT_MS);
    }
  }
  useEventListener('online', () => void trySend());
  useEventListener(document, 'visibilitychange', () => !document.hidden && void trySend());

  async function forgetOld(): Promise<void> {
    const old = Date.now() - KEPT_HERE_MS;
    const active = new Set(sessions.value.filter(({ endedAt }) => endedAt === null).map(({ sessionId }) => sessionId));
    const gone = events.value.filter(({ event, status }) => status === 'kept' && Date.parse(event.at) < old && !active.has(event.sessionId));
    if (gone.length === 0) return;
    const ids = new Set(gone.map(({ event }) => event.id));
    events.value = events.value.filter(({ event }) => !ids.has(event.id));
    await box.value?.remove([...ids]);
  }

  /** Writes down what happened now; answers its id. */
  function tell(sessionId: string, told: FieldEventToLog, { at = Date.now(), id = uuidv7() } = {}): string {
    const seq = (events.value.at(-1)?.seq ?? 0) + 1;
    const one: BoxedEvent = { seq, event: { ...told, id, sessionId, at: new Date(at).toISOString() } as NewFieldEvent, status: 'to-send', message: '' };
    events.value = [...events.value, one];
    void box.value?.put([one]).then((lies) => {
      full.value = lies === 'kept' ? 'no' : lies;
      void trySend();
    });
    return id;
  }

  /** Lets go of an event that the server refused, after somebody has read why. */
  async function letGo(id: string): Promise<void> {
    events.value = events.value.filter(({ event }) => event.id !== id);
    unread.value = unread.value.filter((one) => one.id !== id);
    await box.value?.remove([id]);
  }

  /** Sends a refused event again, put right where something is changed of it. */
  async function putRight(id: string, change: Partial<NewFieldEvent> = {}): Promise<void> {
    const one = events.value.find(({ event }) => event.id === id);
    if (!one) return;
    const again: BoxedEvent = { ...one, event: { ...one.event, ...change } as NewFieldEvent, status: 'to-send', message: '' };
    put([again]);
    await box.value?.put([again]);
    void trySend();
  }

  async function decideClock(phoneIsWrong: boolean): Promise<void> {
    const off = clockAsk.value;
    if (!off) return;
    await box.value?.putClock({ aheadMs: phoneIsWrong ? off.aheadMs : 0, measuredMs: off.aheadMs });
    clockAsk.value = null;
    void trySend();
  }

  const told = computed(() => events.value.filter(({ status }) => status !== 'refused').map(({ event }) => event));
  const joined = computed(() => joinedSessions(told.value.map(fieldEventOf)));
  const rootOf = (sessionId: string) => joined.value.get(sessionId) ?? sessionId;
  /** Sessions as this phone knows them, the latest first. */
  const sessions = computed((): SessionStory[] => {
    const all = told.value.map(fieldEventOf);
    return [...new Set(all.map(({ sessionId }) => rootOf(sessionId)))]
      .flatMap((id) => sessionStory(id, all, joined.value) ?? [])
      .filter(({ dogId }) => dogId !== null)
      .sort((a, b) => b.begunAt - a.begunAt);
  });
  const dogOf = (id: string | null): FieldDog | null => page.value?.dogs.find((dog) => dog.id === id) ?? null;
  /** Sessions that others began and nobody ended, which this phone knows nothing of. */
  const openElsewhere = computed((): FieldSession[] => {
    const own = new Set([...sessions.value.map(({ sessionId }) => sessionId), ...joined.value.keys()]);
    return (page.value?.open ?? []).filter(({ id }) => !own.has(id));
  });

  /** Sessions that somebody said are two, in pairs. */
  const apart = stored(`banter.field-apart.${session.kennel?.id ?? 'nobody'}`, z.array(z.string()), []);
  const pairOf = (one: string, other: string) => [one, other].sort().join(' ');
  /** Another session of the same dog at the same time, which may be the same one, begun on another phone. */
  function twinOf(story: SessionStory): { id: string; begunAt: number; handlerName: string } | null {
    const spoken = (other: string) => apart.value.includes(pairOf(story.sessionId, other)) || rootOf(other) === story.sessionId;
    const twin = (page.value?.recent ?? []).find((one) => {
      // Of a session of this phone the phone knows best when it began and ended.
      const own = sessions.value.find(({ sessionId }) => sessionId === one.id);
      const [begunAt, lastAt] = [Date.parse(one.begunAt), Date.parse(one.lastAt)];
      const other = own ?? { sessionId: one.id, dogId: one.dogId, begunAt, lastAt, endedAt: one.endedAt === null ? null : Date.parse(one.endedAt) };
      // One that nobody has ended goes on.
      return !spoken(one.id) && overlapping({ ...story, lastAt: story.endedAt ?? Date.now() }, { ...other, lastAt: other.endedAt ?? Date.now() });
    });
    return twin ? { id: twin.id, begunAt: Date.parse(twin.begunAt), handlerName: twin.handlerName } : null;
  }
  /** Makes them one, under the one that was begun first; or says that they are two. */
  function decideTwin(story: SessionStory, twin: { id: string; begunAt: number }, one: boolean) {
    if (!one) apart.value = [...apart.value.slice(-50), pairOf(story.sessionId, twin.id)];
    else if (twin.begunAt <= story.begunAt) {
      tell(story.sessionId, { event: 'joins', intoId: twin.id });
      const known = page.value?.recent.find(({ id }) => id === twin.id);
      if (known) followed(known);
    } else tell(twin.id, { event: 'joins', intoId: story.sessionId });
  }

  /** Follows a session that another phone began: its beginning is known here, and not told again. */
  function followed(one: FieldSession) {
    const begin: BoxedEvent = {
      seq: (events.value.at(-1)?.seq ?? 0) + 1,
      event: {
        event: 'begin',
        id: uuidv7(),
        sessionId: one.id,
        at: one.begunAt,
        dogId: one.dogId,
        setting: one.settings[0]!,
        handlerId: one.handlerId,
        purpose: one.purpose,
      },
      status: 'kept',
      message: '',
    };
    events.value = [...events.value, begin];
    void box.value?.put([begin]);
  }

  /** What waited for another’s turn arrives later than it says: so far back it is asked again, ms. */
  const LATE_MS = 60_000;
  const heardAt = new Map<string, string>();
  /** Takes in what others, and devices, told of a session meanwhile. What is known here already is left as it is. */
  async function hear(sessionId: string): Promise<void> {
    // What has not been sent yet, nobody else knows of.
    if (events.value.some(({ event, status }) => event.event === 'begin' && event.sessionId === sessionId && status !== 'kept')) return;
    const since = heardAt.get(sessionId);
    try {
      const now = await send('GET', `/api/field-sessions/${sessionId}${since ? `?since=${encodeURIComponent(since)}` : ''}`, FieldSessionPage);
      const there = new Set(events.value.map(({ event }) => event.id));
      const fresh = now.events.filter(
        ({ event }) =>
          !there.has(event.id) &&
          !(event.event === 'begin' && events.value.some((one) => one.event.event === 'begin' && one.event.sessionId === event.sessionId)),
      );
      const seq = events.value.at(-1)?.seq ?? 0;
      const boxed = fresh.map(({ event }, index): BoxedEvent => ({ seq: seq + 1 + index, event, status: 'kept', message: '' }));
      const last = now.events
        .map(({ recordedAt }) => recordedAt)
        .sort()
        .at(-1);
      if (last) heardAt.set(sessionId, new Date(Date.parse(last) - LATE_MS).toISOString());
      if (boxed.length === 0) return;
      events.value = [...events.value, ...boxed];
      await box.value?.put(boxed);
    } catch {
      // Without a connection, or before the session has been sent, nothing is heard; it is tried again.
    }
  }

  return {
    rootOf,
    twinOf,
    decideTwin,
    hear,
    page,
    state,
    sentence,
    sending,
    clockAsk,
    full,
    events,
    waiting: computed(() => toSend(events.value).length),
    refused: computed(() => events.value.filter(({ status }) => status === 'refused')),
    sessions,
    openElsewhere,
    dogOf,
    want,
    open,
    refresh,
    tell,
    letGo,
    putRight,
    unread,
    decideClock,
    trySend,
    follow: followed,
  };
});
