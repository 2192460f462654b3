import { exactLength, type KennelLengthUnit } from '@banter/core';

const FOOT_MM = 304.8;

/** A long length as people say it: in feet or metres from a yard up, else as any length. */
export function longWords(mm: number, unit: KennelLengthUnit): string {
  if (mm < 900) return exactLength(mm, unit);
  return unit === 'in' ? `${+(mm / FOOT_MM).toFixed(1)} ft` : `${+(mm / 1000).toFixed(2)} m`;
}
