import {
  clockWords,
  CONTACT_WORDS,
  listWords,
  PIECE_WORDS,
  placesOverlap,
  RIG_REASON_WORDS,
  rigReasonTone,
  ROUTINE_STEPS,
  SKIN_GRADE_WORDS,
  speakHours,
  STACK_REASON_TONES,
  STACK_REASON_WORDS,
  WEAR_MARK_TONES,
  WEAR_MARK_WORDS,
  WEAR_STATE_WORDS,
  wordReason,
  wornStanding,
  type DoorFacts,
  type FitTone,
  type RoutineStep,
  type Speaker,
  DAY_MS,
  HOUR_MS,
  capital,
  small,
} from '@banter/core';
import type { Kennel } from '../records/kennel.ts';
import { standingOfPiece } from '../collars/fit-all.ts';
import { asIfSound, namesCollar, stepOfFit } from '../records/next-step.ts';
import { collarKind } from '../collars/collar-kinds.ts';
import type { NeckPage } from '../records/pages.ts';
import { latestGirths } from '../records/taping.ts';
import type { Dressed, DressedContacts } from './dressed.ts';
import { dayOf, momentOn } from './kennel-days.ts';
import { rigPieces } from './rig-gear.ts';

type Said = { tone: FitTone; says: string };

const rank = { stop: 3, mind: 2, open: 1, good: 0 } as const;
/** The sentence that weighs most, with its tone; of equals the first. */
function worst(said: readonly Said[]): Said | null {
  return said.reduce<Said | null>((a, b) => (a === null || rank[b.tone] > rank[a.tone] ? b : a), null);
}

const wornItems = ({ items }: Dressed) => items.filter(({ fit }) => fit !== null);
const openWears = ({ wears }: Dressed) => wears.filter(({ wear }) => wear.to === null);

/** The stack as it was laid out, against what the ledger says is on; null while nobody has laid out what could lie otherwise. */
function stackLine(dressed: Dressed, speak: Speaker): Said | null {
  if (!dressed.laidOut && dressed.items.length > 1) return null;
  const open = openWears(dressed);
  const worn = wornItems(dressed);
  const off = worn.filter(({ fit }) => !open.some(({ wear }) => wear.collarId === fit!.plan.inputs.collar.id));
  const stray = open.filter(({ wear }) => !worn.some(({ fit }) => fit!.plan.inputs.collar.id === wear.collarId));
  return worst([
    ...dressed.stack.reasons.map((reason) => ({ tone: STACK_REASON_TONES[reason.code], says: wordReason(STACK_REASON_WORDS, reason, speak).text })),
    ...(off.length > 0 ? [{ tone: 'open' as const, says: `Not on yet: ${listWords(off.map(({ name }) => name))}.` }] : []),
    ...(stray.length > 0 ? [{ tone: 'mind' as const, says: `On, but not of this stack: ${listWords(stray.map(({ collar }) => collar?.name ?? '?'))}.` }] : []),
  ]);
}

/** What is worn and what it is led by, by the condition of the pieces themselves now: one that is to be mended or is worn out goes on no dog. */
function gearLine(page: Pick<NeckPage, 'collars' | 'gear' | 'dressing'>, dressed: Dressed): Said | null {
  const collars = wornItems(dressed).flatMap(({ name, fit }) => {
    const collar = page.collars.find(({ id }) => id === fit!.plan.collarId);
    return collar ? [{ name, is: standingOfPiece(collar) }] : [];
  });
  const led = rigPieces(page.dressing, page.gear).map(({ piece }) => ({ name: `${piece.what} ${piece.name}`, is: standingOfPiece(piece) }));
  const worn = [...collars, ...led];
  if (worn.length === 0) return null;
  const bad = worn.flatMap(({ name, is: how }) => (how === 'sound' ? [] : [`${name} ${PIECE_WORDS[how].says}`]));
  // Nobody may have inspected them yet: no more is said than that nothing is noted.
  if (bad.length === 0) return { tone: 'good', says: 'Nothing is noted against what it wears.' };
  return { tone: 'stop', says: `${capital(listWords(bad))}: leave off.` };
}

/** What the fit of each worn collar asks for, as on every other screen; one worn loose on purpose may go out so. */
function fitLine(page: NeckPage, kennel: Kennel, dressed: Dressed, now: number, speak: Speaker): Said | null {
  const card = { dog: page.dog, girths: Object.values(latestGirths(page.tapings)), screenings: page.screenings, lifts: page.lifts };
  const today = { kennel, today: dayOf(now, kennel.timeZone) };
  return worst(
    wornItems(dressed).map(({ name, fit }): Said => {
      // What was found on the collar itself stands in the line of the gear.
      const step = stepOfFit(card, asIfSound(fit!), today, speak);
      const { check, plan } = fit!;
      if ('worn' in step || (check && step.tone === 'open' && collarKind(plan.kind).isLaterStep(check.outcome.step)))
        return { tone: 'good', says: 'Checked on the dog: good.' };
      return { tone: step.tone, says: namesCollar(step.sentence, plan.inputs.collar.name) ? step.sentence : `${capital(name)}: ${small(step.sentence)}` };
    }),
  );
}

function ringLines({ ring }: Dressed, worksOn: 'left' | 'right', speak: Speaker): Pick<DoorFacts, 'ring' | 'side'> {
  if (!ring) return { ring: null, side: null };
  const on = ring.leashOn === null ? 'Ring' : `Leash on ${ring.leashOn}: ring`;
  const travel = ring.travelMm === null ? '' : `, travel up to ${speak.gap(ring.travelMm)}`;
  return {
    ring: { says: `${on} at ${clockWords(ring.clock)}${travel}.` },
    side: { says: `Works on the handler’s ${worksOn}: leash on the dog’s ${ring.leashSide}${ring.letter ? `, loop a ${ring.letter}` : ''}.` },
  };
}

function rigLine({ rig }: Dressed, speak: Speaker): Said | null {
  if (!rig) return null;
  return worst(
    rig.reasons.map((reason) => ({
      tone: rigReasonTone(reason),
      says: wordReason(RIG_REASON_WORDS, reason, speak).text,
    })),
  );
}

/** Where an electronic collar sits, against school, skin and hours, and whether its contacts were felt there. */
export function contactsLine({ rotation, at, wear, routine }: DressedContacts, { skin, house }: Dressed, zone: string, now: number): Said {
  if (skin.off) return { tone: 'stop', says: `Skin grade ${skin.off.grade} at ${clockWords(skin.off.clock)}: the collar stays off.` };
  if (!wear) return { tone: 'open', says: rotation.next === null ? 'No place is free on this neck now.' : `Not on yet; next is ${clockWords(rotation.next)}.` };
  if (at === null) return { tone: 'open', says: 'On, but its place is not logged.' };
  if (rotation.presentBar === 'school' || rotation.presentBar === 'windpipe')
    return { tone: 'stop', says: `${clockWords(at)} is no place for contacts: move it.` };
  if (rotation.presentBar === 'skin') return { tone: 'stop', says: `On skin that rests, at ${clockWords(at)}: move it.` };
  const moveBy = wornStanding(wear)!.placeSince + house.rules.moveByHours * HOUR_MS;
  if (moveBy <= now) return { tone: 'stop', says: `At ${clockWords(at)} for more than ${speakHours(house.rules.moveByHours)}: move it.` };
  if (rotation.capacityHours <= 0) return { tone: 'stop', says: 'Nothing left to wear today: take it off.' };
  const felt = routine.find(({ id }) => id === 'contact')!;
  if (felt.state === 'failed') return { tone: 'stop', says: `${clockWords(at)}: ${CONTACT_WORDS.lost}. Strap, hair and posts first.` };
  if (felt.at === null) return { tone: 'open', says: `${clockWords(at)}: ${CONTACT_WORDS['not-checked']}.` };
  return {
    tone: 'good',
    says: `${clockWords(at)}, ${CONTACT_WORDS.good} at ${momentOn(felt.at, now, zone)}; until ${momentOn(moveBy, now, zone)}, ${speakHours(rotation.capacityHours)} left today.`,
  };
}

/** How far the morning routine of a device is in the hand, the worst step first; the contacts have a line of their own. */
export function routineLine({ routine, fit }: Pick<DressedContacts, 'routine' | 'fit'>): Said {
  const names = (state: RoutineStep['state']) =>
    routine.filter((step) => step.id !== 'contact' && step.state === state).map(({ id }) => ROUTINE_STEPS.find((step) => step.id === id)!.name.toLowerCase());
  const collar = fit.plan.inputs.collar.name;
  const of = `${collar}, `;
  if (names('failed').length > 0) return { tone: 'stop', says: `${of}not right: ${listWords(names('failed'))}.` };
  if (names('skipped').length > 0) return { tone: 'mind', says: `${of}skipped: ${listWords(names('skipped'))}.` };
  if (names('open').length > 0) return { tone: 'open', says: `${collar}: ${listWords(names('open'))} to do.` };
  if (names('late').length > 0) return { tone: 'mind', says: `${of}only after it was on: ${listWords(names('late'))}.` };
  return { tone: 'good', says: `${collar}: all 5 steps done.` };
}

function skinLine(
  page: NeckPage,
  { skin: { flags, off, lookedAt }, house }: Dressed,
  electronic: readonly DressedContacts[],
  zone: string,
  now: number,
): Said | null {
  if (off) return { tone: 'stop', says: `Grade ${off.grade}, ${SKIN_GRADE_WORDS[off.grade]}, at ${clockWords(off.clock)}: nothing goes on; ask a vet.` };
  if (lookedAt === null) return null;
  const days = Math.floor((now - lookedAt) / DAY_MS);
  if (days > house.rules.skinLookDays) return { tone: 'open', says: `Skin not checked for ${days} days (a check is good for ${house.rules.skinLookDays}).` };
  const [pink] = flags;
  if (!pink) return { tone: 'good', says: `Clear, checked ${days <= 0 ? 'today' : days === 1 ? 'a day ago' : `${days} days ago`}.` };
  const underContacts = page.skinLooks.findLast((look) => look.clock % 12 === pink.clock % 12)?.under === 'contacts';
  const clear = electronic.every(({ at, girthMm, footprintMm }) => at === null || !placesOverlap(at, pink.clock, girthMm, footprintMm));
  const rests = `Pink at ${clockWords(pink.clock)}, rests until ${momentOn(pink.untilMs!, now, zone)}`;
  return underContacts && clear ? { tone: 'good', says: `${rests}; the contacts are clear of it.` } : { tone: 'mind', says: `${rests}.` };
}

function supervisionLine(dressed: Dressed, speak: Speaker): Said | null {
  const open = openWears(dressed);
  if (open.length === 0) return null;
  const states = [...new Set(open.map(({ wear }) => wornStanding(wear)!.state))];
  const words = listWords(states.map((state) => WEAR_STATE_WORDS[state].name));
  return worst([
    { tone: 'good', says: `${capital(words)}.` },
    ...open
      .flatMap(({ marks }) => marks.filter(({ to }) => to === null))
      .map((mark) => ({ tone: WEAR_MARK_TONES[mark.code], says: wordReason(WEAR_MARK_WORDS, mark, speak).text })),
  ]);
}

/** What the check at the door is told of a dressed dog, each line as the worst that is known of it; `now` in ms. */
export function doorFacts(page: NeckPage, kennel: Kennel, dressed: Dressed, now: number, speak: Speaker): DoorFacts {
  const zone = kennel.timeZone;
  const electronic = dressed.contacts.filter(({ fit }) => dressed.items.some((item) => item.fit === fit));
  return {
    stack: stackLine(dressed, speak),
    gear: gearLine(page, dressed),
    fit: fitLine(page, kennel, dressed, now, speak),
    ...ringLines(dressed, page.dog.worksOn, speak),
    rig: rigLine(dressed, speak),
    contacts: worst(electronic.map((one) => contactsLine(one, dressed, zone, now))),
    skin: skinLine(page, dressed, electronic, zone, now),
    routine: worst(electronic.map(routineLine)),
    supervision: supervisionLine(dressed, speak),
    electronic: electronic.length > 0,
  };
}
