import { dayOf } from '@banter/contract';
import { DAY_MS } from '@banter/core';
import { DateTime } from 'luxon';

/** Today in a zone, as a day. */
export const todayIn = (zone: string): string => dayOf(Date.now(), zone);

const IS_DAY = /^\d{4}-\d\d-\d\d$/;
/** A day by its name, where no clock is changed. */
const plainDay = (day: string) => DateTime.fromISO(day, { zone: 'utc' });

/** A dog's age in the words people use: weeks, then months, then years. */
export function ageWords(bornOn: string, today: string): string {
  const days = Math.round((Date.parse(today) - Date.parse(bornOn)) / DAY_MS);
  if (days < 112) return `${Math.floor(days / 7)} weeks`;
  const months = Math.floor(plainDay(today).diff(plainDay(bornOn), 'months').months);
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
  return plainDay(today)
    .minus({ months: Math.trunc(months), days: Math.round(days + (months % 1) * 30) })
    .toISODate();
}

/** An instant in a kennel's zone: `12 Oct 2026, 09:31`. */
export const momentWords = (instant: string, zone: string): string => DateTime.fromMillis(Date.parse(instant), { zone }).toFormat('d LLL yyyy, HH:mm');

/** The day of an instant in a kennel's zone, or a day by its name: `12 Oct 2026`. */
export const dayWords = (at: string, zone: string): string => plainDay(IS_DAY.test(at) ? at : dayOf(Date.parse(at), zone)).toFormat('d LLL yyyy');
