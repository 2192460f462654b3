/**
 * A prong collar by its own numbers, taken with a ruler.
 *
 * `insideGirthMm` is around the inside of the tips, closed to a circle, with `links` removable links in (the centre
 * plate not counted). One link more or less changes it by `pitchMm`, whatever the height of the prongs. `closingMm` is
 * how much shorter it gets when the live ring is pulled home. All mm.
 */
export type ProngCollar = {
  id: string;
  gaugeMm: number;
  pitchMm: number;
  insideGirthMm: number;
  links: number;
  closingMm: number;
};

/** The finest gauge that is not micro, in mm. */
export const FINEST_STANDARD_GAUGE_MM = 2.25;
/** From this gauge up a collar is stocked at its length and bears fewer links out, in mm. */
export const HEAVY_WIRE_MM = 3.0;

/** Typical pitch by gauge, both mm, to start from before a collar is measured. From memory. */
export const TYPICAL_PITCH_MM: readonly { gaugeMm: number; name: string; pitchMm: number }[] = [
  { gaugeMm: 2, name: 'micro', pitchMm: 17 },
  { gaugeMm: 2.25, name: '2.25 mm', pitchMm: 24 },
  { gaugeMm: 3, name: '3.0 mm', pitchMm: 31 },
  { gaugeMm: 3.2, name: '3.2 mm', pitchMm: 33 },
  { gaugeMm: 4, name: '4.0 mm', pitchMm: 42 },
];

/**
 * Collars as they are commonly stocked, to begin with until a ruler has been laid on one's own: 2.25 mm at 16 in and
 * 3.0 mm at 22 in (common practice), micro at 12 in; links and closing from memory.
 */
export const TYPICAL_PRONGS: readonly Omit<ProngCollar, 'id'>[] = [
  { gaugeMm: 2, pitchMm: 17, insideGirthMm: 304.8, links: 15, closingMm: 20 },
  { gaugeMm: 2.25, pitchMm: 24, insideGirthMm: 406.4, links: 14, closingMm: 25 },
  { gaugeMm: 3, pitchMm: 31, insideGirthMm: 558.8, links: 15, closingMm: 25 },
];

/** What a gauge is called: micro below 2.25 mm, else its wire. */
export function gaugeName(gaugeMm: number): string {
  if (gaugeMm < FINEST_STANDARD_GAUGE_MM) return 'micro';
  return `${gaugeMm.toFixed(2).replace(/0$/, '')} mm`;
}

/** Most links that may be taken out of this gauge: the house's number, else 3 from 3.0 mm wire up and 6 below. Common practice. */
export function mostLinksOut(gaugeMm: number, maxRemove: number | null): number {
  return maxRemove ?? (gaugeMm >= HEAVY_WIRE_MM ? 3 : 6);
}
