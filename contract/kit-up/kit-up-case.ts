import { linkInstruction, type LinkSplit } from '@banter/core/collars/prong';
import { linksAt, type FittingDog, type KitBuy, type KitCase, type KitOption, type KitUp, type LinkCountAt, type Speaker } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { stockForEach } from '../collars/fit-all.ts';
import type { StockedCollar } from '../collars/collar-kind.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { DogCard } from '../records/pages.ts';
import { fittingDog } from '../records/plan.ts';
import { screeningOf, screenKind } from '../records/screening.ts';
import { latestGirths } from '../records/taping.ts';
import { byHandsOfFits, isGoodByHands } from '../standing/neck-felt.ts';
import type { ClassPage } from './class-page.ts';

/** A dog of the class and the kind of collar it is to have. */
export type ClassDog = { dogId: string; kind: CollarKindName };
/** A dog that cannot be kitted up yet, and what is missing or speaks against it. */
export type ClassMissing = { dogId: string; why: string };

/** One way that a dog may wear a collar: how it is made up, said and counted. */
type Way = { line: string; split: LinkSplit | null; name: string };
/** What a solver is asked, and how each of its answers is said. */
export type ClassCase = { asked: KitCase; missing: ClassMissing[]; ways: ReadonlyMap<string, Way> };

const key = (dogId: string, id: string) => `${dogId} ${id}`;
const splitOf = (choices: unknown): LinkSplit | null => (choices as { split?: LinkSplit }).split ?? null;

/**
 * What a class comes to as a question: for each dog every collar of the locker of its kind that may be worn, as it would be made up
 * by the house’s schools and by what hands found in it, with the links that moves; and what could be bought. Collars on dogs outside
 * the class stay there, but for those that have been re-linked for another since; what a dog wears well is left as it is.
 */
export function classCase(
  page: Pick<ClassPage, 'collars' | 'links' | 'worn'>,
  cards: readonly DogCard[],
  dogs: readonly ClassDog[],
  { kennel, today, speak }: { kennel: Kennel; today: string; speak: Speaker },
): ClassCase {
  const inClass = new Set(dogs.map(({ dogId }) => dogId));
  const away = new Set(page.worn.flatMap(({ collarId, dogId }) => (inClass.has(dogId) ? [] : [collarId])));
  const stockFor = stockForEach(page.collars.filter(({ id }) => !away.has(id)));
  const links = page.links as LinkCountAt[];
  const ways = new Map<string, Way>();
  const missing: ClassMissing[] = [];
  const asked = dogs.flatMap(({ dogId, kind: name }): KitCase['dogs'][number][] => {
    const card = cards.find(({ dog }) => dog.id === dogId)!;
    const kind = collarKind(name);
    const house = houseOf(kennel, card.dog);
    const girths = latestGirths(card.girths);
    const facts = fittingDog(card.dog, girths, { today, byHands: byHandsOfFits(card.fits, card.dog, girths, house.rules) });
    const why = speaksAgainst(card, name, facts, kennel);
    if (why !== null) {
      missing.push({ dogId, why });
      return [];
    }
    /** The fit of a collar that this dog wears now, as it is found on it. */
    const wornFit = (collarId: string) => card.fits.find(({ plan, elsewhere }) => plan.collarId === collarId && !elsewhere) ?? null;
    const way = (collar: StockedCollar<unknown>) => {
      const fit = wornFit(collar.id);
      const good = fit !== null && isGoodByHands(fit, card.dog, girths, house.rules);
      const choice = good ? { choices: kind.wornChoices(fit.plan.choices, fit.check!.on) } : kind.suggest(facts, [collar], house).choice;
      const outcome = choice && kind.plan(facts, collar, [collar], choice.choices, house.rules);
      if (!choice || !(outcome?.keep || good)) return null;
      const split = splitOf(choice.choices);
      ways.set(key(dogId, collar.id), { line: kind.describePlan(collar, choice.choices, outcome!, speak), split, name: collar.name });
      return { count: split === null ? null : split.left + split.right, gaugeMm: (collar.numbers as { gaugeMm?: number }).gaugeMm ?? null };
    };
    const options = (stockFor(card.dog)[name] ?? []).flatMap((collar): KitOption[] => {
      const made = way(collar);
      if (!made) return [];
      const worn = wornFit(collar.id) !== null;
      if (made.count === null || made.gaugeMm === null) return [{ collarId: collar.id, gaugeMm: null, change: 0, worn }];
      return [{ collarId: collar.id, gaugeMm: made.gaugeMm, change: made.count - linksAt(links, made.gaugeMm, `collar:${collar.id}`), worn }];
    });
    const buys = kind.usual.flatMap((one, index): KitBuy[] => {
      const stockId = `usual:${name}:${index}`;
      const made = way({ id: stockId, name: one.name, numbers: one.numbers });
      if (!made) return [];
      const sold = (one.numbers as { links?: number }).links ?? 0;
      return [{ stockId, gaugeMm: made.gaugeMm === null || made.count === null ? null : made.gaugeMm, change: made.count === null ? 0 : made.count - sold }];
    });
    return [{ id: dogId, options, buys }];
  });
  const bag = links.flatMap(({ gaugeMm, account, count }) => (account === 'bag' ? [{ gaugeMm, links: count }] : []));
  return { asked: { dogs: asked, bag }, missing, ways };
}

/** What has to be known or lifted before a dog is given such a collar; null when nothing. */
function speaksAgainst(card: DogCard, name: CollarKindName, facts: FittingDog, kennel: Kennel): string | null {
  const kind = collarKind(name);
  const house = houseOf(kennel, card.dog);
  const screen = screenKind(kind.hazards, screeningOf(card.screenings, card.lifts, facts, house.rules), kennel.screen);
  if (screen.notScreened) return 'Screen it first: anything against such a collar?';
  if (screen.blocked) return `Not for this dog: ${screen.findings.find(({ lifted }) => !lifted)!.name.toLowerCase()}.`;
  return kind.missing(facts)[0]?.says ?? null;
}

/** One line of the pick list: who, out of where, made up how, and what to do to the links. */
export type PickLine = { dogId: string; from: 'locker' | 'shop' | 'nowhere'; name: string; line: string; links: string | null; change: number };

/** The pick list of a class kitted up, in the order of its dogs. */
export function pickList({ ways }: Pick<ClassCase, 'ways'>, { given }: KitUp, page: Pick<ClassPage, 'links'>): PickLine[] {
  return given.map(({ dogId, given: one }): PickLine => {
    if (one.from === 'nowhere') return { dogId, from: 'nowhere', name: '', line: 'Nothing in the locker or the usual sizes fits.', links: null, change: 0 };
    const id = one.from === 'locker' ? one.option.collarId : one.buy.stockId;
    const { change, gaugeMm } = one.from === 'locker' ? one.option : one.buy;
    const { line, split, name } = ways.get(key(dogId, id))!;
    const on =
      one.from === 'locker' && gaugeMm !== null
        ? linksAt(page.links as LinkCountAt[], gaugeMm, `collar:${id}`)
        : (split?.left ?? 0) + (split?.right ?? 0) - change;
    const before = { left: Math.ceil(on / 2), right: Math.floor(on / 2) };
    return { dogId, from: one.from, name, line, links: change === 0 || split === null ? null : linkInstruction(before, split), change };
  });
}
