/** What server and web share: requests, answers, records and problems. */
export { z } from './plain-words.ts';
export { fieldErrors, Problem, PROBLEMS, type FieldError, type ProblemCode } from './problem.ts';
export { RuleOverrides } from './rules.ts';
export { CALCULATIONS, calculationOf, type CalculationName } from './calc/calculations.ts';
export { ENDPOINTS, type Endpoint } from './endpoints.ts';

export { COLLAR_KINDS, COLLAR_KIND_NAMES, collarKind, type AnyCollarKind, type CollarKindName } from './collars/collar-kinds.ts';
export type { CheckOutcome, CollarKind, EarlierCheck, FittingDog, PlanOutcome, StockedCollar } from './collars/collar-kind.ts';
export { asProngCollar, ProngAnswers, ProngChoices, prongKind, VERDICT_WORDS, type ProngCheckOutcome, type ProngPlanOutcome } from './collars/prong.ts';
export { ProngNumbers } from './collars/prong-numbers.ts';

export { Instant, RecordId } from './records/common.ts';
export { Doorstep, Me, SignIn, SignUp } from './records/account.ts';
export { Kennel, KennelSettings } from './records/kennel.ts';
export { birthDateFault, Dog, DogFacts } from './records/dog.ts';
export { latestGirths, NewTaping, tapeRequest, Taping } from './records/taping.ts';
export { Collar, CollarFacts, METALS } from './records/collar.ts';
export { fittingDog, NewPlan, Plan, PlanInputs } from './records/plan.ts';
export { FitCheck, NewFitCheck } from './records/fit-check.ts';
export { nextStep, type NextStep } from './records/next-step.ts';
export { CollarsPage, DogCard, DogPage, DogsPage } from './records/pages.ts';
