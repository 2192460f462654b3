/**
 * Millimetres in one of each unit of length.
 *
 * Exact by definition. Source: NIST Special Publication 811 (2008), Appendix B.8
 * (inch 25.4 mm, foot 0.3048 m).
 */
export const MM_PER_UNIT = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const;

export type LengthUnit = keyof typeof MM_PER_UNIT;

/** The units a kennel may choose to speak in. */
export type KennelLengthUnit = 'in' | 'cm';
