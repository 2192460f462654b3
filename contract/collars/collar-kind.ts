import type { CheckQuestion, HouseRules, Reason, Speaker } from '@banter/core';
import type { z } from '../plain-words.ts';

/** What is known of a dog when a collar is planned for it; lengths mm, weight kg. Girths are null while not taped. */
export type FittingDog = {
  weightKg: number | null;
  pull: 'settled' | 'pulls' | 'drags';
  worksOn: 'left' | 'right';
  /** On the skin where that is known, else as taped over the coat. */
  skinGirthMm: number | null;
  /** As the tape showed it, over whatever hair there was. */
  tapedGirthMm: number | null;
  headGirthMm: number | null;
};

/** A collar of the stock as planning sees it: its id, and the numbers of its kind. */
export type StockedCollar<Numbers> = { id: string; name: string; numbers: Numbers };

/** An earlier check of the same plan, newest last. */
export type EarlierCheck<Setting, Answers, Outcome> = { on: Setting; answers: Answers; outcome: Outcome };

/**
 * What a plan comes to, whatever the kind. `keep`: it may be worn as planned. `blocked`: it must not be kept at all, as
 * wearing it would be dangerous. Neither: it may be kept with a note that says why.
 */
export type PlanOutcome = { keep: boolean; blocked: boolean };

/** What a check comes to, whatever the kind. */
export type CheckOutcome = { verdict: 'good' | 'adjust' | 'stop' | 'unclear' };

/**
 * Everything that the contract needs to know of a kind of collar. A new kind is one folder in core, one such row in the
 * registry, and one drawing; records, services and pages are the same for all.
 *
 * `Numbers` are the collar's own, `Choices` what the person decided for this plan, `Setting` how the collar is made up
 * when it is checked (for a prong the links on each side).
 */
export type CollarKind<Numbers, Choices, Outcome extends PlanOutcome, Setting, Answers, Result extends CheckOutcome> = {
  name: string;
  numbers: z.ZodType<Numbers>;
  choices: z.ZodType<Choices>;
  setting: z.ZodType<Setting>;
  answers: z.ZodType<Answers>;
  /** What a fit check asks, in the order the hands go, and what it lets people count. */
  questions: readonly CheckQuestion[];
  counts: readonly { id: string; ask: string; how: string; most: number }[];
  /** How it goes on, step by step. */
  putOn: readonly string[];
  /** How the collar is made up when it first goes on, and after a check's next step has been taken. */
  firstSetting: (choices: Choices) => Setting;
  nextSetting: (result: Result) => Setting;
  /** The choices with the collar made up as it was found on the dog, when it was checked. */
  wornChoices: (choices: Choices, on: Setting | null) => Choices;
  /** What is missing before it can be planned, as sentences; empty when nothing is. */
  missing: (dog: FittingDog) => string[];
  plan: (dog: FittingDog, collar: StockedCollar<Numbers>, stock: readonly StockedCollar<Numbers>[], choices: Choices, rules: HouseRules) => Outcome;
  check: (
    dog: FittingDog,
    collar: StockedCollar<Numbers>,
    choices: Choices,
    on: Setting,
    answers: Answers,
    earlier: readonly EarlierCheck<Setting, Answers, Result>[],
    rules: HouseRules,
  ) => Result;
  /** How a fit is told in one line: `3.0 mm prong, 12 links (6 left, 6 right)`. */
  describePlan: (collar: StockedCollar<Numbers>, choices: Choices, outcome: Outcome, speak: Speaker) => string;
  describeSetting: (on: Setting) => string;
  planReasons: (outcome: Outcome, speak: Speaker) => Reason[];
  /** The verdict of a plan in a word or two. */
  planVerdict: (outcome: Outcome) => string;
  checkSentence: (result: Result, on: Setting) => string;
  checkReasons: (result: Result, speak: Speaker) => Reason[];
};
