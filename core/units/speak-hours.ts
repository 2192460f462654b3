import { atLeast, atMost, below } from './tolerance.ts';
/** From so many hours on a length of time is said in days. */
const DAYS_FROM_HOURS = 72;

/**
 * A length of time as the kennel says it: `40 min` below two hours, hours to the half, days from three on; takes hours, not signed.
 *
 * @example speakHours(6.25) // '6½ h'
 */
export function speakHours(hours: number): string {
  if (below(hours, 2) && !(atLeast(hours, 1) && atMost(hours, 1))) return `${Math.round(hours * 60)} min`;
  const [amount, unit] = hours < DAYS_FROM_HOURS ? [hours, 'h'] : [hours / 24, 'days'];
  const halves = Math.round(amount * 2);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} ${unit}`;
}
