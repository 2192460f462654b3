/** How a dog that wears something is looked after meanwhile. Common practice. */
export const WEAR_STATES = ['worked', 'supervised', 'crated', 'alone', 'playing', 'overnight'] as const;
export type WearState = (typeof WEAR_STATES)[number];

export const WEAR_STATE_WORDS: Record<WearState, { name: string; says: string }> = {
  worked: { name: 'worked', says: 'On a leash or line, or in a session.' },
  supervised: { name: 'supervised free', says: 'Loose, with somebody’s eyes on it.' },
  crated: { name: 'crated', says: 'In a crate or van box.' },
  alone: { name: 'alone', says: 'Nobody watching.' },
  playing: { name: 'playing', says: 'With other dogs.' },
  overnight: { name: 'overnight', says: 'Asleep for the night.' },
};

/**
 * What a collar is, as far as wearing it goes: `pinch` a prong; `closing` a slip; `nose` a head collar; `loop` a martingale;
 * `strap` a flat collar; `contacts` an electronic one.
 */
export const WORN_AS = ['pinch', 'closing', 'nose', 'loop', 'strap', 'contacts'] as const;
export type WornAs = (typeof WORN_AS)[number];
