import type { FittingDog } from '../fit/fitting-dog.ts';
import { MM_PER_UNIT } from '../units/length-units.ts';

const INCH = MM_PER_UNIT.in;
const FOOT = MM_PER_UNIT.ft;

/** One piece of a dog's kit: what it is, the sizes to look for in mm, and why in one sentence. */
export type KitPiece = {
  what: 'leash' | 'long line' | 'slip leash' | 'raised bed' | 'mat' | 'pouch' | 'snap';
  lengthMm: [number, number] | null;
  widthMm: [number, number] | null;
  says: string;
};

/** A hand from this finger width on is a large one; mm. From memory. */
const LARGE_HAND_MM = 20;
/** A dog under this is a small one for its kit; kg. From memory. */
const SMALL_DOG_KG = 10;

/** How long a lying dog is, nose to tail set, over the cube root of its weight; cm per kg^⅓. From memory. */
const LYING_CM = 30;
/** A bed is as wide as this share of its length. From memory. */
const BED_WIDTH = 0.65;

/**
 * The length of a raised bed for a dog of a grown weight, in mm: as long as the dog lies, by the cube root of its weight. From
 * memory; that beds are sized for the grown dog is common practice.
 *
 * @example bedLength(27) // 900
 */
export function bedLength(grownKg: number): number {
  return LYING_CM * Math.cbrt(grownKg) * 10;
}

/**
 * The kit for a dog: leash by hand, long line, slip leash, bed and mat for the grown size, and the pouch's side. `grownKg` is
 * its weight as a grown dog. Lengths mm. Common practice; sizes of beds from memory.
 */
export function kitFor(dog: Pick<FittingDog, 'weightKg' | 'worksOn' | 'finger' | 'pull'>, grownKg: number | null): KitPiece[] {
  const largeHand = dog.finger.widthMm >= LARGE_HAND_MM;
  const small = dog.weightKg !== null && dog.weightKg < SMALL_DOG_KG;
  const pieces: KitPiece[] = [
    {
      what: 'leash',
      lengthMm: small ? [4 * FOOT, 5 * FOOT] : [4 * FOOT, 4 * FOOT],
      widthMm: [0.5 * INCH, 0.625 * INCH],
      says: `4 ft${small ? ', a little more for a tall handler' : ''}, ${largeHand ? '5/8 in wide for a large hand' : '1/2 in wide, at most 5/8'}, so that the fingers close round it; a grip that stays when wet.`,
    },
    { what: 'snap', lengthMm: null, widthMm: null, says: small ? 'A light one; it closes with a click.' : 'It closes with a click, and swivels.' },
    {
      what: 'long line',
      lengthMm: small ? [15 * FOOT, 20 * FOOT] : [15 * FOOT, 50 * FOOT],
      widthMm: null,
      says: `From 15 ft, ${small ? '20 is plenty' : 'then 30 and 50'}. Blue or yellow: orange is hard for dogs to see.`,
    },
    {
      what: 'slip leash',
      lengthMm: null,
      widthMm: small && !largeHand ? [0.375 * INCH, 0.375 * INCH] : [0.5 * INCH, 0.5 * INCH],
      says: `${small && !largeHand ? '3/8 in, for a small hand and dog' : '1/2 in, for a large hand or dog'}; its stopper set about 1 1/2 in loose, so that it rests untightened and cannot come off.`,
    },
    {
      what: 'pouch',
      lengthMm: null,
      widthMm: null,
      says: `On the ${dog.worksOn === 'left' ? 'right' : 'left'}, the side away from the dog; it closes with one hand.`,
    },
  ];
  if (grownKg !== null) {
    const lengthMm = bedLength(grownKg);
    const bed: [number, number] = [lengthMm, lengthMm * 1.2];
    const width: [number, number] = [lengthMm * BED_WIDTH, lengthMm * 1.2];
    pieces.push(
      { what: 'raised bed', lengthMm: bed, widthMm: width, says: 'For the grown dog, so that it lies on it whole.' },
      { what: 'mat', lengthMm: bed, widthMm: width, says: 'As large as the bed, to take anywhere.' },
    );
  }
  return pieces;
}

/** Whether a piece that is owned will do: its sizes within what is looked for, a little over or under allowed (a tenth). */
export function pieceWillDo(wanted: KitPiece, owned: { lengthMm: number | null; widthMm: number | null }): boolean {
  const within = (range: [number, number] | null, size: number | null) => range === null || (size !== null && size >= range[0] * 0.9 && size <= range[1] * 1.1);
  return within(wanted.lengthMm, owned.lengthMm) && within(wanted.widthMm, owned.widthMm);
}
