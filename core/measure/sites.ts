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
