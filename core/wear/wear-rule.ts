import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';

/**
 * Where and for how long a kind of collar may be worn. Alarms, the question whether it is still on, the owner’s page and the list of
 * tools by place all go by it. Common practice.
 */
export type WearRule = {
  /** With its article, to begin a sentence with: `A prong`. */
  subject: string;
  /** Without a leash, under somebody’s eyes: `yes`; `first-days`, only while it gets used to it; `no`, it is for the leash. */
  loose: 'yes' | 'first-days' | 'no';
  /**
   * Where nobody watches, in a crate, in play and overnight: `never`; `house-setting`, only as it is set for the house; `crate-school`, as
   * the house’s school has it for the crate; `device`, for short absences, never overnight.
   */
  unwatched: 'never' | 'house-setting' | 'crate-school' | 'device';
  /** It has contacts: they are moved from place to place, and the hours of the day are counted. */
  contacts: boolean;
  /** Red or broken skin anywhere on the neck takes it off. */
  offOnRedSkin: boolean;
};

/** Where an owner is with the dog, as far as a collar goes. */
export type WornWhere = 'house' | 'crate' | 'walk';

/** Whether a collar may be on at a place, by its rule and the house’s school; `watched`: only under somebody’s eyes. Common practice. */
export function mayBeOn(rule: WearRule, where: WornWhere, { crateSchool }: Pick<HouseSchools, 'crateSchool'>): 'yes' | 'watched' | 'no' {
  if (where === 'walk') return 'yes';
  if (where === 'crate') return rule.unwatched === 'crate-school' && crateSchool === 'always-on' ? 'yes' : 'no';
  if (rule.unwatched === 'crate-school') return 'yes';
  return rule.unwatched === 'device' ? 'watched' : 'no';
}

/** After how many hours on it is asked whether a collar is still on; null for what may stay on. */
export function askOffAfterHours(rule: WearRule, rules: Pick<HouseRules, 'askOffHours' | 'dayHours'>): number | null {
  if (rule.unwatched === 'house-setting' || rule.unwatched === 'crate-school') return null;
  return rule.contacts ? rules.dayHours : rules.askOffHours;
}
