import { CORE_VERSION, HOUR_MS, wearsOf } from '@banter/core';
import { collarKind, linksOf } from '../collars/collar-kinds.ts';
import type { Happening } from '../happenings/happening.ts';
import { wearAndDeviceEvents } from '../happenings/wear-and-device.ts';
import { NewFitCheck, type FitCheck } from '../records/fit-check.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { DogPage, GrowthPage, NeckPage } from '../records/pages.ts';
import { NewSkinLook, type SkinLook } from '../records/skin-look.ts';
import { takenCheck } from '../records/taken-check.ts';
import { NewTaping, takenTaping, type Taping } from '../records/taping.ts';
import { NewWeighing, standingWeighings, type Weighing } from '../records/weighing.ts';
import { skinTold } from './told-skin.ts';

/** Records that a device makes by itself, by their paths. */
export type MadePath = 'tapings' | 'weighings' | 'skin-looks' | 'fit-checks';
/** A record that was made on a device: sent by now, or not yet. */
export type Made = { path: MadePath; id: string; at: string; sent: boolean; body: Record<string, unknown> };
/** Who is at the device, and by which house it works things out. */
export type LaidBy = { kennel: Kennel; person: { id: string; name: string } };
/** What is told of a dog: as it stands, and on some screens its weighings, or its skin with what happened. */
type Page = DogPage & Partial<Pick<GrowthPage, 'weighings'> & Pick<NeckPage, 'skinLooks' | 'events'>>;

const oldestFirst = (a: { at: string; id: string }, b: { at: string; id: string }) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1);
const added = <One extends { at: string; id: string }>(known: readonly One[], fresh: readonly One[]) => [...known, ...fresh].sort(oldestFirst);

/**
 * A dog's page with what was taped, weighed, checked and seen of its skin on a device laid over it, as far as the kennel does not tell it yet: a
 * tape that was taken without a connection sizes its collars, and skin found red keeps them off. Each is worked out as the kennel will.
 */
export function laidOver<Told extends Page>(page: Told, made: readonly Made[], by: LaidBy): Told {
  const own = made.filter(({ body }) => body.dogId === page.dog.id);
  return own.reduce((told, one) => LAID[one.path](told, one, by) as Told, page);
}

const kept = ({ at }: Made, { person }: LaidBy) => ({ recordedAt: at, personId: person.id, personName: person.name });
const LAID: Record<MadePath, (page: Page, one: Made, by: LaidBy) => Page> = {
  tapings: (page, one, by) => {
    const taping = NewTaping.safeParse(one.body);
    if (!taping.success || page.tapings.some(({ id }) => id === one.id)) return page;
    const { rules } = houseOf(by.kennel);
    const fresh: Taping = { ...taping.data, id: one.id, ...takenTaping(taping.data, rules), ...kept(one, by), coreVersion: CORE_VERSION, rules: { ...rules } };
    return { ...page, tapings: added(page.tapings, [fresh]) };
  },
  weighings: (page, one, by) => {
    const weighing = NewWeighing.safeParse(one.body);
    if (!weighing.success || page.weighings?.some(({ id }) => id === one.id)) return page;
    // Where weighings are not told, it counts until it has arrived, unless it is of an earlier day and others may have come since.
    if (!page.weighings && (one.sent || Date.parse(one.at) - Date.parse(weighing.data.at) > HOUR_MS)) return page;
    const weighings: Weighing[] = added(page.weighings ?? [], [{ ...weighing.data, id: one.id, ...kept(one, by) }]);
    const weightG = standingWeighings(weighings).at(-1)?.weightG ?? page.dog.weightG;
    return { ...page, ...(page.weighings && { weighings }), dog: { ...page.dog, weightG } };
  },
  'skin-looks': (page, one, by) => {
    const look = NewSkinLook.safeParse(one.body);
    if (!look.success || !page.skinLooks || page.skinLooks.some(({ id }) => id === one.id)) return page;
    return { ...page, skinLooks: added(page.skinLooks, [{ ...look.data, id: one.id, linkId: null, ...kept(one, by) }]) };
  },
  'fit-checks': (page, one, by) => {
    const check = NewFitCheck.safeParse(one.body);
    const plan = check.success && page.plans.find(({ id }) => id === check.data.planId);
    if (!plan || page.checks.some(({ id }) => id === one.id)) return page;
    const { dog, tapings } = page;
    const earlier = page.checks.filter(({ planId }) => planId === plan.id);
    const { outcome, rules } = takenCheck(check.data, { plan, earlier, dog, tapings, kennel: by.kennel });
    const attempt = Math.max(0, ...earlier.map((each) => each.attempt)) + 1;
    const fresh: FitCheck = { ...check.data, id: one.id, attempt, outcome, ...kept(one, by), coreVersion: CORE_VERSION, rules: { ...rules } };
    return toldBesides({ ...page, checks: added(page.checks, [fresh]), madeUp: madeUpBy(page, plan, fresh) }, plan, fresh, by);
  },
};

/** Its collar is set as it was found with this check, unless it was found otherwise later. */
function madeUpBy(page: Page, { collarId, kind, inputs }: DogPage['plans'][number], { on, at }: FitCheck): DogPage['madeUp'] {
  const others = page.madeUp.filter((one) => one.collarId !== collarId);
  if (page.madeUp.some((one) => one.collarId === collarId && one.at > at)) return page.madeUp;
  const { name, numbers } = page.collars.find(({ id }) => id === collarId) ?? inputs.collar;
  const links = linksOf({ kind, numbers })?.inIt(on) ?? null;
  return [...others, { collarId, collarName: name, kind, dogId: page.dog.id, dogName: page.dog.name, on, numbers, links, at }];
}

/** What the answers say of contact and skin counts where contact and skin are told. */
function toldBesides(page: Page, { kind, collarId, choices }: DogPage['plans'][number], check: FitCheck, { kennel, person }: LaidBy): Page {
  const { contactMade, skin, skinAt } = collarKind(kind).tells(check.answers);
  const { id, at, recordedAt, on } = check;
  const by = { recordedAt, personId: person.id, personName: person.name };
  const felt: Happening[] =
    contactMade === null ? [] : [{ event: 'contact', id, at, saidAt: at, collarId, made: contactMade, source: 'hand', phone: '', ...by }];
  const wears = wearsOf(wearAndDeviceEvents(page.events ?? []).wear).wears.filter((wear) => wear.dogId === page.dog.id && wear.collarId === collarId);
  const under = { kind, choices, on, lastAt: wears.at(-1)?.places.at(-1)?.value ?? null };
  const seen = skin === null ? [] : skinTold({ grade: skin, skinAt }, under, { dog: page.dog, kennel, at: Date.parse(at), before: page.skinLooks ?? [] });
  const looks = seen.map((look, place): SkinLook => ({
    ...{ ...look, id: place === 0 ? id : `${id} ${place}`, dogId: page.dog.id, at, linkId: null, sore: null, note: '', photoId: null },
    ...by,
  }));
  return {
    ...page,
    ...(page.events && { events: added(page.events, felt) }),
    ...(page.skinLooks && { skinLooks: added(page.skinLooks, looks) }),
  };
}
