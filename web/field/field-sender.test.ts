import 'fake-indexeddb/auto';
import type { FieldBatch, FieldBatchKept, NewFieldEvent, Problem } from '@banter/contract';
import { openDB } from 'idb';
import { v7 as uuidv7 } from 'uuid';
import { beforeEach, describe, expect, it } from 'vitest';
import { RequestFailure } from '../api/failure.ts';
import { FieldBox, type BoxedEvent } from './field-box.ts';
import { sendBox } from './field-sender.ts';

/** The page's own store: its entries are its own keys, as in a browser. */
const shelf: Record<string, string> = {};
const store = Object.create({
  getItem: (key: string) => shelf[key] ?? null,
  setItem: (key: string, value: string) => void (shelf[key] = value),
  removeItem: (key: string) => void delete shelf[key],
}) as Storage;
Object.assign(globalThis, { localStorage: new Proxy(store, { ownKeys: () => Object.keys(shelf), getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) }) }); // prettier-ignore

let kennel: string;
let box: FieldBox;
beforeEach(async () => {
  for (const key of Object.keys(shelf)) delete shelf[key];
  kennel = uuidv7();
  box = await FieldBox.open(kennel);
});

const sessionId = uuidv7();
const cue = (): NewFieldEvent => ({ event: 'cue', id: uuidv7(), sessionId, at: '2026-03-02T09:00:00.000Z' });
const boxed = (events: readonly NewFieldEvent[]): BoxedEvent[] => events.map((event, index) => ({ seq: index + 1, event, status: 'to-send', message: '' }));
const problem = (status: number, code: Problem['code']) => new RequestFailure({ type: `/problems/${code}`, title: 'Refused.', status, code });
const by = { phone: 'phone a', now: () => Date.parse('2026-03-02T09:00:00.000Z'), heard: () => {} };
/** A server that keeps what it likes, and remembers what it kept. */
function server(answer: (batch: FieldBatch) => FieldBatchKept['results'] | RequestFailure) {
  const kept: string[] = [];
  return {
    kept,
    post: async (batch: FieldBatch): Promise<FieldBatchKept> => {
      const results = answer(batch);
      if (results instanceof RequestFailure) throw results;
      for (const { id, status } of results) if (status === 'kept') kept.push(id);
      return { results, serverAt: '2026-03-02T09:00:00.000Z' };
    },
  };
}

describe('what a phone sends', () => {
  it('goes on past one event among a thousand that the server refuses, which stays with its sentence', async () => {
    const events = Array.from({ length: 1000 }, cue);
    const bad = events[437]!.id;
    await box.put(boxed(events));
    const { post, kept } = server(({ events: sent }) => sent.map(({ id }) => ({ id, status: id === bad ? 'refused' : 'kept', message: id === bad ? 'This lies before the session began.' : '' }))); // prettier-ignore
    expect(await sendBox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toHaveLength(999);
    const left = (await box.all()).filter(({ status }) => status !== 'kept');
    expect(left.map(({ event, status, message }) => [event.id, status, message])).toEqual([[bad, 'refused', 'This lies before the session began.']]);
  });

  it('finds the one for which a server turns the whole batch away, and keeps the rest', async () => {
    const events = Array.from({ length: 30 }, cue);
    const bad = events[7]!.id;
    await box.put(boxed(events));
    const { post, kept } = server(({ events: sent }) =>
      sent.some(({ id }) => id === bad) ? problem(422, 'bad-input') : sent.map(({ id }) => ({ id, status: 'kept', message: '' })),
    );
    expect(await sendBox(box, post, by)).toEqual({ is: 'done' });
    expect(new Set(kept)).toEqual(new Set(events.map(({ id }) => id).filter((id) => id !== bad)));
    expect((await box.all()).find(({ event }) => event.id === bad)).toMatchObject({ status: 'refused', message: 'Refused.' });
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
      expect((await sendBox(box, server(() => failure).post, by)).is).toBe(outcome);
      expect((await box.all()).map(({ status }) => status)).toEqual(['to-send', 'to-send']);
    }
  });
});

describe('the phone’s own memory', () => {
  it('is not held up by an entry that this Banter cannot read: it is named, and gone when it is dropped', async () => {
    const good = cue();
    await box.put(boxed([good]));
    const raw = await openDB(`banter-field-${kennel}`, 1);
    const broken = uuidv7();
    await raw.put('events', { id: broken, seq: 0, status: 'to-send', message: '', event: { id: broken, event: 'levitate', at: '2026-03-02T08:00:00.000Z' } });
    expect((await box.all()).map(({ event }) => event.id)).toEqual([good.id]);
    expect(await box.unread()).toEqual([{ id: broken, what: 'levitate', at: '2026-03-02T08:00:00.000Z' }]);
    const { post, kept } = server(({ events }) => events.map(({ id }) => ({ id, status: 'kept', message: '' })));
    expect(await sendBox(box, post, by)).toEqual({ is: 'done' });
    expect(kept).toEqual([good.id]);
    await box.remove([broken]);
    expect(await box.unread()).toEqual([]);
  });

  it('keeps what spilled where a part of it cannot be read', async () => {
    const good = boxed([cue()])[0]!;
    shelf[`banter.field-spill.${kennel}`] = JSON.stringify([{ seq: 1, event: { id: 'x', event: 'levitate' }, status: 'to-send', message: '' }, good]);
    expect((await box.all()).map(({ event }) => event.id)).toEqual([good.event.id]);
    // Taken into the database by now; the other one still lies where it was.
    expect(Object.keys(shelf)).toEqual([`banter.field-spill.${kennel}.x`]);
    expect((await box.unread()).map(({ id }) => id)).toEqual(['x']);
  });

  it('has a tap from the moment it is made: a tab killed before the database answers loses nothing', async () => {
    const [one, two] = boxed([cue(), cue()]);
    await box.put([one!]);
    void box.put([two!]);
    // At once, before anything is waited for, it lies where another tab finds it.
    expect(Object.keys(shelf)).toEqual([`banter.field-spill.${kennel}.${two!.event.id}`]);
    const lost = structuredClone(shelf);
    expect((await box.all()).map(({ event }) => event.id)).toEqual([one!.event.id, two!.event.id]);
    expect(Object.keys(shelf)).toEqual([]);
    // The same in a browser whose database never got it.
    const fresh = await FieldBox.open((kennel = uuidv7()));
    for (const json of Object.values(lost)) shelf[`banter.field-spill.${kennel}.${two!.event.id}`] = json;
    expect((await fresh.all()).map(({ event }) => event.id)).toEqual([two!.event.id]);
    expect(Object.keys(shelf)).toEqual([]);
  });
});
