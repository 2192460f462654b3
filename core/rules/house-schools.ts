import { BACKUP_EXTRA_MM, CLIP_ON_USES } from '../collars/clip-on-slip/size-clip-on-slip.ts';
import { MARTINGALE_SCHOOLS } from '../collars/martingale/size-martingale.ts';
import { BETWEEN_SCHOOLS, GAUGE_SCHOOLS, STRONG_DOG_KG } from '../collars/prong/gauge-schools.ts';
import { RING_PLACES } from '../rig/ring-and-side.ts';
import { BETWEEN_SCHOOL_WORDS, GAUGE_SCHOOL_WORDS } from '../collars/prong/school-words.ts';
import { SLIP_SCHOOLS } from '../collars/slip/size-slip.ts';
import { capital } from '../units/sentence-case.ts';
import { spokenSpan, type Speaker } from '../units/speaker.ts';
import type { HouseRules } from './house-rules.ts';
import type { SchoolSide } from './school-side.ts';

/** The schools between which trainers differ, each with its options; the first is a new kennel's. Common practice. */
export const HOUSE_SCHOOL_OPTIONS = {
  gaugeSchool: ['pull-first', ...GAUGE_SCHOOLS.filter((school) => school !== 'pull-first')] as unknown as typeof GAUGE_SCHOOLS,
  betweenSchool: ['finer', ...BETWEEN_SCHOOLS.filter((school) => school !== 'finer')] as unknown as typeof BETWEEN_SCHOOLS,
  startSchool: ['start-fitted', 'start-loose'],
  ringSchool: ['live', 'both'],
  ringPlace: RING_PLACES,
  backupSchool: ['one-backup', 'two-routes'],
  prongForSchool: ['any-size', 'strong-dogs'],
  slipSchool: SLIP_SCHOOLS,
  clipOnUse: CLIP_ON_USES,
  martingaleSchool: MARTINGALE_SCHOOLS,
  placementSchool: ['upper-half', 'clear-of-throat'],
  crateSchool: ['off-in-crate', 'always-on'],
  noseSchool: ['nose-first', 'fit-and-walk'],
  headCollarSchool: ['walking-aid', 'training-collar'],
  reactiveSchool: ['harness', 'high-slip', 'turn-the-head', 'prong-once-taught'],
} as const;

export type HouseSchoolName = keyof typeof HOUSE_SCHOOL_OPTIONS;
export type HouseSchools = { [Name in HouseSchoolName]: (typeof HOUSE_SCHOOL_OPTIONS)[Name][number] };
export const HOUSE_SCHOOL_NAMES = Object.keys(HOUSE_SCHOOL_OPTIONS) as HouseSchoolName[];

/** What a kennel starts with; its people change it whenever they like. */
export const DEFAULT_HOUSE_SCHOOLS = Object.fromEntries(Object.entries(HOUSE_SCHOOL_OPTIONS).map(([name, options]) => [name, options[0]])) as HouseSchools;

export type SchoolWords = { title: string; options: Record<string, SchoolSide> };

/** What each school is about, what its sides are called, and what each says. Common practice. */
export const HOUSE_SCHOOL_WORDS: { [Name in HouseSchoolName]: { title: string; options: Record<HouseSchools[Name], SchoolSide> } } = {
  gaugeSchool: { title: 'Gauge of a prong', options: GAUGE_SCHOOL_WORDS },
  betweenSchool: { title: 'Prong between two sizes', options: BETWEEN_SCHOOL_WORDS },
  startSchool: {
    title: 'First time in a prong',
    options: {
      'start-fitted': { name: 'start fitted', says: 'Fits at once; for the first three days the dog only wears it, without a leash.' },
      'start-loose': { name: 'start loose', says: 'One or two links long at first, a link tighter each session, fitted by about the fourth.' },
    },
  },
  ringSchool: {
    title: 'Ring of a prong',
    options: {
      live: { name: 'live ring', says: 'The leash hand moves further before it closes.' },
      both: { name: 'both rings', says: 'Less travel; firmer, and less told by the arm.' },
    },
  },
  ringPlace: {
    title: 'Where the ring sits',
    options: {
      nape: { name: 'nape', says: 'On top, at 12.' },
      'near-side': { name: 'near side', says: 'Behind the ear nearest the handler.' },
    },
  },
  backupSchool: {
    title: 'Backup of a rig',
    options: {
      'one-backup': {
        name: 'one backup',
        says: 'A rated connection from the dead ring, or a slip below, is enough; what it does not cover is inspected in upkeep.',
      },
      'two-routes': { name: 'two routes', says: 'Nothing may hang on a single part.' },
    },
  },
  prongForSchool: {
    title: 'Which dogs a prong is for',
    options: {
      'any-size': { name: 'any size', says: 'Small ones too, never to overpower.' },
      'strong-dogs': { name: 'strong dogs', says: (_rules, speak) => `Strong dogs from about ${speak.weight(STRONG_DOG_KG)} that outpull their handler.` },
    },
  },
  slipSchool: {
    title: 'Length of a slip',
    options: {
      slack: { name: 'ring gap', says: ({ slipAimMm }, speak) => `Neck and about ${speak.gap(slipAimMm)} between the rings.` },
      'over-the-head': { name: 'over the head', says: 'Just long enough to pass the head, no chain to spare.' },
    },
  },
  clipOnUse: {
    title: 'What a clip-on slip is for',
    options: {
      training: { name: 'training', says: 'Bought at the high girth exactly.' },
      backup: {
        name: 'backup',
        says: (_rules, speak) => `${capital(spokenSpan(speak.gap(BACKUP_EXTRA_MM[0]), speak.gap(BACKUP_EXTRA_MM[1])))} longer, below another collar.`,
      },
    },
  },
  martingaleSchool: {
    title: 'Setting a martingale',
    options: {
      'rings-meet': { name: 'rings meet', says: 'Set to the girth: it holds and never squeezes.' },
      'rings-apart': {
        name: 'rings apart',
        says: ({ ringGapMm }, speak) => `Rings about ${speak.gap(ringGapMm)} apart when pulled: pressure all round, and no backing out.`,
      },
    },
  },
  placementSchool: {
    title: 'Where contacts may sit',
    options: {
      'upper-half': { name: 'upper half', says: 'From 9 over 12 to 3.' },
      'clear-of-throat': { name: 'clear of the throat', says: 'Anywhere but 5 to 7.' },
    },
  },
  crateSchool: {
    title: 'Flat collar in the crate',
    options: {
      'off-in-crate': { name: 'off in the crate', says: 'Nothing round the neck in a crate.' },
      'always-on': { name: 'always on', says: 'Crate too, if it fits and the crate has nothing to catch on.' },
    },
  },
  headCollarSchool: {
    title: 'What a head collar is',
    options: {
      'walking-aid': { name: 'walking aid', says: 'It steers; it does not count as a training collar.' },
      'training-collar': { name: 'training collar', says: 'It counts as one, with its own programme.' },
    },
  },
  reactiveSchool: {
    title: 'Collar of a reactive dog',
    options: {
      harness: { name: 'harness', says: 'A harness; on a long neck a wide-throat collar beside it.' },
      'high-slip': { name: 'clip-on slip', says: 'A clip-on slip, high behind the ears.' },
      'turn-the-head': { name: 'head collar', says: 'A head collar, to turn it away.' },
      'prong-once-taught': { name: 'prong once taught', says: 'A prong, once it is taught away from other dogs.' },
    },
  },
  noseSchool: {
    title: 'First time in a head collar',
    options: {
      'nose-first': { name: 'nose first', says: 'Food through the nose loop, seconds, then minutes; fussing means back one stage.' },
      'fit-and-walk': { name: 'fit and walk', says: 'Fitted at once, and walked on; a slow lift at each pawing, released when it stops.' },
    },
  },
};

/** The defaults with a kennel's or a dog's own schools laid over them. */
export function houseSchools(own: Partial<HouseSchools> = {}): HouseSchools {
  const given = Object.entries(own).filter(([, value]) => value !== undefined);
  return { ...DEFAULT_HOUSE_SCHOOLS, ...Object.fromEntries(given) } as HouseSchools;
}

/** What one side of a school is called. */
export const schoolName = (school: HouseSchoolName, side: string): string => sideOf(school, side).name;

/** What one side of a school says, by the limits of the house and in the units of whoever reads it. */
export function schoolSays(school: HouseSchoolName, side: string, rules: HouseRules, speak: Speaker): string {
  const { says } = sideOf(school, side);
  return typeof says === 'string' ? says : says(rules, speak);
}

const sideOf = (school: HouseSchoolName, side: string): SchoolSide => (HOUSE_SCHOOL_WORDS[school] as SchoolWords).options[side]!;

/** The sides of a school as answers to choose from. */
export const schoolAnswers = (school: HouseSchoolName): { value: string; label: string }[] =>
  HOUSE_SCHOOL_OPTIONS[school].map((value) => ({ value, label: schoolName(school, value) }));
