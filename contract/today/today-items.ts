import {
  clockWords,
  countOf,
  GROWING_LOOK_DAYS,
  heldSessions,
  type HouseRules,
  timeOfDay,
  type NeededReason,
  NEEDED_REASON_WORDS,
  type Speaker,
  wordReason,
} from '@banter/core';
import type { Outgrowth } from '../growth/outgrows.ts';
import { momentOn } from '../neck/kennel-days.ts';
import type { PlannedSession } from '../records/calendar.ts';
import type { FieldDog } from '../records/field-page.ts';
import { nextStep, type NextStepToday } from '../records/next-step.ts';
import type { DogCard, WearingNow } from '../records/pages.ts';
import type { Place } from '../records/place.ts';
import { TODAY_CODES, type TodayItem, type TodayPage } from '../records/today-page.ts';
import type { UpkeepPiece } from '../upkeep/pieces.ts';

const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;
const DAY_MS = 24 * HOUR_MS;
/** What comes within so long is due today. From memory. */
const MOVE_AHEAD_MS = 2 * HOUR_MS;
const GROWTH_AHEAD_DAYS = 14;
const SKIN_AHEAD_MS = 12 * HOUR_MS;

/** What is known of a kennel at an instant (ms), for Today to be made of. */
export type TodayFacts = NextStepToday & {
  now: number;
  rules: HouseRules;
  speak: Speaker;
  cards: readonly DogCard[];
  wearing: readonly WearingNow[];
  field: readonly FieldDog[];
  /** Planned sessions of today with their first instant (ms), and those that were held. */
  planned: readonly (PlannedSession & { at: number })[];
  held: readonly { id: string; dogId: string; at: number }[];
  people: readonly { id: string; name: string }[];
  /** What each planned session is for, by its id. */
  stageNames: Readonly<Record<string, string>>;
  levels: readonly { dogId: string; dogName: string; device: string; setting: string; reason: NeededReason }[];
  growth: readonly { dogId: string; dogName: string; bornOn: string; outgrows: readonly Outgrowth[] }[];
  growing: ReadonlySet<string>;
  pieces: readonly UpkeepPiece[];
  places: readonly Place[];
};

type Found = Omit<TodayItem, 'id' | 'at'> & { key: string; at?: number | null };
const dogOf = ({ dogId, dogName }: { dogId: string; dogName: string }) => ({ dogId, dogName });
const nobody = { dogId: null, dogName: null };

const capital = (words: string) => `${words[0]!.toUpperCase()}${words.slice(1)}`;

function worn({ wearing, field, now, kennel }: TodayFacts): Found[] {
  const alarms = wearing.flatMap((one) =>
    one.alarms.map(({ code, text, tone, from }): Found => ({
      ...dogOf(one),
      code: code === 'place-over' ? 'move-place' : code === 'skin-says-off' ? 'skin-off' : 'worn-wrong',
      tone,
      title: code === 'place-over' ? `Move «${one.collarName}» on ${one.dogName}.` : `${one.dogName}, «${one.collarName}»: ${text}`,
      why: code === 'place-over' ? text : `Since ${momentOn(Date.parse(from), now, kennel.timeZone)}.`,
      to: `/dogs/${one.dogId}/neck/${code === 'place-over' ? 'contacts' : 'wear'}`,
      does: code === 'place-over' ? 'Move it' : 'Put it right',
      at: Date.parse(from),
      key: `${one.collarId} ${code}`,
    })),
  );
  const soon = field.flatMap((dog) =>
    dog.devices.flatMap(({ worn: on, collarId, name }): Found[] => {
      if (!on || on.clock === null) return [];
      const due = Date.parse(on.placeSince) + dog.moveByHours * HOUR_MS;
      if (due <= now || due - now > MOVE_AHEAD_MS) return [];
      return [
        {
          dogId: dog.id,
          dogName: dog.name,
          code: 'move-place',
          tone: 'open',
          title: `Move «${name}» on ${dog.name} by ${momentOn(due, now, kennel.timeZone)}.`,
          why: `At ${clockWords(on.clock)} since ${momentOn(Date.parse(on.placeSince), now, kennel.timeZone)}; a place is moved after ${dog.moveByHours} h.`,
          to: `/dogs/${dog.id}/neck/contacts`,
          does: 'Move it',
          at: due,
          key: `${collarId} soon`,
        },
      ];
    }),
  );
  const asked = wearing
    .filter(({ ask }) => ask)
    .map((one): Found => ({
      ...dogOf(one),
      code: 'still-on',
      tone: 'mind',
      title: `Is «${one.collarName}» still on ${one.dogName}?`,
      why: `On since ${momentOn(Date.parse(one.from), now, kennel.timeZone)}, and nobody said that it came off.`,
      to: `/dogs/${one.dogId}/neck/wear`,
      does: 'Say so',
      at: Date.parse(one.from),
      key: `${one.collarId} ask`,
    }));
  return [...alarms, ...soon, ...asked];
}

/** So many sessions that nobody logged stand each for itself; more stand together. */
const MISSED_SHOWN = 2;

function sessions({ planned, held, people, stageNames, cards, now }: TodayFacts): Found[] {
  const was = heldSessions(planned, held);
  const name = (id: string, of: readonly { id: string; name: string }[]) => of.find((one) => one.id === id)?.name ?? '';
  const dogs = cards.map(({ dog }) => dog);
  const open = planned.filter(({ id }) => !was.has(id)).sort((a, b) => a.at - b.at);
  const missed = open.filter((one) => now > one.at + one.minutes * MINUTE_MS);
  const each = (missed.length > MISSED_SHOWN ? open.slice(missed.length) : open).map((one): Found => {
    const code = missed.includes(one) ? 'session-missed' : now >= one.at ? 'session-now' : 'session-ahead';
    const dogName = name(one.dogId, dogs);
    const what = stageNames[one.id] ?? one.note;
    return {
      dogId: one.dogId,
      dogName,
      code,
      tone: code === 'session-missed' ? 'mind' : 'open',
      title: `${timeOfDay(one.from)} ${dogName}${what ? `: ${what}` : ''}`,
      why: `${one.minutes} minutes with ${name(one.personId, people)}${code === 'session-missed' ? '; nothing was logged' : ''}.`,
      to: `/field?dog=${one.dogId}&hand=${one.personId}`,
      does: code === 'session-missed' ? 'Log it' : 'Begin',
      at: one.at,
      key: one.id,
    };
  });
  if (missed.length <= MISSED_SHOWN) return each;
  const together: Found = {
    ...nobody,
    code: 'session-missed',
    tone: 'mind',
    title: `${capital(countOf(missed.length, 'session'))} of today were not logged.`,
    why: `${missed.map((one) => `${timeOfDay(one.from)} ${name(one.dogId, dogs)}`).join(', ')}.`,
    to: '/programme',
    does: 'See them',
    at: missed[0]!.at,
    key: 'missed',
  };
  return [together, ...each];
}

const STEPS = { screen: 'Screen', tape: 'Tape', bench: 'To the bench', check: 'Check the fit', edit: 'Weigh' } as const;

function fits({ cards, growing, kennel, today, speak, now }: TodayFacts): Found[] {
  return cards.flatMap((card): Found[] => {
    const { dog, fits: worn } = card;
    const step = nextStep(card, { kennel, today }, speak);
    const own = { dogId: dog.id, dogName: dog.name };
    const collarName = worn.find(({ plan }) => plan.kind === step.kind)?.plan.inputs.collar.name;
    const path = { screen: 'screen', tape: 'tape', bench: 'bench', check: 'check', edit: 'edit' } as const;
    if (step.tone !== 'good' && step.goTo) {
      const to = `/dogs/${dog.id}/${path[step.goTo]}${step.goTo === 'check' && step.kind ? `?kind=${step.kind}` : step.goTo === 'bench' && step.kind ? `/${step.kind}` : ''}`;
      return [
        {
          ...own,
          code: 'fit',
          tone: step.tone,
          title: `${dog.name}${collarName ? `, «${collarName}»` : ''}: ${step.sentence}`,
          why: worn.length > 0 ? 'By its latest measures and checks.' : 'It wears nothing decided yet.',
          to,
          does: STEPS[step.goTo],
          key: 'fit',
        },
      ];
    }
    if (!growing.has(dog.id)) return [];
    return worn.flatMap(({ plan, check }): Found[] => {
      const links = plan.kind === 'prong';
      if (plan.kind === 'remote' || plan.kind === 'fence') return [];
      const every = (links ? GROWING_LOOK_DAYS.links : GROWING_LOOK_DAYS.buckle) * DAY_MS;
      const last = Date.parse(check?.at ?? plan.at);
      if (now - last < every) return [];
      return [
        {
          ...own,
          code: 'growing-look',
          tone: 'open',
          title: `${dog.name} grows: look at «${plan.inputs.collar.name}».`,
          why: `${links ? 'Links every week' : 'A buckle every day'}; last looked at ${momentOn(last, now, kennel.timeZone)}.`,
          to: `/dogs/${dog.id}/check?kind=${plan.kind}`,
          does: 'Check',
          at: last + every,
          key: `grows ${plan.kind}`,
        },
      ];
    });
  });
}

function devices({ field, rules, now, kennel }: TodayFacts): Found[] {
  return field.flatMap((dog) =>
    dog.devices.flatMap(({ collarId, name, battery, skin }): Found[] => {
      const own = { dogId: dog.id, dogName: dog.name };
      const found: Found[] = [];
      if (skin && skin.grade >= 2)
        found.push({ ...own, code: 'skin-off', tone: 'stop', title: `${dog.name}: nothing on the neck.`, why: `The skin at ${clockWords(skin.clock)} is red or broken: a vet is asked, and it stays off until a later look says clear or pink.`, to: `/dogs/${dog.id}/neck/skin`, does: 'Look again', key: 'skin off' }); // prettier-ignore
      else if (skin?.until && Date.parse(skin.until) - now < SKIN_AHEAD_MS)
        found.push({ ...own, code: 'skin-again', tone: 'open', title: `Look at ${dog.name}’s skin at ${clockWords(skin.clock)} again.`, why: `It was pink; its rest is over ${momentOn(Date.parse(skin.until), now, kennel.timeZone)}.`, to: `/dogs/${dog.id}/neck/skin`, does: 'Look', at: Date.parse(skin.until), key: `skin ${skin.clock}` }); // prettier-ignore
      if (battery && battery.percent <= rules.chargePercent)
        found.push({ ...own, code: 'charge', tone: 'open', title: `Charge «${name}».`, why: `${Math.round(battery.percent)} % left, at most ${rules.chargePercent} % is charged.`, to: `/dogs/${dog.id}/neck/wear`, does: 'See it', key: `${collarId} charge` }); // prettier-ignore
      return found;
    }),
  );
}

function later({ levels, growth, pieces, places, cards, rules, speak, now, today }: TodayFacts): Found[] {
  const up = levels.map((one): Found => ({
    ...dogOf(one),
    code: 'level-up',
    tone: 'mind',
    title: `Check the contact: ${one.dogName} needs more in ${one.setting}.`,
    why: wordReason(NEEDED_REASON_WORDS, one.reason, speak).text,
    to: `/dogs/${one.dogId}/levels`,
    does: 'See why',
    key: `${one.device} ${one.setting}`,
  }));
  const outgrown = growth.flatMap(({ dogId, dogName, bornOn, outgrows }) =>
    outgrows.flatMap(({ planId, collarName, change, outgrown: end }): Found[] => {
      const next = change ?? end;
      if (!next || next.when.likely === null) return [];
      const at = Date.parse(bornOn) + next.when.likely * DAY_MS;
      if (at - now > GROWTH_AHEAD_DAYS * DAY_MS) return [];
      const days = Math.max(0, Math.round((at - now) / DAY_MS));
      return [
        {
          dogId,
          dogName,
          code: 'outgrows',
          tone: 'open',
          title: `${dogName} outgrows «${collarName}» ${days === 0 ? 'now' : `in about ${countOf(days, 'day')}`}.`,
          why: change ? `Then ${change.says}.` : `Then ${end!.wanted}.`,
          to: `/dogs/${dogId}/growth`,
          does: 'See when',
          at,
          key: planId,
        },
      ];
    }),
  );
  const due = pieces.filter(({ scrapped, due: { why } }) => !scrapped && why !== null);
  const upkeep: Found[] =
    due.length === 0
      ? []
      : [
          {
            ...nobody,
            code: 'upkeep',
            tone: due.some(({ due: { why }, worn: dogs }) => why === 'mend' && dogs.length > 0) ? 'mind' : 'open',
            title:
              due.length === 1
                ? `${due[0]!.due.why === 'mend' ? 'Mend' : 'Look at'} «${due[0]!.name}».`
                : `${capital(countOf(due.length, 'piece'))} of gear to look at.`,
            why: due.slice(0, 3).map(({ name }) => `«${name}»`).join(', ') + (due.length > 3 ? ` and ${due.length - 3} more.` : '.'), // prettier-ignore
            to: due.length === 1 ? `/upkeep?piece=${due[0]!.id}` : '/upkeep',
            does: 'Look',
            key: 'upkeep',
          },
        ];
  const days = (from: string) => Math.round((Date.parse(today) - Date.parse(from)) / DAY_MS);
  const law = places
    .filter(({ retiredAt, checkedOn }) => retiredAt === null && (checkedOn === null || days(checkedOn) > rules.lawCheckDays))
    .map(({ id, name, checkedOn }): Found => ({
      ...nobody,
      code: 'law',
      tone: 'open',
      title: `Ask what the law says at ${name}.`,
      why: checkedOn === null ? 'Nobody has looked yet.' : `Last looked ${countOf(days(checkedOn), 'day')} ago; it holds for ${rules.lawCheckDays}.`,
      to: '/house',
      does: 'See it',
      key: id,
    }));
  const screens = cards.flatMap(({ dog, screenings }): Found[] => {
    const last = screenings.at(-1);
    if (!last || now - Date.parse(last.at) < rules.screenDays * DAY_MS) return [];
    return [{ dogId: dog.id, dogName: dog.name, code: 'screen-again', tone: 'open', title: `Screen ${dog.name} again.`, why: `Last screened ${countOf(Math.floor((now - Date.parse(last.at)) / DAY_MS), 'day')} ago; it holds for ${rules.screenDays}.`, to: `/dogs/${dog.id}/screen`, does: 'Screen', key: 'screen' }]; // prettier-ignore
  });
  return [...up, ...outgrown, ...upkeep, ...law, ...screens];
}

const TONES = { stop: 0, mind: 1, open: 2, good: 3 } as const;

/**
 * What is due, in the order in which it matters: what hurts now, then what is told by the clock, then what keeps. Each once, with its
 * reason and where it is done. The same facts make the same list on every screen. Common practice; the order is our own.
 */
export function todayItems(facts: TodayFacts): TodayItem[] {
  const found = [...worn(facts), ...sessions(facts), ...fits(facts), ...devices(facts), ...later(facts)];
  const items = found.map(({ key, at = null, ...rest }): TodayItem => ({
    ...rest,
    id: `${rest.code} ${rest.dogId ?? ''} ${key}`,
    at: at === null ? null : new Date(at).toISOString(),
  }));
  const once = [...new Map(items.map((item) => [item.id, item])).values()];
  const rank = (item: TodayItem) => (item.tone === 'stop' ? -1 : 0) * 100 + TODAY_CODES.indexOf(item.code);
  return once.sort((a, b) => rank(a) - rank(b) || TONES[a.tone] - TONES[b.tone] || (a.at ?? '').localeCompare(b.at ?? '') || (a.id < b.id ? -1 : 1));
}

/** What is on a dog now and since when, and by when its contacts are moved. */
export function wornToday({ wearing, field }: Pick<TodayFacts, 'wearing' | 'field'>): TodayPage['wearing'] {
  return wearing.map(({ dogId, dogName, collarId, collarName, from, clock }) => {
    const dog = field.find(({ id }) => id === dogId);
    const on = dog?.devices.find((device) => device.collarId === collarId)?.worn;
    const moveBy = dog && on && on.clock !== null ? new Date(Date.parse(on.placeSince) + dog.moveByHours * HOUR_MS).toISOString() : null;
    return { dogId, dogName, collarId, collarName, from, clock, moveBy };
  });
}
