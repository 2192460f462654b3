const TIMES = ['', 'once', 'twice'];

/** How much and how often, as people say it: `8 minutes, twice a day`, `10 minutes, once every 2 days`. */
export function oftenWords({ minutes, sessionsPerDay, everyDays }: { minutes: number; sessionsPerDay: number; everyDays: number }): string {
  const times = TIMES[sessionsPerDay] ?? `${sessionsPerDay} times`;
  return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, ${times} ${everyDays === 1 ? 'a day' : `every ${everyDays} days`}`;
}
