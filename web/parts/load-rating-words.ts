/** Whether a clip is made for load, as it is answered; not known is an answer of its own. */
export const RATED_ANSWERS = [
  { value: 'yes', label: 'Yes, stamped on it' },
  { value: 'no', label: 'No, a key-ring one' },
  { value: 'unknown', label: 'Not known' },
] as const;
export type Rated = (typeof RATED_ANSWERS)[number]['value'];

export const ratedOf = (loadRated: boolean | null): Rated => (loadRated === null ? 'unknown' : loadRated ? 'yes' : 'no');
export const loadRatedOf = (said: Rated | null): boolean | null => (said === 'yes' ? true : said === 'no' ? false : null);
