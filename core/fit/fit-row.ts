import { small } from '../units/sentence-case.ts';
import { HOUSE_RULES, type HouseRuleName } from '../rules/house-rules.ts';
import { percent } from '../units/percent.ts';
import { countOf } from '../units/count-words.ts';
import { spokenSpan, type Speaker } from '../units/speaker.ts';
import { below } from '../units/tolerance.ts';

/** A quantity that knows how it is spoken: a girth or a small gap in mm, a share, a factor, a mass in g, or a count of things. */
export type Quantity =
  { as: 'girth' | 'gap'; mm: number } | { as: 'share' | 'factor'; ratio: number } | { as: 'mass'; g: number } | { as: 'count'; count: number; thing: string };

/** How sure a part of a fit is. */
export type FitTone = 'good' | 'mind' | 'stop' | 'open';

/** One part of a verdict: the measure, the limit it is held to, and the rule that set the limit. */
export type FitRow = {
  what: string;
  measure: Quantity | null;
  low?: Quantity | undefined;
  high?: Quantity | undefined;
  aim?: Quantity | undefined;
  /** The limit where it is no number. */
  limit?: string | undefined;
  /** The house rule that set the limit, by its name; null where it is the trade's own, in `practice`. */
  rule: HouseRuleName | null;
  practice?: string | undefined;
  tone: FitTone;
};

export const girth = (mm: number): Quantity => ({ as: 'girth', mm });
export const gap = (mm: number): Quantity => ({ as: 'gap', mm });
export const factor = (ratio: number): Quantity => ({ as: 'factor', ratio });
export const share = (ratio: number): Quantity => ({ as: 'share', ratio });

/** A quantity in words, in the speaker's units. */
export function speakQuantity(quantity: Quantity, speak: Speaker): string {
  switch (quantity.as) {
    case 'girth':
      return speak.taped(quantity.mm);
    case 'gap':
      return speak.gap(quantity.mm);
    case 'share':
      return percent(quantity.ratio);
    case 'factor':
      return `${quantity.ratio.toFixed(2)} ×`;
    case 'mass':
      return speak.mass(quantity.g);
    case 'count':
      return countOf(quantity.count, quantity.thing);
  }
}

/** A limit in words: `12 mm to 63 mm, aim 38 mm`, `at least 1.02 ×`, or the row's own words. */
export function speakLimit({ low, high, aim, limit }: FitRow, speak: Speaker): string {
  const say = (quantity: Quantity) => speakQuantity(quantity, speak);
  const range = low && high ? spokenSpan(say(low), say(high)) : low ? `at least ${say(low)}` : high ? `at most ${say(high)}` : '';
  return [range, aim && `aim ${say(aim)}`, limit].filter(Boolean).join(', ');
}

/** The rule of a row in words: the house rule's own title, or the trade's practice. Rows that were kept with words for a rule still say them. */
export function ruleWords({ rule, practice }: Pick<FitRow, 'rule' | 'practice'>): string {
  if (rule === null) return practice ?? 'common practice';
  return Object.hasOwn(HOUSE_RULES, rule) ? `house rule: ${small(HOUSE_RULES[rule].title)}` : `house rule: ${String(rule)}`;
}

const WORST: FitTone[] = ['stop', 'mind', 'open', 'good'];

/** The worst tone of several rows; good when there are none. */
export function worstTone(rows: readonly { tone: FitTone }[]): FitTone {
  return WORST.find((tone) => rows.some((row) => row.tone === tone)) ?? 'good';
}

/** The row for holding a head: head girth over the closed collar against both house limits. Common practice. */
export function holdRow(headMm: number | null, closedMm: number, rules: { backOutMin: number; backOutNarrow: number }): FitRow {
  const base = { what: 'Head over the closed collar', low: factor(rules.backOutMin), rule: 'backOutMin' as const };
  if (headMm === null) return { ...base, measure: null, limit: 'head not taped', tone: 'open' };
  const ratio = headMm / closedMm;
  const narrow = below(ratio, rules.backOutNarrow);
  return {
    ...base,
    measure: factor(ratio),
    limit: below(ratio, rules.backOutMin) ? 'the dog can back out' : narrow ? `holds only high and tight, under ${rules.backOutNarrow.toFixed(2)}` : undefined,
    tone: below(ratio, rules.backOutMin) ? 'stop' : narrow ? 'mind' : 'good',
  };
}
