/** Words that open a sentence or a label: the first letter large, the rest as it is. */
export const capital = (words: string): string => `${words.slice(0, 1).toUpperCase()}${words.slice(1)}`;

/** Words that go on within a sentence: the first letter small, the rest as it is. */
export const small = (words: string): string => `${words.slice(0, 1).toLowerCase()}${words.slice(1)}`;

/** A sentence without its full stop, to go on after it. */
export const unstopped = (sentence: string): string => (sentence.endsWith('.') ? sentence.slice(0, -1) : sentence);

/** Words before what they name: with a colon, unless they end a sentence themselves. */
export const labelled = (words: string): string => (['?', '!', '.'].includes(words.slice(-1)) ? words : `${words}:`);
