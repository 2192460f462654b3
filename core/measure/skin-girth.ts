/**
 * Skin girth in mm under a taped girth over hair of a flattened depth: taped − 2π·depth.
 *
 * Prong tips and contacts reach through the coat and are sized on this; straps lie on the hair and are not.
 * Source: geometry of concentric circles.
 *
 * @example skinGirth(400, 5) // 368.58…
 */
export function skinGirth(tapedGirthMm: number, coatDepthMm: number): number {
  return tapedGirthMm - 2 * Math.PI * coatDepthMm;
}
