import type { NeckTape } from '@banter/core';
import type { Taping } from '../records/taping.ts';

/** The neck to draw from a dog's latest girths, on the skin where that is known, and its length; null while the high girth is not taped. */
export function neckTapeOf(girths: Partial<Record<Taping['site'], Taping>>): NeckTape | null {
  if (!girths.high) return null;
  return {
    highMm: girths.high.result.girthMm,
    midMm: girths.mid?.result.girthMm,
    baseMm: girths.base?.result.girthMm,
    lengthMm: girths['neck-length']?.result.girthMm,
  };
}
