import type { FittingDog } from '../fit/fitting-dog.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';
import type { Speaker } from '../units/speaker.ts';
import type { DogManner } from './dog-manner.ts';

/** Who asks for advice: the dog with what is noted of it, and its house. */
export type AdviceAsked = { dog: FittingDog; noted: DogManner; rules: HouseRules; schools: HouseSchools; speak: Speaker };

/**
 * What a kind says of itself for a dog, apart from whether it fits: `first` puts it before others, `later` behind them, `only-with`
 * names what it is never without. One sentence each, which names what it goes by.
 */
export type Advice = { weighs: 'first' | 'later' | 'only-with'; says: string };

/** How far advice moves a kind among those that fit alike: before, behind, or not. */
export const adviceRank = (advice: readonly Advice[]): number =>
  advice.reduce((rank, { weighs }) => rank + (weighs === 'first' ? -1 : weighs === 'later' ? 1 : 0), 0);

export const adviseFirst = (says: string): Advice => ({ weighs: 'first', says });
export const adviseLater = (says: string): Advice => ({ weighs: 'later', says });
