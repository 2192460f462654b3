import { gap, girth, holdRow, type FitRow, type FitTone } from '../../fit/fit-row.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { backOut } from '../../measure/back-out.ts';
import { FLAT_HAND_FINGERS, fingerSlack } from '../../measure/finger-slack.ts';
import { holdReasons } from './size-strap.ts';
import type { StrapReason } from './strap-reasons.ts';
import { atLeast, atMost, below, wholeAbove, wholeBelow } from '../../units/tolerance.ts';

export const BUCKLES = ['metal tongue', 'metal quick-release', 'plastic'] as const;
export type Buckle = (typeof BUCKLES)[number];

/** A buckled strap by its own numbers; lengths mm. `holePitchMm` null: it slides, without steps. */
export type StrapNumbers = { minMm: number; maxMm: number; widthMm: number; buckle: Buckle; holePitchMm: number | null };
/** What a flat collar is for: it trains, is the safety partner of the others, or only carries a tag. Common practice. */
export const STRAP_ROLES = ['training', 'safety', 'tag'] as const;
export type StrapRole = (typeof STRAP_ROLES)[number];
export type StrapOptions = { fingers: 1 | 2; role?: StrapRole };

/** A strap narrower than this is a tag collar, not for walking a long neck; mm. From memory. */
export const TAG_COLLAR_MM = 14;

/** The girth at a hole, counted from the shortest, to a hundredth of a millimetre; mm. */
export const holeAt = (minMm: number, pitchMm: number, hole: number): number => Math.round((minMm + hole * pitchMm) * 100) / 100;

/** The girths a strap can be set to next to a wanted one: the step below and the step above; mm. Without holes both are the wanted one. */
export function holesAround(numbers: StrapNumbers, wantedMm: number): { tighterMm: number; looserMm: number } {
  const within = (mm: number) => Math.min(numbers.maxMm, Math.max(numbers.minMm, mm));
  if (numbers.holePitchMm === null) return { tighterMm: within(wantedMm), looserMm: within(wantedMm) };
  const steps = (wantedMm - numbers.minMm) / numbers.holePitchMm;
  const last = wholeBelow((numbers.maxMm - numbers.minMm) / numbers.holePitchMm);
  const at = (step: number) => holeAt(numbers.minMm, numbers.holePitchMm!, Math.min(last, Math.max(0, step)));
  return { tighterMm: at(wholeBelow(steps)), looserMm: at(wholeAbove(steps)) };
}

const room = (dog: FittingDog, fingers: number) => fingerSlack(dog.hairGirthMm!, fingers, dog.finger);

/** How a kind of strap is settled, and whether it is for walking: at the nearest hole, or the tightest that still passes its finger. */
export type OwnStrapSizing = { settles: 'nearest' | 'tightest'; forWalking: boolean };

/** Tighter than a finger less, or open to the flat hand, is a stop; good is what hands find good, its fingers and not one more; a tag collar may hang. All mm. */
function slackTone(by: { slackMm: number; least: number; wanted: number; most: number; flatHand: number }, role: StrapRole): FitTone {
  const { slackMm, least, wanted, most, flatHand } = by;
  if (below(slackMm, least)) return 'stop';
  if (role === 'tag') return 'good';
  if (atLeast(slackMm, flatHand)) return 'stop';
  return below(slackMm, wanted) || atLeast(slackMm, most) ? 'mind' : 'good';
}

/**
 * Sizing of a buckled strap; it lies on the hair. Set to the girth and its fingers; with holes the nearest one, the tighter of
 * two that are as near, as long as one finger less still goes under; one that must not come over the ears at the tightest hole that
 * passes its finger. Common practice.
 */
export const strapSizer = ({ settles, forWalking }: OwnStrapSizing): Sizer<StrapNumbers, StrapOptions, StrapReason | BetweenHoles> => ({
  settle: (dog, numbers, { fingers }) => {
    const wantedMm = dog.hairGirthMm! + room(dog, fingers);
    const { tighterMm, looserMm } = holesAround(numbers, wantedMm);
    if (settles === 'tightest') return { setMm: looserMm };
    const leastMm = dog.hairGirthMm! + (fingers > 1 ? room(dog, fingers - 1) : room(dog, 1) / 2);
    const tighter = wantedMm - tighterMm <= looserMm - wantedMm && tighterMm >= leastMm;
    return { setMm: tighter ? tighterMm : looserMm };
  },
  off: (dog, _numbers, setting, { fingers }) => Math.abs(setting.setMm! - dog.hairGirthMm! - room(dog, fingers)),
  judge: (dog, numbers, setting, { fingers, role = 'training' }, rules) => {
    const girthMm = dog.hairGirthMm!;
    const setMm = setting.setMm!;
    const slackMm = setMm - girthMm;
    const wantedMm = girthMm + room(dog, fingers);
    const { tighterMm, looserMm } = holesAround(numbers, wantedMm);
    const flatHand = room(dog, FLAT_HAND_FINGERS);
    const inRange = atLeast(setMm, numbers.minMm) && atMost(setMm, numbers.maxMm);
    const least = fingers > 1 ? room(dog, fingers - 1) : 0;
    const most = room(dog, fingers + 1);
    const held = dog.headGirthMm === null ? null : backOut(dog.headGirthMm, setMm, rules);
    const rows: FitRow[] = [
      {
        what: 'Set to',
        measure: girth(setMm),
        low: girth(numbers.minMm),
        high: girth(numbers.maxMm),
        aim: girth(wantedMm),
        rule: null,
        practice: 'its own range',
        tone: inRange ? 'good' : 'stop',
      },
      {
        what: fingers === 1 ? 'Slack for one finger' : 'Slack for two fingers',
        measure: gap(slackMm),
        low: gap(room(dog, fingers)),
        high: gap(flatHand),
        limit: atLeast(slackMm, flatHand) ? 'the flat hand goes under' : undefined,
        rule: null,
        practice: `${fingers === 1 ? 'one finger' : 'two fingers'}, never the flat hand`,
        tone: slackTone({ slackMm, least, wanted: room(dog, fingers), most, flatHand }, role),
      },
    ];
    // What only carries a tag holds nothing.
    if (role !== 'tag') rows.push(holdRow(dog.headGirthMm, setMm, rules));
    if (numbers.buckle === 'plastic')
      rows.push({
        what: 'Buckle',
        measure: null,
        limit: 'plastic: fails, and is brittle when cold',
        rule: null,
        practice: 'metal tongue over plastic',
        tone: 'mind',
      });
    if (forWalking && role !== 'tag' && dog.neckBuild === 'slender' && numbers.widthMm < TAG_COLLAR_MM)
      rows.push({
        what: 'Width',
        measure: gap(numbers.widthMm),
        low: gap(TAG_COLLAR_MM),
        rule: null,
        practice: 'narrow tag collars are not for walking long-necked dogs',
        tone: 'mind',
      });
    const reasons: (StrapReason | BetweenHoles)[] = [{ code: 'set-with-fingers', fingers, slackMm: room(dog, fingers), setMm: wantedMm }];
    if (looserMm - tighterMm > 1)
      reasons.push({ code: 'between-holes', tighterMm, looserMm, tighterSlackMm: tighterMm - girthMm, looserSlackMm: looserMm - girthMm });
    reasons.push(...(held ? holdReasons(held, dog.headGirthMm!, setMm, rules) : [{ code: 'head-not-taped' } as const]));
    const verdict = !inRange
      ? 'no-size'
      : held?.holds === 'no' && role !== 'tag'
        ? 'can-back-out'
        : below(slackMm, 0)
          ? 'presses'
          : below(slackMm, least)
            ? 'tight'
            : atLeast(slackMm, flatHand) && role !== 'tag'
              ? 'hangs'
              : 'fits';
    return { verdict, rows, reasons };
  },
});

/** Where a hole pitch makes steps, the two holes next to the wanted girth; mm. */
export type BetweenHoles = { code: 'between-holes'; tighterMm: number; looserMm: number; tighterSlackMm: number; looserSlackMm: number };
