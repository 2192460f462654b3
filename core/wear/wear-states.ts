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
