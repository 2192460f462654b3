import type { METALS } from '../records/collar.ts';
import {
  worstTone,
  type FitRow,
  type FitTone,
  type FittingDog,
  type House,
  type HouseSchoolName,
  type HouseSchools,
  HOUSE_SCHOOL_OPTIONS,
  type Speaker,
  type DogManner,
} from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind, type CollarKindName } from './collar-kinds.ts';
import type { Missing, StockedCollar, Suggestion } from './collar-kind.ts';

/** The collars of a stock by kind. */
export type StockByKind = Partial<Record<CollarKindName, readonly StockedCollar<unknown>[]>>;

/** One kind of collar for one dog: whether it fits and by which number, from what is owned or, failing that, what to buy. */
export type KindFit = {
  kind: CollarKindName;
  /** What is still to be taped or weighed. */
  missing: Missing[];
  verdict: string;
  tone: FitTone;
  collarId: string | null;
  collarName: string | null;
  choices: unknown;
  /** The measure that decides: the worst one, else the first. */
  deciding: FitRow | null;
  line: string | null;
  sentence: string | null;
  /** What to look for in a shop, where nothing owned fits. */
  wanted: string | null;
};

/** The row that decides a verdict: the first of the worst tone. */
export function decidingRow(rows: readonly FitRow[]): FitRow | null {
  const worst = worstTone(rows);
  return rows.find((row) => row.tone === worst) ?? null;
}

type Worn = { plan: { kind: CollarKindName; collarId: string }; check: unknown; elsewhere: unknown };
/** Whether a dog wears its fit's collar: it was found on it, and has not been made up for another since. */
export const isWorn = ({ check, elsewhere }: Pick<Worn, 'check' | 'elsewhere'>): boolean => check !== null && !elsewhere;
/** The collar of each kind that a dog wears already, by its id: preferred where it does as well as any other. */
export type WornByKind = Partial<Record<CollarKindName, string>>;
export const wornByKind = (fits: readonly Worn[]): WornByKind => Object.fromEntries(fits.filter(isWorn).map(({ plan }) => [plan.kind, plan.collarId]));

/** Sizes one kind for a dog from what is owned. */
export function fitKind(
  name: CollarKindName,
  dogName: string,
  dog: FittingDog,
  stock: StockByKind,
  house: House,
  speak: Speaker,
  worn: WornByKind = {},
): KindFit {
  const kind = collarKind(name);
  const missing = kind.missing(dog);
  const nothing = { kind: name, missing, collarId: null, collarName: null, choices: null, deciding: null, line: null, sentence: null };
  if (missing.length > 0) return { ...nothing, verdict: 'Not measured', tone: 'open', wanted: null };
  const owned = stock[name] ?? [];
  const wanted = kind.wanted(dog, house, speak);
  if (owned.length === 0) return { ...nothing, verdict: 'None in the locker', tone: 'open', wanted };
  const { choice, all } = kind.suggest(dog, owned, house, worn[name] ?? null);
  const taken = choice ?? all[0] ?? null;
  if (!taken) return { ...nothing, verdict: 'None in the locker', tone: 'open', wanted };
  const collar = owned.find((one) => one.id === taken.collarId)!;
  // What is best of the stock has just been found; only this one collar is judged again.
  const outcome = kind.plan(dog, collar, [collar], taken.choices, house.rules);
  const tone = choice ? kind.planTone(outcome) : 'stop';
  return {
    kind: name,
    missing: [],
    verdict: kind.planVerdict(outcome),
    tone,
    collarId: collar.id,
    collarName: collar.name,
    choices: taken.choices,
    deciding: decidingRow(kind.rows(dog, collar, taken.choices, outcome, house.rules)),
    line: kind.describePlan(collar, taken.choices, outcome, speak),
    sentence: kind.planSentence(dogName, dog, collar, taken.choices, outcome, null, speak),
    wanted: choice ? null : wanted,
  };
}

/** Sizes every kind, or the named ones, for a dog, in the order of the registry. */
export function fitAll(
  dogName: string,
  dog: FittingDog,
  stock: StockByKind,
  house: House,
  speak: Speaker,
  kinds: readonly CollarKindName[] = COLLAR_KIND_NAMES,
  worn: WornByKind = {},
): KindFit[] {
  return kinds.map((kind) => fitKind(kind, dogName, dog, stock, house, speak, worn));
}

/** What one side of a school would do for this dog, from the same stock. */
export type SchoolSays = { school: HouseSchoolName; option: string; house: boolean; fit: KindFit };

/** What each side of each school that bears on a kind would do, all else as the house holds it. */
export function schoolsSay(
  name: CollarKindName,
  dogName: string,
  dog: FittingDog,
  stock: StockByKind,
  house: House,
  speak: Speaker,
  worn: WornByKind = {},
): SchoolSays[] {
  return collarKind(name).schools.flatMap((school) =>
    HOUSE_SCHOOL_OPTIONS[school].map((option) => ({
      school,
      option,
      house: house.schools[school] === option,
      fit: fitKind(name, dogName, dog, stock, { ...house, schools: { ...house.schools, [school]: option } as HouseSchools }, speak, worn),
    })),
  );
}

type Metal = (typeof METALS)[number];
type Listed = {
  id: string;
  name: string;
  kind: CollarKindName;
  numbers: unknown;
  retiredAt: string | null;
  owned?: boolean;
  metal?: Metal | null;
  measuredOn?: string | null;
};

/** Metals that a dog which reacts to nickel may wear against its skin, and those that bear salt water. Common practice. */
const PLATED: ReadonlySet<Metal> = new Set(['chrome-plated']);
const BEARS_SALT: ReadonlySet<Metal> = new Set(['stainless', 'blackened stainless']);

/** The collars that are proposed for a dog by what is noted of it: none that is plated where it reacts to nickel, stainless first where it works in salt water. */
export function proposedFor<Collar extends Listed>(collars: readonly Collar[], { nickel, saltWater }: Pick<DogManner, 'nickel' | 'saltWater'>): Collar[] {
  const kept = collars.filter(({ metal }) => !(nickel === true && metal != null && PLATED.has(metal)));
  const last = ({ metal }: Listed) => (saltWater === true && !(metal != null && BEARS_SALT.has(metal)) ? 1 : 0);
  return [...kept].sort((a, b) => last(a) - last(b));
}

/** Whether a collar hangs in the locker: it is owned, and was not scrapped. */
export const isHere = ({ owned = true, retiredAt }: Pick<Listed, 'owned' | 'retiredAt'>): boolean => owned && retiredAt === null;

/** Collars of a list by their kind, those that hang in the locker. */
export function stockByKind(collars: readonly Listed[]): StockByKind {
  const stock: Partial<Record<CollarKindName, StockedCollar<unknown>[]>> = {};
  for (const collar of collars) {
    const { id, name, kind, numbers, measuredOn } = collar;
    if (isHere(collar)) (stock[kind] ??= []).push({ id, name, numbers, measured: measuredOn !== null });
  }
  return stock;
}

/** A collar at the bench: had, or still to be bought. */
export type BenchCollar<Numbers = unknown> = StockedCollar<Numbers> & { owned: boolean };

/** What Banter would take for a dog: of what is owned, where any of that may be worn, else of all, with what could be bought. `all` names every one. */
export function suggestFor(name: CollarKindName, dog: FittingDog, collars: readonly BenchCollar[], house: House, wornId: string | null): Suggestion<unknown> {
  const kind = collarKind(name);
  const of = (some: readonly BenchCollar[]) => kind.suggest(dog, some, house, wornId);
  const every = of(collars);
  const had = collars.filter(({ owned }) => owned);
  if (had.length === collars.length || had.length === 0) return every;
  const own = of(had);
  return own.choice ? { ...every, choice: own.choice, reasons: own.reasons } : every;
}
