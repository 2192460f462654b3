export const SLIP_MATERIALS = ['chain', 'cord', 'leather'] as const;
export type SlipMaterial = (typeof SLIP_MATERIALS)[number];

/** A flattened coat from this depth on is a long one, for the choice of links; mm. From memory. */
export const LONG_COAT_MM = 15;

/** Thickness of chain wire, and of cord or leather, by the dog's weight, both mm, as a range. From memory. */
const STRENGTH: readonly { toKg: number; wireMm: [number, number]; cordMm: [number, number] }[] = [
  { toKg: 10, wireMm: [1.5, 2], cordMm: [5, 7] },
  { toKg: 25, wireMm: [2, 3], cordMm: [6, 9] },
  { toKg: 40, wireMm: [2.5, 3.5], cordMm: [8, 11] },
  { toKg: Infinity, wireMm: [3, 4], cordMm: [9, 14] },
];

/**
 * How thick a slip's wire or cord is for a dog of this weight, as a range in mm: in proportion to the dog. Common practice;
 * the numbers from memory.
 */
export function slipStrength(weightKg: number, material: SlipMaterial): [number, number] {
  const row = STRENGTH.find(({ toKg }) => weightKg <= toKg)!;
  return material === 'chain' ? row.wireMm : row.cordMm;
}

/**
 * Width of a slip's band on the neck, mm: a chain is about twice its wire, cord and leather their own thickness, and never
 * less than 4 mm. From memory.
 */
export function slipWidthMm({ material, thickMm }: { material: SlipMaterial; thickMm: number }): number {
  return Math.max(4, material === 'chain' ? 2 * thickMm : thickMm);
}

/** Which letter the loop makes, facing the dog: a P for a dog worked on the left, the mirrored one on the right. Common practice. */
export function loopLetter(worksOn: 'left' | 'right'): 'P' | 'mirrored P' {
  return worksOn === 'left' ? 'P' : 'mirrored P';
}
