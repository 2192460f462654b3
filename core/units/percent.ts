/**
 * A bare ratio as a percentage to a tenth, without a useless `.0`.
 *
 * @example percent(0.0473) // '4.7 %'
 */
export function percent(ratio: number): string {
  return `${String(Math.round(ratio * 1000) / 10).replace('-', '−')} %`;
}
