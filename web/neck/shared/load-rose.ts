import { angleAtClock, type CollarLoad } from '@banter/core';

/** Neighbours further apart than this are a step, drawn straight out from the neck, not a slope. */
const STEP = 1.6;

/**
 * The outline of a load as a rose: from the neck's circle outward by its pressure, `reach` for `peakKPa`; a closed path in the unit
 * of the radius. Where a strap ends or a ring sits, it steps at the place of the greater pressure.
 */
export function rosePath({ byClock }: Pick<CollarLoad, 'byClock'>, { radius, reach, peakKPa }: { radius: number; reach: number; peakKPa: number }): string {
  const at = (clock: number, kPa: number) => {
    const angle = angleAtClock(clock);
    const r = radius + (peakKPa > 0 ? (reach * kPa) / peakKPa : 0);
    return `${(r * Math.sin(angle)).toFixed(2)} ${(-r * Math.cos(angle)).toFixed(2)}`;
  };
  const points = byClock.flatMap(({ clock, kPa }, index) => {
    const next = byClock[(index + 1) % byClock.length]!;
    const here = at(clock, kPa);
    if (kPa > next.kPa * STEP) return [here, at(clock, next.kPa)];
    if (next.kPa > kPa * STEP) return [here, at(next.clock, kPa)];
    return [here];
  });
  return `M${points.join('L')}Z`;
}
