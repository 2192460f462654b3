import type { HouseRules } from '../rules/house-rules.ts';
import { contactStanding } from '../standing/contact-standing.ts';
import type { DeviceEvent } from './device-event.ts';

/** The morning routine of a device, in the order the hands go. Common practice. */
export const ROUTINE_STEPS = [
  { id: 'charged', name: 'Charged', how: 'The light tells; enough for the day.' },
  { id: 'covers', name: 'Covers shut', how: 'Of both sockets, transmitter and receiver.' },
  { id: 'on', name: 'Switched on', how: 'Transmitter and receiver.' },
  { id: 'paired', name: 'Paired', how: 'They know each other: the receiver’s light answers.' },
  { id: 'tried', name: 'Tried at the lowest level', how: 'In the hand, before it goes on the dog.' },
  { id: 'contact', name: 'Contact checked on the dog', how: 'After fitting: both posts touch skin, the skin moves with it.' },
] as const;
export type RoutineStepId = (typeof ROUTINE_STEPS)[number]['id'];

/** `late`: done, but only after it was on the dog. `failed`: looked at, and not right. `skipped`: on the dog without it. */
export type RoutineStep = { id: RoutineStepId; state: 'done' | 'late' | 'failed' | 'skipped' | 'open'; at: number | null };

const stepOf = (event: DeviceEvent, rules: Pick<HouseRules, 'chargePercent'>): { id: RoutineStepId; right: boolean | null } | null => {
  switch (event.event) {
    case 'charged':
      return { id: 'charged', right: event.percent >= rules.chargePercent };
    case 'covers':
      return { id: 'covers', right: event.shut };
    case 'switched':
      return { id: 'on', right: event.on };
    case 'paired':
      return { id: 'paired', right: event.paired };
    case 'tried':
      return { id: 'tried', right: true };
    case 'contact':
      return { id: 'contact', right: event.made };
    default:
      return null;
  }
};

/**
 * How far the morning routine of a device is, from the events of its day and the first wear of it. Before the collar is on, a
 * step not done is open; on the dog without it, it is skipped. Contact is felt on the dog, so it is open until the wear ends, and
 * counts since the collar sits where it sits (`placeSince`).
 * Of several tries the last before the collar went on counts. Times in ms. Common practice.
 */
export function morningRoutine(
  events: readonly DeviceEvent[],
  wear: { from: number; to: number | null; placeSince?: number } | null,
  rules: Pick<HouseRules, 'chargePercent'>,
): RoutineStep[] {
  const told = [...events].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const tries = told.flatMap((event) => {
    const step = stepOf(event, rules);
    return step ? [{ ...step, at: event.at }] : [];
  });
  return ROUTINE_STEPS.map(({ id }): RoutineStep => {
    const own = tries.filter((one) => one.id === id);
    if (id === 'contact') {
      const within = own.filter(({ at }) => wear === null || wear.to === null || at <= wear.to).map(({ at, right }) => ({ at, made: right }));
      const contact = contactStanding(wear && (wear.placeSince ?? wear.from), within);
      if ('at' in contact) return { id, state: contact.state === 'good' ? 'done' : 'failed', at: contact.at };
      return { id, state: wear !== null && wear.to !== null ? 'skipped' : 'open', at: null };
    }
    const before = own.filter(({ at }) => wear === null || at <= wear.from).at(-1);
    if (before?.right) return { id, state: 'done', at: before.at };
    const after = wear === null ? undefined : own.filter(({ at, right }) => at > wear.from && right).at(-1);
    if (after) return { id, state: 'late', at: after.at };
    const failed = own.at(-1);
    if (failed) return { id, state: 'failed', at: failed.at };
    return { id, state: wear === null ? 'open' : 'skipped', at: null };
  });
}
