import type { FieldBatchKept } from '@banter/contract';
import { ClockOff, MOST_FIELD_EVENTS, CLOCK_OFF_MS, type FieldBatch } from '@banter/contract';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import type { BoxedEvent, ClockDecision, FieldBox } from './field-box.ts';

/** What came of a try to send: nothing left; no connection; somebody must sign in; the clock must be decided; refused as a whole. */
export type SendOutcome = { is: 'done' } | { is: 'away' } | { is: 'signed-out' } | { is: 'clock'; off: ClockOff } | { is: 'failed'; sentence: string };

/** Sends a batch; throws a RequestFailure. */
export type PostBatch = (batch: FieldBatch) => Promise<FieldBatchKept>;

/** Sent in order; those that waited for another event go along again. */
export const toSend = (events: readonly BoxedEvent[]) => events.filter(({ status }) => status === 'to-send' || status === 'waits');

/**
 * Sends what this phone has, in order, a batch after the other, each event as often as needed and kept once. `heard` is told
 * every event whose standing changed, after it is written down here.
 */
export async function sendBox(
  box: FieldBox,
  post: PostBatch,
  by: { phone: string; now: () => number; heard: (changed: BoxedEvent[]) => void },
): Promise<SendOutcome> {
  let waitedFor = new Set<string>();
  // As many at once as there may be; after a batch that the server could not take, one by one until that one is found.
  let most = MOST_FIELD_EVENTS;
  for (;;) {
    const waiting = toSend(await box.all()).filter(({ event, status }) => status === 'to-send' || !waitedFor.has(event.id));
    const part = waiting.slice(0, most);
    if (part.length === 0) return { is: 'done' };
    const clock = await box.clock();
    const sentAt = by.now();
    let answer: FieldBatchKept;
    try {
      answer = await post({
        phone: by.phone,
        sentAt: new Date(sentAt).toISOString(),
        clock: clock && { aheadMs: clock.aheadMs },
        events: part.map(({ event }) => event),
      });
    } catch (failure) {
      if (!(failure instanceof RequestFailure)) throw failure;
      if (failure.mayPass) return { is: 'away' };
      if (failure.problem?.status === 401) return { is: 'signed-out' };
      const off = ClockOff.safeParse(failure.problem?.current);
      if (failure.problem?.code === 'clock-off' && off.success) return { is: 'clock', off: off.data };
      if (!isAboutEvents(failure)) return { is: 'failed', sentence: failureSentence(failure) };
      if (part.length > 1) {
        most = 1;
        continue;
      }
      // It alone is what cannot be taken: it stays here, and holds up no other.
      const refused = part.map((one): BoxedEvent => ({ ...one, status: 'refused', message: failureSentence(failure) }));
      await box.put(refused);
      by.heard(refused);
      most = MOST_FIELD_EVENTS;
      continue;
    }
    const changed = part.map((one, index): BoxedEvent => {
      const result = answer.results[index];
      if (!result) return one;
      return { ...one, status: result.status === 'known' ? 'kept' : result.status, message: result.message };
    });
    await box.put(changed);
    by.heard(changed);
    waitedFor = new Set([...waitedFor, ...changed.filter(({ status }) => status === 'waits').map(({ event }) => event.id)]);
    // Something was kept: what waited for it may go now.
    if (changed.some(({ status }) => status === 'kept') && changed.some(({ status }) => status === 'waits')) waitedFor = new Set();
    if (clock) await forgetStaleClock(box, clock, sentAt, Date.parse(answer.serverAt));
  }
}

/** A clock that was put right, or went further astray, is asked about anew. */
async function forgetStaleClock(box: FieldBox, clock: ClockDecision, sentAt: number, serverAt: number): Promise<void> {
  if (Math.abs(sentAt - serverAt - clock.measuredMs) > CLOCK_OFF_MS) await box.putClock(null);
}

/** Whether a batch was turned away for what is in it, and not for who sends it or from where. */
const isAboutEvents = ({ problem }: RequestFailure): boolean => problem !== null && [400, 413, 422].includes(problem.status);
