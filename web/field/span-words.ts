/**
 * A length of time as a running clock shows it.
 *
 * @example spanWords(754_000) // '12:34'
 */
export function spanWords(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
}
