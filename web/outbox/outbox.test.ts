import 'fake-indexeddb/auto';
import type { HappeningBatch, HappeningsKept, NewHappening, Problem } from '@banter/contract';
import { deleteDB, openDB } from 'idb';
import { v7 as uuidv7 } from 'uuid';
import { beforeEach, describe, expect, it } from 'vitest';
import { RequestFailure } from '../api/failure.ts';
import { OutboxBox } from './outbox-box.ts';
import { happeningsOf, type EntryOutcome, type OutboxEntry } from './outbox-entry.ts';
import { sendOutbox, type Post } from './outbox-sender.ts';
import { PhotoBox } from './photo-box.ts';

/** The page's own store: its entries are its own keys, as in a browser. */
const shelf: Record<string, string> = {};
const store = Object.create({
  getItem: (key: string) => shelf[key] ?? null,
  setItem: (key: string, value: string) => void (shelf[key] = value),
  removeItem: (key: string) => void delete shelf[key],
}) as Storage;
Object.assign(globalThis, { localStorage: new Proxy(store, { ownKeys: () => Object.keys(shelf), getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) }) }); // prettier-ignore

let kennel: string;
let box: OutboxBox;
beforeEach(async () => {
  for (const key of Object.keys(shelf)) delete shelf[key];
  kennel = uuidv7();
  box = await OutboxBox.open(kennel);
});

const AT = '2026-03-02T09:00:00.000Z';
const sessionId = uuidv7();
const cue = (): NewHappening => ({ event: 'cue', id: uuidv7(), sessionId, at: AT });
const entry = (seq: number, happenings: NewHappening[], more: Partial<OutboxEntry> = {}): OutboxEntry => ({
  id: happenings[0]!.id,
  seq,
  at: AT,
  status: 'to-send',
  message: '',
  words: '',
  sent: { is: 'happenings', source: 'hand', happenings },
  ...more,
});
const boxed = (told: readonly NewHappening[]): OutboxEntry[] => told.map((one, index) => entry(index + 1, [one]));
const weighing = (seq: number): OutboxEntry => ({
  id: uuidv7(),
  seq,
  at: AT,
  status: 'to-send',
  message: '',
  words: 'Weighing: Bramble',
  sent: { is: 'record', path: 'weighings', body: { weightG: 29_000 } },
});
const idsOf = (entries: readonly OutboxEntry[]) => entries.map(({ id }) => id);
const problem = (status: number, code: Problem['code']) => new RequestFailure({ type: `/problems/${code}`, title: 'Refused.', status, code });
const by = { phone: 'phone a', now: () => Date.parse(AT), mayGoOn: () => true, heard: () => {} };
/** A server that keeps what it likes, and remembers what it kept, in order. */
function server(answer: (batch: HappeningBatch) => HappeningsKept['results'] | RequestFailure, record: (id: string) => unknown = (id) => ({ id })) {
  const kept: string[] = [];
  const batches: HappeningBatch[] = [];
  const post: Post = {
    happenings: (batch) => {
      batches.push(batch);
      const results = answer(batch);
      if (results instanceof RequestFailure) return Promise.reject(results);
      for (const { id, status } of results) if (status === 'kept') kept.push(id);
      return Promise.resolve({ results, serverAt: AT });
    },
    record: (_path, id) => {
      const answered = record(id);
      if (answered instanceof RequestFailure) return Promise.reject(answered);
      kept.push(id);
      return Promise.resolve(answered);
    },
    photo: (id) => post.record('skin-looks', id, {}),
  };
  return { kept, batches, post };
}
const keepsAll = ({ happenings }: HappeningBatch) => happenings.map(({ id }) => ({ id, status: 'kept' as const, message: '' }));

describe('what a phone sends', () => {
  it('goes on past one event among a thousand that the server refuses, which stays with its sentence', async () => {
    const events = Array.from({ length: 1000 }, cue);
    const bad = events[437]!.id;
    await box.put(boxed(events));
    const { post, kept } = server(({ happenings }) => happenings.map(({ id }) => ({ id, status: id === bad ? 'refused' : 'kept', message: id === bad ? 'This lies before the session began.' : '' }))); // prettier-ignore
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toHaveLength(999);
    const left = (await box.all()).filter(({ status }) => status !== 'kept');
    expect(left.map(({ id, status, message }) => [id, status, message])).toEqual([[bad, 'refused', 'This lies before the session began.']]);
  });

  it('finds the one for which a server turns the whole batch away, and keeps the rest', async () => {
    const events = Array.from({ length: 30 }, cue);
    const bad = events[7]!.id;
    await box.put(boxed(events));
    const { post, kept } = server((batch) => (batch.happenings.some(({ id }) => id === bad) ? problem(422, 'bad-input') : keepsAll(batch)));
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(new Set(kept)).toEqual(new Set(events.map(({ id }) => id).filter((id) => id !== bad)));
    expect((await box.all()).find(({ id }) => id === bad)).toMatchObject({ status: 'refused', message: 'Refused.' });
  });

  it('refuses nothing for who sends it, or for a server that is away or at fault', async () => {
    await box.put(boxed([cue(), cue()]));
    for (const [failure, outcome] of [
      [problem(503, 'database-away'), 'away'],
      [problem(429, 'too-many'), 'away'],
      [problem(401, 'not-signed-in'), 'signed-out'],
      [problem(403, 'not-allowed'), 'failed'],
      [problem(500, 'unexpected'), 'failed'],
      [new RequestFailure(null), 'away'],
    ] as const) {
      expect((await sendOutbox(box, server(() => failure).post, by)).is).toBe(outcome);
      expect((await box.all()).map(({ status }) => status)).toEqual(['to-send', 'to-send']);
    }
  });

  it('in order: records among what happened, each for itself; one that is refused or fails holds up no other', async () => {
    const [one, two, three] = boxed([cue(), cue(), cue()]) as [OutboxEntry, OutboxEntry, OutboxEntry];
    const [first, bad, broken] = [weighing(2), weighing(3), weighing(4)];
    await box.put([one, first, bad, broken, { ...two, seq: 5 }, { ...three, seq: 6 }]);
    const answers = new Map<string, unknown>([
      [first.id, { id: first.id }],
      [bad.id, problem(422, 'bad-input')],
      [broken.id, problem(500, 'unexpected')],
    ]);
    const { post, kept } = server(keepsAll, (id) => answers.get(id));
    const heard = new Map<string, EntryOutcome>();
    const outcome = await sendOutbox(box, post, { ...by, heard: (_changed, outcomes) => outcomes.forEach((value, id) => heard.set(id, value)) });
    expect(outcome).toEqual({ is: 'failed', sentence: 'Refused.' });
    expect(kept).toEqual([one.id, first.id, two.id, three.id]);
    expect(heard.get(first.id)).toEqual({ is: 'kept', answer: { id: first.id } });
    expect((await box.all()).filter(({ status }) => status !== 'kept').map(({ id, status }) => [id, status])).toEqual([
      [bad.id, 'refused'],
      [broken.id, 'to-send'],
    ]);
  });

  it('not before its time what can still be taken back, and nothing waits for it; let go of, it has never been', async () => {
    const [pink, mistaken] = [weighing(1), weighing(2)].map((one): OutboxEntry => ({ ...one, notBefore: '2026-03-02T09:00:06.000Z' })) as [
      OutboxEntry,
      OutboxEntry,
    ];
    const [moved] = boxed([cue()]) as [OutboxEntry];
    await box.put([pink, mistaken, { ...moved, seq: 3 }]);
    const { post, kept } = server(keepsAll);
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toEqual([moved.id]);
    await box.remove([mistaken.id]);
    await sendOutbox(box, post, { ...by, now: () => Date.parse(AT) + 6000 });
    expect(kept).toEqual([moved.id, pink.id]);
  });

  it('what is kept whole or not at all goes in one batch and is named; what waits for another goes again', async () => {
    const wear = [cue(), cue()];
    const late = cue();
    await box.put([entry(1, [late]), entry(2, wear)]);
    let calls = 0;
    const { post, batches } = server(({ happenings }) => {
      calls += 1;
      return happenings.map(({ id }) => ({ id, status: id === late.id && calls === 1 ? 'waits' : 'kept', message: '' }));
    });
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(batches[0]!.together).toEqual([wear.map(({ id }) => id)]);
    expect(calls).toBe(2);
    expect((await box.all()).every(({ status }) => status === 'kept')).toBe(true);
  });

  it('a photo before the check that it goes with; one that is no photo stays with its sentence, and holds up nothing', async () => {
    const [photo, look, bad, later] = [weighing(1), weighing(2), weighing(3), weighing(4)] as [OutboxEntry, OutboxEntry, OutboxEntry, OutboxEntry];
    const ofPhoto = (one: OutboxEntry): OutboxEntry => ({ ...one, words: 'Photo of skin: Bramble', sent: { is: 'photo' } });
    await box.put([look, ofPhoto(photo), later, ofPhoto(bad)]);
    const { post, kept } = server(keepsAll, (id) => (id === bad.id ? problem(415, 'not-a-photo') : { id }));
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toEqual([photo.id, look.id, later.id]);
    expect((await box.all()).find(({ id }) => id === bad.id)).toMatchObject({ status: 'refused', message: 'Refused.', sent: { is: 'photo' } });
  });

  it('stops where somebody has signed in to another kennel meanwhile', async () => {
    await box.put([entry(1, [cue()]), weighing(2), entry(3, [cue()])]);
    const { post, kept } = server(keepsAll);
    expect(await sendOutbox(box, post, { ...by, mayGoOn: () => kept.length < 1 })).toEqual({ is: 'away' });
    expect(kept).toHaveLength(1);
    expect((await box.all()).map(({ status }) => status)).toEqual(['kept', 'to-send', 'to-send']);
  });

  it('ten thousand, of which every tenth is wrong: all others are kept, in order, and each of these has its sentence', async () => {
    const told = Array.from({ length: 10_000 }, cue);
    const wrong = new Set(told.filter((_one, index) => index % 10 === 3).map(({ id }) => id));
    await box.put(boxed(told));
    const { post, kept } = server(({ happenings }) =>
      happenings.map(({ id }) => ({ id, status: wrong.has(id) ? 'refused' : 'kept', message: wrong.has(id) ? 'No such setting.' : '' })),
    );
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toEqual(told.map(({ id }) => id).filter((id) => !wrong.has(id)));
    expect((await box.all()).filter(({ status, message }) => status === 'refused' && message === 'No such setting.')).toHaveLength(1000);
  }, 60_000);
});

describe('the device’s own memory', () => {
  it('is not held up by an entry that this Banter cannot read: it is named, and gone when it is dropped', async () => {
    const good = cue();
    await box.put(boxed([good]));
    const raw = await openDB(`banter-outbox-${kennel}`, 1);
    const broken = uuidv7();
    const unknown = { id: broken, event: 'levitate', at: '2026-03-02T08:00:00.000Z' };
    await raw.put('entries', { ...entry(0, [unknown as unknown as NewHappening]), at: unknown.at });
    expect(idsOf(await box.all())).toEqual([good.id]);
    expect(await box.unread()).toEqual([{ id: broken, what: 'levitate', at: '2026-03-02T08:00:00.000Z' }]);
    const { post, kept } = server(keepsAll);
    expect(await sendOutbox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toEqual([good.id]);
    await box.remove([broken]);
    expect(await box.unread()).toEqual([]);
  });

  it('has an entry from the moment it is made: a tab killed before the database answers loses nothing', async () => {
    const [one, two] = boxed([cue(), cue()]) as [OutboxEntry, OutboxEntry];
    await box.put([one]);
    void box.put([two]);
    // At once, before anything is waited for, it lies where another tab finds it.
    expect(Object.keys(shelf)).toEqual([`banter.outbox-spill.${kennel}.${two.id}`]);
    const lost = structuredClone(shelf);
    expect(idsOf(await box.all())).toEqual([one.id, two.id]);
    expect(Object.keys(shelf)).toEqual([]);
    // The same in a browser whose database never got it.
    const fresh = await OutboxBox.open((kennel = uuidv7()));
    for (const json of Object.values(lost)) shelf[`banter.outbox-spill.${kennel}.${two.id}`] = json;
    expect(idsOf(await fresh.all())).toEqual([two.id]);
    expect(Object.keys(shelf)).toEqual([]);
  });

  it('forgets what the kennel has, and nothing that is to be sent or was refused', async () => {
    const [sent, refused, waiting] = boxed([cue(), cue(), cue()]) as [OutboxEntry, OutboxEntry, OutboxEntry];
    await box.put([{ ...sent, status: 'kept' }, { ...refused, status: 'refused', message: 'No.' }, waiting]);
    await box.forgetKept();
    expect(idsOf(await box.all())).toEqual([refused.id, waiting.id]);
  });
});

describe('photos of this device', () => {
  it('lie here byte for byte until their entries have gone, for their own kennel alone', async () => {
    const photos = new PhotoBox(kennel);
    const [one, two] = [uuidv7(), uuidv7()];
    const bytes = new Uint8Array([0xff, 0xd8, 0xff, 0, 7]);
    expect(await photos.keep(one, new Blob([bytes], { type: 'image/jpeg' }))).toBe(true);
    await photos.keep(two, new Blob([bytes]));
    // As after the tab was killed.
    const again = await new PhotoBox(kennel).of(one);
    expect(again?.type).toBe('image/jpeg');
    expect(new Uint8Array(await again!.arrayBuffer())).toEqual(bytes);
    expect(await new PhotoBox(uuidv7()).of(one)).toBeNull();
    await photos.drop([one]);
    expect([await photos.of(one), (await photos.of(two))?.size]).toEqual([null, bytes.length]);
    // What no entry speaks of goes after a day; until then another tab may be just writing the entry down.
    const [tomorrow, later] = [Date.now() + 23 * 3_600_000, Date.now() + 25 * 3_600_000];
    await photos.keep(one, new Blob([bytes]));
    await photos.sweep(new Set([two]), tomorrow);
    expect((await photos.of(one))?.size).toBe(bytes.length);
    await photos.sweep(new Set([two]), later);
    expect([await photos.of(one), (await photos.of(two))?.size]).toEqual([null, bytes.length]);
  });
});

describe('what waits in the boxes of an earlier version', () => {
  const fullOfTaps = async (id: string, taps: object[]) => {
    const old = await openDB(`banter-field-${id}`, 1, {
      upgrade(made) {
        made.createObjectStore('events', { keyPath: 'id' }).createIndex('seq', 'seq');
        made.createObjectStore('facts');
      },
    });
    for (const tap of taps) await old.put('events', tap);
    await old.put('facts', 'phone 3f2a', 'phone');
    old.close();
  };
  const tap = (seq: number, event: object, status = 'to-send') => ({ id: (event as { id: string }).id, seq, event, status, message: '' });

  it('is taken over in order, with its words of then, and once: taps, those of the last resort, what was told at the neck', async () => {
    const id = uuidv7();
    const collarId = uuidv7();
    const [first, spilled] = [cue(), cue()];
    const found = { event: 'looked-into', id: uuidv7(), sessionId, at: AT, collarId, found: 'skin' };
    const strange = { event: 'levitate', id: uuidv7(), at: AT };
    await fullOfTaps(id, [tap(2, found), tap(1, first), tap(4, strange)]);
    shelf[`banter.field-spill.${id}.${spilled.id}`] = JSON.stringify({ seq: 3, event: spilled, status: 'to-send', message: '' });
    const wear = [
      { event: 'put-on', id: uuidv7(), at: AT, dogId: uuidv7(), collarId, clock: 9, state: 'worked' },
      { event: 'contact', id: uuidv7(), at: AT, collarId, made: true },
    ] as NewHappening[];
    shelf[`banter.told.${id}.${uuidv7()}`] = JSON.stringify([{ source: 'hand', events: wear }]);
    const opened = await OutboxBox.open(id);
    const all = await opened.all();
    expect(all.flatMap(happeningsOf).map(({ event }) => event)).toEqual(['cue', 'looked-through', 'cue', 'put-on', 'contact']);
    expect((await opened.unread()).map(({ what }) => what)).toEqual(['levitate']);
    expect(await opened.phone(() => 'another')).toBe('phone 3f2a');
    expect(Object.keys(shelf)).toEqual([]);
    // A second tab, or the next start, finds nothing more there.
    expect(idsOf(await (await OutboxBox.open(id)).all())).toEqual(idsOf(all));
    const { post, batches } = server(keepsAll);
    expect(await sendOutbox(opened, post, by)).toEqual({ is: 'done' });
    expect(batches.flatMap(({ together = [] }) => together)).toEqual([wear.map((one) => one.id)]);
    await deleteDB(`banter-field-${id}`);
  });
});
