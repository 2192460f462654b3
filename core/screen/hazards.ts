/**
 * What a collar does to a dog that screening has to know of: pinches, closes without an end, loads the front of the neck,
 * holds the nose, has contacts on the skin, stimulates, warns by sound. A kind of collar names its own. Common practice.
 */
export const HAZARDS = ['pinch', 'closes', 'neck-load', 'nose-loop', 'contacts', 'stimulates', 'warns-by-sound'] as const;
export type Hazard = (typeof HAZARDS)[number];

/** Hazards that a dog is screened for before such a collar is planned at all. Common practice. */
export const SCREENED_HAZARDS: readonly Hazard[] = ['pinch', 'closes', 'nose-loop', 'stimulates'];

/** Hazards that some places restrict or forbid by law. Common practice. */
export const RESTRICTED_HAZARDS: readonly Hazard[] = ['pinch', 'stimulates'];

export const HAZARD_WORDS: Record<Hazard, string> = {
  pinch: 'pinches (prong)',
  closes: 'closes without an end (slips)',
  'neck-load': 'loads the front of the neck',
  'nose-loop': 'holds the nose',
  contacts: 'has contacts on the skin',
  stimulates: 'stimulates',
  'warns-by-sound': 'warns by its sound',
};
