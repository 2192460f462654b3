import type { HouseRules } from '../rules/house-rules.ts';
import { median } from './median.ts';
import { expectedHighGirth, type NeckBuild } from './neck-build.ts';
import { isGirthSite, type TapeSite } from './sites.ts';
import { skinGirth } from './skin-girth.ts';
import type { TapeReason } from './tape-reasons.ts';
import { technicalError } from './technical-error.ts';
import { above, below } from '../units/tolerance.ts';

/** One site, a girth or a length, read once to ten times by one person. Lengths mm, weight kg. */
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
  /** Technical error; null with one reading, which has none. */
  temMm: number | null;
  temPercent: number | null;
  /** How far the girth may be off either way, mm, with 95 %. */
  plusMinusMm: number;
  repeat: boolean;
  oddIndex: number | null;
  reasons: TapeReason[];
};

/** A ruler's lengths are shorter than girths, and may differ by this share of the house's spread. From memory. */
const LENGTH_SPREAD = 0.5;

/** A tape is never surer than this, mm; a ruler's lengths by half of it. From memory. */
const SUREST_MM = 3;

/**
 * How far a site's median may be off either way, mm: 1.96 · TEM / √n and at least 3; one reading by the house's own rule, the
 * larger of a length and a share of it. Lengths by half. Source: normal theory; the least and one reading from memory.
 */
export function tapingDoubt({ site, readingsMm }: Pick<Taping, 'site' | 'readingsMm'>, rules: HouseRules): number {
  const share = isGirthSite(site) ? 1 : LENGTH_SPREAD;
  if (readingsMm.length < 2) return Math.max(rules.oneReadingMm * share, rules.oneReadingRatio * median(readingsMm));
  return Math.max(SUREST_MM * share, (1.96 * technicalError([readingsMm]).tem) / Math.sqrt(readingsMm.length));
}

/** The reading furthest from the median; the earlier of two equally far. */
function oddOneOut(readings: readonly number[], middle: number): number {
  let odd = 0;
  readings.forEach((reading, index) => {
    if (above(Math.abs(reading - middle), Math.abs(readings[odd]! - middle))) odd = index;
  });
  return odd;
}

/**
 * Median, spread and technical error of one site's readings, with what to do about them.
 *
 * The spread asks for another reading above the larger of `tapeSpreadMm` and `tapeSpreadRatio` × median.
 * A high girth at or above `tapeHighRatio` × k·weight^⅓ asks «was this taken lower down?» when weight and build are
 * known. One reading is enough to begin with and is told as such. Source: common practice; technical error of Ulijaszek & Kerr 1999.
 *
 * @example taping({ site: 'high', readingsMm: [390, 391, 402] }, rules).oddIndex // 2
 */
export function taping(request: Taping, rules: HouseRules): TapingResult {
  const { readingsMm, coatDepthMm = 0 } = request;
  const middle = median(readingsMm);
  const spreadMm = Math.max(...readingsMm) - Math.min(...readingsMm);
  const limitMm = isGirthSite(request.site) ? Math.max(rules.tapeSpreadMm, rules.tapeSpreadRatio * middle) : rules.tapeSpreadMm * LENGTH_SPREAD;
  const tooWide = above(spreadMm, limitMm);
  const enough = readingsMm.length >= 3;
  const oddIndex = tooWide && enough ? oddOneOut(readingsMm, middle) : null;
  const error = readingsMm.length < 2 ? null : technicalError([readingsMm]);
  const girthMm = skinGirth(middle, coatDepthMm);
  const plusMinusMm = tapingDoubt(request, rules);

  const reasons: TapeReason[] = [];
  if (tooWide) {
    reasons.push({ code: 'spread-too-large', spreadMm, limitMm, oddReadingMm: oddIndex === null ? null : readingsMm[oddIndex]! });
  } else if (enough) {
    reasons.push({ code: 'readings-agree', spreadMm, limitMm });
  }
  if (readingsMm.length === 1) reasons.push({ code: 'one-reading', plusMinusMm });
  else if (!enough) reasons.push({ code: 'too-few-readings', count: readingsMm.length });
  if (coatDepthMm > 0) reasons.push({ code: 'coat-taken-off', tapedMm: middle, coatDepthMm, girthMm });
  const lower = takenLower(request, girthMm, rules);
  if (lower) reasons.push(lower);

  return { girthMm, spreadMm, temMm: error?.tem ?? null, temPercent: error?.percent ?? null, plusMinusMm, repeat: tooWide || !enough, oddIndex, reasons };
}

/** The doubt that a high girth was taken lower down, once somebody has looked and said: no, behind the ears. Other reasons stay as they are. Common practice. */
export function settledDoubt(reason: TapeReason): TapeReason {
  return reason.code === 'taken-lower' ? { ...reason, code: 'behind-the-ears' } : reason;
}

function takenLower({ site, weightKg, neckBuild }: Taping, girthMm: number, rules: HouseRules): TapeReason | null {
  if (site !== 'high' || weightKg === undefined || neckBuild === undefined) return null;
  const expectedMm = expectedHighGirth(weightKg, neckBuild);
  const limitMm = rules.tapeHighRatio * expectedMm;
  if (below(girthMm, limitMm)) return null;
  return { code: 'taken-lower', girthMm, expectedMm, limitMm, weightKg, build: neckBuild };
}
