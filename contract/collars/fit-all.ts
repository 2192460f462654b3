import type { METALS } from '../records/collar.ts';
import {
  pieceStanding,
  worstTone,
  type Condition,
  type PieceStanding,
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
  condition?: Condition;
  measuredOn?: string | null;
};

/** Metals that a dog which reacts to nickel may wear against its skin, and those that bear salt water. Common practice. */
const PLATED: ReadonlySet<Metal> = new Set(['chrome-plated']);
const BEARS_SALT: ReadonlySet<Metal> = new Set(['stainless', 'blackened stainless']);

/** What is noted of a dog that bears on the metal of its collars. */
type MetalOf = Pick<DogManner, 'nickel' | 'saltWater'>;

/** Whether a collar hangs in the locker: it is owned, and was not scrapped. */
export const isHere = ({ owned = true, retiredAt }: Pick<Listed, 'owned' | 'retiredAt'>): boolean => owned && retiredAt === null;
/** How a piece stands, by its record. */
export const standingOfPiece = ({ condition = 'sound', retiredAt }: Pick<Listed, 'condition' | 'retiredAt'>): PieceStanding =>
  pieceStanding({ condition, scrapped: retiredAt !== null });
/** Whether a collar was found sound: whatever is to be mended, worn out or scrapped goes on no dog. */
export const isSound = (collar: Pick<Listed, 'condition' | 'retiredAt'>): boolean => standingOfPiece(collar) === 'sound';
/** Whether the metal of a collar suits a dog: nothing plated where it reacts to nickel. Common practice. */
const suitsMetal = ({ metal }: Pick<Listed, 'metal'>, { nickel }: MetalOf): boolean => !(nickel === true && metal != null && PLATED.has(metal));
/** Why a collar of the locker or to buy is not proposed for a dog: by its condition, or by its metal; null where it is. */
export type AgainstCollar = Exclude<PieceStanding, 'sound'> | 'plated';
function againstCollar(collar: Pick<Listed, 'condition' | 'retiredAt' | 'metal'>, dog: MetalOf): AgainstCollar | null {
  const is = standingOfPiece(collar);
  return is !== 'sound' ? is : suitsMetal(collar, dog) ? null : 'plated';
}
/** Whether a collar is proposed for a dog, had or still to be bought: sound, and of a metal that suits it. */
export const isProposed = (collar: Pick<Listed, 'condition' | 'retiredAt' | 'metal'>, dog: MetalOf): boolean => againstCollar(collar, dog) === null;

/** In the order in which they are proposed: stainless first where the dog works in salt water. */
function inOrder<Collar extends Listed>(collars: readonly Collar[], { saltWater }: MetalOf): Collar[] {
  if (saltWater !== true) return [...collars];
  const last = ({ metal }: Listed) => (metal != null && BEARS_SALT.has(metal) ? 0 : 1);
  return [...collars].sort((a, b) => last(a) - last(b));
}

/** Collars of a list by their kind that may be proposed for a dog: of those that hang in the locker. */
export function stockByKind(collars: readonly Listed[], dog: MetalOf): StockByKind {
  const stock: Partial<Record<CollarKindName, StockedCollar<unknown>[]>> = {};
  const proposed = collars.filter((one) => isHere(one) && isProposed(one, dog));
  for (const { id, name, kind, numbers, measuredOn } of inOrder(proposed, dog)) (stock[kind] ??= []).push({ id, name, numbers, measured: measuredOn !== null });
  return stock;
}

/** The same for many dogs, worked out once for all of whom the same is noted. */
export function stockForEach(collars: readonly Listed[]): (dog: MetalOf) => StockByKind {
  const made = new Map<string, StockByKind>();
  return (dog) => {
    const key = `${dog.nickel === true} ${dog.saltWater === true}`;
    const stock = made.get(key) ?? stockByKind(collars, dog);
    made.set(key, stock);
    return stock;
  };
}

/** A collar at the bench: had, or still to be bought; and what speaks against proposing it, where it lies there only because somebody may choose it. */
export type BenchCollar<Numbers = unknown> = StockedCollar<Numbers> & { owned: boolean; against: AgainstCollar | null };

/** What lies on the bench of a dog: all of a kind that is sound, with what it wears already, however that was found; each says what speaks against proposing it. */
export function benchStock<Collar extends Listed>(
  collars: readonly Collar[],
  name: CollarKindName,
  dog: MetalOf,
  wornId: string | null = null,
): (Collar & { against: AgainstCollar | null })[] {
  const there = collars.filter((one) => one.kind === name && one.retiredAt === null && (isSound(one) || one.id === wornId));
  return inOrder(there, dog).map((one) => ({ ...one, against: againstCollar(one, dog) }));
}

/** What Banter would take for a dog: of what is owned and proposed, where any of that may be worn, else with what could be bought. `all` names every one, what is proposed first. */
export function suggestFor(name: CollarKindName, dog: FittingDog, collars: readonly BenchCollar[], house: House, wornId: string | null): Suggestion<unknown> {
  const kind = collarKind(name);
  const of = (some: readonly BenchCollar[]) => kind.suggest(dog, some, house, wornId);
  const proposed = collars.filter(({ against }) => against === null);
  const had = proposed.filter(({ owned }) => owned);
  const best = of(proposed);
  const own = had.length === proposed.length || had.length === 0 ? best : of(had);
  const { choice, reasons } = own.choice ? own : best;
  return { choice, reasons, all: proposed.length === collars.length ? best.all : [...best.all, ...of(collars.filter(({ against }) => against !== null)).all] };
}
