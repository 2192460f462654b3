import { benchSpeaker, clockWords, type Speaker, capital } from '@banter/core';
import { collarKind, RIG_CATALOGUE, type CollarKindName } from '../collars/collar-kinds.ts';
import { dogLevels } from '../levels/dog-levels.ts';
import { drawnItems } from '../neck/drawn-collar.ts';
import { dressedDog, type DressedDog } from '../neck/dressed-dog.ts';
import { currentFits } from '../records/ending.ts';
import { dayOf } from '../neck/kennel-days.ts';
import { neckTapeOf } from '../neck/neck-tape.ts';
import type { HandoverSheet, NewHandover } from '../records/handover.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { LevelsPage } from '../records/levels-page.ts';
import { namesCollar, nextStep, stoppedFits } from '../records/next-step.ts';
import type { NeckPage } from '../records/pages.ts';
import { latestGirths, type Taping } from '../records/taping.ts';
import { isGrowing } from '../growth/is-growing.ts';
import { OWNER_CAUTIONS, SKIN_LOOK, WHEN_TO_CALL } from './owner-words.ts';

import {
  section,
  kindsOf,
  ageWords,
  wears,
  ringLines,
  ownerCollarNames,
  ownerCollars,
  type OwnerCollar,
  whereLines,
  onOffLines,
  clockOf,
  contactLines,
  levelLines,
  trainingLines,
  ifLines,
  stoppedLines,
} from './owner-lines.ts';

type Asked = Pick<NewHandover, 'lengthUnit' | 'massUnit'>;

/** What should be seen to before a dog goes to its owner, as sentences for its trainer; empty when it is ready. */
export function handoverMissing(page: NeckPage, kennel: Kennel, now: number, speak: Speaker): string[] {
  const dressed = dressedDog(page, kennel, now, speak);
  const { dog, tapings, screenings, lifts } = page;
  const step = nextStep({ dog, girths: tapings, fits: dressed.fits, screenings, lifts }, { kennel, today: dayOf(now, kennel.timeZone) }, speak);
  const of = dressed.fits.find(({ plan }) => plan.kind === step.kind) ?? null;
  const worn = kindsOf(dressed);
  const roles = RIG_CATALOGUE.roles.filter(({ id }) => dressed.wornRoles.includes(id));
  return [
    ...(step.tone === 'good'
      ? []
      : [of && !namesCollar(step.sentence, of.plan.inputs.collar.name) ? `${of.plan.inputs.collar.name}: ${step.sentence}` : step.sentence]),
    ...dressed.skin.flags
      .filter(({ grade }) => grade >= 2)
      .map(({ clock }) => `The skin at ${clockWords(clock)} must be seen by a vet first: no collar there.`),
    ...roles
      .filter(({ needsHold }) => needsHold && !roles.some(({ holdsAt }) => holdsAt.length > 0))
      .map(({ words }) => `Nothing is worn for the safety strap of ${words}: fit a flat collar.`),
    ...(dressed.rigOnDog.closing && dressed.rig === null ? ['Lay out the rig with its backup: the owner copies it.'] : []),
    ...dressed.door.lines.filter(({ what, tone }) => (what === 'rig' || what === 'stack') && (tone === 'stop' || tone === 'mind')).map(({ says }) => says),
    ...(dressed.laidOut || worn.length < 2 ? [] : ['Lay out the stack: it stands in the usual order.']),
  ];
}

/** The first sentence: what is worn when, by the kinds' own rules. */
function leadOf(dogName: string, told: readonly OwnerCollar[]): string {
  if (told.length === 0) return `${dogName} wears no collar of ours for now.`;
  const always = told.filter(({ house, crate }) => house === 'yes' && crate);
  const byDay = told.filter(({ house, crate }) => house === 'yes' && !crate);
  const watched = told.filter(({ house }) => house === 'watched');
  const walk = told.filter(({ house }) => house === 'no');
  const parts = [
    walk.length > 0 ? `the ${ownerCollarNames(walk)} for the walk and the work` : '',
    watched.length > 0 ? `the ${ownerCollarNames(watched)} through the day under your eyes` : '',
    byDay.length > 0 ? `the ${ownerCollarNames(byDay)} all day, off in the crate` : '',
    always.length > 0 ? `the ${ownerCollarNames(always)} always` : '',
  ].filter(Boolean);
  const text = parts.join('; ');
  return `${capital(text)}. Nothing that presses in the crate or overnight.`;
}

/** What a growing dog needs besides, each once. */
function growingLooks(kinds: readonly CollarKindName[]): { key: string; text: string }[] {
  const looks = kinds.flatMap((kind) => collarKind(kind).traits.growing ?? []);
  return [...new Map(looks.map(({ ownerKey, ownerText }) => [ownerKey, { key: ownerKey, text: ownerText }])).values()];
}

/** A neck is said as it is drawn, on the skin where the depth of its coat is known; the tape over the coat beside it, since an owner's tape lies there. */
function neckWords({ result, tapedMm }: Taping, speak: Speaker): string {
  const [drawn, taped] = [speak.taped(result.girthMm), speak.taped(tapedMm)];
  return drawn === taped ? `neck ${drawn} behind the ears` : `neck ${drawn} on the skin behind the ears, as drawn; ${taped} over the coat`;
}

/** The records of a dog without the fits that stay off it, and a rig laid out with them; those fits. */
function goingHome(page: NeckPage, kennel: Kennel, now: number, speak: Speaker): { page: NeckPage; stopped: DressedDog['fits'] } {
  const { dog, tapings, screenings, lifts } = page;
  const fits = currentFits(page);
  const stopped = stoppedFits({ dog, girths: tapings, screenings, lifts }, fits, { kennel, today: dayOf(now, kennel.timeZone) }, speak);
  if (stopped.length === 0) return { page, stopped };
  const staysOff = new Set(stopped.map(({ plan }) => plan.kind));
  return {
    page: { ...page, plans: page.plans.filter(({ kind }) => !staysOff.has(kind)), dressing: page.dressing && { ...page.dressing, rig: [] } },
    stopped,
  };
}

/** The handover of a dog from its records at an instant (ms), in the owner's units. Sources: handbook §7, common practice. */
export function handoverSheet(records: NeckPage, levels: LevelsPage, kennel: Kennel, asked: Asked, now: number): HandoverSheet {
  const bench = benchSpeaker(asked.lengthUnit, asked.massUnit);
  // An owner reads a tape in eighths or half centimetres; nothing is said finer.
  const speak = { ...bench, taped: bench.girth };
  const { page, stopped } = goingHome(records, kennel, now, speak);
  const dressed = dressedDog(page, kennel, now, speak);
  const { dog } = page;
  const kinds = kindsOf(dressed);
  const told = ownerCollars(dressed);
  const girths = latestGirths(page.tapings);
  const tape = neckTapeOf(girths);
  const clockFor = (kind: CollarKindName) => {
    const contacts = dressed.contacts.find(({ fit }) => fit.plan.kind === kind);
    return contacts ? (clockOf(contacts).places[0] ?? null) : null;
  };
  const { collars, bands } = drawnItems(dressed.items, dog, kennel, clockFor);
  const [contacts] = dressed.contacts;
  const wornIds = new Set(dressed.fits.map(({ plan }) => plan.collarId));
  return {
    dogName: dog.name,
    facts: [
      dog.breed,
      ageWords(dressed.dog.ageDays),
      dog.weightG === null ? '' : speak.weight(dog.weightG / 1000),
      girths.high ? neckWords(girths.high, speak) : '',
    ]
      .filter(Boolean)
      .join(' · '),
    worksOn: dog.worksOn,
    kennelName: kennel.name,
    lengthUnit: asked.lengthUnit,
    massUnit: asked.massUnit,
    lead: leadOf(dog.name, told),
    sections: [
      ...section('wears', 'What it wears, from the ears down', [...wears(dressed, page, speak), ...stoppedLines(stopped, dressed.house)]),
      ...section('ring', 'Ring and side', ringLines(dressed, dog, speak)),
      ...section('where', 'Which tool where', whereLines(dressed, dog, speak)),
      ...section(
        'contacts',
        'Where the contacts sit',
        dressed.contacts.flatMap((one) => contactLines(one, dressed)),
      ),
      ...section('levels', 'Levels', levelLines(dogLevels(levels, kennel, houseOf(kennel, dog)), wornIds)),
      ...section('on-off', 'On and off', onOffLines(dressed)),
      ...section('training', 'Where the training stands', trainingLines(page, kennel, now)),
      ...section('if', 'What to do when', ifLines(dressed)),
      ...section(
        'call',
        'When to call',
        WHEN_TO_CALL.map((text, index) => ({ key: `call ${index}`, label: '', text })),
      ),
    ],
    daily: [SKIN_LOOK, ...(isGrowing(dog, dayOf(now, kennel.timeZone)) ? growingLooks(kinds) : []), ...told.flatMap(({ words }) => words.look)],
    cautions: [...OWNER_CAUTIONS, ...new Set(kinds.map((kind) => collarKind(kind).caution))],
    drawings: {
      neck: tape && {
        breed: dog.breed,
        tape: {
          highMm: tape.highMm,
          ...(tape.midMm === undefined ? {} : { midMm: tape.midMm }),
          ...(tape.baseMm === undefined ? {} : { baseMm: tape.baseMm }),
          ...(tape.lengthMm === undefined ? {} : { lengthMm: tape.lengthMm }),
        },
        collars,
        bands,
      },
      side: dressed.ring && { clock: dressed.ring.clock, leashSide: dressed.ring.leashSide },
      letter: dressed.ring?.letter !== null && dressed.ring !== null,
      clock: contacts ? { girthMm: contacts.girthMm, footprintMm: contacts.footprintMm, ...clockOf(contacts) } : null,
    },
  };
}
