/**
 * A length of time as the kennel says it: `40 min` below two hours, else hours to the half; takes hours, not signed.
 *
 * @example speakHours(6.25) // '6½ h'
 */
export function speakHours(hours: number): string {
  if (hours < 2 - 1e-9 && Math.abs(hours - 1) > 1e-9) return `${Math.round(hours * 60)} min`;
  const halves = Math.round(hours * 2);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} h`;
}
