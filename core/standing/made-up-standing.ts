import { countOf } from '../units/count-words.ts';

/** How a fit wants its collar: of which dog, since when (an instant that sorts), made up how, and with how many links, null where it has none to count. */
export type FitWants = { dogId: string; at: string; on: unknown; links: number | null };

/** How a collar is made up now: for which dog, since when, how, and how many links the ledger counts in it; null where it counts none. */
export type MadeUpNow = { dogId: string; at: string; on: unknown; links: number | null };

/** Why a fit's collar is not as the fit wants it: made up for another dog since, or with links put in or taken out. */
export type MadeUpStanding = 'as-wanted' | 'for-another' | 'other-links';

/**
 * Whether a collar is still as a fit wants it. A physical collar is made up for one dog at a time: a later make-up for another dog
 * ends this one unless both are the same; on the same dog the links in it by the ledger tell. `checked` says that hands found the
 * fit so: a plan that nobody has made up yet is not undone by the ledger. Common practice.
 *
 * @example madeUpStanding({ dogId: 'a', at: '1', on: 14, links: 14 }, true, { dogId: 'b', at: '2', on: 13, links: 13 }) // 'for-another'
 */
export function madeUpStanding(fit: FitWants, checked: boolean, now: MadeUpNow | null): MadeUpStanding {
  if (now === null) return 'as-wanted';
  if (now.dogId === fit.dogId) return checked && fit.links !== null && now.links !== null && now.links !== fit.links ? 'other-links' : 'as-wanted';
  if (now.at <= fit.at) return 'as-wanted';
  return JSON.stringify(now.on) === JSON.stringify(fit.on) ? 'as-wanted' : 'for-another';
}

/** What makes a collar fit again, and what it is made up as now, as one sentence; settings come in the words of the collar's kind. */
export function madeUpSays(
  standing: Exclude<MadeUpStanding, 'as-wanted'>,
  { collar, dog, links, is }: { collar: string; dog: string; links: number | null; is: string },
  wanted: { links: number | null; is: string },
): string {
  const has = links === null ? is : countOf(links, 'link');
  const now = standing === 'other-links' ? `${collar} has ${has} now` : `${collar} is set for ${dog}, ${has}`;
  const missing = links === null || wanted.links === null ? 0 : wanted.links - links;
  if (missing > 0) return `Put ${countOf(missing, 'link')} back in: ${now}.`;
  if (missing < 0) return `Take ${countOf(-missing, 'link')} out: ${now}.`;
  return `Set ${collar} again, ${wanted.is}: it is set for ${dog}, ${is}.`;
}
