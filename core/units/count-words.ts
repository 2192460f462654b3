/** None and one are said in words; all else is a figure, read at a glance. */
const WORDS = ['no', 'one'];

/**
 * A count of things as it is said: `2 links`, `one link`, `no links`.
 *
 * @example countOf(2, 'link') // '2 links'
 */
export function countOf(count: number, thing: string, things = `${thing}s`): string {
  return `${WORDS[count] ?? count} ${count === 1 ? thing : things}`;
}

/** A count alone: `no`, `one`, `2`. */
export function countWord(count: number): string {
  return WORDS[count] ?? String(count);
}

const LIST_TYPES = { and: 'conjunction', or: 'disjunction' } as const;
/** Made when a list is first said: making one takes longer than all else that a phone does before its first screen. */
const lists = new Map<keyof typeof LIST_TYPES, Intl.ListFormat>();

/**
 * Things in a row as they are said: `a`, `a and b`, `a, b and c`.
 *
 * @example listWords(['9', '12', '3']) // '9, 12 and 3'
 */
export function listWords(things: readonly string[], joint: 'and' | 'or' = 'and'): string {
  const list = lists.get(joint) ?? new Intl.ListFormat('en-GB', { type: LIST_TYPES[joint] });
  lists.set(joint, list);
  return list.format(things);
}
