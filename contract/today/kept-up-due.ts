import { outgrowthTitle } from '../growth/outgrows.ts';
import { levelRoseTitle } from '../levels/level-rose.ts';
import { countOf, NEEDED_REASON_WORDS, wordReason, DAY_MS, HOUR_MS, capital } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import { dayStart } from '../neck/kennel-days.ts';
import { fitsDue, ownersDue, SKIN_AHEAD_MS, skinDue } from './dogs-due.ts';
import { sessionsDue } from './sessions-due.ts';
import { noDog, type DogDueFacts, type TodayFacts, type TodayFound } from './today-facts.ts';

/** What growth will need within so long comes up today, days. From memory. */
const GROWTH_AHEAD_DAYS = 14;

const dogOf = ({ dogId, dogName }: { dogId: string; dogName: string }) => ({ dogId, dogName });

const UNFIT_TITLES = {
  mend: (dog: string, name: string) => `${dog}: mend ${name} before it goes on.`,
  worn: (dog: string, name: string) => `${dog}: ${name} is worn out. Take another.`,
  scrapped: (dog: string, name: string) => `${dog}: ${name} is scrapped. Take another.`,
} as const;

/** Levels that rose, with the question of the alarm that is next. */
function levelsDue({ levels, speak }: DogDueFacts): TodayFound[] {
  return levels.map((one): TodayFound => ({
    ...dogOf(one),
    code: 'level-up',
    tone: 'mind',
    title: levelRoseTitle(one.dogName, one.setting, one.look),
    why: wordReason(NEEDED_REASON_WORDS, one.reason, speak).text,
    to: `/dogs/${one.dogId}/levels`,
    does: 'See why',
    key: `${one.device} ${one.setting}`,
  }));
}

/** What growth will need: by the day, since a curve of weighings knows no hours. */
function growthDue({ growth, now, kennel }: DogDueFacts): TodayFound[] {
  const day = dayStart(now, kennel.timeZone);
  return growth.flatMap(({ dogId, dogName, bornOn, outgrows }) =>
    outgrows.flatMap((one): TodayFound[] => {
      const { planId, change, outgrown: end } = one;
      const next = change ?? end;
      if (!next || next.when.likely === null) return [];
      const due = Date.parse(bornOn) + next.when.likely * DAY_MS;
      if (due - day > GROWTH_AHEAD_DAYS * DAY_MS) return [];
      const days = Math.max(0, Math.floor((due - day) / DAY_MS));
      return [
        {
          dogId,
          dogName,
          code: 'outgrows',
          tone: 'open',
          title: `${outgrowthTitle(dogName, one)} ${days === 0 ? 'now' : `in about ${countOf(days, 'day')}`}.`,
          why: change ? `Then ${change.says}.` : `Then ${end!.wanted}.`,
          to: `/dogs/${dogId}/growth`,
          does: 'See when',
          at: days === 0 ? null : due,
          key: planId,
        },
      ];
    }),
  );
}

function screensDue({ cards, now, rules }: DogDueFacts): TodayFound[] {
  return cards.flatMap(({ dog, screenings }): TodayFound[] => {
    const last = screenings.at(-1);
    if (!last || now - Date.parse(last.at) < rules.screenDays * DAY_MS) return [];
    return [
      {
        dogId: dog.id,
        dogName: dog.name,
        code: 'screen-again',
        tone: 'open',
        title: `Screen ${dog.name} again.`,
        why: `Last screened ${countOf(Math.floor((now - Date.parse(last.at)) / DAY_MS), 'day')} ago; it holds for ${rules.screenDays}.`,
        to: `/dogs/${dog.id}/screen`,
        does: 'Screen',
        key: 'screen',
      },
    ];
  });
}

/** All that is due of dogs, of each by itself. */
export const dogDues = (facts: DogDueFacts): TodayFound[] => [
  ...ownersDue(facts),
  ...sessionsDue(facts),
  ...fitsDue(facts),
  ...skinDue(facts),
  ...levelsDue(facts),
  ...growthDue(facts),
  ...screensDue(facts),
  ...unfitDue(facts),
];

/** The next instant (ms) at which time alone may make something else due of these dogs; at the latest the end of the day in the kennel's zone. */
export function dogDuesUntil({ cards, growing, skins, rules, now, kennel }: DogDueFacts): number {
  const looks = cards.flatMap(({ dog, fits }) =>
    growing.has(dog.id)
      ? fits.flatMap(({ plan, check }) => {
          const { growing: look } = collarKind(plan.kind).traits;
          return look ? [Date.parse(check?.at ?? plan.at) + look.everyDays * DAY_MS] : [];
        })
      : [],
  );
  const rests = skins.flatMap(({ skin: { flags } }) => flags.flatMap(({ untilMs }) => (untilMs === null ? [] : [untilMs - SKIN_AHEAD_MS, untilMs])));
  const screenings = cards.flatMap(({ screenings: all }) => {
    const last = all.at(-1);
    if (!last) return [];
    const at = Date.parse(last.at);
    return [at + (Math.max(rules.screenDays - 1, Math.floor((now - at) / DAY_MS)) + 1) * DAY_MS];
  });
  const midnight = dayStart(dayStart(now, kennel.timeZone) + 36 * HOUR_MS, kennel.timeZone);
  return Math.min(midnight, ...[...looks, ...rests, ...screenings].filter((at) => at > now));
}

/** Pieces that a dog wears and that are not sound: they come before all that is only to be looked at. */
const unfitDue = ({ unfit }: DogDueFacts): TodayFound[] =>
  unfit.map(({ dogId, dogName, pieceId, name, is }) => ({
    dogId,
    dogName,
    code: 'mend',
    tone: 'stop',
    title: UNFIT_TITLES[is](dogName, name),
    why: 'Noted at inspection, or in the locker.',
    to: `/upkeep?piece=${pieceId}`,
    does: 'Inspect',
    key: pieceId,
  }));

/** How many pieces a line of many names. */
const NAMED = 3;

/** What keeps: gear and law. */
export function keptUpDue({ gear: { due, first }, places, rules, today }: TodayFacts): TodayFound[] {
  const upkeep: TodayFound[] =
    due === 0
      ? []
      : [
          {
            ...noDog,
            code: 'upkeep',
            tone: 'open',
            title: due === 1 ? `${first[0]!.mend ? 'Mend' : 'Inspect'} ${first[0]!.name}.` : `${capital(countOf(due, 'piece'))} of gear to inspect.`,
            why:
              first
                .slice(0, NAMED)
                .map(({ name }) => name)
                .join(', ') + (due > NAMED ? ` and ${due - NAMED} more.` : '.'),
            to: due === 1 ? `/upkeep?piece=${first[0]!.id}` : '/upkeep',
            does: 'Inspect',
            key: 'upkeep',
          },
        ];
  const days = (from: string) => Math.round((Date.parse(today) - Date.parse(from)) / DAY_MS);
  const law = places
    .filter(({ retiredAt, checkedOn }) => retiredAt === null && (checkedOn === null || days(checkedOn) > rules.lawCheckDays))
    .map(({ id, name, checkedOn }): TodayFound => ({
      ...noDog,
      code: 'law',
      tone: 'open',
      title: `Check the law at ${name}.`,
      why: checkedOn === null ? 'Not checked yet.' : `Last checked ${countOf(days(checkedOn), 'day')} ago; it holds for ${rules.lawCheckDays}.`,
      to: '/house',
      does: 'See it',
      key: id,
    }));
  return [...upkeep, ...law];
}
