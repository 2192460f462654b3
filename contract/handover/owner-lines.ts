import { clockWords, gaugeName, listWords, RING_TRAVEL_MM, speakHours, type Speaker } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { DeviceLevels } from '../levels/dog-levels.ts';
import type { DressedDog } from '../neck/dressed-dog.ts';
import type { DressedContacts } from '../neck/dressed.ts';
import { dayStartOf } from '../neck/kennel-days.ts';
import { programmeStanding } from '../programme/programme-standing.ts';
import type { HandoverSheet, SheetLine } from '../records/handover.ts';
import type { Kennel } from '../records/kennel.ts';
import type { NeckPage } from '../records/pages.ts';
import { OWNER_WORDS, WHERE, WHERE_WORDS, type Where } from './owner-words.ts';

type Section = HandoverSheet['sections'][number];
const YEAR_DAYS = 365.25;
/** Sessions whose needed level says what is usual; as in the field log. */
const NEEDED_SESSIONS = 3;

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const counted = (count: number, noun: string) => `${count} ${noun}${count === 1 ? '' : 's'}`;
export const section = (key: string, title: string, lines: SheetLine[]): Section[] => (lines.length === 0 ? [] : [{ key, title, lines }]);
export const kindsOf = (dressed: DressedDog): CollarKindName[] => dressed.items.flatMap(({ entry }) => (entry.as === 'fit' ? [entry.kind] : []));

export function ageWords(days: number | null): string {
  if (days === null) return '';
  return days < 2 * YEAR_DAYS ? `${Math.floor(days / (YEAR_DAYS / 12))} months` : `${Math.floor(days / YEAR_DAYS)} years`;
}

/** How a thing of the stack is called by people who are no trainers. */
const plainName = ({ fit, name }: DressedDog['items'][number]) => (fit ? OWNER_WORDS[fit.plan.kind].called : name);

export function wears(dressed: DressedDog, page: NeckPage, speak: Speaker): SheetLine[] {
  return dressed.items.map((item, index): SheetLine => {
    const place = index === 0 ? 'first, right behind the ears' : `below the ${plainName(dressed.items[index - 1]!)}`;
    if (!item.fit) return { key: `wears ${item.id}`, label: capital(item.name), text: capital(`${item.widthMm > 0 ? place : 'worn beside'}.`) };
    const { plan, check } = item.fit;
    const kind = collarKind(plan.kind);
    const on = (check?.on ?? kind.firstSetting(plan.choices)) as object;
    // Contacts are told where they go first now, not where they went when it was decided.
    const contacts = dressed.contacts.find(({ fit }) => fit.plan.id === plan.id);
    const clock = contacts && clockOf(contacts).places[0];
    const choices = kind.wornChoices(plan.choices, clock === undefined ? on : { ...on, clock });
    const made = kind.describePlan(plan.inputs.collar, choices, plan.outcome, speak);
    const label = `${capital(OWNER_WORDS[plan.kind].called)} «${plan.inputs.collar.name}»`;
    return { key: `wears ${plan.kind}`, label, text: `${capital(made)}. ${capital(place)}.${spare(plan, page)}` };
  });
}

/** Links that went home with the dog, to put back in as it grows. */
function spare(plan: NeckPage['plans'][number], page: NeckPage): string {
  if (plan.kind !== 'prong') return '';
  const { gaugeMm } = plan.inputs.collar.numbers as { gaugeMm: number };
  const lent = page.links.find(({ account, gaugeMm: own }) => account === `dog:${page.dog.id}` && own === gaugeMm)?.count ?? 0;
  return lent > 0 ? ` Spare: ${counted(lent, 'link')} of ${gaugeName(gaugeMm)}, yours to keep for growing.` : ' No spare links went with the dog.';
}

export function ringLines({ ring, items, door }: DressedDog, speak: Speaker): SheetLine[] {
  if (!ring) return [];
  const prong = items.find(({ fit }) => fit?.plan.kind === 'prong')?.fit;
  const which = prong ? ((prong.plan.choices as { ring: 'live' | 'both' }).ring === 'both' ? 'both rings' : 'the live ring, which closes the collar') : null;
  const travel = prong ? RING_TRAVEL_MM[(prong.plan.choices as { ring: 'live' | 'both' }).ring] : null;
  return [
    {
      key: 'ring place',
      label: 'The ring',
      text: `At ${clockWords(ring.clock)}, seen from behind the dog with 12 at the nape${which ? `; leash on ${which}` : ''}.`,
    },
    ...(travel ? [{ key: 'ring travel', label: 'Before it closes', text: `Your leash hand moves ${speak.gap(travel[0])} to ${speak.gap(travel[1])}.` }] : []),
    ...door.lines.filter(({ what, tone }) => what === 'rig' && tone === 'good').map(({ says }) => ({ key: 'ring rig', label: 'The backup', text: says })),
    ...ring.see.map((text, index) => ({ key: `ring see ${index}`, label: index === 0 ? 'The side' : 'Look', text })),
  ];
}

export const called = (kinds: readonly CollarKindName[]) => listWords(kinds.map((kind) => OWNER_WORDS[kind].called));

/** A martingale has a setting of its own for those who leave it on indoors: lower, looser, and without a leash. */
function martingaleAtHome({ fits }: DressedDog, speak: Speaker): string {
  const fit = fits.find(({ plan }) => plan.kind === 'martingale');
  if (!fit) return '';
  const on = (fit.check?.on ?? collarKind('martingale').firstSetting(fit.plan.choices as never)) as { houseStrapMm?: number };
  return on.houseStrapMm === undefined
    ? ''
    : ` Who leaves it on lets its strap out to ${speak.girth(on.houseStrapMm)}: lower, looser, never with a leash, and no loop hanging where a paw can catch.`;
}

export function whereLines(dressed: DressedDog, speak: Speaker): SheetLine[] {
  const kinds = kindsOf(dressed);
  const { rules, schools } = dressed.house;
  const stays = kinds.filter((kind) => OWNER_WORDS[kind].house === 'on');
  const extras = dressed.items.filter(({ entry }) => entry.as === 'extra').map(({ name }) => name);
  const watched = kinds.filter((kind) => OWNER_WORDS[kind].onlyWatched);
  const electronic = kinds.filter((kind) => collarKind(kind).onNeck.wornAs === 'contacts');
  const off = kinds.filter((kind) => !stays.includes(kind));
  const own = listWords([...stays.map((kind) => OWNER_WORDS[kind].called), ...extras]);
  const says: Record<Where, string> = {
    house: `${own ? `${capital(own)}.` : 'Nothing on the neck.'}${off.length > 0 ? ` The ${called(off)} ${off.length === 1 ? 'comes' : 'come'} off at the door.` : ''}${martingaleAtHome(dressed, speak)}`,
    walk:
      kinds.length + extras.length === 0
        ? 'Nothing is fitted.'
        : `${capital(listWords([...kinds.map((kind) => OWNER_WORDS[kind].called), ...extras]))}, put on in the order above.`,
    crate:
      schools.crateSchool === 'always-on' && stays.length > 0
        ? `The ${called(stays)} may stay on, if it fits and the crate has nothing to catch on; nothing else, ever.`
        : `Nothing on the neck${electronic.length > 0 ? `; above all no ${called(electronic)} when you are away for longer than ${speakHours(rules.crateHours)}` : ''}.`,
    vet: `${stays.length > 0 ? `The ${called(stays)}` : 'A flat collar or a harness'} and the leash; take everything that presses or stimulates off, and say that it is worn.`,
  };
  return [
    ...WHERE.map((where) => ({ key: `where ${where}`, label: WHERE_WORDS[where], text: says[where] })),
    ...(watched.length > 0
      ? [
          {
            key: 'where never',
            label: 'Never',
            text: `${capital(called(watched))}: only while somebody watches; never in a crate, in play with other dogs, or overnight.`,
          },
        ]
      : []),
  ];
}

export function onOffLines(dressed: DressedDog): SheetLine[] {
  const { rules } = dressed.house;
  const kinds = kindsOf(dressed);
  const electronic = kinds.filter((kind) => collarKind(kind).onNeck.wornAs === 'contacts');
  const steps = kinds.filter((kind) => collarKind(kind).onNeck.wornAs !== 'contacts');
  return [
    ...steps.map((kind): SheetLine => ({ key: `on ${kind}`, label: `The ${OWNER_WORDS[kind].called} goes on`, text: collarKind(kind).putOn.join(' ') })),
    ...electronic.flatMap((kind): SheetLine[] => [
      { key: `on ${kind}`, label: `The ${OWNER_WORDS[kind].called} goes on`, text: collarKind(kind).putOn.join(' ') },
      {
        key: `off ${kind}`,
        label: 'and comes off',
        text: `Moved to its next place every ${speakHours(rules.moveByHours)} at the latest; ${speakHours(rules.dayHours)} a day at most; off overnight, and in the crate for longer than ${speakHours(rules.crateHours)}. No leash on it.`,
      },
    ]),
  ];
}

/** The places of the contacts in the order in which they are used today, and those that rest. */
export function clockOf({ rotation, at }: DressedContacts) {
  const begin = at ?? rotation.next;
  const places = [...(begin === null ? [] : [begin]), ...rotation.distinct.filter((clock) => clock !== begin)];
  const resting = rotation.places.filter(({ barred }) => barred === 'skin').map(({ clock }) => clock);
  return { places, resting };
}

export function contactLines(contacts: DressedContacts, { house }: DressedDog): SheetLine[] {
  const { places, resting } = clockOf(contacts);
  const { moveByHours, dayHours } = house.rules;
  const name = OWNER_WORDS[contacts.fit.plan.kind].called;
  const turns = places.map((clock, index) => `${clockWords(clock)} ${index === 0 ? `for the first ${speakHours(moveByHours)}` : 'next'}`);
  return [
    {
      key: `contacts ${contacts.fit.plan.kind}`,
      label: capital(name),
      text:
        places.length === 0
          ? 'No place is free for it today: it stays off.'
          : `${capital(listWords(turns))}. Seen from behind the dog, 12 at the nape, 3 the dog’s right. This neck has ${counted(contacts.rotation.distinct.length, 'place')} apart from each other, so it carries ${speakHours(Math.min(dayHours, contacts.rotation.capacityHours))} a day.`,
    },
    ...(resting.length > 0
      ? [{ key: `contacts rest ${contacts.fit.plan.kind}`, label: 'Resting', text: `Not at ${listWords(resting.map(clockWords))}: the skin there was pink.` }]
      : []),
    { key: `contacts never ${contacts.fit.plan.kind}`, label: 'Never', text: 'Between 5 and 7 o’clock: that is the windpipe.' },
  ];
}

/** What is usual in a setting: its working level, else the middle of what the last sessions needed; never at or above what was too much. */
function usualLevel({ rung, needed }: DeviceLevels['settings'][number], ceiling: number | null): number | null {
  const last = needed.slice(-NEEDED_SESSIONS).map(({ level }) => level).sort((a, b) => a - b); // prettier-ignore
  const level = rung.working ?? last[Math.floor((last.length - 1) / 2)] ?? null;
  return level === null || (ceiling !== null && level >= ceiling) ? null : level;
}

export function levelLines(levels: readonly DeviceLevels[], worn: ReadonlySet<string>): SheetLine[] {
  return levels
    .filter(({ collar }) => worn.has(collar.id))
    .flatMap((device): SheetLine[] => {
      const { collar, ceiling, cap, scale } = device;
      const known = device.settings.flatMap((setting) => {
        const level = usualLevel(setting, ceiling);
        return level === null ? [] : [`${setting.name.toLowerCase()} ${level}`];
      });
      // A number is a limit only where its trainer set one; what was too much is no leave to go up to it.
      const limit = cap === null ? null : Math.min(cap, ceiling === null ? cap : ceiling - scale.step);
      return [
        {
          key: `level ${collar.id}`,
          label: `«${collar.name}», ${scale.min} to ${scale.max}`,
          text:
            known.length === 0
              ? 'No level was found yet: tone or nothing, until it is found with us.'
              : `${capital(listWords(known))}. The lowest that it notices, no more.`,
        },
        ...(ceiling !== null ? [{ key: `ceiling ${collar.id}`, label: 'Never', text: `At ${ceiling} or above: ${ceiling} was too much for this dog.` }] : []),
        ...(limit !== null ? [{ key: `cap ${collar.id}`, label: 'At most', text: `${limit}, whatever happens.` }] : []),
        {
          key: `level first ${collar.id}`,
          label: 'It does not answer?',
          text: 'Look whether both contacts touch, then the skin, the place, the battery, and what distracts it. A higher level is not the answer: call us.',
        },
      ];
    });
}

export function trainingLines(page: NeckPage, kennel: Kennel, now: number): SheetLine[] {
  return page.programmes
    .filter(({ state }) => state === 'running')
    .map((programme): SheetLine => {
      const moves = page.moves.filter(({ programmeId }) => programmeId === programme.id);
      const { stage } = programmeStanding(programme, { results: [], moves }, { startedAt: dayStartOf(programme.startsOn, kennel.timeZone), now });
      return {
        key: `training ${programme.id}`,
        label: programme.name,
        text: `It stands at «${stage.name}». It is through at ${stage.pass.needed} of ${stage.pass.of}: ${stage.pass.what}. One stage back when: ${stage.fallBack.setback.charAt(0).toLowerCase()}${stage.fallBack.setback.slice(1)}.`,
      };
    });
}

export function ifLines(dressed: DressedDog): SheetLine[] {
  const kinds = kindsOf(dressed);
  const electronic = kinds.filter((kind) => collarKind(kind).onNeck.wornAs === 'contacts');
  const each = (what: 'slides' | 'opens') =>
    kinds.map((kind): SheetLine => ({ key: `${what} ${kind}`, label: `The ${OWNER_WORDS[kind].called} ${what}`, text: OWNER_WORDS[kind][what] }));
  const rubs = [...new Set(kinds.map((kind) => OWNER_WORDS[kind].rubs))].sort((a, b) => b.length - a.length)[0];
  return [
    ...each('slides'),
    ...(rubs ? [{ key: 'rubs', label: 'Something rubs', text: rubs }] : []),
    ...each('opens'),
    ...(electronic.length > 0
      ? [
          {
            key: 'battery',
            label: 'The battery is flat',
            text: 'Take it off: an empty one is worn for nothing. Work on the leash until it is charged; never turn another one up instead.',
          },
        ]
      : []),
  ];
}
