import type { ReasonWords } from '../reasons/reason.ts';

/** A span of a day in minutes from its midnight, in the kennel's zone. */
export type DaySpan = readonly [from: number, to: number];
/** A day on which sessions may lie: its date, and when the kennel is open (null: closed). */
export type ScheduleDay = { day: string; open: DaySpan | null };
/** Somebody who handles, with their own hours by day (by place in the list of days). */
export type ScheduleHand = { id: string; name: string; hours: readonly (DaySpan | null)[] };

/** What a dog is to be given: so many sessions a day of so many minutes, every so many days, from a day on. */
export type SessionWish = {
  id: string;
  dogId: string;
  dogName: string;
  minutes: number;
  perDay: number;
  everyDays: number;
  /** First day, by its place in the list. */
  fromDay: number;
  /** How many sessions in all; null: to the end of the days. */
  count: number | null;
  /** Who may handle; null: anybody. */
  hands: readonly string[] | null;
  /** The collar is on so long before and after, while somebody is there. */
  aroundMinutes: number;
};

/** A session on the calendar. */
export type PlacedSession = {
  id: string;
  wishId: string;
  dogId: string;
  handId: string;
  /** Place of its day in the list. */
  day: number;
  from: number;
  minutes: number;
  aroundMinutes: number;
};

/** Why a session cannot be placed on a day, and what would free it. */
export type NoRoom = { wishId: string; dogName: string; day: number; why: NoRoomReason['code']; reason: NoRoomReason };
export type NoRoomReason =
  | { code: 'closed'; day: string }
  | { code: 'nobody-there'; day: string; minutes: number }
  | { code: 'hands-busy'; day: string; minutes: number }
  | { code: 'dog-limit'; day: string; dog: string; limit: number }
  | { code: 'dog-rest'; day: string; dog: string; restMinutes: number }
  | { code: 'around'; day: string; aroundMinutes: number };

export const NO_ROOM_WORDS: ReasonWords<NoRoomReason> = {
  closed: (r) => `${r.day}: the kennel is closed. Open it, or begin a day later.`,
  'nobody-there': (r) =>
    `${r.day}: nobody who may handle is there for ${r.minutes} minutes within the open hours. Another pair of hands, or longer hours, would free it.`,
  'hands-busy': (r) => `${r.day}: everybody is busy. ${r.minutes} more minutes of somebody's, a shorter session or one fewer would free it.`,
  'dog-limit': (r) => `${r.day}: ${r.dog} has its ${r.limit} sessions already. A higher limit, or another day, would free it.`,
  'dog-rest': (r) => `${r.day}: ${r.dog} would not get ${r.restMinutes} minutes of rest between two sessions. Less rest, or fewer a day, would free it.`,
  around: (r) => `${r.day}: there is no room for the ${r.aroundMinutes} minutes worn before and after while somebody is there. Longer hours would free it.`,
};

export type ScheduleCase = {
  days: readonly ScheduleDay[];
  hands: readonly ScheduleHand[];
  wishes: readonly SessionWish[];
  /** What stands already and is not moved. */
  fixed: readonly PlacedSession[];
  /** Nothing is placed before this. */
  notBefore: { day: number; minute: number };
  rules: { dogRestMinutes: number; dogSessionsPerDay: number };
};

/** Sessions begin on the quarter hour. */
export const GRID_MINUTES = 15;

const end = ({ from, minutes }: Pick<PlacedSession, 'from' | 'minutes'>) => from + minutes;

/** What two sessions want of each other's: the same hands, the same dog, or the dog's rest between them. */
export type SessionClash = 'hands' | 'dog' | 'rest';
/** Why two sessions of a day cannot both stand as they are, the hardest first; null when they can. Minutes. Common practice. */
export function sessionClash(a: PlacedSession, b: PlacedSession, restMinutes: number): SessionClash | null {
  if (a.day !== b.day) return null;
  const gap = Math.max(b.from - end(a), a.from - end(b));
  if (a.dogId === b.dogId && gap < 0) return 'dog';
  if (a.handId === b.handId && gap < 0) return 'hands';
  return a.dogId === b.dogId && gap < restMinutes ? 'rest' : null;
}

/** Whether somebody is there at every minute of a span of a day: a collar is on only while somebody watches. */
export function somebodyThere(day: number, [from, to]: DaySpan, hands: readonly ScheduleHand[]): boolean {
  const spans = hands.flatMap(({ hours }) => (hours[day] ? [hours[day]] : [])).sort((a, b) => a[0] - b[0]);
  let reached = from;
  for (const [begins, ends] of spans) if (begins <= reached && ends > reached) reached = ends;
  return reached >= to;
}

/** What a slot is held against; each can be left out to learn which one stood in the way. */
type Bars = { hands: boolean; rest: boolean; around: boolean; limit: boolean };
const ALL_BARS: Bars = { hands: true, rest: true, around: true, limit: true };

type Around = Pick<ScheduleCase, 'days' | 'hands' | 'rules' | 'notBefore'>;

/** The earliest free start of a session on a day, not before a minute of it, with the least busy hand; null when there is none. */
export function slotOn(
  day: number,
  wish: Pick<SessionWish, 'dogId' | 'minutes' | 'hands' | 'aroundMinutes'>,
  taken: readonly PlacedSession[],
  { days, hands, rules, notBefore }: Around,
  bars: Bars = ALL_BARS,
  earliest = 0,
): { from: number; handId: string } | null {
  const open = days[day]?.open;
  if (!open) return null;
  const today = taken.filter((one) => one.day === day);
  const own = today.filter(({ dogId }) => dogId === wish.dogId);
  if (bars.limit && own.length >= rules.dogSessionsPerDay) return null;
  const busy = (id: string) => today.filter(({ handId }) => handId === id).reduce((sum, { minutes }) => sum + minutes, 0);
  const may = hands.filter(({ id }) => wish.hands === null || wish.hands.includes(id)).sort((a, b) => busy(a.id) - busy(b.id) || (a.id < b.id ? -1 : 1));
  const margin = bars.around ? wish.aroundMinutes : 0;
  const begins = Math.max(open[0] + margin, earliest, day === notBefore.day ? notBefore.minute : 0);
  for (let from = Math.ceil(begins / GRID_MINUTES) * GRID_MINUTES; from + wish.minutes + margin <= open[1]; from += GRID_MINUTES) {
    const to = from + wish.minutes;
    const rest = bars.rest ? rules.dogRestMinutes : 0;
    if (own.some((one) => from < end(one) + rest && one.from < to + rest)) continue;
    if (margin > 0 && !somebodyThere(day, [from - margin, to + margin], hands)) continue;
    const hand = may.find(({ id, hours }) => {
      const there = hours[day];
      if (!there || from < there[0] || to > there[1]) return false;
      return !bars.hands || !today.some((one) => one.handId === id && from < end(one) && one.from < to);
    });
    if (hand) return { from, handId: hand.id };
  }
  return null;
}

/** What stood in the way of a session on a day: the first bar whose absence would have made room. */
function whyNot(day: number, wish: SessionWish, taken: readonly PlacedSession[], around: Around): NoRoomReason {
  const { days, rules } = around;
  const date = days[day]!.day;
  if (!days[day]!.open) return { code: 'closed', day: date };
  const without = (...left: (keyof Bars)[]) =>
    slotOn(day, wish, taken, around, { ...ALL_BARS, ...Object.fromEntries(left.map((bar) => [bar, false])) }) !== null;
  if (without('limit')) return { code: 'dog-limit', day: date, dog: wish.dogName, limit: rules.dogSessionsPerDay };
  if (without('rest') || without('rest', 'limit')) return { code: 'dog-rest', day: date, dog: wish.dogName, restMinutes: rules.dogRestMinutes };
  if (without('hands')) return { code: 'hands-busy', day: date, minutes: wish.minutes };
  if (without('around')) return { code: 'around', day: date, aroundMinutes: wish.aroundMinutes };
  return without('hands', 'rest', 'limit')
    ? { code: 'hands-busy', day: date, minutes: wish.minutes }
    : { code: 'nobody-there', day: date, minutes: wish.minutes };
}

/**
 * Places sessions day by day, the dogs that have had least first, each as early in its part of the day (the second of two in the
 * second half) as the kennel's and a hand's hours, the dog's rest and its day's limit allow, else as early as at all; says of each it could not place why, and what would free it. What is fixed stays. The same question
 * has the same answer. Minutes from midnight in the kennel's zone. Own rule; from memory.
 */
export function placeSessions({ days, hands, wishes, fixed, notBefore, rules }: ScheduleCase): { placed: PlacedSession[]; noRoom: NoRoom[] } {
  const around: Around = { days, hands, rules, notBefore };
  const taken: PlacedSession[] = [...fixed];
  const placed: PlacedSession[] = [];
  const noRoom: NoRoom[] = [];
  const had = new Map(wishes.map(({ id }) => [id, fixed.filter(({ wishId }) => wishId === id).length]));
  for (let day = notBefore.day; day < days.length; day += 1) {
    const due = wishes.filter(({ fromDay, everyDays }) => day >= fromDay && (day - fromDay) % everyDays === 0);
    const rounds = Math.max(0, ...due.map(({ perDay }) => perDay));
    for (let round = 0; round < rounds; round += 1) {
      const turn = due
        .filter(
          ({ id, perDay, count }) =>
            round < perDay - fixed.filter((one) => one.wishId === id && one.day === day).length && (count === null || had.get(id)! < count),
        )
        .sort((a, b) => had.get(a.id)! - had.get(b.id)! || b.minutes - a.minutes || (a.id < b.id ? -1 : 1));
      for (const wish of turn) {
        // The second of two in the second half of the day, where there is room: a dog is not to be done by nine.
        const [opens, closes] = days[day]!.open ?? [0, 0];
        const part = opens + ((closes - opens) * round) / wish.perDay;
        const slot = slotOn(day, wish, taken, around, ALL_BARS, part) ?? slotOn(day, wish, taken, around);
        if (!slot) {
          const reason = whyNot(day, wish, taken, around);
          noRoom.push({ wishId: wish.id, dogName: wish.dogName, day, why: reason.code, reason });
          continue;
        }
        const { dogId, minutes, aroundMinutes } = wish;
        const nth = taken.filter((one) => one.wishId === wish.id && one.day === day).length + 1;
        const session = { id: `${wish.id} ${days[day]!.day} ${nth}`, wishId: wish.id, dogId, day, minutes, aroundMinutes, ...slot };
        taken.push(session);
        placed.push(session);
        had.set(wish.id, had.get(wish.id)! + 1);
      }
    }
  }
  return { placed, noRoom };
}

/**
 * Moves one session by hand. What now clashes with it and begins no earlier is put later, just far enough, day by day; nothing
 * that begins before it is touched, nor what does not clash. `stuck` are those for which no room was left.
 */
export function moveSession(
  sessions: readonly PlacedSession[],
  id: string,
  to: { day: number; from: number; handId: string },
  around: Omit<Around, 'notBefore'>,
): { sessions: PlacedSession[]; moved: string[]; stuck: string[] } {
  const before = sessions.find((one) => one.id === id);
  if (!before) return { sessions: [...sessions], moved: [], stuck: [] };
  const now = { ...before, ...to };
  const clash = (a: PlacedSession, b: PlacedSession) => sessionClash(a, b, around.rules.dogRestMinutes) !== null;
  const order = (a: PlacedSession, b: PlacedSession) => a.day - b.day || a.from - b.from || (a.id < b.id ? -1 : 1);
  const earlier = (one: PlacedSession) => one.day < now.day || (one.day === now.day && one.from < now.from);
  const settled: PlacedSession[] = [...sessions.filter((one) => one.id !== id && earlier(one)), now];
  const moved = [id];
  const stuck: string[] = [];
  for (const one of sessions.filter((other) => other.id !== id && !earlier(other)).sort(order)) {
    if (!settled.some((other) => clash(one, other))) {
      settled.push(one);
      continue;
    }
    const wish = { dogId: one.dogId, minutes: one.minutes, hands: [one.handId], aroundMinutes: one.aroundMinutes };
    let found: PlacedSession | null = null;
    for (let day = one.day; day < around.days.length && !found; day += 1) {
      const slot = slotOn(day, wish, settled, { ...around, notBefore: { day: 0, minute: 0 } }, ALL_BARS, day === one.day ? one.from : 0);
      if (slot) found = { ...one, day, ...slot };
    }
    if (found) moved.push(one.id);
    else stuck.push(one.id);
    settled.push(found ?? one);
  }
  return { sessions: settled.sort(order), moved, stuck };
}
