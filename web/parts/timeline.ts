import { collarKind, type DogRecord, type Ending, type FitCheck, type Lift, type Plan, type Screening, type Taping } from '@banter/contract';
import { TAPE_REASON_WORDS, wordReason, type Reason, type Speaker, type TapeReason, houseRules } from '@banter/core';
import { SCREEN_ITEMS } from '@banter/core';
import { CHECK_WORDS, checkTone, type VerdictTone } from './verdict.ts';

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
  /** The rule values it was given under; null for what no rule decided. */
  rules: Record<string, number | null> | null;
  coreVersion: string;
  taping: Taping | null;
  corrected: boolean;
};

/** What was measured, decided, found and screened in some days of a dog’s record, newest first. A taping that was corrected says so; nothing is left out. */
export function timelineOf(
  page: Pick<DogRecord, 'tapings' | 'corrected' | 'plans' | 'checks' | 'endings' | 'ended' | 'screenings' | 'lifts'>,
  speak: Speaker,
  exact: (mm: number) => string,
  siteName: (site: Taping['site']) => string,
): TimelineEntry[] {
  const correctedIds = new Set(page.corrected);
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
      title: `${kind.describePlan(plan.inputs.collar, plan.choices, plan.outcome, speak)}, from ${plan.inputs.collar.name}`,
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
      tone: checkTone(check.outcome.verdict),
      word: `Check ${check.attempt}: ${CHECK_WORDS[check.outcome.verdict].toLowerCase()}`,
      reasons: [
        { code: 'as-found', text: `On the dog: ${kind.describeSetting(check.on, speak)}.` },
        ...kind.checkReasons(check.outcome, speak, houseRules(check.rules)),
      ],
      note: check.note,
      taping: null,
      corrected: false,
    };
  });
  const itemOf = (id: string) => SCREEN_ITEMS.find((item) => item.id === id)!.name.toLowerCase();
  const happened = (record: Screening | Lift | Ending) => ({
    id: record.id,
    at: record.at,
    by: record.personName,
    rules: null,
    coreVersion: '',
    taping: null,
    corrected: false,
  });
  const screenings = page.screenings.map((screening): TimelineEntry => {
    const found = Object.entries(screening.answers).filter(([, answer]) => answer !== 'no');
    return {
      ...happened(screening),
      title:
        found.length === 0 ? 'Nothing against a collar.' : found.map(([id, answer]) => `${itemOf(id)}: ${answer === 'yes' ? 'yes' : 'not known'}`).join(', '),
      tone: found.length === 0 ? 'good' : 'mind',
      word: 'Screened',
      reasons: [],
      note: screening.note,
    };
  });
  const lifts = page.lifts.map((lift): TimelineEntry => ({
    ...happened(lift),
    title: `${lift.lifted ? 'The stop was lifted' : 'The stop was put back'}: ${itemOf(lift.item)}.`,
    tone: 'mind',
    word: lift.lifted ? 'Lifted' : 'Put back',
    reasons: [],
    note: lift.note,
  }));
  const endings = page.endings.map((ending): TimelineEntry => {
    const plan = page.ended.find(({ id }) => id === ending.planId);
    return {
      ...happened(ending),
      title: plan ? `${collarKind(plan.kind).name} ${plan.inputs.collar.name} is ${ending.ended ? 'no longer worn' : 'worn again'}.` : 'A fit was set aside.',
      tone: 'open',
      word: ending.ended ? 'Set aside' : 'Undone',
      reasons: [],
      note: ending.note,
    };
  });
  return inTimeOrder([...endings, ...screenings, ...lifts, ...tapings, ...plans, ...checks]);
}

/** The newest first; of the same instant the one made last. */
export function inTimeOrder(entries: readonly TimelineEntry[]): TimelineEntry[] {
  return [...entries].sort((a, b) => (a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1));
}
