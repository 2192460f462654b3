import { contractSpeaker, houseRules } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import type { z } from '../plain-words.ts';
import { KeptFitCheck, type FitCheck } from '../records/fit-check.ts';
import { HandoverSheet } from '../records/handover.ts';
import { NewPlan, type Plan } from '../records/plan.ts';

type Fields = Record<string, unknown>;

/** The first thing that is wrong, as one sentence; null when nothing is. */
export function faultOfParse(parsed: { success: boolean; error?: z.ZodError }): string | null {
  const issue = parsed.success ? undefined : parsed.error?.issues[0];
  return issue ? `${[...issue.path].join('.') || 'it'}: ${issue.message}` : null;
}

/** What was sent of a record, by the very schema that takes it at its own address: what hangs together there must do so in a file. */
export const asSent =
  (schema: z.ZodObject) =>
  (record: Fields): string | null =>
    faultOfParse(schema.safeParse(Object.fromEntries(Object.keys(schema.shape).map((name) => [name, record[name]]))));

const planSent = asSent(NewPlan);
const checkSent = asSent(KeptFitCheck);

/** A kept verdict is read by its kind: whatever its words stumble over is none of this kind's. */
function readByItsKind(read: () => unknown): string | null {
  try {
    read();
    return null;
  } catch {
    return 'outcome: It is none that its kind of collar makes.';
  }
}

/** What is wrong with a plan as it is kept: its choices, the collar's numbers it was made from, and what came of it. */
export function planFault(record: Fields): string | null {
  const sent = planSent(record);
  if (sent) return sent;
  const { kind: name, inputs, choices, outcome, rules } = record as unknown as Plan;
  const kind = collarKind(name);
  const numbers = faultOfParse(kind.numbers.safeParse(inputs.collar.numbers));
  if (numbers) return `inputs.collar.numbers.${numbers}`;
  return readByItsKind(() => {
    const { dog, collar } = inputs;
    kind.planVerdict(outcome);
    kind.planTone(outcome);
    kind.planReasons(outcome, contractSpeaker);
    kind.describePlan(collar, choices, outcome, contractSpeaker);
    kind.planSentence('It', dog, collar, choices, outcome, null, contractSpeaker);
    kind.rows(dog, collar, choices, outcome, { ...houseRules(), ...rules });
  });
}

/** What is wrong with a fit check as it is kept. */
export function fitCheckFault(record: Fields): string | null {
  const sent = checkSent(record);
  if (sent) return sent;
  const { kind: name, on, outcome } = record as unknown as FitCheck;
  const kind = collarKind(name);
  return readByItsKind(() => {
    kind.checkSentence(outcome, on);
    kind.checkReasons(outcome, contractSpeaker, houseRules());
    kind.nextSetting(outcome);
    kind.describeSetting(on, contractSpeaker);
  });
}

/** What is wrong with a handover as it is kept: its sheet is read by whichever version. */
export const sheetFault = ({ sheet }: Fields) => faultOfParse(HandoverSheet.safeParse(sheet));
