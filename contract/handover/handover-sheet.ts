import { benchSpeaker, clockWords, type Speaker } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { dogLevels } from '../levels/dog-levels.ts';
import { drawnItems } from '../neck/drawn-collar.ts';
import { dressedDog } from '../neck/dressed-dog.ts';
import { dayOf } from '../neck/kennel-days.ts';
import { neckTapeOf } from '../neck/neck-tape.ts';
import type { HandoverSheet, NewHandover } from '../records/handover.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { LevelsPage } from '../records/levels-page.ts';
import { nextStep } from '../records/next-step.ts';
import type { NeckPage } from '../records/pages.ts';
import { latestGirths } from '../records/taping.ts';
import { isGrowing } from '../growth/is-growing.ts';
import { GROWING_LOOKS, OWNER_CAUTIONS, OWNER_WORDS, SKIN_LOOK, WHEN_TO_CALL } from './owner-words.ts';

import {
  section,
  kindsOf,
  ageWords,
  wears,
  ringLines,
  called,
  whereLines,
  onOffLines,
  clockOf,
  contactLines,
  levelLines,
  trainingLines,
  ifLines,
} from './owner-lines.ts';

type Asked = Pick<NewHandover, 'lengthUnit' | 'massUnit'>;

/** What should be seen to before a dog goes to its owner, as sentences for its trainer; empty when it is ready. */
export function handoverMissing(page: NeckPage, kennel: Kennel, now: number, speak: Speaker): string[] {
  const dressed = dressedDog(page, kennel, now, speak);
  const { dog, tapings, screenings, lifts } = page;
  const step = nextStep({ dog, girths: tapings, fits: dressed.fits, screenings, lifts }, { kennel, today: dayOf(now, kennel.timeZone) }, speak);
  const worn = kindsOf(dressed);
  const holdsStrap = dressed.worn.some((collar) => collar === 'flat' || collar === 'wide-throat' || collar === 'harness');
  return [
    ...(step.tone === 'good' ? [] : [step.sentence]),
    ...dressed.flags.filter(({ grade }) => grade >= 2).map(({ clock }) => `The skin at ${clockWords(clock)} must be seen by a vet first: no collar there.`),
    ...(worn.includes('head-collar') && !holdsStrap ? ['It has no flat collar for the safety strap of its head collar.'] : []),
    ...(worn.includes('prong') && dressed.rig === null ? ['Lay out the rig with its backup: the owner copies it.'] : []),
    ...dressed.door.lines.filter(({ what, tone }) => (what === 'rig' || what === 'stack') && (tone === 'stop' || tone === 'mind')).map(({ says }) => says),
    ...(dressed.laidOut || worn.length < 2 ? [] : ['Lay out the stack: it stands in the usual order.']),
  ];
}

/** The handover of a dog from its records at an instant (ms), in the owner's units. Sources: handbook §7, common practice. */
export function handoverSheet(page: NeckPage, levels: LevelsPage, kennel: Kennel, asked: Asked, now: number): HandoverSheet {
  const bench = benchSpeaker(asked.lengthUnit, asked.massUnit);
  // An owner reads a tape in eighths or half centimetres; nothing is said finer.
  const speak = { ...bench, taped: bench.girth };
  const dressed = dressedDog(page, kennel, now, speak);
  const { dog } = page;
  const kinds = kindsOf(dressed);
  const girths = latestGirths(page.tapings);
  const tape = neckTapeOf(girths);
  const clockFor = (kind: CollarKindName) => {
    const contacts = dressed.contacts.find(({ fit }) => fit.plan.kind === kind);
    return contacts ? (clockOf(contacts).places[0] ?? null) : null;
  };
  const { collars, bands } = drawnItems(dressed.items, dog, kennel, clockFor);
  const [contacts] = dressed.contacts;
  const wornIds = new Set(dressed.fits.map(({ plan }) => plan.collarId));
  const stays = kinds.filter((kind) => OWNER_WORDS[kind].house === 'on');
  const walk = kinds.filter((kind) => !stays.includes(kind));
  return {
    dogName: dog.name,
    facts: [
      dog.breed,
      ageWords(dressed.dog.ageDays),
      dog.weightG === null ? '' : speak.weight(dog.weightG / 1000),
      girths.high ? `neck ${speak.taped(girths.high.tapedMm)} behind the ears` : '',
    ]
      .filter(Boolean)
      .join(' · '),
    worksOn: dog.worksOn,
    kennelName: kennel.name,
    lengthUnit: asked.lengthUnit,
    massUnit: asked.massUnit,
    lead:
      kinds.length === 0
        ? `${dog.name} wears no collar of ours yet.`
        : `${walk.length > 0 ? `The ${called(walk)} for the walk and the work` : `The ${called(stays)} outdoors`}${stays.length > 0 && walk.length > 0 ? `, the ${called(stays)} always` : ''}; nothing that presses in the crate or overnight.`,
    sections: [
      ...section('wears', 'What it wears, from the ears down', wears(dressed, page, speak)),
      ...section('ring', 'Ring and side', ringLines(dressed, speak)),
      ...section('where', 'Which tool where', whereLines(dressed, speak)),
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
    daily: [
      SKIN_LOOK,
      ...(isGrowing(dog, dayOf(now, kennel.timeZone))
        ? GROWING_LOOKS.filter(({ of }) => of.some((kind) => kinds.includes(kind))).map(({ key, text }) => ({ key, text }))
        : []),
      ...kinds.flatMap((kind) => OWNER_WORDS[kind].look),
    ],
    cautions: [...OWNER_CAUTIONS, ...new Set(kinds.map((kind) => collarKind(kind).caution))],
    drawings: {
      neck: tape && { tape: { highMm: tape.highMm, ...(tape.midMm === undefined ? {} : { midMm: tape.midMm }), ...(tape.baseMm === undefined ? {} : { baseMm: tape.baseMm }), ...(tape.lengthMm === undefined ? {} : { lengthMm: tape.lengthMm }) }, collars, bands }, // prettier-ignore
      side: dressed.ring && { clock: dressed.ring.clock, leashSide: dressed.ring.leashSide },
      letter: dressed.ring?.letter !== null && dressed.ring !== null,
      clock: contacts ? { girthMm: contacts.girthMm, footprintMm: contacts.footprintMm, ...clockOf(contacts) } : null,
    },
  };
}
