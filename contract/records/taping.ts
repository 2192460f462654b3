import { isGirthSite, median, NECK_BUILDS, POSSIBLE_TAPE_MM, settledDoubt, TAPE_SITES, taping, type HouseRules, type TapeSite } from '@banter/core';
import { TapeAnswer, TapeRequest } from '../calc/tape.ts';
import { CoatDepthMm } from '../measures.ts';
import { carryIssues } from '../nested-issues.ts';
import { between, z } from '../plain-words.ts';
import { Instant, Kept, line, RecordId } from './common.ts';

/** One site read once to ten times, as it is sent to be kept. `typed` holds the readings as the person wrote them. */
export const NewTaping = z
  .strictObject({
    dogId: RecordId,
    site: z.enum(TAPE_SITES),
    /** With a tape, or with a string that is then laid on a ruler. */
    way: z.enum(['tape', 'string']),
    readingsMm: z.array(z.number()).min(1).max(10),
    typed: z.array(line(40)).max(10),
    overCoat: z.boolean(),
    coatDepthMm: CoatDepthMm.nullable(),
    weightG: between(50, 120_000).nullable(),
    neckBuild: z.enum(NECK_BUILDS),
    at: Instant,
    correctsId: RecordId.nullable(),
    /** Asked whether it was taken lower down, somebody has said: no, behind the ears. It settles that doubt for this taping. */
    settled: z.boolean().default(false),
  })
  .check(({ value, issues }) => {
    if (!value.overCoat && value.coatDepthMm !== null) {
      issues.push({ code: 'custom', path: ['coatDepthMm'], input: value.coatDepthMm, message: 'A coat depth belongs to a tape over the coat.' });
    }
    const { site } = value;
    if (isGirthSite(site)) {
      const request: TapeRequest = { ...tapeRequest(value), site };
      carryIssues(issues, TapeRequest.safeParse(request), value);
      return;
    }
    const [low, high] = POSSIBLE_TAPE_MM[site];
    value.readingsMm.forEach((reading, index) => {
      if (!(reading >= low && reading <= high)) {
        issues.push({ code: 'custom', path: ['readingsMm', index], input: reading, message: `This length must be between ${low} and ${high} mm.` });
      }
    });
    if (value.overCoat) issues.push({ code: 'custom', path: ['overCoat'], input: true, message: 'Only girths are taped over the coat.' });
  });
export type NewTaping = z.infer<typeof NewTaping>;

/** The question for the core that a taping stands for. */
export function tapeRequest(
  taping: Pick<NewTaping, 'site' | 'readingsMm' | 'coatDepthMm' | 'weightG' | 'neckBuild'>,
): Omit<TapeRequest, 'site'> & { site: TapeSite } {
  return {
    site: taping.site,
    readingsMm: taping.readingsMm,
    ...(taping.coatDepthMm === null ? {} : { coatDepthMm: taping.coatDepthMm }),
    ...(taping.weightG === null ? {} : { weightKg: taping.weightG / 1000 }),
    neckBuild: taping.neckBuild,
  };
}
type TapeRequest = z.infer<typeof TapeRequest>;

/**
 * A kept taping. `girthMm` is on the skin where the hair was parted or its depth taken off, else over the coat,
 * as `basis` says; `tapedMm` is the median as the tape showed it.
 */
export const Taping = z.object({
  ...NewTaping.shape,
  id: RecordId,
  tapedMm: z.number(),
  basis: z.enum(['skin', 'coat', 'length']),
  result: TapeAnswer.omit({ reasons: true }),
  reasons: z.array(z.looseObject({ code: z.string() })),
  ...Kept.shape,
});
export type Taping = z.infer<typeof Taping>;

/** What a taping comes to by the rules of a house: its median as the tape showed it, what it is a measure of, and what the core says of it. */
export function takenTaping(sent: NewTaping, rules: HouseRules): Pick<Taping, 'tapedMm' | 'basis' | 'result'> & { reasons: TapingReason[] } {
  const { reasons: found, ...result } = taping(tapeRequest(sent), rules);
  const reasons = sent.settled ? found.map(settledDoubt) : found;
  const onSkin = !sent.overCoat || sent.coatDepthMm !== null;
  const basis = !isGirthSite(sent.site) ? 'length' : onSkin ? 'skin' : 'coat';
  return { tapedMm: median(sent.readingsMm), basis, result, reasons };
}
type TapingReason = ReturnType<typeof taping>['reasons'][number];

/** The latest girths of a dog by site, with the tapings they come from; a corrected taping no longer counts. */
export function latestGirths(tapings: readonly Taping[]): Partial<Record<Taping['site'], Taping>> {
  const corrected = new Set(tapings.map((taping) => taping.correctsId));
  const latest: Partial<Record<Taping['site'], Taping>> = {};
  for (const taping of tapings) {
    if (corrected.has(taping.id)) continue;
    const soFar = latest[taping.site];
    if (!soFar || taping.at > soFar.at || (taping.at === soFar.at && taping.id > soFar.id)) latest[taping.site] = taping;
  }
  return latest;
}
