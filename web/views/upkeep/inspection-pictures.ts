import type { InspectionPicture } from '@banter/core';

/** A drawing of 96 by 60: strokes of the thing itself, and of what is wrong with it. Our own; not to scale. */
export type Picture = {
  steel?: string[];
  cloth?: string[];
  thread?: string[];
  fault?: string[];
  dots?: { x: number; y: number; r: number; fault?: boolean }[];
};
type Pair = { good: Picture; bad: Picture };

const STRAP = 'M6 20H90V40H6Z';
/** Good beside bad, for each thing that is looked at with the eyes. */
export const PICTURES: Record<InspectionPicture, Pair> = {
  link: {
    good: { steel: ['M30 50V26Q30 12 48 12T66 26V50', 'M66 26H82'] },
    bad: { steel: ['M30 50V26Q30 12 48 12T66 26V34', 'M66 26H82'], fault: ['M66 34Q67 44 80 52'] },
  },
  tip: {
    good: { steel: ['M36 6V44', 'M60 6V44'], dots: [{ x: 36, y: 47, r: 6 }, { x: 60, y: 47, r: 6 }] }, // prettier-ignore
    bad: { steel: ['M36 6V40', 'M60 6V40'], fault: ['M30 40H42V52H30Z', 'M54 40H66L60 56Z'] },
  },
  chain: {
    good: { steel: ['M14 10L48 50L82 10', 'M14 10H82'] },
    bad: { steel: ['M14 10L34 34', 'M62 34L82 10', 'M14 10H82'], fault: ['M34 34C44 26 52 42 62 34', 'M34 34C44 46 52 24 62 34', 'M48 37V52'] },
  },
  swivel: {
    good: { steel: ['M8 30H38', 'M58 30H88', 'M38 20H58V40H38Z', 'M30 14C38 6 58 6 66 14', 'M66 14L60 8', 'M66 14L58 16'] },
    bad: { steel: ['M8 30H38', 'M58 30H88', 'M38 20H58V40H38Z'], fault: ['M40 8L56 16', 'M56 8L40 16'] },
  },
  plating: {
    good: { steel: ['M30 50V26Q30 12 48 12T66 26V50'] },
    bad: { steel: ['M30 50V26Q30 12 48 12T66 26V50'], fault: ['M27 34L33 38L27 42L33 46', 'M63 34L69 38L63 42L69 46'] },
  },
  weld: {
    good: { steel: ['M48 10A20 20 0 1 1 47.9 10'] },
    bad: { steel: ['M54 11A20 20 0 1 1 42 11'], fault: ['M44 5L46 17', 'M52 5L50 17'] },
  },
  kink: {
    good: { steel: ['M8 14C30 14 30 46 52 46S80 30 88 30'] },
    bad: { steel: ['M8 14C26 14 30 30 40 34', 'M56 34C66 34 78 30 88 30'], fault: ['M40 34L50 16L46 46L56 34'] },
  },
  stitching: {
    good: { cloth: [STRAP], thread: ['M14 25H82', 'M14 35H82'] },
    bad: { cloth: [STRAP], thread: ['M14 25H40', 'M14 35H82'], fault: ['M40 25C52 16 56 30 64 12'] },
  },
  slide: {
    good: { cloth: [STRAP], steel: ['M40 14H56V46H40Z', 'M48 14V46'] },
    bad: { cloth: [STRAP], steel: ['M26 14H42V46H26Z', 'M34 14V46'], fault: ['M50 10H68', 'M68 10L62 5', 'M68 10L62 15'] },
  },
  hardware: {
    good: { cloth: ['M6 20H50V40H6Z'], steel: ['M50 14V46C86 46 86 14 50 14'] },
    bad: { cloth: ['M6 20H50V40H6Z'], steel: ['M50 14V46'], fault: ['M50 46C70 50 62 34 84 28C72 18 70 12 50 14'] },
  },
  seal: {
    good: { steel: ['M18 12H78V48H18Z'], dots: [{ x: 38, y: 30, r: 7 }, { x: 60, y: 30, r: 7 }] }, // prettier-ignore
    bad: { steel: ['M18 12H78V48H18Z'], dots: [{ x: 38, y: 30, r: 7 }], fault: ['M53 30A7 7 0 1 1 62 37', 'M62 37L72 50', 'M66 20C64 24 62 26 62 28'] }, // prettier-ignore
  },
  post: {
    good: { steel: ['M14 36H82V52H14Z', 'M36 36V14', 'M60 36V14'] },
    bad: { steel: ['M14 36H82V52H14Z', 'M36 36V14'], fault: ['M60 34L72 12', 'M54 30H66'] },
  },
  snap: {
    good: { steel: ['M8 30H22', 'M22 22V38', 'M22 30C22 8 78 8 78 30S40 54 34 38', 'M34 38L70 24'] },
    bad: { steel: ['M8 30H22', 'M22 22V38', 'M22 30C22 8 78 8 78 30S40 54 34 38'], fault: ['M34 38L62 38'] },
  },
  edge: {
    good: { cloth: [STRAP] },
    bad: { cloth: ['M6 20H90V40H70L66 36L60 40H44L40 37L34 40H6Z'], fault: ['M66 36L64 48', 'M62 38L60 50', 'M40 37L38 49', 'M36 38L33 48'] },
  },
  grip: {
    good: { cloth: ['M6 24H90V36H6Z'], steel: ['M30 12C24 24 24 36 30 48', 'M44 12C38 24 38 36 44 48', 'M58 12C52 24 52 36 58 48'] },
    bad: { cloth: ['M6 24H90V36H6Z'], fault: ['M24 14C28 8 34 18 38 12', 'M52 14C56 8 62 18 66 12', 'M30 48H74', 'M74 48L68 43', 'M74 48L68 53'] },
  },
};
