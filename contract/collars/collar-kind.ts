import type {
  CheckCount,
  CheckQuestion,
  CheckTells,
  CollarTraits,
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
  FittedRigPart,
  InspectionItem,
  RigAnchor,
  RigBackup,
  RigClosing,
  RingHow,
  Speaker,
  SpecResult,
  StackLayer,
  TapeSite,
} from '@banter/core';
import type { StimulationMode } from '@banter/core/collars/electronic';
import type { z } from '../plain-words.ts';
import type { RecordStep } from '../records/record-step.ts';

export type { FittingDog };

/** What a collar is for; a kind may serve several. Common practice. */
export const PURPOSES = ['walking', 'holding', 'backup', 'training', 'identity'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** A collar of the stock as planning sees it: its id, the numbers of its kind, and, where that is known, whether a ruler gave them. */
export type StockedCollar<Numbers> = { id: string; name: string; numbers: Numbers; measured?: boolean };

/** An earlier check of the same plan, newest last. */
export type EarlierCheck<Setting, Answers, Outcome> = { on: Setting; answers: Answers; outcome: Outcome };

/**
 * What a plan comes to, whatever the kind. `keep`: it may be worn as planned. `blocked`: it must not be kept at all, as
 * wearing it would be dangerous. Neither: it may be kept with a note that says why.
 */
export type PlanOutcome = { keep: boolean; blocked: boolean };

/** What a check comes to, whatever the kind. */
export type CheckOutcome = Pick<SpecResult, 'verdict' | 'step'>;

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
  /** It is drawn how to lay the ruler, by the kind's own drawing. */
  drawn?: true;
  /** What the lengths read so far come to, said below the field; null while it cannot be. */
  tells?: (read: Readonly<Record<string, number | null>>, speak: Speaker) => string | null;
};

/** A collar of a rig as it is worn: its numbers, what was chosen, how its plan came out, and whether its last check on the dog was good (null: none). */
export type FittedInRig<Numbers, Choices> = { numbers: Numbers; choices: Choices; verdict: string | null; checkedGood: boolean | null };
/** `parts`: its own parts from its ring to the dog, where these are by its numbers other than the usual ones of its kind. */
export type InRig = { parts: readonly FittedRigPart[] | null; closing: RigClosing | null; backup: RigBackup | null; anchor: RigAnchor | null };
/** What brings nothing of its own to a rig but its parts. */
export const NOTHING_IN_RIG: InRig = { parts: null, closing: null, backup: null, anchor: null };

/** A device by its profile: levels from `min` to `max` by `step`, what it can do, and how much of the neck its contacts cover along the strap, mm. */
export type DeviceTraits = { scale: { min: number; max: number; step: number }; modes: readonly StimulationMode[]; footprintMm: number };

/** Something that a plan decides beside the make-up, to be chosen at the bench: what a collar is for, say. */
export type OptionField = { id: string; label: string; hint?: string; options: readonly { value: string; label: string }[] };

/** A measure that is missing before a collar can be planned: how it is got, and the sentence that asks for it. */
export type Missing = { by: 'tape' | 'scales'; says: string };
/** Measures that the tape gives. */
export const toTape = (...says: string[]): Missing[] => says.map((one) => ({ by: 'tape', says: one }));

/** Something of the make-up that hands can change on the bench, in steps. */
export type Knob = { id: string; label: string; as: 'length' | 'clock'; step: number; low: number; high: number; values?: readonly number[] };

/** One collar of the stock, made up as well as it can be, what that comes to, and how it is said: «14 links, 2 out, slack 8 mm». */
export type FittedStock<Choices> = { collarId: string; choices: Choices; verdict: string; tone: FitTone; says: (speak: Speaker) => string };

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
  /** What the kind is, whatever its numbers: words, wear rule, rig, ring, owner's words, inspection, growing, handling, programmes. */
  traits: CollarTraits;
  /** How it lies on a neck among others: its layer by what it is for, and its band’s width down the neck, mm. */
  onNeck: { layer: (choices: Choices) => StackLayer; widthMm: (numbers: Numbers) => number };
  /** Where its ring is held by its plan, where that says so; else as the house has it. */
  held: (choices: Choices) => Partial<Pick<RingHow, 'ring' | 'ringPlace'>>;
  /** What it brings to a rig on a dog by its numbers and its last check: how it closes, what hangs on it, and whether it is the backup itself. */
  inRig: (fitted: FittedInRig<Numbers, Choices>, dog: FittingDog, rules: HouseRules) => InRig;
  /** What is looked at on one beside what all of its kind are looked at for, by its numbers. */
  looksAlso?: (numbers: Numbers) => readonly InspectionItem[];
  /** The device it is, if any: its scale of levels and the footprint of its contacts. */
  device: ((numbers: Numbers) => DeviceTraits) | null;
  /** Links that are counted in the bag, if it has any: of which gauge and length, how many are in it as it is made up, and how so many are laid out. */
  links:
    ((numbers: Numbers) => { gaugeMm: number; pitchMm: number; stocked: number; inIt: (on: Setting) => number; madeUpOf: (links: number) => Setting }) | null;
  /** What an owner is told of a setting of its own for the house, if one is kept. */
  atHome: ((on: Setting, speak: Speaker) => string) | null;
  /** How it carries a leash force, N, on this dog: the case to look at, and one to hold against it; none where no leash belongs on it. */
  loads: (dog: FittingDog, numbers: Numbers, choices: Choices, leashForceN: number) => readonly { name: string; load: LoadCase }[];
  /** Its inside girth at rest is by its own numbers, and is as unsure as these; else it is set on the dog. */
  insideByNumbers: boolean;
  /** What has to be taped for it, in the order the hands go; what would help in `helps`. */
  needs: readonly TapeSite[];
  helps: readonly TapeSite[];
  schools: readonly HouseSchoolName[];
  ruleGroups: readonly HouseRule['group'][];
  numbers: z.ZodType<Numbers>;
  fields: readonly NumberField[];
  /** Where a ruler reads something else than the numbers themselves: the numbers of what was read, what would be read of numbers, and which field a number comes from. */
  ruler: {
    numbersOf: (read: Record<string, unknown>) => unknown;
    readOf: (numbers: Numbers) => Record<string, unknown>;
    fieldOf: Readonly<Record<string, string>>;
  } | null;
  /** Collars as they are commonly sold, to begin with until a ruler has been laid on one's own. */
  usual: readonly { name: string; numbers: Numbers }[];
  describeNumbers: (numbers: Numbers, speak: Speaker) => string;
  doubts: (numbers: Numbers, speak: Speaker) => Reason[];
  choices: z.ZodType<Choices>;
  setting: z.ZodType<Setting>;
  answers: z.ZodType<Answers>;
  /** Answers of a kept check: one of before may lack what is asked since. */
  keptAnswers: z.ZodType<Answers>;
  /** How plans and checks of earlier versions are read, step by step, where they were kept otherwise. */
  steps?: { plans?: readonly RecordStep[]; fitChecks?: readonly RecordStep[] };
  /** What a fit check asks, in the order the hands go, and what it lets people count. */
  questions: readonly CheckQuestion[];
  counts: readonly CheckCount[];
  /** How it goes on, step by step; and the caution that stands beside keeping it. */
  putOn: readonly string[];
  caution: string;
  knobs: (numbers: Numbers) => readonly Knob[];
  /** Options of a plan that are chosen at the bench, kept in its `choices.options`. */
  optionFields: readonly OptionField[];
  /** How the collar is made up as fitted, when it first goes on, and after a check’s next step has been taken. */
  fittedSetting: (choices: Choices) => Setting;
  firstSetting: (choices: Choices) => Setting;
  nextSetting: (result: Result) => Setting;
  /** The choices with the collar made up as it was found on the dog, when it was checked. */
  wornChoices: (choices: Choices, on: Setting | null) => Choices;
  /** The choices while it is still worn otherwise than it will be fitted, as when it starts loose. */
  notYetFitted: (choices: Choices, on: Setting) => Choices;
  /** What is missing before it can be planned, in the order in which it is got; empty when nothing is. */
  missing: (dog: FittingDog) => Missing[];
  /** What to take of a stock; `wornId` is the collar that the dog wears already, which a kind may prefer where it does as well. */
  suggest: (dog: FittingDog, stock: readonly StockedCollar<Numbers>[], house: House, wornId?: string | null) => Suggestion<Choices>;
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
  /** Why, with the numbers of the house whose rules the check went by. */
  checkReasons: (result: Result, speak: Speaker, rules: HouseRules) => Reason[];
  /** The questions whose answers cannot both be so: these are asked again, the others stand. */
  contradicted: (result: Result) => string[];
  /** Whether a step leaves something to be done another time, though all is right for now. */
  isLaterStep: (step: string) => boolean;
  /** Whether a step of a check can only be taken at the bench. */
  isBenchStep: (step: string) => boolean;
  /** What answers say besides the fit, of contact and skin. */
  tells: (answers: Answers) => CheckTells;
};
