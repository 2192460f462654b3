import type { HeadCollarSize } from '../../fit/sizer.ts';

/**
 * The size of a chart that takes a neck strap and a nose loop, both mm; of several the one that holds both most centrally. Null
 * when none does. Common practice: head collars are sold by ranges of neck and muzzle.
 */
export function chartSize(chart: readonly HeadCollarSize[], neckMm: number, noseMm: number): HeadCollarSize | null {
  const off = (size: HeadCollarSize) => Math.abs(neckMm - (size.neckMinMm + size.neckMaxMm) / 2) + Math.abs(noseMm - (size.noseMinMm + size.noseMaxMm) / 2);
  const holds = (size: HeadCollarSize) => neckMm >= size.neckMinMm && neckMm <= size.neckMaxMm && noseMm >= size.noseMinMm && noseMm <= size.noseMaxMm;
  return chart.filter(holds).reduce<HeadCollarSize | null>((best, size) => (best === null || off(size) < off(best) ? size : best), null);
}
