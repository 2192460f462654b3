import {
  doorCheck,
  judgeRig,
  morningRoutine,
  PLACEMENT_SCHOOLS,
  ringAndSide,
  rightOrder,
  rotateContacts,
  skinFlags,
  stackOnNeck,
  type DoorVerdict,
  type FittingDog,
  type House,
  type RigCollar,
  type RigOnDog,
  type RingAndSide,
  type SkinLook as SkinLookOfCore,
  type Speaker,
} from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { StackEntry } from '../records/dressing.ts';
import { currentFits, type CurrentFit } from '../records/ending.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { NeckPage } from '../records/pages.ts';
import { fittingDog } from '../records/plan.ts';
import { latestGirths } from '../records/taping.ts';
import { dayOf, dayStart } from './kennel-days.ts';
import { doorFacts } from './door-facts.ts';
import type { Dressed, DressedContacts, DressedItem, DrawnFit } from './dressed.ts';
import { dressedWears, footprintOf, hasContacts } from './dressed-wears.ts';
import { toldEvents } from './told-events.ts';

/** A dog as it stands dressed, and whether it may go out of the door. */
export type DressedDog = Dressed & { door: DoorVerdict };

const EXTRA_LAYER = { 'flat collar': 'holding', 'tag collar': 'holding', 'parasite band': 'other', harness: 'other', other: 'other' } as const;
const EXTRA_RIG: Partial<Record<Extract<StackEntry, { as: 'extra' }>['what'], RigCollar>> = { 'flat collar': 'flat', harness: 'harness' };

/** How a fit is called among others: `prong «Hazel»`. */
export const fitName = ({ plan }: Pick<CurrentFit, 'plan'>): string => `${collarKind(plan.kind).name.toLowerCase()} «${plan.inputs.collar.name}»`;

/** The things of a stack, from the ears down: as they were laid out, what has been fitted since below, in the usual order. */
export function stackItems<Fit extends DrawnFit>(page: Pick<NeckPage, 'dressing'>, fits: readonly Fit[]): DressedItem<Fit>[] {
  const onRig = (collar: RigCollar | undefined) =>
    collar !== undefined && collar !== 'prong' && (page.dressing?.rig ?? []).some(({ to }) => JOINT_OF[collar]?.includes(to));
  const asItem = (entry: StackEntry): DressedItem<Fit>[] => {
    if (entry.as === 'extra') {
      return [
        {
          id: entry.key,
          name: entry.name.trim() === '' ? entry.what : `${entry.what} «${entry.name.trim()}»`,
          layer: EXTRA_LAYER[entry.what],
          widthMm: entry.what === 'harness' ? 0 : entry.widthMm,
          anchor: onRig(EXTRA_RIG[entry.what]),
          entry,
          fit: null,
        },
      ];
    }
    const fit = fits.find(({ plan }) => plan.kind === entry.kind);
    if (!fit) return [];
    const { onNeck } = collarKind(entry.kind);
    return [
      {
        id: entry.kind,
        name: fitName(fit),
        layer: onNeck.layer(fit.plan.choices),
        widthMm: onNeck.widthMm(fit.plan.inputs.collar.numbers),
        anchor: onRig(onNeck.rigAs),
        entry,
        fit,
      },
    ];
  };
  const laid = (page.dressing?.stack ?? []).flatMap(asItem);
  const rest = fits.filter(({ plan }) => !laid.some(({ id }) => id === plan.kind)).flatMap(({ plan }) => asItem({ as: 'fit', kind: plan.kind }));
  return page.dressing ? [...laid, ...rightOrder(rest)] : rightOrder(rest);
}

/** Rings that a backup may hang on. */
const JOINT_OF: Partial<Record<RigCollar, readonly string[]>> = {
  flat: ['flat ring'],
  'wide-throat': ['wide ring'],
  martingale: ['body ring', 'loop ring'],
  harness: ['harness ring'],
  'clip-on-slip': ['backup ring'],
};

function rigOnDogOf(items: readonly DressedItem[], dog: FittingDog): RigOnDog {
  const fitOf = (kind: CollarKindName) => items.find(({ fit }) => fit?.plan.kind === kind)?.fit ?? null;
  const worn = items.flatMap(({ entry }): RigCollar[] => {
    if (entry.as === 'fit') return [collarKind(entry.kind).onNeck.rigAs];
    const as = EXTRA_RIG[entry.what];
    return as ? [as] : [];
  });
  const prong = fitOf('prong');
  const backup = fitOf('clip-on-slip');
  const flat = fitOf('flat');
  const own = items.find(({ entry }) => entry.as === 'extra' && entry.what === 'flat collar')?.entry;
  const lengthMm = backup && (backup.plan.inputs.collar.numbers as { lengthMm: number }).lengthMm;
  return {
    worn,
    weightKg: dog.weightKg,
    prong: prong && {
      closingMm: (prong.plan.inputs.collar.numbers as { closingMm: number }).closingMm,
      ring: (prong.plan.choices as { ring: 'live' | 'both' }).ring,
    },
    backupOverMm: lengthMm === null || dog.hairGirthMm === null ? null : lengthMm - dog.hairGirthMm,
    flat: flat
      ? {
          holds: (flat.plan.outcome as { verdict?: string }).verdict === 'can-back-out' ? false : flat.check ? flat.check.outcome.verdict === 'good' : null,
          plastic: (flat.plan.inputs.collar.numbers as { buckle?: string }).buckle === 'plastic',
        }
      : { holds: own?.as === 'extra' ? own.holds : null, plastic: own?.as === 'extra' && own.plastic },
  };
}

const RINGED: readonly CollarKindName[] = ['prong', 'slip', 'clip-on-slip', 'martingale', 'head-collar', 'wide-throat', 'flat'];

function ringOf(items: readonly DressedItem[], worksOn: 'left' | 'right', house: House): RingAndSide | null {
  const leader = RINGED.map((kind) => items.find(({ fit }) => fit?.plan.kind === kind)?.fit).find((fit) => fit !== undefined && fit !== null);
  if (!leader) return null;
  const choices = leader.plan.choices as { ring?: 'live' | 'both'; ringPlace?: 'nape' | 'near-side' };
  return ringAndSide(leader.plan.kind as 'prong', {
    ring: choices.ring ?? house.schools.ringSchool,
    ringPlace: choices.ringPlace ?? house.schools.ringPlace,
    worksOn,
  });
}

/** Puts together how a dog is dressed at an instant (ms), in the kennel's zone and the speaker's units. */
export function dressedDog(page: NeckPage, kennel: Kennel, now: number, speak: Speaker): DressedDog {
  const { timeZone } = kennel;
  const today = dayOf(now, timeZone);
  const girths = latestGirths(page.tapings);
  const dog = fittingDog(page.dog, girths, { today });
  const house = houseOf(kennel, page.dog);
  const { rules } = house;
  const fits = currentFits(page.plans, page.checks, page.endings);
  const items = stackItems(page, fits);
  const stack = stackOnNeck(
    items.filter(({ widthMm }) => widthMm > 0),
    dog.neckLengthMm,
    rules,
  );
  const ring = ringOf(items, page.dog.worksOn, house);
  const rigOnDog = rigOnDogOf(items, dog);
  const parts = page.dressing?.rig ?? [];
  const rig = parts.length === 0 ? null : judgeRig(parts, rigOnDog, rules);

  const skin = page.skinLooks.map(({ clock, grade, at }): SkinLookOfCore => ({ clock, grade, at: Date.parse(at) }));
  const girthMm = dog.skinGirthMm ?? dog.hairGirthMm;
  const wears = dressedWears(page.dog.id, page.events, page.collars, { skin, girthMm, house, timeZone, now });
  const contactWears = wears.filter(({ collar }) => hasContacts(collar)).map(({ wear }) => wear);
  const told = toldEvents(page.events);
  const openWear = (collarId: string) => wears.find(({ wear }) => wear.collarId === collarId && wear.to === null)?.wear ?? null;

  const contacts = fits
    .filter(({ plan }) => collarKind(plan.kind).onNeck.wornAs === 'contacts')
    .flatMap((fit): DressedContacts[] => {
      if (girthMm === null) return [];
      const { id } = fit.plan.inputs.collar;
      const footprintMm = footprintOf({ kind: fit.plan.kind, numbers: fit.plan.inputs.collar.numbers })!;
      const wear = openWear(id);
      const worn = contactWears.flatMap((one) =>
        one.places.map(({ value, from, to }) => ({ clock: value, from, to: to ?? (one.collarId === id ? null : now) })),
      );
      const placement = (fit.plan.choices as { options: { placement: House['schools']['placementSchool'] } }).options.placement;
      const otherSchool = PLACEMENT_SCHOOLS.find((school) => school !== placement)!;
      const question = { girthMm, footprintMm, now, worn, skin };
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
          footprintMm,
          wear,
          at: wear?.places.at(-1)?.value ?? null,
          worn,
          rotation: rotateContacts({ ...question, school: placement }, rules),
          other: { school: otherSchool, rotation: rotateContacts({ ...question, school: otherSchool }, rules) },
          routine: morningRoutine(
            device.filter(({ at }) => at >= routineSince),
            first && { from: first.from, to: todays.at(-1)!.to },
            rules,
          ),
          device,
        },
      ];
    });
  const flags = skinFlags(skin, now, rules);
  const dressed = { dog, house, fits, laidOut: page.dressing !== null, items, stack, ring, rig, rigOnDog, worn: rigOnDog.worn, wears, contacts, skin, flags };
  return { ...dressed, door: doorCheck(doorFacts(page, kennel, dressed, now, speak)) };
}
