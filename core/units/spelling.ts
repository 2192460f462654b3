import type { KennelLengthUnit } from './length-units.ts';

/** Words that are spelled otherwise across the ocean, British first; their endings follow by themselves. Oxford and Merriam-Webster dictionaries; from memory. */
const AMERICAN: readonly (readonly [british: string, american: string])[] = [
  ['programme', 'program'],
  ['colour', 'color'],
  ['centre', 'center'],
  ['metre', 'meter'],
  ['grey', 'gray'],
  ['labelled', 'labeled'],
];
/** A breed keeps its name. */
const APART = /greyhound/i;

const inCase = (word: string, like: string) => (like[0] === like[0]?.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word);

/**
 * Banter's own words as a kennel spells them: American with inches, British with centimetres. What people typed is never put through it.
 *
 * @example spelled('Programme', 'in') // 'Program'
 */
export function spelled(text: string, unit: KennelLengthUnit): string {
  if (unit === 'cm') return text;
  return AMERICAN.reduce(
    (now, [british, american]) =>
      now.replace(new RegExp(`\\b\\w*${british}\\w*`, 'gi'), (word) => (APART.test(word) ? word : respell(word, british, american))),
    text,
  );
}
const respell = (word: string, british: string, american: string) => word.replace(new RegExp(british, 'i'), (part) => inCase(american, part));
