/** Whether a dog is new to the kennel, or known. */
export const ACQUAINTANCES = ['new', 'known'] as const;
export type Acquaintance = (typeof ACQUAINTANCES)[number];

/** How a dog takes other dogs and people, calm to very reactive. */
export const MANNERS = ['calm', 'excitable', 'reactive', 'very-reactive'] as const;
export type Manner = (typeof MANNERS)[number];
export const MANNER_WORDS: Record<Manner, string> = { calm: 'Calm', excitable: 'Excitable', reactive: 'Reactive', 'very-reactive': 'Very reactive' };

/** What else is noted of a dog and steers the choice of a collar; null while not noted. */
export type DogManner = {
  acquaintance: Acquaintance | null;
  manner: Manner | null;
  /** It reacts to nickel: no plated collar is proposed. */
  nickel: boolean | null;
  /** It works in salt water: stainless is proposed first. */
  saltWater: boolean | null;
};
export const NOTHING_NOTED: DogManner = { acquaintance: null, manner: null, nickel: null, saltWater: null };

export const isReactive = ({ manner }: DogManner): boolean => manner === 'reactive' || manner === 'very-reactive';
