import { gap, girth, share, type FitRow } from '../../fit/fit-row.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { LinksJudgement } from './judge-links.ts';
import { gaugeName, mostLinksOut, type ProngCollar } from './prong-collar.ts';

/** Measure, limit and house rule of each part of a prong's verdict, made up with a number of links. Common practice. */
export function prongRows(judgement: LinksJudgement, collar: ProngCollar, headGirthMm: number | null, rules: HouseRules): FitRow[] {
  const { slackMm, biteMm, biteRatio, relaxedGirthMm, change } = judgement;
  const mostOut = mostLinksOut(collar.gaugeMm, rules.maxRemove);
  const inWindow = slackMm >= rules.slackMinMm - 1e-9 && slackMm <= rules.slackMaxMm + 1e-9;
  const snug = slackMm < rules.slackMinMm && slackMm >= -rules.pressMaxMm - 1e-9;
  return [
    {
      what: 'Slack at rest',
      measure: gap(slackMm),
      low: gap(rules.slackMinMm),
      high: gap(rules.slackMaxMm),
      aim: gap(rules.slackAimMm),
      limit: snug && !inWindow ? 'school «snug» accepts it' : undefined,
      rule: 'slack of a prong at rest',
      tone: inWindow ? 'good' : snug ? 'mind' : 'stop',
    },
    {
      what: 'Bite when pulled',
      measure: gap(biteMm),
      limit: 'above 0',
      rule: 'closed it must bite',
      tone: biteMm > 1e-9 ? 'good' : 'stop',
    },
    {
      what: 'Bite as a share of the girth',
      measure: share(biteRatio),
      high: share(rules.biteMaxRatio),
      rule: 'most bite, as a share of the girth',
      tone: biteRatio <= rules.biteMaxRatio + 1e-9 ? 'good' : 'stop',
    },
    {
      what: change >= 0 ? 'Links put in' : 'Links taken out',
      measure: { as: 'count', count: Math.abs(change), thing: 'link' },
      high: { as: 'count', count: change >= 0 ? rules.maxAdd : mostOut, thing: 'link' },
      rule: change >= 0 ? 'most links to add' : `most links out of ${gaugeName(collar.gaugeMm)}`,
      tone: change > rules.maxAdd || -change > mostOut ? 'stop' : 'good',
    },
    {
      what: 'Over the head, at rest',
      measure: girth(relaxedGirthMm),
      limit: headGirthMm === null ? 'head not taped' : undefined,
      high: headGirthMm === null ? undefined : girth(headGirthMm),
      rule: 'never over the head',
      tone: headGirthMm === null ? 'open' : relaxedGirthMm < headGirthMm - 1e-9 ? 'good' : 'stop',
    },
  ];
}
