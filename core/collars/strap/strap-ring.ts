/** What to see to of a ring that is sewn in: any buckled strap. Common practice. */
export const RING_WHERE_IT_LIES = 'The ring lies where the leash does not turn the collar.';
