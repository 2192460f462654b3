/**
 * A level as it is said: on the device's own scale, to a tenth, with a true minus.
 *
 * @example levelWords(11.26) // '11.3'
 */
export function levelWords(level: number): string {
  const rounded = Math.round(level * 10) / 10;
  return String(rounded === 0 ? 0 : rounded).replace('-', '−');
}
