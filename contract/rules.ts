import { contradictingRules, houseRules, type HouseRuleName } from '@banter/core';
import { between, z } from './plain-words.ts';

const gap = between(-100, 500);
const length = between(0, 500);
const share = between(0, 1);
const weight = between(0, 200);
const links = z.number().int().min(0).max(60);
const hours = between(0, 24 * 60);
const ratio = between(0.5, 5);

const fields = {
  slackMinMm: gap,
  slackAimMm: gap,
  slackMaxMm: gap,
  pressMaxMm: length,
  biteMinMm: length,
  biteMaxRatio: share,
  maxAdd: links,
  maxRemove: links,
  weightLineKg: weight,
  bigDogKg: weight,
  microKg: weight,
  heavyKg: weight,
  slipAimMm: length,
  slipMinMm: length,
  slipMaxMm: length,
  clipOnOffMm: length,
  squeezeMaxRatio: share,
  ringGapMm: length,
  smallDogKg: weight,
  loopHangMm: length,
  backOutMin: ratio,
  backOutNarrow: ratio,
  flatFaceMm: length,
  postClearanceMm: length,
  receiverMassRatio: share,
  moveByHours: hours,
  dayHours: hours,
  restHours: hours,
  crateHours: hours,
  askOffHours: hours,
  skinLookDays: between(1, 3650),
  chargePercent: between(0, 100),
  stackGapMm: length,
  liveTravelMm: length,
  bothTravelMm: length,
  clipMassRatio: share,
  lawCheckDays: between(1, 3650),
  screenDays: between(1, 3650),
  pupDays: between(0, 1000),
  tapeSpreadMm: length,
  tapeSpreadRatio: share,
  tapeHighRatio: ratio,
  oneReadingMm: length,
  oneReadingRatio: share,
  guessRatio: share,
  typicalMm: length,
  refitChangeRatio: share,
  ewmaLambda: between(0.01, 1),
  ewmaLimit: between(0.1, 10),
  cusumSlack: between(0, 5),
  cusumLimit: between(0.1, 20),
  baselineSessions: z.number().int().min(3).max(60),
  workingChance: between(0.5, 0.95),
  levelWidthSteps: between(0.1, 20),
  levelKnownSteps: between(0.1, 20),
  levelJumpSteps: between(0.1, 50),
  tellWithinSeconds: between(0.1, 10),
  heldSeconds: between(0.1, 30),
  askEndHours: between(0.25, 48),
  dogRestMinutes: between(0, 1440),
  dogSessionsPerDay: z.number().int().min(1).max(24),
  onAroundMinutes: between(0, 240),
  inspectDays: between(1, 3650),
  inspectWears: z.number().int().min(1).max(10_000),
  tellTaleChance: between(0.001, 0.5),
} satisfies Record<HouseRuleName, z.ZodNumber>;

/** House rules overridden, by name; what is left out takes the default. Lengths mm, weights kg, times hours. */
export const RuleOverrides = z
  .strictObject(fields)
  .partial()
  .check((context) => {
    const wrong = contradictingRules(houseRules(context.value));
    if (wrong) context.issues.push({ code: 'custom', path: [wrong[1]], input: context.value, message: `The rule ${wrong[1]} must not be below ${wrong[0]}.` });
  });
export type RuleOverrides = z.infer<typeof RuleOverrides>;
