import {
  asSureAsItIs,
  COLLAR_KIND_NAMES,
  fitAll,
  schoolsSay,
  type CollarKindName,
  type FittingDog,
  type KindFit,
  type StockByKind,
  type SureNeck,
  type WornByKind,
} from '@banter/contract';
import { benchSpeaker, schoolName, type House, type KennelLengthUnit, type KennelMassUnit } from '@banter/core';

/** A dog to be sized against everything that is owned, in the units that are spoken. */
export type ChooseRequest = {
  dogName: string;
  dog: FittingDog;
  /** How sure its girths are. */
  sure: SureNeck | null;
  stock: StockByKind;
  worn: WornByKind;
  house: House;
  length: KennelLengthUnit;
  mass: KennelMassUnit;
};

/** Every kind for the dog, and for each where the sides of its schools would end in another collar or make-up. */
export type Chosen = { fits: KindFit[]; differ: Partial<Record<CollarKindName, string[]>> };

/** From so many collars on, choosing goes into a worker, so that the page never waits for it. */
export const WORKER_FROM_COLLARS = 250;

/** Sizes all kinds for a dog; the same code on the page and in the worker. */
export function choose({ dogName, dog, sure, stock, worn, house, length, mass }: ChooseRequest): Chosen {
  const speak = benchSpeaker(length, mass);
  const fits = fitAll(dogName, dog, stock, house, speak, undefined, worn);
  const differ: Chosen['differ'] = {};
  for (const fit of fits) {
    if (fit.missing.length > 0 || !stock[fit.kind]) continue;
    differ[fit.kind] = schoolsSay(fit.kind, dogName, dog, stock, house, speak, worn)
      .filter((one) => !one.house && (one.fit.line !== fit.line || one.fit.collarId !== fit.collarId))
      .map((one) => `«${schoolName(one.school, one.option)}»: ${one.fit.line ?? 'nothing here fits'}`);
  }
  return { fits: fits.map((fit) => asSureAsItIs(fit, dog, sure, stock[fit.kind] ?? [], house)), differ };
}

/** How many collars a stock holds. */
export const collarsIn = (stock: StockByKind): number => COLLAR_KIND_NAMES.reduce((sum, kind) => sum + (stock[kind]?.length ?? 0), 0);
