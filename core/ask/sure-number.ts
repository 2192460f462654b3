import type { HouseRules } from '../rules/house-rules.ts';

/** Where a number comes from: taped with three readings or more, one or two of them, guessed by breed and weight, typical of a collar, or found by hands. */
export type SureFrom = 'taped' | 'one-reading' | 'guess' | 'typical' | 'hands';

/** A number that knows how sure it is; both mm. */
export type SureNumber = { mm: number; plusMinusMm: number; from: SureFrom };

/** A girth that nobody taped, by what is usual: off by the house's share of it. From memory. */
export const guessedGirth = (mm: number, { guessRatio }: Pick<HouseRules, 'guessRatio'>): SureNumber => ({ mm, plusMinusMm: guessRatio * mm, from: 'guess' });

/** The inside of a collar: as it was measured, or as such collars are sold. Common practice. */
export const insideOfCollar = (mm: number, measured: boolean, { typicalMm }: Pick<HouseRules, 'typicalMm'>): SureNumber =>
  measured ? { mm, plusMinusMm: 0, from: 'taped' } : { mm, plusMinusMm: typicalMm, from: 'typical' };
