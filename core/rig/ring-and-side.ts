import type { HouseRules } from '../rules/house-rules.ts';

/** Where the ring sits: at the nape, or behind the ear nearest the handler. Common practice. */
export const RING_PLACES = ['nape', 'near-side'] as const;
export type RingPlace = (typeof RING_PLACES)[number];

/** The side of the handler that the dog works on. */
export const WORKING_SIDES = ['left', 'right'] as const;
export type WorkingSide = (typeof WORKING_SIDES)[number];

/**
 * The clock place of the ring, in hours, 12 the nape as seen from behind the dog: nape 12; near side 1½ for a dog on
 * the handler's left (the dog's right ear), 10½ on the right. Common practice.
 */
export function ringClock(place: RingPlace, worksOn: WorkingSide): number {
  if (place === 'nape') return 12;
  return worksOn === 'left' ? 1.5 : 10.5;
}

/** How a collar is held: which of its rings the leash is on where it has two, where the ring sits, and on which side the dog works. */
export type RingHow = { ring: 'live' | 'both'; ringPlace: RingPlace; worksOn: WorkingSide; rules: Pick<HouseRules, 'liveTravelMm' | 'bothTravelMm'> };

/** The dog's own side on which the leash runs: the one next to the handler on whose left or right it works. Geometry. */
export const leashSideOf = (worksOn: WorkingSide): WorkingSide => (worksOn === 'left' ? 'right' : 'left');

/** How a training collar is turned and held: where its ring sits, on which side the leash runs, and what to see to. */
export type RingAndSide = {
  /** Clock place of the ring, 12 the nape. */
  clock: number;
  /** The dog's own side on which the leash runs to the hand. */
  leashSide: WorkingSide;
  /** Which of two rings the leash is on, and that in words; null where there is only one. */
  ring: RingHow['ring'] | null;
  leashOn: string | null;
  /** How far the leash hand moves at most before the collar closes, mm; null for what does not close so. */
  travelMm: number | null;
  letter: 'P' | 'mirrored P' | null;
  /** What to look at before walking off, as sentences. */
  see: string[];
};

/** Ring and side as they are for any collar, with what its kind has of its own. A dog on the handler's left has the leash on its own right side. Common practice. */
export function ringAndSide({ ringPlace, worksOn }: RingHow, own: Partial<RingAndSide>): RingAndSide {
  const leashSide = leashSideOf(worksOn);
  return {
    clock: ringClock(ringPlace, worksOn),
    leashSide,
    ring: null,
    leashOn: null,
    travelMm: null,
    letter: null,
    ...own,
    see: [`The dog works on the handler’s ${worksOn}: the leash runs on the dog’s ${leashSide} side.`, ...(own.see ?? [])],
  };
}
