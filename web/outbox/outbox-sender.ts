import { ClockOff, CLOCK_OFF_MS, MOST_HAPPENINGS, type HappeningBatch, type HappeningsKept } from '@banter/contract';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import type { ClockDecision, OutboxBox } from './outbox-box.ts';
import { happeningsOf, isOnItsWay, type EntryOutcome, type OutboxEntry, type YardRecord } from './outbox-entry.ts';

/** What came of a try to send: nothing left; no connection; somebody must sign in; the clock must be decided; something stays for now. */
export type SendOutcome = { is: 'done' } | { is: 'away' } | { is: 'signed-out' } | { is: 'clock'; off: ClockOff } | { is: 'failed'; sentence: string };

/** How things are sent; all throw a RequestFailure. */
export type Post = {
  happenings: (batch: HappeningBatch) => Promise<HappeningsKept>;
  record: (path: YardRecord, id: string, body: object) => Promise<unknown>;
  photo: (id: string) => Promise<unknown>;
};
type By = {
  phone: string;
  now: () => number;
  /** Whether it is still this kennel that somebody is signed in to. */
  mayGoOn: () => boolean;
  /** Told every entry whose standing changed, after it is written down here, with what became of it. */
  heard: (changed: OutboxEntry[], outcomes: ReadonlyMap<string, EntryOutcome>) => void;
};

/** Sent in order; those that waited for another go along again. What can still be taken back stays at an instant, ms. */
export const toSend = (entries: readonly OutboxEntry[], now = Infinity) =>
  entries.filter(({ status, notBefore }) => isOnItsWay(status) && (notBefore === undefined || Date.parse(notBefore) <= now));

/** Whether a request was turned away for what is in it, and not for who sends it or from where. */
const isAboutEntries = ({ problem }: RequestFailure): boolean => problem !== null && [400, 404, 409, 413, 415, 422].includes(problem.status);

/** What goes in one request: a record, a photo, or as many entries of happenings of one source as follow each other and fit. */
function nextPart(waiting: readonly OutboxEntry[], most: number): OutboxEntry[] {
  const first = waiting[0];
  if (!first) return [];
  if (first.sent.is !== 'happenings') return [first];
  const part: OutboxEntry[] = [];
  let count = 0;
  for (const one of waiting) {
    if (one.sent.is !== 'happenings' || one.sent.source !== first.sent.source) break;
    count += one.sent.happenings.length;
    if (part.length > 0 && (part.length >= most || count > MOST_HAPPENINGS)) break;
    part.push(one);
  }
  return part;
}

/**
 * Sends what this device has, in order, each entry as often as needed and kept once. What is refused, or fails on something nobody foresaw,
 * stays with its sentence and holds up no other.
 */
export async function sendOutbox(box: OutboxBox, post: Post, by: By): Promise<SendOutcome> {
  let passed = new Set<string>();
  /** What is left of this pass; what was written down meanwhile is read when it is empty. */
  let queue: OutboxEntry[] = [];
  let failed: string | null = null;
  // As many at once as there may be; after a batch that the server could not take, one by one until that one is found.
  let most = MOST_HAPPENINGS;
  const settle = async (
    part: readonly OutboxEntry[],
    outcomeOf: (entry: OutboxEntry, index: number) => { status: OutboxEntry['status']; outcome: EntryOutcome },
  ) => {
    const outcomes = new Map<string, EntryOutcome>();
    const changed = part.map((entry, index): OutboxEntry => {
      const { status, outcome } = outcomeOf(entry, index);
      outcomes.set(entry.id, outcome);
      return { ...entry, status, message: outcome.is === 'refused' ? outcome.message : '' };
    });
    await box.put(changed);
    by.heard(changed, outcomes);
    queue = queue.slice(part.length);
    return changed;
  };
  const refuse = (part: readonly OutboxEntry[], failure: RequestFailure) =>
    settle(part, () => ({ status: 'refused', outcome: { is: 'refused', message: failureSentence(failure), errors: failure.errors } }));

  for (;;) {
    if (queue.length === 0) queue = toSend(await box.all(), by.now()).filter(({ id }) => !passed.has(id));
    const part = nextPart(queue, most);
    if (part.length === 0) return failed === null ? { is: 'done' } : { is: 'failed', sentence: failed };
    if (!by.mayGoOn()) return { is: 'away' };
    const [{ sent, id }] = part as [OutboxEntry];
    try {
      if (sent.is !== 'happenings') {
        const answer = await (sent.is === 'photo' ? post.photo(id) : post.record(sent.path, id, sent.body));
        await settle(part, () => ({ status: 'kept', outcome: { is: 'kept', answer } }));
        continue;
      }
      const clock = await box.clock();
      const sentAt = by.now();
      const together = part.map((one) => happeningsOf(one).map((told) => told.id)).filter((ids) => ids.length > 1);
      const answer = await post.happenings({
        source: sent.source,
        phone: by.phone,
        sentAt: new Date(sentAt).toISOString(),
        clock: clock && { aheadMs: clock.aheadMs },
        happenings: part.flatMap(happeningsOf),
        ...(together.length > 0 ? { together } : {}),
      });
      const results = new Map(answer.results.map((result) => [result.id, result]));
      const changed = await settle(part, (entry) => {
        const own = happeningsOf(entry).flatMap((told) => results.get(told.id) ?? []);
        const refused = own.find(({ status }) => status === 'refused');
        if (refused) return { status: 'refused', outcome: { is: 'refused', message: refused.message, errors: [] } };
        if (own.length === 0 || own.some(({ status }) => status === 'waits')) return { status: 'waits', outcome: { is: 'boxed' } };
        return { status: 'kept', outcome: { is: 'kept', answer: null } };
      });
      const waits = changed.filter(({ status }) => status === 'waits').map((one) => one.id);
      // Something was kept: what waited for it may go now.
      passed = changed.some(({ status }) => status === 'kept') && waits.length > 0 ? new Set() : new Set([...passed, ...waits]);
      if (clock) await forgetStaleClock(box, clock, sentAt, Date.parse(answer.serverAt));
    } catch (failure) {
      if (!(failure instanceof RequestFailure)) throw failure;
      if (failure.mayPass) return { is: 'away' };
      if (failure.problem?.status === 401) return { is: 'signed-out' };
      const off = ClockOff.safeParse(failure.problem?.current);
      if (failure.problem?.code === 'clock-off' && off.success) return { is: 'clock', off: off.data };
      if (isAboutEntries(failure)) {
        if (part.length > 1) {
          most = 1;
          continue;
        }
        // It alone is what cannot be taken: it stays here, and holds up no other.
        await refuse(part, failure);
        most = MOST_HAPPENINGS;
        continue;
      }
      failed = failureSentence(failure);
      passed = new Set([...passed, ...part.map((one) => one.id)]);
      queue = queue.slice(part.length);
    }
  }
}

/** A clock that was put right, or went further astray, is asked about anew. */
async function forgetStaleClock(box: OutboxBox, clock: ClockDecision, sentAt: number, serverAt: number): Promise<void> {
  if (Math.abs(sentAt - serverAt - clock.measuredMs) > CLOCK_OFF_MS) await box.putClock(null);
}
