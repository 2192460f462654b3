/** What is measured by a rule, so that it can be shown in the kennel's units. */
export type HouseRuleMeasure = 'gap' | 'weight' | 'ratio' | 'links' | 'hours' | 'days' | 'percent' | 'number' | 'seconds' | 'minutes';

/** One row of the catalogue: the default, what it measures, where it belongs, why it is so, where it comes from. */
export type HouseRule = {
  default: number | null;
  measure: HouseRuleMeasure;
  /** Where it is shown, by a name that the House rules screen titles. */
  group: string;
  title: string;
  why: string;
  source: 'common practice' | 'from memory';
};

export const rule = (
  group: HouseRule['group'],
  measure: HouseRuleMeasure,
  byDefault: number | null,
  title: string,
  why: string,
  source: HouseRule['source'] = 'common practice',
): HouseRule => ({ default: byDefault, measure, group, title, why, source });
