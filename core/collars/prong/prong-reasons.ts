import type { ReasonWords } from '../../reasons/reason.ts';
import { countOf } from '../../units/count-words.ts';
import { spokenSpan, type Speaker } from '../../units/speaker.ts';
import { percent } from '../../units/percent.ts';
import type { GaugeSchool } from './gauge-schools.ts';
import { GAUGE_SCHOOL_WORDS } from './school-words.ts';
import { gaugeName } from './prong-collar.ts';

/** Why a prong collar gets its verdict. Lengths mm, ratios bare, signed as in ProngGirths. */
export type ProngReason =
  | { code: 'slack-inside'; links: number; slackMm: number; lowMm: number; highMm: number; biteMinMm?: number }
  | { code: 'between-links'; links: number; slackMm: number; looserSlackMm: number; lowMm: number; highMm: number; biteMinMm?: number }
  | { code: 'presses-at-rest'; pressMm: number; limitMm: number }
  | { code: 'presses'; slackMm: number; lowMm: number }
  | { code: 'hangs'; slackMm: number; highMm: number; biteMinMm?: number }
  | { code: 'too-many-added'; change: number; limit: number }
  | { code: 'too-many-removed'; change: number; limit: number }
  | { code: 'too-long-at-one-link'; slackMm: number; highMm: number; biteMinMm?: number }
  | { code: 'does-not-bite'; closedMm: number; girthMm: number }
  | { code: 'bites-too-deep'; biteMm: number; ratio: number; limitRatio: number }
  | { code: 'bites'; biteMm: number; ratio: number; limitRatio: number }
  | { code: 'passes-head'; relaxedMm: number; headMm: number }
  | { code: 'head-not-taped' }
  | { code: 'uneven-sides'; left: number; right: number }
  | { code: 'starts-loose'; startLinks: number; links: number }
  | { code: 'starts-less-loose'; startLinks: number; wanted: number; headMm: number };

/** Why one collar of the stock is taken and not another. */
export type ProngChoiceReason =
  | { code: 'school-gauge'; school: GaugeSchool; gauge: string }
  | { code: 'gauge-not-in-stock'; school: GaugeSchool; gauge: string; takenMm: number | null }
  | { code: 'gauge-not-workable'; school: GaugeSchool; gauge: string; takenMm: number | null }
  | { code: 'finer-for-between'; fromMm: number; takenMm: number }
  | { code: 'no-finer-fits'; fromMm: number }
  | { code: 'heavier-than-school-goes'; school: GaugeSchool; takenMm: number }
  | { code: 'nothing-fits' };

/** Why the window ends where it does, when it is the bite that ends it. */
const endsByBite = ({ biteMinMm }: { biteMinMm?: number }, speak: Speaker) =>
  biteMinMm === undefined ? '' : ` (looser, it would bite by less than ${speak.gap(biteMinMm)})`;

export const PRONG_REASON_WORDS: ReasonWords<ProngReason> = {
  'slack-inside': (r, speak) =>
    `With ${countOf(r.links, 'link')} the slack is ${speak.gap(r.slackMm)}, inside the house’s ${spokenSpan(speak.gap(r.lowMm), speak.gap(r.highMm))}${endsByBite(r, speak)}.`,
  'between-links': (r, speak) =>
    `Between two sizes: ${countOf(r.links, 'link')} leave ${speak.gap(r.slackMm)}, one more leaves ${speak.gap(r.looserSlackMm)}, and the house wants ${spokenSpan(speak.gap(r.lowMm), speak.gap(r.highMm))}${endsByBite(r, speak)}.`,
  'presses-at-rest': (r, speak) =>
    `At rest it presses by ${speak.gap(r.pressMm)}, more than the ${speak.gap(r.limitMm)} that the snug school accepts: advised against.`,
  presses: (r, speak) => `At rest the slack is ${speak.gap(r.slackMm)}, below the ${speak.gap(r.lowMm)} at least: the tips press.`,
  hangs: (r, speak) => `The slack is ${speak.gap(r.slackMm)}, above the ${speak.gap(r.highMm)} at most${endsByBite(r, speak)}: it slides and turns.`,
  'too-many-added': (r) => `It would need ${countOf(r.change, 'link')} more, past the ${r.limit} that may be added: the gauge is wrong.`,
  'too-many-removed': (r) =>
    `It would need ${countOf(-r.change, 'link')} out, past the ${r.limit} that may be taken out: a collar with few links squeezes unevenly.`,
  'too-long-at-one-link': (r, speak) =>
    `Even with one link it leaves ${speak.gap(r.slackMm)}, above the ${speak.gap(r.highMm)} at most${endsByBite(r, speak)}: it cannot be made short enough.`,
  'does-not-bite': (r, speak) => `Closed it is ${speak.taped(r.closedMm)} on a neck of ${speak.taped(r.girthMm)}: it does not bite, so pulling does nothing.`,
  'bites-too-deep': (r, speak) =>
    `Closed it squeezes the neck by ${speak.gap(r.biteMm)}, ${percent(r.ratio)} of the girth, past the ${percent(r.limitRatio)} allowed.`,
  bites: (r, speak) => `Closed it bites by ${speak.gap(r.biteMm)}, ${percent(r.ratio)} of the girth; up to ${percent(r.limitRatio)} is allowed.`,
  'passes-head': (r, speak) =>
    `At rest it is ${speak.taped(r.relaxedMm)} and the head ${speak.taped(r.headMm)}: it would pass over the head, so it is too big.`,
  'head-not-taped': () => 'The head is not taped, so whether it could pass over the head is not known.',
  'uneven-sides': (r) => `${r.left} links on the dog’s left and ${r.right} on its right: a difference of one is fine, more squeezes unevenly.`,
  'starts-loose': (r) => `Start with ${countOf(r.startLinks, 'link')} and tighten to ${r.links} over the first sessions.`,
  'starts-less-loose': (r, speak) => `Start with ${countOf(r.startLinks, 'link')}, not ${r.wanted}: more would pass over the head of ${speak.girth(r.headMm)}.`,
};

const school = (name: GaugeSchool) => `School «${GAUGE_SCHOOL_WORDS[name].name}»`;

export const PRONG_CHOICE_REASON_WORDS: ReasonWords<ProngChoiceReason> = {
  'school-gauge': (r) => `${school(r.school)} names ${r.gauge} for this dog.`,
  'gauge-not-in-stock': (r) =>
    `${school(r.school)} names ${r.gauge}, which is not in stock` +
    (r.takenMm === null ? '.' : `; ${gaugeName(r.takenMm)} is taken instead, the next finer before the next heavier.`),
  'gauge-not-workable': (r) =>
    `${school(r.school)} names ${r.gauge}, which cannot be made to fit` +
    (r.takenMm === null ? '.' : `; ${gaugeName(r.takenMm)} is taken instead, the next finer before the next heavier.`),
  'finer-for-between': (r) => `${gaugeName(r.fromMm)} sits between two sizes; ${gaugeName(r.takenMm)} has a smaller link and lands inside.`,
  'no-finer-fits': (r) => `${gaugeName(r.fromMm)} sits between two sizes, and nothing finer in stock fits.`,
  'heavier-than-school-goes': (r) =>
    `${school(r.school)} never goes this heavy: ${gaugeName(r.takenMm)} is only what the stock offers. Buying the named gauge would be right.`,
  'nothing-fits': () => 'Nothing in stock fits, or sits between two sizes.',
};
