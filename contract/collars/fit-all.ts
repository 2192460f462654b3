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
} from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind, type CollarKindName } from './collar-kinds.ts';
import type { StockedCollar } from './collar-kind.ts';

/** The collars of a stock by kind. */
export type StockByKind = Partial<Record<CollarKindName, readonly StockedCollar<unknown>[]>>;

/** One kind of collar for one dog: whether it fits and by which number, from what is owned or, failing that, what to buy. */
export type KindFit = {
  kind: CollarKindName;
  /** What is still to be taped or weighed, as sentences. */
  missing: string[];
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

/** Sizes one kind for a dog from what is owned. */
export function fitKind(name: CollarKindName, dogName: string, dog: FittingDog, stock: StockByKind, house: House, speak: Speaker): KindFit {
  const kind = collarKind(name);
  const missing = kind.missing(dog);
  const nothing = { kind: name, missing, collarId: null, collarName: null, choices: null, deciding: null, line: null, sentence: null };
  if (missing.length > 0) return { ...nothing, verdict: 'Not measured', tone: 'open', wanted: null };
  const owned = stock[name] ?? [];
  const wanted = kind.wanted(dog, house, speak);
  if (owned.length === 0) return { ...nothing, verdict: 'None in the locker', tone: 'open', wanted };
  const { choice, all } = kind.suggest(dog, owned, house);
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
): KindFit[] {
  return kinds.map((kind) => fitKind(kind, dogName, dog, stock, house, speak));
}

/** What one side of a school would do for this dog, from the same stock. */
export type SchoolSays = { school: HouseSchoolName; option: string; house: boolean; fit: KindFit };

/** What each side of each school that bears on a kind would do, all else as the house holds it. */
export function schoolsSay(name: CollarKindName, dogName: string, dog: FittingDog, stock: StockByKind, house: House, speak: Speaker): SchoolSays[] {
  return collarKind(name).schools.flatMap((school) =>
    HOUSE_SCHOOL_OPTIONS[school].map((option) => ({
      school,
      option,
      house: house.schools[school] === option,
      fit: fitKind(name, dogName, dog, stock, { ...house, schools: { ...house.schools, [school]: option } as HouseSchools }, speak),
    })),
  );
}

/** Collars of a list by their kind, scrapped ones left out. */
export function stockByKind(collars: readonly { id: string; name: string; kind: CollarKindName; numbers: unknown; retiredAt: string | null }[]): StockByKind {
  const stock: Partial<Record<CollarKindName, StockedCollar<unknown>[]>> = {};
  for (const { id, name, kind, numbers, retiredAt } of collars) if (retiredAt === null) (stock[kind] ??= []).push({ id, name, numbers });
  return stock;
}
