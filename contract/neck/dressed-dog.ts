import {
  type DoorVerdict,
  type FittingDog,
  HARNESS_RIG,
  type House,
  type HouseRules,
  PLACEMENT_SCHOOLS,
  type RigAnchor,
  type RigOnDog,
  type RigRole,
  type RingAndSide,
  type Speaker,
  type StackLayer,
  doorCheck,
  catalogueFor,
  judgeRig,
  leastNeckLength,
  morningRoutine,
  rightOrder,
  skinStanding,
  stackOnNeck,
  wornStanding,
} from '@banter/core';
import type { InRig } from '../collars/collar-kind.ts';
import { COLLAR_KIND_NAMES, collarKind, RIG_CATALOGUE } from '../collars/collar-kinds.ts';
import type { StackEntry } from '../records/dressing.ts';
import { currentFits, type CurrentFit } from '../records/ending.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { NeckPage } from '../records/pages.ts';
import { fittingDog } from '../records/plan.ts';
import { byHandsOn } from '../standing/neck-felt.ts';
import { skinLooksOf } from '../standing/skin.ts';
import { latestGirths } from '../records/taping.ts';
import { dayOf, dayStart } from './kennel-days.ts';
import { doorFacts } from './door-facts.ts';
import type { Dressed, DressedContacts, DressedItem, DrawnFit } from './dressed.ts';
import { contactPlaces, contactsOfFit, rotationOf } from './contact-places.ts';
import { dressedWears, hasContacts } from './dressed-wears.ts';
import { rigWithPieces } from './rig-gear.ts';
import { wearAndDeviceEvents } from '../happenings/wear-and-device.ts';

/** A dog as it stands dressed, and whether it may go out of the door. */
export type DressedDog = Dressed & { door: DoorVerdict };

const EXTRA_LAYER = { 'flat collar': 'holding', 'tag collar': 'holding', 'parasite band': 'other', harness: 'other', other: 'other' } as const;
type Extra = Extract<StackEntry, { as: 'extra' }>;
/** What an extra is in a rig: the role that knows such a part; none for a band. */
const roleOfExtra = ({ what }: Extra): RigRole | undefined => RIG_CATALOGUE.roles.find(({ partKinds }) => Object.hasOwn(partKinds, what));

/** How a fit is called among others: `prong «Hazel»`. */
export const fitName = ({ plan }: Pick<CurrentFit, 'plan'>): string => `${collarKind(plan.kind).name.toLowerCase()} ${plan.inputs.collar.name}`;

/** The things of a stack, from the ears down: as they were laid out, what has been fitted since below, in the usual order. */
export function stackItems<Fit extends DrawnFit>(page: Pick<NeckPage, 'dressing'>, fits: readonly Fit[]): DressedItem<Fit>[] {
  const rig = page.dressing?.rig ?? [];
  /** Whether a backup hangs on it: on a ring that holds one, or on the leash's own ring of what is worn as the backup. */
  const isAnchor = (role: RigRole | undefined, layer: StackLayer) =>
    role !== undefined && rig.some(({ to }) => role.holdsAt.includes(to) || (layer === 'holding' && role.leashJoint === to));
  const asItem = (entry: StackEntry): DressedItem<Fit>[] => {
    if (entry.as === 'extra') {
      return [
        {
          id: entry.key,
          name: entry.name.trim() === '' ? entry.what : `${entry.what} ${entry.name.trim()}`,
          layer: EXTRA_LAYER[entry.what],
          widthMm: entry.what === 'harness' ? 0 : entry.widthMm,
          anchor: isAnchor(roleOfExtra(entry), EXTRA_LAYER[entry.what]),
          entry,
          fit: null,
        },
      ];
    }
    const fit = fits.find(({ plan }) => plan.kind === entry.kind);
    if (!fit) return [];
    const { onNeck, traits } = collarKind(entry.kind);
    const layer = onNeck.layer(fit.plan.choices);
    return [
      {
        id: entry.kind,
        name: fitName(fit),
        layer,
        widthMm: onNeck.widthMm(fit.plan.inputs.collar.numbers),
        anchor: isAnchor(traits.rig, layer),
        entry,
        fit,
      },
    ];
  };
  const laid = (page.dressing?.stack ?? []).flatMap(asItem);
  const rest = fits.filter(({ plan }) => !laid.some(({ id }) => id === plan.kind)).flatMap(({ plan }) => asItem({ as: 'fit', kind: plan.kind }));
  return page.dressing ? [...laid, ...rightOrder(rest)] : rightOrder(rest);
}

/** What a worn collar brings to a rig, by its own kind. */
function inRig({ plan, check }: CurrentFit, dog: FittingDog, rules: HouseRules): InRig {
  const { verdict } = plan.outcome as { verdict?: unknown };
  return collarKind(plan.kind).inRig(
    {
      numbers: plan.inputs.collar.numbers,
      choices: plan.choices,
      verdict: typeof verdict === 'string' ? verdict : null,
      checkedGood: check && check.outcome.verdict === 'good',
    },
    dog,
    rules,
  );
}

function rigOnDogOf(items: readonly DressedItem[], dog: FittingDog, rules: HouseRules): RigOnDog {
  const brought = items.flatMap(({ fit }) => (fit ? [inRig(fit, dog, rules)] : []));
  const own = items.flatMap(({ entry }): RigAnchor[] => {
    const role = entry.as === 'extra' ? roleOfExtra(entry) : undefined;
    // A harness is no collar that could come over the head.
    if (entry.as !== 'extra' || !role || role === HARNESS_RIG) return [];
    return role.holdsAt.map((joint) => ({ joint, called: entry.what, holds: entry.holds, plastic: entry.plastic }));
  });
  const fitted = brought.flatMap(({ anchor }) => anchor ?? []);
  return {
    wornRoles: items.flatMap(({ entry }) => (entry.as === 'fit' ? [collarKind(entry.kind).traits.rig.id] : (roleOfExtra(entry)?.id ?? []))),
    weightKg: dog.weightKg,
    closing: brought.find(({ closing }) => closing)?.closing ?? null,
    backup: brought.find(({ backup }) => backup)?.backup ?? null,
    // What is fitted is known better than an owner's own of the same place.
    anchors: [...fitted, ...own.filter(({ joint }) => !fitted.some((one) => one.joint === joint))],
  };
}

/** Of several collars that a leash could be on, the one that leads: what trains before what holds, what is for the leash before what is always worn. */
function leaderOf(items: readonly DressedItem[]) {
  const rank = ({ fit, layer }: DressedItem) => (layer === 'training' ? 0 : 2) + (fit && collarKind(fit.plan.kind).traits.wear.unwatched === 'never' ? 0 : 1);
  const order = (item: DressedItem) => COLLAR_KIND_NAMES.indexOf(item.fit!.plan.kind);
  return items.filter(({ fit }) => fit && collarKind(fit.plan.kind).traits.ring).sort((a, b) => rank(a) - rank(b) || order(a) - order(b))[0]?.fit ?? null;
}

function ringOf(items: readonly DressedItem[], worksOn: 'left' | 'right', { rules, schools }: House): RingAndSide | null {
  const leader = leaderOf(items);
  if (!leader) return null;
  const kind = collarKind(leader.plan.kind);
  return kind.traits.ring!({ ring: schools.ringSchool, ringPlace: schools.ringPlace, ...kind.held(leader.plan.choices), worksOn, rules });
}

/** Puts together how a dog is dressed at an instant (ms), in the kennel's zone and the speaker's units. */
export function dressedDog(page: NeckPage, kennel: Kennel, now: number, speak: Speaker): DressedDog {
  const { timeZone } = kennel;
  const today = dayOf(now, timeZone);
  const girths = latestGirths(page.tapings);
  const house = houseOf(kennel, page.dog);
  const { rules } = house;
  const dog = fittingDog(page.dog, girths, { today, byHands: byHandsOn(page, girths, rules) });
  const fits = currentFits(page);
  const items = stackItems(page, fits);
  const stack = stackOnNeck(
    items.filter(({ widthMm }) => widthMm > 0),
    dog.neckLengthMm,
    rules,
    leastNeckLength(dog.skinGirthMm ?? dog.hairGirthMm ?? 0),
  );
  const ring = ringOf(items, page.dog.worksOn, house);
  const rigOnDog = rigOnDogOf(items, dog, rules);
  const parts = rigWithPieces(page.dressing?.rig ?? [], page.gear);
  const own = items.flatMap(({ fit }) => (fit ? [[collarKind(fit.plan.kind).traits.rig.id, inRig(fit, dog, rules).parts] as const] : []));
  const catalogue = catalogueFor(RIG_CATALOGUE, new Map(own.flatMap(([id, ownParts]) => (ownParts ? [[id, ownParts] as const] : []))));
  const rig = parts.length === 0 ? null : judgeRig(parts, rigOnDog, rules, catalogue, house.schools);

  const skin = skinLooksOf(page.skinLooks);
  const girthMm = dog.skinGirthMm ?? dog.hairGirthMm;
  const wears = dressedWears(page.dog.id, page.events, page.collars, { skin, girthMm, house, timeZone, now });
  const contactWears = wears.filter(({ collar }) => hasContacts(collar)).map(({ wear }) => wear);
  const told = wearAndDeviceEvents(page.events);
  const openWear = (collarId: string) => wears.find(({ wear }) => wear.collarId === collarId && wear.to === null)?.wear ?? null;

  const contacts = fits
    .filter(({ plan }) => collarKind(plan.kind).traits.wear.contacts)
    .flatMap((fit): DressedContacts[] => {
      if (girthMm === null) return [];
      const own = contactsOfFit(fit.plan);
      if (own === null) return [];
      const id = own.collarId;
      const wear = openWear(id);
      const otherSchool = PLACEMENT_SCHOOLS.find((school) => school !== own.placement)!;
      const question = { girthMm, now, skin };
      const since = dayStart(now, timeZone);
      const device = told.device.filter(({ collarId }) => collarId === id);
      // The steps before it goes on belong to the day's first wear; contact is felt again after each fitting.
      const todays = contactWears.filter((one) => one.collarId === id && (one.to === null || one.from >= since));
      const first = todays[0] ?? null;
      // A wear that began last evening had its routine then.
      const routineSince = first ? Math.min(since, dayStart(first.from, timeZone)) : since;
      return [
        {
          fit,
          girthMm,
          footprintMm: own.footprintMm,
          wear,
          at: wornStanding(wear)?.clock ?? null,
          wornPlaces: contactPlaces(wears, id, now),
          rotation: rotationOf(own, wears, question, rules),
          other: { school: otherSchool, rotation: rotationOf(own, wears, question, rules, otherSchool) },
          routine: morningRoutine(
            device.filter(({ at }) => at >= routineSince),
            first && { from: first.from, to: todays.at(-1)!.to, placeSince: todays.at(-1)!.places.at(-1)?.from ?? todays.at(-1)!.from },
            rules,
          ),
          device,
        },
      ];
    });
  const dressed = {
    dog,
    house,
    fits,
    laidOut: page.dressing !== null,
    items,
    stack,
    ring,
    leads: leaderOf(items)?.plan.kind ?? null,
    rig,
    catalogue,
    rigOnDog,
    wornRoles: rigOnDog.wornRoles,
    wears,
    contacts,
    skin: skinStanding(skin, now, rules),
  };
  return { ...dressed, door: doorCheck(doorFacts(page, kennel, dressed, now, speak)) };
}
