import {
  checkBySpec,
  fitStock,
  inCollar,
  wordReason,
  worstTone,
  type CheckAnswers,
  type CheckSpec,
  type FitRow,
  type FittingDog,
  type House,
  type ReasonWords,
  type Setting,
  type Sizer,
  type Speaker,
  type SpecResult,
} from '@banter/core';
import { z } from '../plain-words.ts';
import { checkOfSpec } from './check-of-spec.ts';
import { toTape, type CollarKind, type OptionField, type StockedCollar } from './collar-kind.ts';

/** A plan as it was judged: a verdict of the kind, each measure with its limit, the reasons, and what Banter would have taken. */
export type SettableOutcome<Reason = { code: string }> = {
  keep: boolean;
  blocked: boolean;
  verdict: string;
  rows: FitRow[];
  reasons: Reason[];
  recommended: { collarId: string; setting: Setting } | null;
};

/** What a plan of such a kind decides: the school or use it follows, and how the collar is made up. */
export type SettableChoices<Options> = { options: Options; on: Setting };

type Parts<Numbers, Options, Reason extends { code: string }> = Pick<
  CollarKind<Numbers, SettableChoices<Options>, SettableOutcome<Reason>, Setting, CheckAnswers, SpecResult>,
  | 'name'
  | 'about'
  | 'purposes'
  | 'hazards'
  | 'onNeck'
  | 'traits'
  | 'inRig'
  | 'device'
  | 'atHome'
  | 'loads'
  | 'insideByNumbers'
  | 'needs'
  | 'helps'
  | 'schools'
  | 'ruleGroups'
  | 'numbers'
  | 'fields'
  | 'usual'
  | 'describeNumbers'
  | 'doubts'
  | 'putOn'
  | 'caution'
  | 'knobs'
  | 'wanted'
  | 'steps'
> & {
  options: z.ZodType<Options>;
  optionFields?: readonly OptionField[];
  optionsOf: (house: House) => Options;
  /** The names of what is made up on the dog. */
  settingNames: readonly [string, ...string[]];
  sizer: Sizer<Numbers, Options, Reason>;
  reasonWords: ReasonWords<Reason>;
  verdictWords: Record<string, string>;
  /** Verdicts that must never be worn. */
  never: readonly string[];
  check: CheckSpec<Numbers, Options>;
  /** What to do, as a sentence, when it may be worn. */
  sentence: (dog: FittingDog, collar: StockedCollar<Numbers>, choices: SettableChoices<Options>, speak: Speaker) => string;
  line: (numbers: Numbers, on: Setting, options: Options, speak: Speaker) => string;
  settingLine: (on: Setting, speak: Speaker) => string;
  missingWords: (dog: FittingDog) => string[];
};

/**
 * A kind of collar that is chosen from the stock and made up by lengths, from its sizer and its check. All kinds but the prong,
 * whose links are its own matter.
 */
export function settableKind<Numbers, Options, Reason extends { code: string }>(
  parts: Parts<Numbers, Options, Reason>,
): CollarKind<Numbers, SettableChoices<Options>, SettableOutcome<Reason>, Setting, CheckAnswers, SpecResult> {
  const { sizer, check: spec, never, verdictWords } = parts;
  const setting = z.strictObject(Object.fromEntries(parts.settingNames.map((name) => [name, z.number().min(0).max(2000)]))) as unknown as z.ZodType<Setting>;
  const fits = (dog: FittingDog, stock: readonly StockedCollar<Numbers>[], options: Options, rules: House['rules']) =>
    fitStock(sizer, dog, stock, options, rules);
  const mayBeWorn = (fit: { tone: string; verdict: string }) => fit.tone !== 'stop' && !never.includes(fit.verdict);
  return {
    ...parts,
    choices: z.strictObject({ options: parts.options, on: setting }) as unknown as z.ZodType<SettableChoices<Options>>,
    setting,
    ...checkOfSpec(spec),
    held: () => ({}),
    links: null,
    ruler: null,
    optionFields: parts.optionFields ?? [],
    fittedSetting: (choices) => choices.on,
    firstSetting: (choices) => choices.on,
    nextSetting: (result) => result.then,
    notYetFitted: (choices, on) => ({ ...choices, on }),
    wornChoices: (choices, on) => (on === null ? choices : { ...choices, on }),
    missing: (dog) => toTape(...(dog.hairGirthMm === null ? ['Tape the high girth first.'] : []), ...parts.missingWords(dog)),
    suggest: (dog, stock, house) => {
      const options = parts.optionsOf(house);
      const all = fits(dog, stock, options, house.rules);
      const best = all.find(mayBeWorn) ?? null;
      return {
        choice: best && { collarId: best.collarId, choices: { options, on: best.setting } },
        all: all.map(({ collarId, setting: on, verdict, tone }) => ({
          collarId,
          choices: { options, on },
          verdict: verdictWords[verdict] ?? verdict,
          tone,
          says: (speak) => parts.settingLine(on, speak),
        })),
        reasons: (speak) => (best ?? all[0])?.reasons.map((reason) => wordReason(parts.reasonWords, reason, speak)) ?? [],
      };
    },
    plan: (dog, collar, stock, choices, rules) => {
      const judged = sizer.judge(inCollar(dog, collar.id), collar.numbers, choices.on, choices.options, rules);
      const tone = worstTone(judged.rows);
      const best = fits(dog, stock, choices.options, rules).find(mayBeWorn);
      return {
        ...judged,
        blocked: never.includes(judged.verdict),
        keep: tone !== 'stop' && !never.includes(judged.verdict),
        recommended: best ? { collarId: best.collarId, setting: best.setting } : null,
      };
    },
    check: (dog, collar, choices, on, given, earlier, rules) =>
      checkBySpec(spec, given, { dog: inCollar(dog, collar.id), numbers: collar.numbers, on, options: choices.options, rules }, earlier),
    planSentence: (dogName, dog, collar, choices, outcome, _now, speak) => {
      if (outcome.blocked) return `Do not use it on ${dogName}: ${(verdictWords[outcome.verdict] ?? outcome.verdict).toLowerCase()}.`;
      if (!outcome.keep) return `Not ${collar.name} as it is: ${(verdictWords[outcome.verdict] ?? outcome.verdict).toLowerCase()}.`;
      return parts.sentence(inCollar(dog, collar.id), collar, choices, speak);
    },
    rows: (_dog, _collar, _choices, outcome) => outcome.rows,
    describePlan: (collar, choices, _outcome, speak) => parts.line(collar.numbers, choices.on, choices.options, speak),
    describeSetting: (on, speak) => parts.settingLine(on, speak),
    planReasons: (outcome, speak) => outcome.reasons.map((reason) => wordReason(parts.reasonWords, reason, speak)),
    planVerdict: (outcome) => verdictWords[outcome.verdict] ?? outcome.verdict,
    planTone: (outcome) => (outcome.blocked ? 'stop' : worstTone(outcome.rows)),
  };
}
