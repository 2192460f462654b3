import { randomLcg } from 'd3-random';
import { slotOn, type PlacedSession, type ScheduleCase } from '../programme/schedule.ts';
import { tellTalePlan } from './tell-tale-plan.ts';

/** A time of the plan on its day (by place in the list): what goes on when, for how long, and the work in it, if any. */
export type TellTaleTime = { day: number; minute: number; minutes: number; worn: readonly string[]; session: PlacedSession | null };

const FIVE = 5;
const toFive = (minute: number) => Math.round(minute / FIVE) * FIVE;
/** Between two times of a day it is bare for at least so long. From memory. */
const BARE_MINUTES = 20;
/** Work follows so long after it went on, and it stays on so long after work or for nothing: from and to, minutes. From memory. */
const LEAD = [5, 45] as const;
const AFTER = [5, 30] as const;
const FOR_NOTHING = [20, 75] as const;

/**
 * The two weeks without a tell-tale on the days of a calendar: the times of `tellTalePlan` on its open days, with work placed where
 * hands and the dog are free, and with a lead and an end that chance by the seed deals, so that the hour tells nothing, either.
 * `noWork` are the days on which work found no room, and nothing follows instead. Minutes of the day. Common practice; lengths from
 * memory.
 */
export function tellTaleTimes({
  collars,
  seed,
  dogId,
  wishId,
  workMinutes,
  calendar,
  fixed,
}: {
  collars: readonly string[];
  seed: number;
  dogId: string;
  wishId: string;
  workMinutes: number;
  calendar: Pick<ScheduleCase, 'days' | 'hands' | 'rules' | 'notBefore'>;
  fixed: readonly PlacedSession[];
}): { times: TellTaleTime[]; noWork: number[] } {
  const random = randomLcg(seed);
  const between = ([low, high]: readonly [number, number]) => toFive(low + (high - low) * random());
  const open = calendar.days.flatMap(({ open: span }, day) => (span && day >= calendar.notBefore.day ? [{ day, span }] : []));
  const slots = tellTalePlan({ collars, seed, days: Math.min(14, open.length) });
  const taken = [...fixed];
  const times: TellTaleTime[] = [];
  const noWork: number[] = [];
  for (const slot of slots) {
    const { day, span } = open[slot.day]!;
    const last = times.at(-1)?.day === day ? times.at(-1)! : null;
    const earliest = Math.max(span[0], last ? last.minute + last.minutes + BARE_MINUTES : 0, day === calendar.notBefore.day ? calendar.notBefore.minute : 0);
    const [lead, after, idle] = [between(LEAD), between(AFTER), between(FOR_NOTHING)];
    const wanted = span[0] + slot.part * (span[1] - span[0] - lead - workMinutes - after);
    const minute = Math.max(toFive(wanted), Math.ceil(earliest / FIVE) * FIVE);
    const wish = { dogId, minutes: workMinutes, hands: null, aroundMinutes: 0 };
    const free = slot.work ? slotOn(day, wish, taken, calendar, undefined, minute + lead) : null;
    if (slot.work && !free) noWork.push(day);
    if (free) {
      // It goes on with its lead before the work as that was placed, not before the hour first thought of.
      const on = Math.max(minute, toFive(free.from - Math.max(lead, FIVE)));
      const session = { id: `${wishId} ${day} ${times.length}`, wishId, dogId, day, minutes: workMinutes, aroundMinutes: 0, ...free };
      taken.push(session);
      times.push({ day, minute: on, minutes: Math.min(free.from + workMinutes + after, span[1]) - on, worn: slot.worn, session });
      continue;
    }
    const ends = Math.min(minute + idle, span[1]);
    // Nothing is left of the day.
    if (ends - minute < FIVE) continue;
    times.push({ day, minute, minutes: ends - minute, worn: slot.worn, session: null });
  }
  return { times, noWork };
}
