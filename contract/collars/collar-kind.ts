import type {
  CheckQuestion,
  FitRow,
  FitTone,
  FittingDog,
  Hazard,
  House,
  HouseRule,
  HouseRules,
  HouseSchoolName,
  LoadCase,
  Reason,
  RigCollar,
  Speaker,
  StackLayer,
  TapeSite,
  WornAs,
} from '@banter/core';
import type { z } from '../plain-words.ts';

export type { FittingDog };

/** What a collar is for; a kind may serve several. Common practice. */
export const PURPOSES = ['walking', 'holding', 'backup', 'training', 'identity'] as const;
export type Purpose = (typeof PURPOSES)[number];

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
export type CheckOutcome = { verdict: 'good' | 'adjust' | 'stop' | 'unclear'; step: string };

/** One of a collar's own numbers, for the form that takes them. `as` says how it is typed; lengths are mm, masses g. */
export type NumberField = {
  id: string;
  label: string;
  hint?: string;
  as: 'length' | 'mass' | 'count' | 'number' | 'choice' | 'several' | 'lengths' | 'yes-no';
  /** Lengths that can be and that are likely, mm. */
  possibleMm?: [number, number];
  likelyMm?: [number, number];
  options?: readonly { value: string; label: string }[];
  /** May be left empty, which is null. */
  optional?: boolean;
};

/** Something of the make-up that hands can change on the bench, in steps. */
export type Knob = { id: string; label: string; as: 'length' | 'clock'; step: number; low: number; high: number; values?: readonly number[] };

/** One collar of the stock, made up as well as it can be, and what that comes to. */
export type FittedStock<Choices> = { collarId: string; choices: Choices; verdict: string; tone: FitTone };

/** What Banter would take out of the stock for a dog: the best of it, and all of it, best first. */
export type Suggestion<Choices> = { choice: { collarId: string; choices: Choices } | null; all: FittedStock<Choices>[]; reasons: (speak: Speaker) => Reason[] };

/**
 * Everything that the contract needs to know of a kind of collar. A new kind is one folder in core, one such row in the
 * registry, and one drawing; records, services and pages are the same for all.
 *
 * `Numbers` are the collar's own, `Choices` what the person decided for this plan, `Setting` how the collar is made up
 * when it is checked (for a prong the links on each side).
 */
export type CollarKind<Numbers, Choices, Outcome extends PlanOutcome, Setting, Answers, Result extends CheckOutcome> = {
  name: string;
  /** What it does and for whom, in one sentence. */
  about: string;
  purposes: readonly Purpose[];
  hazards: readonly Hazard[];
  /** How it lies on a neck among others: its layer by what it is for, what wearing it is held to, what a rig finds on it, and its band’s width down the neck, mm. */
  onNeck: { layer: (choices: Choices) => StackLayer; wornAs: WornAs; rigAs: RigCollar; widthMm: (numbers: Numbers) => number };
  /** How it carries a leash force, N, on this dog: the case to look at, and one to hold against it; none where no leash belongs on it. */
  loads: (dog: FittingDog, numbers: Numbers, choices: Choices, leashForceN: number) => readonly { name: string; load: LoadCase }[];
  /** What has to be taped for it, in the order the hands go; what would help in `helps`. */
  needs: readonly TapeSite[];
  helps: readonly TapeSite[];
  schools: readonly HouseSchoolName[];
  ruleGroups: readonly HouseRule['group'][];
  numbers: z.ZodType<Numbers>;
  fields: readonly NumberField[];
  /** Collars as they are commonly sold, to begin with until a ruler has been laid on one's own. */
  usual: readonly { name: string; numbers: Numbers }[];
  describeNumbers: (numbers: Numbers, speak: Speaker) => string;
  doubts: (numbers: Numbers, speak: Speaker) => Reason[];
  choices: z.ZodType<Choices>;
  setting: z.ZodType<Setting>;
  answers: z.ZodType<Answers>;
  /** What a fit check asks, in the order the hands go, and what it lets people count. */
  questions: readonly CheckQuestion[];
  counts: readonly { id: string; ask: string; how: string; most: number }[];
  /** How it goes on, step by step; and the caution that stands beside keeping it. */
  putOn: readonly string[];
  caution: string;
  knobs: (numbers: Numbers) => readonly Knob[];
  /** How the collar is made up when it first goes on, and after a check's next step has been taken. */
  firstSetting: (choices: Choices) => Setting;
  nextSetting: (result: Result) => Setting;
  /** The choices with the collar made up as it was found on the dog, when it was checked. */
  wornChoices: (choices: Choices, on: Setting | null) => Choices;
  /** What is missing before it can be planned, as sentences; empty when nothing is. */
  missing: (dog: FittingDog) => string[];
  suggest: (dog: FittingDog, stock: readonly StockedCollar<Numbers>[], house: House) => Suggestion<Choices>;
  /** What to look for in a shop for this dog, in words. */
  wanted: (dog: FittingDog, house: House, speak: Speaker) => string;
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
  /** What to do, as one sentence; `now` is how the collar is made up before anything is done. */
  planSentence: (
    dogName: string,
    dog: FittingDog,
    collar: StockedCollar<Numbers>,
    choices: Choices,
    outcome: Outcome,
    now: Setting | null,
    speak: Speaker,
  ) => string;
  /** Each measure of a plan with its limit and the rule that set it. */
  rows: (dog: FittingDog, collar: StockedCollar<Numbers>, choices: Choices, outcome: Outcome, rules: HouseRules) => FitRow[];
  /** How a fit is told in one line: `3.0 mm prong, 12 links (6 left, 6 right)`. */
  describePlan: (collar: StockedCollar<Numbers>, choices: Choices, outcome: Outcome, speak: Speaker) => string;
  describeSetting: (on: Setting, speak: Speaker) => string;
  planReasons: (outcome: Outcome, speak: Speaker) => Reason[];
  /** The verdict of a plan in a word or two, and how sure it is. */
  planVerdict: (outcome: Outcome) => string;
  planTone: (outcome: Outcome) => FitTone;
  checkSentence: (result: Result, on: Setting) => string;
  checkReasons: (result: Result, speak: Speaker) => Reason[];
};
