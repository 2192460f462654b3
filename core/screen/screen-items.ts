import type { Hazard } from './hazards.ts';

/** How far an item goes: nothing, a caution beside the work, a vet asked first, or a stop. */
export const SCREEN_LEVELS = ['none', 'caution', 'ask-vet', 'stop'] as const;
export type ScreenLevel = (typeof SCREEN_LEVELS)[number];
export const SCREEN_LEVEL_WORDS: Record<ScreenLevel, string> = { none: 'nothing', caution: 'caution', 'ask-vet': 'ask a vet', stop: 'stop' };

export type ScreenLevels = Partial<Record<Hazard, ScreenLevel>>;

/** One question asked of a dog before a collar is chosen (its name, with a question mark), and what a «yes» means for each hazard, unless the house says otherwise. */
export type ScreenItem = { id: string; name: string; why: string; levels: ScreenLevels };

/** The questions of screening. The items are common practice; which level each hazard gets is from memory, and the house's to change. */
export const SCREEN_ITEMS = [
  {
    id: 'windpipe',
    name: 'Windpipe or neck disease',
    why: 'Coughing on the leash, a collapsing windpipe, a bad disc.',
    levels: { pinch: 'stop', closes: 'stop', 'neck-load': 'ask-vet', 'nose-loop': 'ask-vet', stimulates: 'ask-vet' },
  },
  {
    id: 'flat-face',
    name: 'Flat face',
    why: 'No nose for a loop, and breathing that bears no pressure on the neck.',
    levels: { 'nose-loop': 'stop', pinch: 'stop', closes: 'stop', 'neck-load': 'caution', stimulates: 'ask-vet' },
  },
  {
    id: 'toy-throat',
    name: 'Toy breed throat',
    why: 'Small windpipes collapse easily.',
    levels: { closes: 'stop', pinch: 'caution', 'neck-load': 'caution', stimulates: 'ask-vet' },
  },
  {
    id: 'eye-pressure',
    name: 'Raised eye pressure, or eyes that stand out',
    why: 'Pressure on the neck raises it further.',
    levels: { closes: 'stop', pinch: 'ask-vet', 'neck-load': 'ask-vet', 'nose-loop': 'caution' },
  },
  { id: 'pregnant', name: 'Pregnant or nursing', why: 'No time for pressure.', levels: { pinch: 'stop', stimulates: 'stop', closes: 'ask-vet' } },
  { id: 'heart', name: 'Heart disease', why: 'Startle and strain are not for this dog.', levels: { stimulates: 'stop', pinch: 'ask-vet', closes: 'ask-vet' } },
  {
    id: 'skin',
    name: 'Sore or broken skin where it would sit',
    why: 'Nothing goes on it until it has healed.',
    levels: { pinch: 'stop', contacts: 'stop', closes: 'caution', 'neck-load': 'caution' },
  },
  { id: 'deaf', name: 'Deaf', why: 'It does not hear the warning of chain or tone.', levels: { 'warns-by-sound': 'caution', stimulates: 'caution' } },
  {
    id: 'under-six-months',
    // How old that is, is a house rule (`pupDays`).
    name: 'Still a pup',
    why: 'Too young for a pinch or stimulation.',
    levels: { pinch: 'stop', stimulates: 'stop' },
  },
  {
    id: 'collar-fear',
    name: 'Fear or aggression tied to pressure at the collar',
    why: 'A pinch during a greeting can be taken for a bite.',
    levels: { pinch: 'stop', stimulates: 'stop', closes: 'ask-vet', 'neck-load': 'caution', 'nose-loop': 'caution' },
  },
] as const satisfies readonly ScreenItem[];

export type ScreenItemId = (typeof SCREEN_ITEMS)[number]['id'];
export const SCREEN_ITEM_IDS = SCREEN_ITEMS.map(({ id }) => id) as [ScreenItemId, ...ScreenItemId[]];

/** A house's own levels, laid over those of the items. */
export type HouseScreen = Partial<Record<ScreenItemId, ScreenLevels>>;

/** The level of an item for a hazard in a house. */
export function levelOf(id: ScreenItemId, hazard: Hazard, house: HouseScreen): ScreenLevel {
  const item: ScreenItem = SCREEN_ITEMS.find((one) => one.id === id)!;
  return house[id]?.[hazard] ?? item.levels[hazard] ?? 'none';
}
