/** What a house holds to: limits and schools. */
export {
  contradictingRules,
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  houseRules,
  rulesBesideDefaults,
  type HouseRule,
  type HouseRuleName,
  type HouseRuleOverrides,
  type HouseRules,
} from './house-rules.ts';
export {
  DEFAULT_HOUSE_SCHOOLS,
  HOUSE_SCHOOL_NAMES,
  HOUSE_SCHOOL_OPTIONS,
  HOUSE_SCHOOL_WORDS,
  schoolAnswers,
  schoolName,
  schoolSays,
  houseSchools,
  type HouseSchoolName,
  type HouseSchools,
} from './house-schools.ts';
