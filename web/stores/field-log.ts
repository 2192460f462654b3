import {
  FieldPage,
  FieldSessionPage,
  fieldEventOf,
  isOfSession,
  whatHappened,
  z,
  type FieldDog,
  type FieldSession,
  type SessionHappening,
} from '@banter/contract';
import { joinedSessions, overlapping, sessionStory, type SessionStory } from '@banter/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef, watch } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { hasComeAlong } from '../api/came-along.ts';
import { send } from '../api/request.ts';
import { happeningsOf } from '../outbox/outbox-entry.ts';
import { useAgain } from './again.ts';
import { useConnection } from './connection.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';
import { stored } from './stored.ts';

type Own<Event> = Event extends SessionHappening ? Omit<Event, 'id' | 'at' | 'sessionId'> : never;
/** What happened in a session, before it has an id and a time. */
export type FieldEventToLog = Own<SessionHappening>;

/** So many dogs are asked for beside those that are offered. */
const MOST_WANTED = 20;

/**
 * The field log of this phone: every tap is written down at once in its outbox and shown at once. Works from a cold start without a
 * connection.
 */
/** Where what the field log shows is asked for. */
const FIELD_PATH = '/api/field';

export const useFieldLog = defineStore('field-log', () => {
  const session = useSession();
  const connection = useConnection();
  const outbox = useOutbox();
  const boxKennel = ref('');
  const page = shallowRef<FieldPage | null>(null);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const sentence = ref('');

  // What may pass is asked again by itself.
  const again = useAgain(() => void refresh());

  async function open(): Promise<void> {
    const kennelId = session.kennel?.id;
    if (!kennelId) return;
    // What came with the page is there before the box has been opened.
    const came = page.value === null && hasComeAlong(FIELD_PATH);
    if (came) await refresh();
    if (import.meta.env.SSR) return;
    await outbox.open();
    if (boxKennel.value !== kennelId) {
      boxKennel.value = kennelId;
      if (!came) {
        page.value = (await outbox.box?.page()) ?? null;
        state.value = page.value ? 'ready' : 'loading';
      }
    }
    await refresh();
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
      await outbox.box?.putPage(page.value);
    }
  }

  async function refresh(): Promise<void> {
    try {
      // Whoever is at work on this phone, or was chosen on it, is there, however many dogs the kennel has.
      const atWork = sessions.value.filter(({ endedAt }) => endedAt === null).flatMap(({ dogId }) => dogId ?? []);
      const asked = [...new Set([...atWork, ...wanted.value])].slice(-MOST_WANTED);
      const now = await send('GET', `${FIELD_PATH}${asked.length > 0 ? `?dogs=${asked.join(',')}` : ''}`, FieldPage);
      connection.reached();
      again.wentWell();
      page.value = now;
      state.value = 'ready';
      await outbox.box?.putPage(now);
    } catch (failure) {
      const passing = failure instanceof RequestFailure && failure.mayPass;
      if (passing) {
        connection.missed();
        again.later();
      }
      if (failure instanceof RequestFailure && failure.problem?.status === 401) session.lost();
      if (page.value === null) {
        state.value = 'failed';
        sentence.value = failureSentence(failure);
      }
    }
  }

  /** Writes down what happened now; answers its id. */
  function tell(sessionId: string, told: FieldEventToLog, { at = Date.now(), id = uuidv7() } = {}): string {
    void outbox.tell([{ ...told, id, sessionId, at: new Date(at).toISOString() } as SessionHappening]);
    return id;
  }

  const told = computed(() => outbox.told.filter(isOfSession));
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
    const { id: sessionId, dogId, handlerId, purpose, begunAt: at } = one;
    void outbox.know([{ event: 'begin', id: uuidv7(), sessionId, at, dogId, setting: one.settings[0]!, handlerId, purpose }]);
  }

  /** What waited for another’s turn arrives later than it says: so far back it is asked again, ms. */
  const LATE_MS = 60_000;
  const heardAt = new Map<string, string>();
  /** Takes in what others, and devices, told of a session meanwhile. What is known here already is left as it is. */
  async function hear(sessionId: string): Promise<void> {
    // What has not been sent yet, nobody else knows of.
    if (outbox.entries.some((one) => one.status !== 'kept' && happeningsOf(one).some((told) => told.event === 'begin' && told.sessionId === sessionId))) return;
    const since = heardAt.get(sessionId);
    try {
      const now = await send('GET', `/api/field-sessions/${sessionId}${since ? `?since=${encodeURIComponent(since)}` : ''}`, FieldSessionPage);
      const there = new Set(outbox.entries.flatMap(happeningsOf).map(({ id }) => id));
      const begun = new Set(told.value.flatMap((one) => (one.event === 'begin' ? [one.sessionId] : [])));
      const fresh = now.events.filter((one) => !there.has(one.id) && !(one.event === 'begin' && begun.has(one.sessionId)));
      const last = now.events
        .map(({ recordedAt }) => recordedAt)
        .sort()
        .at(-1);
      if (last) heardAt.set(sessionId, new Date(Date.parse(last) - LATE_MS).toISOString());
      if (fresh.length > 0) await outbox.know(fresh.map(whatHappened));
    } catch {
      // Without a connection, or before the session has been sent, nothing is heard; it is tried again.
    }
  }

  // The stories of sessions that go on are kept on this phone.
  watch(
    () =>
      sessions.value
        .filter(({ endedAt }) => endedAt === null)
        .map(({ sessionId }) => sessionId)
        .join(),
    (ids) => (outbox.liveSessions = new Set(ids.split(','))),
    { immediate: true },
  );

  return { rootOf, twinOf, decideTwin, hear, page, state, sentence, sessions, openElsewhere, dogOf, want, open, refresh, tell, follow: followed };
});
