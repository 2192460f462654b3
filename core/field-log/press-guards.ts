import { clockWords } from '../contacts/rotation-reasons.ts';
import { SKIN_GRADE_WORDS, type SkinGrade } from '../standing/skin-standing.ts';
import type { FitTone } from '../fit/fit-row.ts';
import { levelWords } from '../levels/level-words.ts';
import type { LevelScale } from '../levels/staircase.ts';
import { NOT_YET_WORDS } from '../programme/stage.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import { speakHours } from '../units/speak-hours.ts';
import { countOf } from '../units/count-words.ts';
import { above, isWhole, wholeAbove } from '../units/tolerance.ts';
import type { HouseRules } from '../rules/house-rules.ts';

/** What is known of a device on a dog before a press; null wherever nothing has been told. */
export type PressFacts = {
  scale: LevelScale;
  /** Lowest level that was too much for this dog on this device (measured), and the highest its trainer permits (decided). */
  ceiling: number | null;
  cap: number | null;
  /** The working level here, or what was last needed here. */
  usual: number | null;
  /** What the latest session needed here that fell under no alarm. */
  lastNeeded: number | null;
  /** The level needed here has risen by so much since a day, and nobody has felt the contact since. */
  alarm: { by: number; since: string } | null;
  isWorn: boolean;
  /** Whether the contacts were felt to touch since it was put on or moved; null: not looked. */
  contactMade: boolean | null;
  triedToday: boolean;
  /** Hours in the present place, and how many it may be there. */
  hoursInPlace: number | null;
  moveByHours: number;
  /** A place that forbids the collar, by clock and grade; grade 1 only where the contacts sit. */
  skin: { clock: number; grade: SkinGrade } | null;
  percent: number | null;
  lockedOut: boolean;
  /** The stage that this dog is in and in which nothing is pressed yet; null: there is none. */
  unpressedStage: string | null;
};

/** Anything against a press, before it is logged. */
export type PressGuard =
  | { code: 'off-scale'; level: number; scale: LevelScale }
  | { code: 'at-ceiling'; level: number; ceiling: number }
  | { code: 'above-cap'; level: number; cap: number }
  | { code: 'skin-off'; clock: number; grade: SkinGrade }
  | { code: 'place-pink'; clock: number }
  | { code: 'not-worn' }
  | { code: 'contact-lost' }
  | { code: 'contact-unknown' }
  | { code: 'not-tried' }
  | { code: 'wear-over'; hours: number; moveByHours: number }
  | { code: 'battery-flat' }
  | { code: 'locked-out' }
  | { code: 'more-than-usual'; level: number; usual: number }
  | { code: 'level-jump'; level: number; lastNeeded: number; steps: number }
  | { code: 'level-alarm'; by: number; since: string }
  | { code: 'stage-not-yet'; stage: string };

export const PRESS_GUARD_TONES: Record<PressGuard['code'], Extract<FitTone, 'stop' | 'mind'>> = {
  'off-scale': 'stop',
  'at-ceiling': 'stop',
  'above-cap': 'stop',
  'skin-off': 'stop',
  'place-pink': 'mind',
  'not-worn': 'mind',
  'contact-lost': 'stop',
  'contact-unknown': 'mind',
  'not-tried': 'mind',
  'wear-over': 'mind',
  'battery-flat': 'mind',
  'locked-out': 'mind',
  'more-than-usual': 'mind',
  'level-jump': 'mind',
  'level-alarm': 'mind',
  'stage-not-yet': 'mind',
};

/** What is asked about before a press is logged: a tap says that it is meant. */
export const ASKED_GUARDS: ReadonlySet<PressGuard['code']> = new Set(['level-jump', 'level-alarm', 'contact-unknown', 'stage-not-yet']);

export const PRESS_GUARD_WORDS: ReasonWords<PressGuard> = {
  'off-scale': (r) =>
    `${levelWords(r.level)} is not on this device’s scale: it goes from ${levelWords(r.scale.min)} to ${levelWords(r.scale.max)} in steps of ${levelWords(r.scale.step)}.`,
  'at-ceiling': (r) => `${levelWords(r.ceiling)} was too much for this dog: ${levelWords(r.level)} is not pressed.`,
  'above-cap': (r) => `The cap for this dog is ${levelWords(r.cap)}: ${levelWords(r.level)} is above it.`,
  'skin-off': (r) => `The skin at ${clockWords(r.clock)} is ${SKIN_GRADE_WORDS[r.grade]}: the collar stays off, and a vet is asked.`,
  'place-pink': (r) => `The contacts sit at ${clockWords(r.clock)}, which is pink: move them first.`,
  'not-worn': () => 'Not logged as on the dog.',
  'contact-lost': () => 'The contacts did not touch when last felt: strap, hair and posts first.',
  'contact-unknown': () => 'Contact has not been felt since it went on: feel it first.',
  'not-tried': () => 'It has not been tried at the lowest level today.',
  'wear-over': (r) => `It has sat in one place for ${speakHours(r.hours)}; after ${speakHours(r.moveByHours)} it is moved.`,
  'battery-flat': () => 'The battery is flat.',
  'locked-out': () => 'The receiver has locked itself after a long press.',
  'level-jump': (r) =>
    `${levelWords(r.level)} is ${countOf(r.steps, 'step')} over ${levelWords(r.lastNeeded)}, last needed here. Feel the contact first: a jump is more often a contact that fails.`,
  'level-alarm': (r) => `The level needed here rose by ${levelWords(r.by)} since ${r.since}, and nobody has felt the contact since. Feel it first.`,
  'stage-not-yet': (r) => NOT_YET_WORDS.press(r.stage),
  'more-than-usual': (r) =>
    `${levelWords(r.usual)} is what this dog needs here. Needs it more today? First the contact, then skin and place, then the battery, then what distracts it.`,
};

/**
 * Anything against pressing a level now, the gravest first; nothing where all is known and well. It says what to look at,
 * never to go higher: more than usual is answered with contact, skin and place, battery, distraction, in that order.
 * Common practice: a loose collar is the commonest fault. Steps within rounding of the scale are on it.
 */
export function pressGuards(level: number, facts: PressFacts, rules: Pick<HouseRules, 'levelJumpSteps'>): PressGuard[] {
  const guards: PressGuard[] = [];
  const { scale, ceiling, cap, usual, skin } = facts;
  const steps = (level - scale.min) / scale.step;
  if (!(level >= scale.min && level <= scale.max) || !isWhole(steps)) guards.push({ code: 'off-scale', level, scale });
  if (skin && skin.grade >= 2) guards.push({ code: 'skin-off', clock: skin.clock, grade: skin.grade });
  if (ceiling !== null && level >= ceiling) guards.push({ code: 'at-ceiling', level, ceiling });
  if (cap !== null && level > cap) guards.push({ code: 'above-cap', level, cap });
  if (facts.contactMade === false) guards.push({ code: 'contact-lost' });
  if (!facts.isWorn) guards.push({ code: 'not-worn' });
  if (facts.unpressedStage !== null) guards.push({ code: 'stage-not-yet', stage: facts.unpressedStage });
  if (facts.contactMade === null) guards.push({ code: 'contact-unknown' });
  if (facts.alarm) guards.push({ code: 'level-alarm', ...facts.alarm });
  const jump = facts.lastNeeded === null ? 0 : (level - facts.lastNeeded) / scale.step;
  if (facts.lastNeeded !== null && above(jump, rules.levelJumpSteps))
    guards.push({ code: 'level-jump', level, lastNeeded: facts.lastNeeded, steps: wholeAbove(jump) });
  else if (usual !== null && level > usual) guards.push({ code: 'more-than-usual', level, usual });
  if (skin && skin.grade === 1) guards.push({ code: 'place-pink', clock: skin.clock });
  if (facts.hoursInPlace !== null && facts.hoursInPlace >= facts.moveByHours)
    guards.push({ code: 'wear-over', hours: facts.hoursInPlace, moveByHours: facts.moveByHours });
  if (facts.percent === 0) guards.push({ code: 'battery-flat' });
  if (facts.lockedOut) guards.push({ code: 'locked-out' });
  if (!facts.triedToday) guards.push({ code: 'not-tried' });
  return guards;
}

/** The questions when a dog needs more than usual, in the order in which they are asked; `mend` is what is done once it was found. Common practice. */
export const MORE_STEPS = {
  contact: {
    does: 'Check the contact',
    good: 'Contact good',
    bad: 'No contact',
    asks: 'Do both contacts touch the skin?',
    how: 'Push the receiver: the skin moves with it, and two fingers still go under. Part the hair, wiggle it past the last hairs.',
    found: 'Contact was the cause',
    mend: 'Mend the contact',
  },
  skin: {
    does: 'Check skin and place',
    good: 'Skin and place good',
    bad: 'Skin or place was it',
    asks: 'Are skin and place good?',
    how: 'Look under it: clear skin, on the muscle at the side, never on the windpipe.',
    found: 'Skin or place was the cause',
    mend: 'Give it another place',
  },
  battery: {
    does: 'Check the battery',
    good: 'Charged, it answers',
    bad: 'The battery was it',
    asks: 'Is it charged, and does it answer?',
    how: 'The light tells. Try it at the lowest level in the hand.',
    found: 'The battery was the cause',
    mend: 'Charge the battery',
  },
  distraction: {
    does: 'Check what distracts it',
    good: 'No more than usual',
    bad: 'It was distracted',
    asks: 'Is there more to distract it here?',
    how: 'Go further off, or to an easier setting, and work there at the level it knows.',
    found: 'It was distracted',
    mend: 'Work where less distracts it',
  },
} as const;
