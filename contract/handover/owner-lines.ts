import {
  clockWords,
  levelWords,
  listWords,
  mayBeOn,
  speakHours,
  type House,
  type OwnerWords,
  type Speaker,
  type WearRule,
  capital,
  small,
  unstopped,
} from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { DeviceLevels } from '../levels/dog-levels.ts';
import type { DressedDog } from '../neck/dressed-dog.ts';
import type { DressedContacts } from '../neck/dressed.ts';
import { dayStartOf } from '../neck/kennel-days.ts';
import { stageAt } from '../standing/programme-standing.ts';
import type { HandoverSheet, SheetLine } from '../records/handover.ts';
import type { Kennel } from '../records/kennel.ts';
import type { NeckPage } from '../records/pages.ts';
import { WHERE, type Dog, type Where } from '../records/dog.ts';
import { WHERE_WORDS } from './owner-words.ts';

type Section = HandoverSheet['sections'][number];
const YEAR_DAYS = 365.25;

const counted = (count: number, noun: string) => `${count} ${noun}${count === 1 ? '' : 's'}`;
export const section = (key: string, title: string, lines: SheetLine[]): Section[] => (lines.length === 0 ? [] : [{ key, title, lines }]);
export const kindsOf = (dressed: DressedDog): CollarKindName[] => dressed.items.flatMap(({ entry }) => (entry.as === 'fit' ? [entry.kind] : []));

export function ageWords(days: number | null): string {
  if (days === null) return '';
  return days < 2 * YEAR_DAYS ? `${Math.floor(days / (YEAR_DAYS / 12))} months` : `${Math.floor(days / YEAR_DAYS)} years`;
}

/** A kind of collar that goes home with a dog: what its owner is told of it, and where it may be on. */
export type OwnerCollar = { kind: CollarKindName; words: OwnerWords; wear: WearRule; house: 'yes' | 'watched' | 'no'; crate: boolean };

/** Every kind that a dog wears, as its owner is told of it, by the house's rules and schools. */
export function ownerCollars(dressed: DressedDog): OwnerCollar[] {
  const { rules, schools } = dressed.house;
  return kindsOf(dressed).map((kind) => {
    const { traits, looksAlso } = collarKind(kind);
    const { owner, wear } = traits;
    const words = owner(rules);
    const numbers = dressed.fits.find(({ plan }) => plan.kind === kind)?.plan.inputs.collar.numbers;
    const ownParts = (numbers && looksAlso?.(numbers)) ?? [];
    const look = [...words.look, ...ownParts.map(({ id, ask, how }) => ({ key: `${kind}-${id}`, text: `${ask} ${how}` }))];
    return { kind, words: { ...words, look }, wear, house: mayBeOn(wear, 'house', schools), crate: mayBeOn(wear, 'crate', schools) === 'yes' };
  });
}
export const ownerCollarNames = (kinds: readonly OwnerCollar[]) => listWords(kinds.map(({ words }) => words.called));

/** How a thing of the stack is called by people who are no trainers. */
const plainName = ({ fit, name }: DressedDog['items'][number], { rules }: House) => (fit ? collarKind(fit.plan.kind).traits.owner(rules).called : name);

export function wears(dressed: DressedDog, page: NeckPage, speak: Speaker): SheetLine[] {
  return dressed.items.map((item, index): SheetLine => {
    const place = index === 0 ? 'first, right behind the ears' : `below the ${plainName(dressed.items[index - 1]!, dressed.house)}`;
    if (!item.fit) return { key: `wears ${item.id}`, label: capital(item.name), text: capital(`${item.widthMm > 0 ? place : 'worn beside'}.`) };
    const { plan, check } = item.fit;
    const kind = collarKind(plan.kind);
    const on = (check?.on ?? kind.firstSetting(plan.choices)) as object;
    // Contacts are told where they go first now, not where they went when it was decided.
    const contacts = dressed.contacts.find(({ fit }) => fit.plan.id === plan.id);
    const clock = contacts && clockOf(contacts).places[0];
    const choices = kind.wornChoices(plan.choices, clock === undefined ? on : { ...on, clock });
    const made = kind.describePlan(plan.inputs.collar, choices, plan.outcome, speak);
    const label = `${capital(plainName(item, dressed.house))} ${plan.inputs.collar.name}`;
    return { key: `wears ${plan.kind}`, label, text: `${capital(made)}. ${capital(place)}.${spare(plan, page)}` };
  });
}

/** Links that went home with the dog, to put back in as it grows. */
function spare(plan: NeckPage['plans'][number], page: NeckPage): string {
  const links = collarKind(plan.kind).links?.(plan.inputs.collar.numbers);
  if (!links) return '';
  const lent = page.links.find(({ account, gaugeMm }) => account === `dog:${page.dog.id}` && gaugeMm === links.gaugeMm)?.count ?? 0;
  return lent > 0 ? ` Spare: ${counted(lent, 'link')} of ${gaugeName(links.gaugeMm)}, yours to keep for growing.` : ' No spare links went with the dog.';
}

/** A collar that stays off until its trainer has seen to it: an owner who has it at home is told so, and nothing about wearing it. */
export const stoppedLines = (stopped: DressedDog['fits'], { rules }: House): SheetLine[] =>
  stopped.map(({ plan }) => ({
    key: `stopped ${plan.kind}`,
    label: `${capital(collarKind(plan.kind).traits.owner(rules).called)} ${plan.inputs.collar.name}`,
    text: 'Stays off: it is not right for this dog as it is. Do not put it on before we have seen it.',
  }));

export function ringLines({ ring, door }: DressedDog, { heelLine }: Pick<Dog, 'heelLine'>, speak: Speaker): SheetLine[] {
  const heel = heelLine === '' ? [] : [{ key: 'ring heel', label: 'Heel line', text: `${capital(unstopped(heelLine))}: the same for everybody who walks it.` }];
  if (!ring) return heel;
  return [
    ...heel,
    {
      key: 'ring place',
      label: 'The ring',
      text: `At ${clockWords(ring.clock)}, seen from behind the dog with 12 at the nape${ring.leashOn ? `; leash on ${ring.leashOn}` : ''}.`,
    },
    ...(ring.travelMm === null ? [] : [{ key: 'ring travel', label: 'Before it closes', text: `Your leash hand moves up to ${speak.gap(ring.travelMm)}.` }]),
    ...door.lines.filter(({ what, tone }) => what === 'rig' && tone === 'good').map(({ says }) => ({ key: 'ring rig', label: 'The backup', text: says })),
    ...ring.see.map((text, index) => ({ key: `ring see ${index}`, label: index === 0 ? 'The side' : 'Look', text })),
  ];
}

/** What is said of settings that are kept for the house. */
const settingsAtHome = ({ fits }: DressedDog, speak: Speaker): string[] =>
  fits.flatMap(({ plan, check }) => {
    const kind = collarKind(plan.kind);
    return kind.atHome ? [kind.atHome(check?.on ?? kind.firstSetting(plan.choices), speak)] : [];
  });

/** Which tool where, as it is worked out from the fits and the rules of wearing. */
export function whereWords(dressed: DressedDog, speak: Speaker): Record<Where, string> {
  const told = ownerCollars(dressed);
  const { rules } = dressed.house;
  const extras = dressed.items.filter(({ entry }) => entry.as === 'extra').map(({ name }) => name);
  const stays = told.filter(({ house }) => house === 'yes');
  const watched = told.filter(({ house }) => house === 'watched');
  const off = told.filter(({ house }) => house === 'no');
  const inCrate = told.filter(({ crate }) => crate);
  const contacts = told.filter(({ wear }) => wear.contacts);
  const own = listWords([...stays.map(({ words }) => words.called), ...extras]);
  return {
    house: [
      own ? `${capital(own)}.` : watched.length === 0 ? 'Nothing on the neck.' : '',
      watched.length > 0 ? `The ${ownerCollarNames(watched)} through the day under your eyes, moved every ${speakHours(rules.moveByHours)}.` : '',
      off.length > 0 ? `The ${ownerCollarNames(off)} ${off.length === 1 ? 'comes' : 'come'} off at the door.` : '',
      ...settingsAtHome(dressed, speak),
    ]
      .filter(Boolean)
      .join(' '),
    yard: [
      `${capital(listWords([...told.filter(({ house }) => house !== 'no').map(({ words }) => words.called), ...extras], 'and') || 'nothing on the neck')}, and the long line until it comes at the first call.`,
      off.length > 0 ? `The ${ownerCollarNames(off)} only while you work with it.` : '',
    ]
      .filter(Boolean)
      .join(' '),
    walk:
      told.length + extras.length === 0
        ? 'Nothing is fitted.'
        : `${capital(listWords([...told.map(({ words }) => words.called), ...extras]))}, put on in the order above.`,
    crate:
      inCrate.length > 0
        ? `The ${ownerCollarNames(inCrate)} may stay on, if it fits and the crate has nothing to catch on; nothing else, ever.`
        : `Nothing on the neck${contacts.length > 0 ? `; above all no ${ownerCollarNames(contacts)} when you are away for longer than ${speakHours(rules.crateHours)}` : ''}.`,
    vet: `${stays.length > 0 ? `The ${ownerCollarNames(stays)}` : 'A flat collar or a harness'} and the leash; take everything that presses or stimulates off, and say that it is worn.`,
    visitors: `As in the house, with the leash in your hand until it is calm.${off.length > 0 ? ` No ${ownerCollarNames(off)} while it greets anybody or plays.` : ''}`,
  };
}

/** What trainers often say of a place in their own words, to choose from, by what the dog wears. Common practice. */
export function whereOften(dressed: DressedDog): Partial<Record<Where, readonly string[]>> {
  const forTheWalk = ownerCollars(dressed).filter(({ house }) => house === 'no');
  return {
    house: ['A slip lead for the first weeks, its stopper set; then the flat collar alone.'],
    vet: [
      'The slip lead, its stopper set, over the flat collar.',
      ...(forTheWalk.length > 0 ? [`The ${ownerCollarNames(forTheWalk)}, put on before the door; off on the table.`] : []),
    ],
    visitors: ['The slip lead in your hand until it lies down by itself.'],
  };
}

/** Which tool where, in its trainer's words where there are any; what is never done stands whatever they say. */
export function whereLines(dressed: DressedDog, { toolsWhere }: Pick<Dog, 'toolsWhere'>, speak: Speaker): SheetLine[] {
  const never = ownerCollars(dressed).filter(({ wear }) => wear.unwatched === 'never' || wear.unwatched === 'house-setting');
  const says = whereWords(dressed, speak);
  return [
    ...WHERE.map((where) => ({ key: `where ${where}`, label: WHERE_WORDS[where], text: toolsWhere?.[where] || says[where] })),
    ...(never.length > 0
      ? [
          {
            key: 'where never',
            label: 'Never',
            text: `${capital(ownerCollarNames(never))}: only while somebody watches; never in a crate, in play with other dogs, or overnight.`,
          },
        ]
      : []),
  ];
}

export function onOffLines(dressed: DressedDog): SheetLine[] {
  const { rules } = dressed.house;
  const told = ownerCollars(dressed);
  const goesOn = ({ kind, words }: OwnerCollar): SheetLine => ({
    key: `on ${kind}`,
    label: `The ${words.called} goes on`,
    text: collarKind(kind).putOn.join(' '),
  });
  return [
    ...told.filter(({ wear }) => !wear.contacts).map(goesOn),
    ...told
      .filter(({ wear }) => wear.contacts)
      .flatMap((one): SheetLine[] => [
        goesOn(one),
        {
          key: `off ${one.kind}`,
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
  const name = collarKind(contacts.fit.plan.kind).traits.owner(house.rules).called;
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

export function levelLines(levels: readonly DeviceLevels[], worn: ReadonlySet<string>): SheetLine[] {
  return levels
    .filter(({ collar }) => worn.has(collar.id))
    .flatMap((device): SheetLine[] => {
      const { collar, ceiling, cap, scale } = device;
      const known = device.settings.flatMap(({ name, offered }) => (offered === null ? [] : [`${name.toLowerCase()} ${levelWords(offered.level)}`]));
      // A number is a limit only where its trainer set one; what was too much is no leave to go up to it.
      const limit = cap === null ? null : Math.min(cap, ceiling === null ? cap : ceiling - scale.step);
      return [
        {
          key: `level ${collar.id}`,
          label: `${collar.name}, ${scale.min} to ${scale.max}`,
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
          text: 'Check that both contacts touch, then the skin, the place, the battery and what distracts it. A higher level is not the answer: call us.',
        },
      ];
    });
}

export function trainingLines(page: NeckPage, kennel: Kennel, now: number): SheetLine[] {
  return page.programmes
    .filter(({ state }) => state === 'running')
    .map((programme): SheetLine => {
      const moves = page.moves.filter(({ programmeId }) => programmeId === programme.id);
      const { stage } = stageAt(programme, moves, { startedAt: dayStartOf(programme.startsOn, kennel.timeZone), now });
      return {
        key: `training ${programme.id}`,
        label: programme.name,
        text: `Stage now: ${stage.name}. Passed at ${stage.pass.needed} of ${stage.pass.of}: ${stage.pass.what}. One stage back when: ${small(stage.fallBack.setback)}.`,
      };
    });
}

export function ifLines(dressed: DressedDog): SheetLine[] {
  const told = ownerCollars(dressed);
  const each = (what: 'slides' | 'opens') =>
    told.map(({ kind, words }): SheetLine => ({ key: `${what} ${kind}`, label: `The ${words.called} ${what}`, text: words[what] }));
  const rubs = [...new Set(told.map(({ words }) => words.rubs))].sort((a, b) => b.length - a.length)[0];
  return [
    ...each('slides'),
    ...(rubs ? [{ key: 'rubs', label: 'Something rubs', text: rubs }] : []),
    ...each('opens'),
    ...(told.some(({ wear }) => wear.contacts)
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
