/** Where the tape goes round, in the order the hands go. */
export const GIRTH_SITES = ['high', 'mid', 'base', 'head', 'muzzle', 'stop'] as const;
export type GirthSite = (typeof GIRTH_SITES)[number];

/** Girths of these parts that can be, in mm, both ends included (contract). */
export const POSSIBLE_GIRTH_MM: Record<GirthSite, [number, number]> = {
  high: [100, 1200],
  mid: [100, 1200],
  base: [100, 1200],
  head: [100, 1200],
  muzzle: [40, 600],
  stop: [40, 600],
};

/** What each site is called and where it lies. Common practice. */
export const SITE_WORDS: Record<GirthSite, { name: string; where: string }> = {
  high: { name: 'High girth', where: 'directly behind the ears and the jaw, the narrowest place' },
  mid: { name: 'Mid girth', where: 'half-way down the neck' },
  base: { name: 'Base girth', where: 'where the neck meets the shoulders, the widest place' },
  head: { name: 'Head girth', where: 'around the broadest part of the skull, ears included' },
  muzzle: { name: 'Muzzle girth', where: 'half-way between eyes and nose leather, mouth closed' },
  stop: { name: 'Stop girth', where: 'around the nose leather and lower jaw, mouth relaxed and slightly open' },
};

/** Lengths that are measured beside the girths, each with what a ruler shows. */
export const LENGTH_SITES = ['neck-length', 'coat-depth', 'muzzle-length'] as const;
export type LengthSite = (typeof LENGTH_SITES)[number];

/** Everything that is taped, in the order the hands go. Common practice. */
export const TAPE_SITES = ['high', 'mid', 'base', 'neck-length', 'coat-depth', 'head', 'muzzle', 'stop', 'muzzle-length'] as const;
export type TapeSite = GirthSite | LengthSite;

/** Whether a site is a girth, all round, and not a length. */
export const isGirthSite = (site: TapeSite): site is GirthSite => (GIRTH_SITES as readonly string[]).includes(site);

/** What can be at each site, in mm, both ends included. Girths by the contract, lengths from memory. */
export const POSSIBLE_TAPE_MM: Record<TapeSite, [number, number]> = {
  ...POSSIBLE_GIRTH_MM,
  'neck-length': [30, 600],
  'coat-depth': [0, 80],
  'muzzle-length': [5, 250],
};

/** What each site is called, where it lies, and how to take it with string and ruler. Common practice. */
export const TAPE_SITE_WORDS: Record<TapeSite, { name: string; where: string }> = {
  ...SITE_WORDS,
  'neck-length': { name: 'Neck length', where: 'ear base to shoulder, along the side' },
  'coat-depth': { name: 'Coat depth', where: 'the hair where the collar sits, flattened as a strap would flatten it' },
  'muzzle-length': { name: 'Muzzle length', where: 'from the stop, between the eyes, to the nose leather' },
};
