import type { FieldBatchKept } from '@banter/contract';
import { ClockOff, MOST_FIELD_EVENTS, CLOCK_OFF_MS, type FieldBatch } from '@banter/contract';
import { RequestFailure } from '../api/failure.ts';
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
  for (;;) {
    const waiting = toSend(await box.all()).filter(({ event, status }) => status === 'to-send' || !waitedFor.has(event.id));
    const part = waiting.slice(0, MOST_FIELD_EVENTS);
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
      const wrong = wrongEvents(failure, part);
      if (wrong.length === 0) return { is: 'failed', sentence: failure.message };
      // One that cannot even be read must not hold up the others.
      await box.put(wrong);
      by.heard(wrong);
      continue;
    }
    const results = new Map(answer.results.map((result) => [result.id, result]));
    const changed = part.map((one): BoxedEvent => {
      const result = results.get(one.event.id);
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

/** The events of a batch that the server could not read, each with what it said of it. */
function wrongEvents(failure: RequestFailure, part: readonly BoxedEvent[]): BoxedEvent[] {
  return part.flatMap((one, index): BoxedEvent[] => {
    const error = failure.errors.find(({ path }) => path.startsWith(`events[${index}]`));
    return error ? [{ ...one, status: 'refused', message: error.message }] : [];
  });
}
