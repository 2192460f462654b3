import { DateTime } from 'luxon';

/** Today in a zone, as a day. */
export const todayIn = (zone: string): string => DateTime.now().setZone(zone).toISODate()!;

/** A dog's age in the words people use: weeks, then months, then years. */
export function ageWords(bornOn: string, today: string): string {
  const days = DateTime.fromISO(today).diff(DateTime.fromISO(bornOn), 'days').days;
  if (days < 112) return `${Math.floor(days / 7)} weeks`;
  const months = Math.floor(DateTime.fromISO(today).diff(DateTime.fromISO(bornOn), 'months').months);
  if (months < 24) return `${months} months`;
  return `${Math.floor(months / 12)} years`;
}

/** The birth date of a dog of a rough age today, or null when the age cannot be read: `8 months`, `14 weeks`, `2 1/2 years`, `3`. */
export function bornFromAge(text: string, today: string): string | null {
  const found = /^\s*(\d{1,3})(?:[.,](\d))?(\s*1\/2|½)?\s*(d|day|days|w|week|weeks|m|month|months|mo|y|yr|year|years)?\s*$/i.exec(text);
  if (!found) return null;
  const count = Number(`${found[1]}.${found[2] ?? 0}`) + (found[3] ? 0.5 : 0);
  const unit = (found[4] ?? 'y').toLowerCase();
  const months = unit.startsWith('m') ? count : unit.startsWith('y') ? count * 12 : 0;
  const days = unit.startsWith('w') ? count * 7 : unit.startsWith('d') ? count : 0;
  return DateTime.fromISO(today)
    .minus({ months: Math.trunc(months), days: Math.round(days + (months % 1) * 30) })
    .toISODate();
}

/** An instant in a kennel's zone: `12 Oct 2026, 09:31`. */
export const momentWords = (instant: string, zone: string): string => DateTime.fromISO(instant, { zone }).toFormat('d LLL yyyy, HH:mm');

/** A day of an instant in a kennel's zone: `12 Oct 2026`. */
export const dayWords = (instant: string, zone: string): string => DateTime.fromISO(instant, { zone }).toFormat('d LLL yyyy');
