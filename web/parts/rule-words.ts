import type { HouseRule, Speaker } from '@banter/core';
import { percent } from '@banter/core';

/** A rule's value as people say it, in the speaker's units. */
export function sayRule(row: HouseRule, value: number | null, speak: Speaker): string {
  if (value === null) return '3, or 6 on fine wire';
  switch (row.measure) {
    case 'gap':
      return speak.gap(value);
    case 'weight':
      return speak.weight(value);
    case 'ratio':
      return value < 1 ? percent(value) : value.toFixed(2);
    case 'hours':
      return `${value} h`;
    case 'percent':
      return `${value} %`;
    case 'days':
      return `${value} days`;
    default:
      return String(value);
  }
}
