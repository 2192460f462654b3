import * as z from './zod.ts';

const kinds: Record<string, string> = {
  string: 'text',
  number: 'a finite number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'an object',
  record: 'an object',
  date: 'a date',
};

const many = (count: number | bigint, one: string) => `${count} ${one}${Number(count) === 1 ? '' : 's'}`;

/**
 * One plain sentence for each way in which input can be wrong, in place of the library's own wording.
 * A message given at a schema itself wins over these.
 */
function plainWords(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      if (issue.input === undefined) return 'This is missing.';
      return `This must be ${kinds[issue.expected] ?? issue.expected}.`;
    case 'too_small':
      if (issue.origin === 'string') return issue.minimum === 1 ? 'This is empty.' : `This needs at least ${many(issue.minimum, 'character')}.`;
      if (issue.origin === 'array') return `This list needs at least ${many(issue.minimum, 'item')}.`;
      return `This must be ${issue.inclusive === false ? 'more than' : 'at least'} ${issue.minimum}.`;
    case 'too_big':
      if (issue.origin === 'string') return `This is too long: at most ${many(issue.maximum, 'character')}.`;
      if (issue.origin === 'array') return `This list may have at most ${many(issue.maximum, 'item')}.`;
      return `This must be ${issue.inclusive === false ? 'less than' : 'at most'} ${issue.maximum}.`;
    case 'invalid_value':
      return `This must be one of: ${issue.values.join(', ')}.`;
    case 'unrecognized_keys':
      return `Unknown name${issue.keys.length > 1 ? 's' : ''}: ${issue.keys.join(', ')}.`;
    case 'invalid_format':
      return {
        email: 'This is not an e-mail address.',
        uuid: 'This is not an id.',
        datetime: 'This is not a time in UTC, such as 2026-03-01T08:30:00Z.',
        date: 'This is not a day, such as 2026-03-01.',
      }[issue.format as string];
    default:
      return undefined;
  }
}

z.config({ customError: plainWords });

export { z };

const ranges = new Map<string, z.ZodNumber>();
/** A finite number between two ends, both included. */
export function between(low: number, high: number): z.ZodNumber {
  const name = `${low} ${high}`;
  const range = ranges.get(name) ?? z.number().min(low).max(high);
  ranges.set(name, range);
  return range;
}

/** Refuses a range whose most is below its least, at the name of its most. */
export const inOrder =
  <Low extends string, High extends string>(low: Low, high: High) =>
  ({ value, issues }: z.core.ParsePayload<Record<Low | High, number>>): void => {
    if (value[high] < value[low]) {
      issues.push({ code: 'custom', path: [high], input: value[high], message: `This must not be below ${low}.`, params: { below: low } });
    }
  };

/** Refuses a second of the same in a list. */
export const oneEach =
  <Key extends string>(key: Key) =>
  ({ value, issues }: z.core.ParsePayload<readonly Record<Key, string>[]>): void => {
    const seen = new Set<string>();
    value.forEach((one, index) => {
      if (seen.has(one[key])) issues.push({ code: 'custom', path: [index, key], input: one[key], message: `Another one has this ${key} already.` });
      seen.add(one[key]);
    });
  };
