import { collarKind, type DogPage, type FitCheck, type Plan, type Taping } from '@banter/contract';
import { TAPE_REASON_WORDS, wordReason, type Reason, type Speaker, type TapeReason } from '@banter/core';
import { CHECK_WORDS, toneOf, type VerdictTone } from './verdict.ts';

/** One thing that happened to a dog, as the timeline tells it. */
export type TimelineEntry = {
  id: string;
  at: string;
  by: string;
  title: string;
  tone: VerdictTone;
  word: string;
  reasons: Reason[];
  note: string;
  rules: Record<string, number | null>;
  coreVersion: string;
  taping: Taping | null;
  corrected: boolean;
};

/** Everything that happened to a dog, newest first. A taping that was corrected says so; nothing is left out. */
export function timelineOf(page: DogPage, speak: Speaker, exact: (mm: number) => string, siteName: (site: Taping['site']) => string): TimelineEntry[] {
  const correctedIds = new Set(page.tapings.map((taping) => taping.correctsId));
  const kept = (record: Taping | Plan | FitCheck) => ({
    id: record.id,
    at: record.at,
    by: record.personName,
    rules: record.rules,
    coreVersion: record.coreVersion,
  });
  const tapings = page.tapings.map((taping): TimelineEntry => {
    const reasons = (taping.reasons as TapeReason[]).map((reason) => wordReason(TAPE_REASON_WORDS, reason, speak));
    const lower = reasons.some((reason) => reason.code === 'taken-lower');
    return {
      ...kept(taping),
      title: `${siteName(taping.site)} ${exact(taping.result.girthMm)}${taping.basis === 'coat' ? ' over the coat' : taping.overCoat ? ' on the skin' : ''}`,
      tone: lower || taping.result.repeat ? 'mind' : 'open',
      word: taping.correctsId ? 'Taped again' : 'Taped',
      reasons,
      note: taping.typed.length > 0 ? `Read: ${taping.typed.join(' · ')}` : '',
      taping,
      corrected: correctedIds.has(taping.id),
    };
  });
  const plans = page.plans.map((plan): TimelineEntry => {
    const kind = collarKind(plan.kind);
    return {
      ...kept(plan),
      title: `${kind.describePlan(plan.inputs.collar, plan.choices, plan.outcome, speak)}, from «${plan.inputs.collar.name}»`,
      tone: plan.outcome.keep ? 'good' : 'mind',
      word: `Decided: ${kind.planVerdict(plan.outcome).toLowerCase()}`,
      reasons: kind.planReasons(plan.outcome, speak),
      note: plan.note,
      taping: null,
      corrected: false,
    };
  });
  const checks = page.checks.map((check): TimelineEntry => {
    const kind = collarKind(check.kind);
    return {
      ...kept(check),
      title: kind.checkSentence(check.outcome, check.on),
      tone: toneOf(check.outcome.verdict),
      word: `Check ${check.attempt}: ${CHECK_WORDS[check.outcome.verdict]!.toLowerCase()}`,
      reasons: [{ code: 'as-found', text: `On the dog: ${kind.describeSetting(check.on, speak)}.` }, ...kind.checkReasons(check.outcome, speak)],
      note: check.note,
      taping: null,
      corrected: false,
    };
  });
  return [...tapings, ...plans, ...checks].sort((a, b) => (a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1));
}
