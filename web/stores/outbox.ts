import { HappeningsKept, Photo, type Made, z, type ClockOff, type NewHappening } from '@banter/contract';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef, watch } from 'vue';
import { RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { OutboxBox } from '../outbox/outbox-box.ts';
import { happeningsOf, type EntryOutcome, type OutboxEntry, type UnreadEntry } from '../outbox/outbox-entry.ts';
import { sendOutbox, toSend, type Post } from '../outbox/outbox-sender.ts';
import { PhotoBox } from '../outbox/photo-box.ts';
import { useConnection } from './connection.ts';
import { onLook } from './looked-at.ts';
import { useSession } from './session.ts';
import { DAY_MS, MINUTE_MS } from '@banter/core';

const FIRST_WAIT_MS = 1500;
const LONGEST_WAIT_MS = 60_000;
/** So long somebody waits to hear what became of an entry, ms. */
const PATIENCE_MS = 8000;
/** What the kennel has is forgotten here after this long; of a session, whose story is told on this phone, after this long. */
const KEPT_HERE_MS = 5 * MINUTE_MS;
const SESSION_KEPT_HERE_MS = 2 * DAY_MS;

const POST: Omit<Post, 'photo'> = {
  happenings: (batch) => send('POST', '/api/happenings', HappeningsKept, batch),
  record: (path, id, body) => send('PUT', `/api/${path}/${id}`, z.unknown(), body),
};
const PHOTO_GONE = { type: '/problems/not-a-photo', code: 'not-a-photo', status: 415, title: 'This photo is no longer on this device.' } as const;

/** What is to be sent, but for its place and its standing. */
export type NewEntry = Pick<OutboxEntry, 'id' | 'words' | 'sent'>;

/**
 * The outbox of this device: what is done in the yard is written down here at once, shown at once, and sent when there is a connection, in
 * order and once each, from whichever screen is open. Works from a cold start without one.
 */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession();
  const connection = useConnection();
  const box = shallowRef<OutboxBox | null>(null);
  const entries = shallowRef<readonly OutboxEntry[]>([]);
  const unread = shallowRef<UnreadEntry[]>([]);
  const sending = ref<'still' | 'sending' | 'away' | 'signed-out' | 'failed'>('still');
  const sentence = ref('');
  const clockAsk = shallowRef<ClockOff | null>(null);
  /** Where the last entry lies when the device has no room. */
  const full = ref<'no' | 'spilled' | 'nowhere'>('no');
  const asking = new Map<string, (outcome: EntryOutcome) => void>();
  let boxKennel = '';
  let opening: Promise<void> | null = null;
  let phone = '';
  let photoBox: PhotoBox | null = null;
  /** Photos of the kennel that somebody is signed in to. */
  function photos(): PhotoBox {
    const kennelId = session.kennel?.id ?? '';
    if (photoBox?.kennelId !== kennelId) photoBox = new PhotoBox(kennelId);
    return photoBox;
  }
  let wait = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** Opens the box of whoever's kennel this is, once. */
  async function open(): Promise<void> {
    const kennelId = session.kennel?.id;
    if (!kennelId) return;
    if (boxKennel !== kennelId) {
      // Of another kennel nothing is shown, sent or written over.
      if (boxKennel !== '') entries.value = [];
      boxKennel = kennelId;
      box.value = null;
      unread.value = [];
      clockAsk.value = null;
      opening = (async () => {
        const opened = await OutboxBox.open(kennelId);
        if (boxKennel !== kennelId) return;
        phone = await opened.phone(() => `phone ${uuidv7().slice(-6)}`);
        // What somebody told while it was being opened lies in the last resort.
        const lying = await opened.all();
        const there = new Set(lying.map(({ id }) => id));
        entries.value = [...lying, ...entries.value.filter(({ id }) => !there.has(id))];
        unread.value = await opened.unread();
        box.value = opened;
        void photos().sweep(new Set(lying.map(({ id }) => id)));
        void navigator.storage?.persist?.().catch(() => {});
      })();
    }
    await opening;
    void trySend();
  }
  watch(
    () => session.me?.kennel.id,
    (kennelId) => {
      if (kennelId !== undefined && !import.meta.env.SSR) void open();
    },
    { immediate: true },
  );

  function put(changed: readonly OutboxEntry[]) {
    const by = new Map(changed.map((one) => [one.id, one]));
    const there = new Set(entries.value.map(({ id }) => id));
    entries.value = [...entries.value.map((one) => by.get(one.id) ?? one), ...changed.filter(({ id }) => !there.has(id))];
  }
  function heard(changed: readonly OutboxEntry[], outcomes: ReadonlyMap<string, EntryOutcome>) {
    put(changed);
    void photos().drop(changed.flatMap(({ id, sent, status }) => (sent.is === 'photo' && status === 'kept' ? [id] : [])));
    for (const [id, outcome] of outcomes) settle(id, outcome);
  }
  function settle(id: string, outcome: EntryOutcome) {
    asking.get(id)?.(outcome);
    asking.delete(id);
  }

  /** One lock for all tabs of this device: what one sends, no other sends meanwhile. */
  const alone = <T>(work: () => Promise<T>): Promise<T> => (navigator.locks ? navigator.locks.request(`banter-outbox-${boxKennel}`, work) : work());

  let running = false;
  async function trySend(): Promise<void> {
    clearTimeout(timer);
    const opened = box.value;
    if (running || !opened || clockAsk.value || !session.me) return;
    if (toSend(entries.value, Date.now()).length === 0) {
      sending.value = 'still';
      sendWhenDue();
      return;
    }
    running = true;
    sending.value = 'sending';
    const kennelId = boxKennel;
    const mayGoOn = () => session.me?.kennel.id === kennelId;
    const outcome = await alone(() => sendOutbox(opened, { ...POST, photo: sendPhoto }, { phone, now: () => Date.now(), heard, mayGoOn })).catch(() => ({
      is: 'away' as const,
    }));
    running = false;
    if (outcome.is === 'done') {
      sending.value = 'still';
      wait = FIRST_WAIT_MS;
      connection.reached();
      await forgetOld();
      if (toSend(entries.value, Date.now()).some(({ status }) => status === 'to-send')) void trySend();
      else sendWhenDue();
      return;
    }
    // Whoever asked what became of an entry hears that it is safe here; a try that found nobody may find somebody in a moment.
    if (outcome.is !== 'away' || !navigator.onLine) for (const { id } of toSend(entries.value)) settle(id, { is: 'boxed' });
    if (outcome.is === 'clock') {
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
  /** What could be taken back until then goes by itself. */
  function sendWhenDue() {
    const first = Math.min(...toSend(entries.value).flatMap(({ notBefore }) => (notBefore === undefined ? [] : [Date.parse(notBefore)])));
    if (first !== Infinity) timer = setTimeout(() => void trySend(), Math.max(0, first - Date.now()));
  }
  useEventListener('online', () => void trySend());
  onLook((isSeen) => isSeen && void trySend());

  async function sendPhoto(id: string): Promise<unknown> {
    const photo = await photos().of(id);
    if (!photo) throw new RequestFailure(PHOTO_GONE);
    return send('PUT', `/api/photos/${id}`, Photo, photo);
  }

  /** Sessions that go on here, whose story is not forgotten. */
  const liveSessions = shallowRef<ReadonlySet<string>>(new Set());
  async function forgetOld(): Promise<void> {
    const now = Date.now();
    const gone = entries.value.filter((entry) => {
      if (entry.status !== 'kept') return false;
      const sessions = happeningsOf(entry).flatMap((told) => ('sessionId' in told ? (told.sessionId ?? []) : []));
      const old = now - Date.parse(entry.at);
      return sessions.length === 0 ? old > KEPT_HERE_MS : old > SESSION_KEPT_HERE_MS && !sessions.some((id) => liveSessions.value.has(id));
    });
    if (gone.length === 0) return;
    const ids = new Set(gone.map(({ id }) => id));
    entries.value = entries.value.filter(({ id }) => !ids.has(id));
    await box.value?.remove([...ids]);
  }

  let lastSeq = 0;
  const nextSeq = () => (lastSeq = Math.max(lastSeq, entries.value.at(-1)?.seq ?? 0) + 1);
  async function write(changed: readonly OutboxEntry[]): Promise<void> {
    put(changed);
    if (!box.value) await open();
    const lies = (await box.value?.put(changed)) ?? 'nowhere';
    full.value = lies === 'kept' ? 'no' : lies;
  }

  /**
   * Writes down what was done; answers once it is kept, refused, or safe on this device for later. It may be held for some ms: until then it can be
   * let go of, and nobody has heard of it.
   */
  function add(entry: NewEntry, { holdMs = 0 } = {}): Promise<EntryOutcome> {
    const now = Date.now();
    const held = holdMs > 0 ? { notBefore: new Date(now + holdMs).toISOString() } : {};
    const one: OutboxEntry = { ...entry, ...held, seq: nextSeq(), at: new Date(now).toISOString(), status: 'to-send', message: '' };
    const outcome = new Promise<EntryOutcome>((resolve) => asking.set(entry.id, resolve));
    // A connection that hangs holds nobody up: it is safe here.
    setTimeout(() => settle(entry.id, { is: 'boxed' }), PATIENCE_MS);
    void write([one]).then(() => {
      // Nothing is tried while it is known that nothing can be sent.
      if (clockAsk.value || sending.value === 'signed-out') settle(entry.id, { is: 'boxed' });
      void trySend();
    });
    return outcome;
  }
  /** Writes down things that happened, kept whole or not at all. */
  const tell = (happenings: readonly NewHappening[], { words = '', source = 'hand' as 'hand' | 'stand-in' } = {}): Promise<EntryOutcome> =>
    add({ id: happenings[0]!.id, words, sent: { is: 'happenings', source, happenings: [...happenings] } });
  /** Writes down a photo, before the record that it goes with; it is sent in its turn. Null where this device has no room for it. */
  async function addPhoto(id: string, photo: Blob, words: string): Promise<{ outcome: Promise<EntryOutcome> } | null> {
    if (!box.value) await open();
    return (await photos().keep(id, photo)) ? { outcome: add({ id, words, sent: { is: 'photo' } }) } : null;
  }
  /** Knows of things that the kennel has already. */
  async function know(happenings: readonly NewHappening[]): Promise<void> {
    await write(
      happenings.map((told): OutboxEntry => ({
        id: told.id,
        seq: nextSeq(),
        at: told.at,
        status: 'kept',
        message: '',
        words: '',
        sent: { is: 'happenings', source: 'hand', happenings: [told] },
      })),
    );
  }

  /** Lets go of an entry that was refused, after somebody has read why; what speaks of it goes too. */
  async function letGo(id: string): Promise<void> {
    const dropped = entries.value.find((one) => one.id === id);
    const ids = new Set([id, ...(dropped ? happeningsOf(dropped).map((told) => told.id) : [])]);
    const begun = new Set((dropped ? happeningsOf(dropped) : []).flatMap((told) => (told.event === 'begin' ? [told.sessionId] : [])));
    const of = (told: NewHappening) =>
      (told.event === 'void' && ids.has(told.eventId)) ||
      (told.event === 'response' && ids.has(told.pressId)) ||
      ('sessionId' in told && told.sessionId !== undefined && begun.has(told.sessionId));
    // What a dropped photo goes with is sent without it.
    const without = entries.value.flatMap((one): OutboxEntry[] =>
      dropped?.sent.is === 'photo' && dropped.status !== 'kept' && one.sent.is === 'record' && one.status !== 'kept' && one.sent.body.photoId === id
        ? [{ ...one, status: 'to-send', message: '', sent: { ...one.sent, body: { ...one.sent.body, photoId: null } } }]
        : [],
    );
    if (without.length > 0) await write(without);
    const gone = entries.value.filter((one) => one.id === id || (one.status === 'waits' && happeningsOf(one).some(of))).map((one) => one.id);
    entries.value = entries.value.filter((one) => !gone.includes(one.id));
    unread.value = unread.value.filter((one) => one.id !== id);
    await box.value?.remove([id, ...gone]);
    if (dropped?.sent.is === 'photo') await photos().drop([id]);
    if (without.length > 0) void trySend();
  }

  /** Sends a refused entry again, put right where something is changed of what happened. */
  async function putRight(id: string, change: Partial<NewHappening> = {}): Promise<void> {
    const one = entries.value.find((entry) => entry.id === id);
    if (!one) return;
    const { sent } = one;
    const again: OutboxEntry = {
      ...one,
      status: 'to-send',
      message: '',
      sent: sent.is !== 'happenings' ? sent : { ...sent, happenings: sent.happenings.map((told) => ({ ...told, ...change }) as NewHappening) },
    };
    await write([again]);
    void trySend();
  }

  async function decideClock(phoneIsWrong: boolean): Promise<void> {
    const off = clockAsk.value;
    if (!off) return;
    await box.value?.putClock({ aheadMs: phoneIsWrong ? off.aheadMs : 0, measuredMs: off.aheadMs });
    clockAsk.value = null;
    void trySend();
  }

  /** Before somebody signs out: what the kennel has is forgotten here. */
  const forgetKept = async () => {
    await box.value?.forgetKept();
    entries.value = entries.value.filter(({ status }) => status !== 'kept');
  };

  const waiting = computed(() => toSend(entries.value).length);
  return {
    box,
    open,
    entries,
    unread,
    sending,
    sentence,
    clockAsk,
    full,
    waiting,
    /** Whether it cannot be sent just now, for want of a connection or of a sign-in. */
    stuck: computed(() => waiting.value > 0 && (connection.lost || sending.value === 'failed' || sending.value === 'signed-out')),
    refused: computed(() => entries.value.filter(({ status }) => status === 'refused')),
    /** What happened and is not refused, sent or not, in order. */
    told: computed(() => entries.value.filter(({ status }) => status !== 'refused').flatMap(happeningsOf)),
    /** Records that were made on this device and are not refused, sent or not, in order. */
    made: computed(() =>
      entries.value.flatMap(({ id, at, status, sent }): Made[] =>
        sent.is === 'record' && status !== 'refused' ? [{ path: sent.path, id, at, sent: status === 'kept', body: sent.body }] : [],
      ),
    ),
    liveSessions,
    add,
    addPhoto,
    photos,
    tell,
    know,
    letGo,
    putRight,
    decideClock,
    trySend,
    forgetKept,
  };
});
