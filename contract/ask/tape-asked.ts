import { guessedGirth, HEAD_TO_HIGH, leastNeckLength, lengthDecides, TAPE_SITES, type FittingDog, type House, type TapeSite } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { StockByKind } from '../collars/fit-all.ts';
import { fitSureness, type SureNeck } from './fit-sureness.ts';

/** A site to tape, with what it decides. */
export type TapeAsk = { site: TapeSite; decides: string };

/** What a site decides for a collar that cannot do without it. */
const DECIDES: Record<TapeSite, string> = {
  high: 'Decides the size.',
  mid: 'Decides where it slides to.',
  base: 'Decides where it slides to.',
  'neck-length': 'Decides what can be worn below each other.',
  'coat-depth': 'Decides how long the contacts must be.',
  head: 'Decides whether it goes over the head.',
  muzzle: 'Decides the nose loop.',
  stop: 'Decides whether the nose loop can come off.',
  'muzzle-length': 'Decides whether a head collar can be worn at all.',
};

type Asking = {
  kinds: readonly CollarKindName[];
  dog: FittingDog;
  /** How sure the neck is as taped so far; null without a high girth. */
  sure: SureNeck | null;
  stock: StockByKind;
  /** Widths down the neck of what it wears already, mm. */
  wornWidthsMm: readonly number[];
  house: House;
};

/** The collar of a kind that would be taken for a dog: of the locker, else of what is usually sold. */
function bestOf(name: CollarKindName, dog: FittingDog, { stock, house }: Asking) {
  const kind = collarKind(name);
  const owned = stock[name] ?? [];
  const offered = owned.length > 0 ? owned : kind.usual.map(({ name: called, numbers }) => ({ id: called, name: called, numbers }));
  const { choice, all } = kind.suggest(dog, offered, house);
  return offered.find(({ id }) => id === (choice?.collarId ?? all[0]?.collarId)) ?? null;
}

/** Whether the head could change what the best collar of a kind comes to; unknown, and so yes, while there is nothing to go by. */
function headDecides(name: CollarKindName, asking: Asking): boolean {
  const { dog, sure, house } = asking;
  const kind = collarKind(name);
  if (!kind.helps.includes('head')) return false;
  const unmeasured = { ...dog, headGirthMm: null };
  if (!sure || kind.missing(unmeasured).length > 0) return true;
  const collar = bestOf(name, unmeasured, asking);
  if (!collar) return true;
  const { rules } = house;
  const guessed = { high: { ...sure.high, plusMinusMm: 0 }, head: guessedGirth(sure.high.mm * HEAD_TO_HIGH[dog.neckBuild], rules) };
  return fitSureness(name, unmeasured, guessed, { ...collar, measured: true }, house).asks.some(({ by }) => by === 'head');
}

/** Whether what is worn and the widest of the kinds in question might not fit below each other. */
function neckLengthDecides({ kinds, stock, sure, wornWidthsMm, house }: Asking): boolean {
  const widths = kinds.flatMap((name) => (stock[name] ?? []).map(({ numbers }) => collarKind(name).onNeck.widthMm(numbers as never)));
  const all = [...wornWidthsMm, ...(widths.length > 0 ? [Math.max(...widths)] : [])];
  return lengthDecides(
    all.map((widthMm) => ({ widthMm })),
    sure ? leastNeckLength(sure.high.mm) : 0,
    house.rules,
  );
}

/**
 * Which sites to tape for the collars in question, in the order the hands go, each with what it decides. What decides nothing now is
 * not asked for: of a head that is still a guess whatever its spread leaves as it is, and the neck’s length where all fits below each
 * other at the shortest that it may be. Common practice: ask only what can change the answer.
 */
export function tapeAsked(asking: Asking): TapeAsk[] {
  const { kinds } = asking;
  const needed = new Set(kinds.flatMap((name) => collarKind(name).needs));
  return TAPE_SITES.flatMap((site): TapeAsk[] => {
    if (needed.has(site)) return [{ site, decides: DECIDES[site] }];
    if (site === 'head' && kinds.some((name) => headDecides(name, asking))) return [{ site, decides: 'Decides whether it can come over the head.' }];
    if (site === 'neck-length' && neckLengthDecides(asking)) return [{ site, decides: DECIDES[site] }];
    return [];
  });
}

/** Sites of which another reading can change an answer. */
export type ReadAgain = 'high' | 'head';

/**
 * Of which sites another reading could still change what the best collar of a kind comes to, by how far the readings so far may be
 * off; both while there is nothing to size by. Common practice: one reading is enough where a surer one decides nothing.
 */
export function readAgain(asking: Asking): ReadAgain[] {
  const { kinds, dog, sure, house } = asking;
  const asks = new Set(
    kinds.flatMap((name): readonly string[] => {
      if (!sure || collarKind(name).missing(dog).length > 0) return ['high', 'head'];
      const collar = bestOf(name, dog, asking);
      return collar ? fitSureness(name, dog, sure, { ...collar, measured: true }, house).asks.map(({ by }) => by) : ['high', 'head'];
    }),
  );
  return (['high', 'head'] as const).filter((site) => asks.has(site));
}
