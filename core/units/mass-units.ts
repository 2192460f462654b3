/**
 * Grams in one of each unit of mass.
 *
 * Exact by definition. Source: NIST Special Publication 811 (2008), Appendix B.8
 * (pound avoirdupois 0.453 592 37 kg, ounce one sixteenth of it).
 */
export const GRAMS_PER_UNIT = { g: 1, kg: 1000, lb: 453.59237, oz: 453.59237 / 16 } as const;

export type MassUnit = keyof typeof GRAMS_PER_UNIT;

/** The units a kennel may choose to weigh in. */
export type KennelMassUnit = 'kg' | 'lb';
