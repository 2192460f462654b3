import { gap, girth, share, type FitRow } from '../../fit/fit-row.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { LinksJudgement } from './judge-links.ts';
import { slackWindow } from './slack-window.ts';
import { mostLinksOut, type ProngCollar } from './prong-collar.ts';
import { atLeast, atMost, below } from '../../units/tolerance.ts';

/** Measure, limit and house rule of each part of a prong's verdict, made up with a number of links. Common practice. */
export function prongRows(judgement: LinksJudgement, collar: ProngCollar, headGirthMm: number | null, rules: HouseRules): FitRow[] {
  const { slackMm, biteMm, biteRatio, relaxedGirthMm, change } = judgement;
  const mostOut = mostLinksOut(collar.gaugeMm, rules.maxRemove);
  const window = slackWindow(collar, rules);
  const inWindow = atLeast(slackMm, window.lowMm) && atMost(slackMm, window.highMm);
  const snug = below(slackMm, window.lowMm) && atLeast(slackMm, -rules.pressMaxMm);
  return [
    {
      what: 'Slack at rest',
      measure: gap(slackMm),
      low: gap(window.lowMm),
      high: gap(window.highMm),
      aim: gap(rules.slackAimMm),
      limit: snug && !inWindow ? 'school «snug» accepts it' : undefined,
      rule: below(window.highMm, rules.slackMaxMm) ? 'biteMinMm' : inWindow || snug || below(slackMm, window.lowMm) ? 'slackMinMm' : 'slackMaxMm',
      tone: inWindow ? 'good' : snug ? 'mind' : 'stop',
    },
    {
      what: 'Bite when pulled',
      measure: gap(biteMm),
      low: gap(rules.biteMinMm),
      rule: 'biteMinMm',
      tone: atMost(biteMm, 0) ? 'stop' : below(biteMm, rules.biteMinMm) ? 'mind' : 'good',
    },
    {
      what: 'Bite as a share of the girth',
      measure: share(biteRatio),
      high: share(rules.biteMaxRatio),
      rule: 'biteMaxRatio',
      tone: atMost(biteRatio, rules.biteMaxRatio) ? 'good' : 'stop',
    },
    {
      what: change >= 0 ? 'Links put in' : 'Links taken out',
      measure: { as: 'count', count: Math.abs(change), thing: 'link' },
      high: { as: 'count', count: change >= 0 ? rules.maxAdd : mostOut, thing: 'link' },
      rule: change >= 0 ? 'maxAdd' : 'maxRemove',
      tone: change > rules.maxAdd || -change > mostOut ? 'stop' : 'good',
    },
    {
      what: 'Over the head, at rest',
      measure: girth(relaxedGirthMm),
      limit: headGirthMm === null ? 'head not taped' : undefined,
      high: headGirthMm === null ? undefined : girth(headGirthMm),
      rule: null,
      practice: 'never over the head',
      tone: headGirthMm === null ? 'open' : below(relaxedGirthMm, headGirthMm) ? 'good' : 'stop',
    },
  ];
}
