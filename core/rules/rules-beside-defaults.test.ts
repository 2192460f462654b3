import fc from 'fast-check';
import { expect, it } from 'vitest';
import { DEFAULT_HOUSE_RULES, houseRules, rulesBesideDefaults, type HouseRuleName } from './house-rules.ts';

it('rules told without what is the default are the same rules again', () => {
  const names = Object.keys(DEFAULT_HOUSE_RULES) as HouseRuleName[];
  const some = fc.dictionary(fc.constantFrom(...names), fc.oneof(fc.integer({ min: 0, max: 90 }), fc.constant(null)));
  fc.assert(
    fc.property(some, (own) => {
      const whole = houseRules(own as never);
      expect(houseRules(rulesBesideDefaults(whole))).toEqual(whole);
      expect(Object.keys(rulesBesideDefaults(whole)).every((name) => whole[name as HouseRuleName] !== DEFAULT_HOUSE_RULES[name as HouseRuleName])).toBe(true);
    }),
  );
  expect(rulesBesideDefaults(houseRules())).toEqual({});
});
