import type { HouseRules } from '../rules/house-rules.ts';
import { median } from './median.ts';
import { expectedHighGirth, type NeckBuild } from './neck-build.ts';
import { isGirthSite, type TapeSite } from './sites.ts';
import { skinGirth } from './skin-girth.ts';
import type { TapeReason } from './tape-reasons.ts';
import { technicalError } from './technical-error.ts';

/** One site, a girth or a length, read two to ten times by one person. Lengths mm, weight kg. */
export type Taping = {
  site: TapeSite;
  readingsMm: readonly number[];
  coatDepthMm?: number | undefined;
  weightKg?: number | undefined;
  neckBuild?: NeckBuild | undefined;
};

/** What a taping comes to. `girthMm` is on the skin when a coat depth was given, else as taped. */
export type TapingResult = {
  girthMm: number;
  spreadMm: number;
  temMm: number;
  temPercent: number;
  repeat: boolean;
  oddIndex: number | null;
  reasons: TapeReason[];
};

/** Slack for floating point when a number stands exactly on a limit, in mm. */
const ROUNDING_MM = 1e-9;

/** A ruler's lengths are shorter than girths, and may differ by this share of the house's spread. From memory. */
const LENGTH_SPREAD = 0.5;

/** The reading furthest from the median; the earlier of two equally far. */
function oddOneOut(readings: readonly number[], middle: number): number {
  let odd = 0;
  readings.forEach((reading, index) => {
    if (Math.abs(reading - middle) > Math.abs(readings[odd]! - middle) + ROUNDING_MM) odd = index;
  });
  return odd;
}

/**
 * Median, spread and technical error of one site's readings, with what to do about them.
 *
 * The spread asks for another reading above the larger of `tapeSpreadMm` and `tapeSpreadRatio` × median.
 * A high girth at or above `tapeHighRatio` × k·weight^⅓ asks «was this taken lower down?» when weight and build are
 * known. Throws RangeError on fewer than two readings. Source: common practice; technical error of Ulijaszek & Kerr 1999.
 *
 * @example taping({ site: 'high', readingsMm: [390, 391, 402] }, rules).oddIndex // 2
 */
export function taping(request: Taping, rules: HouseRules): TapingResult {
  const { readingsMm, coatDepthMm = 0 } = request;
  const middle = median(readingsMm);
  const spreadMm = Math.max(...readingsMm) - Math.min(...readingsMm);
  const limitMm = isGirthSite(request.site) ? Math.max(rules.tapeSpreadMm, rules.tapeSpreadRatio * middle) : rules.tapeSpreadMm * LENGTH_SPREAD;
  const tooWide = spreadMm > limitMm + ROUNDING_MM;
  const enough = readingsMm.length >= 3;
  const oddIndex = tooWide && enough ? oddOneOut(readingsMm, middle) : null;
  const { tem, percent } = technicalError([readingsMm]);
  const girthMm = skinGirth(middle, coatDepthMm);

  const reasons: TapeReason[] = [];
  if (tooWide) {
    reasons.push({ code: 'spread-too-large', spreadMm, limitMm, oddReadingMm: oddIndex === null ? null : readingsMm[oddIndex]! });
  } else if (enough) {
    reasons.push({ code: 'readings-agree', spreadMm, limitMm });
  }
  if (!enough) reasons.push({ code: 'too-few-readings', count: readingsMm.length });
  if (coatDepthMm > 0) reasons.push({ code: 'coat-taken-off', tapedMm: middle, coatDepthMm, girthMm });
  const lower = takenLower(request, girthMm, rules);
  if (lower) reasons.push(lower);

  return { girthMm, spreadMm, temMm: tem, temPercent: percent, repeat: tooWide || !enough, oddIndex, reasons };
}

function takenLower({ site, weightKg, neckBuild }: Taping, girthMm: number, rules: HouseRules): TapeReason | null {
  if (site !== 'high' || weightKg === undefined || neckBuild === undefined) return null;
  const expectedMm = expectedHighGirth(weightKg, neckBuild);
  const limitMm = rules.tapeHighRatio * expectedMm;
  if (girthMm < limitMm - ROUNDING_MM) return null;
  return { code: 'taken-lower', girthMm, expectedMm, limitMm, weightKg, build: neckBuild };
}
