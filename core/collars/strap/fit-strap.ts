import { gap, girth, holdRow, type FitRow } from '../../fit/fit-row.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { backOut } from '../../measure/back-out.ts';
import { FLAT_HAND_FINGERS, fingerSlack } from '../../measure/finger-slack.ts';
import { holdReasons, STRAP_FINGERS, type StrapKind } from './size-strap.ts';
import type { StrapReason } from './strap-reasons.ts';

export const BUCKLES = ['metal tongue', 'metal quick-release', 'plastic'] as const;
export type Buckle = (typeof BUCKLES)[number];

/** A buckled strap by its own numbers; lengths mm. `holePitchMm` null: it slides, without steps. */
export type StrapNumbers = { minMm: number; maxMm: number; widthMm: number; buckle: Buckle; holePitchMm: number | null };
export type StrapOptions = { fingers: 1 | 2 };

/** A strap narrower than this is a tag collar, not for walking a long neck; mm. From memory. */
export const TAG_COLLAR_MM = 14;

/** The girth at a hole, counted from the shortest, to a hundredth of a millimetre; mm. */
export const holeAt = (minMm: number, pitchMm: number, hole: number): number => Math.round((minMm + hole * pitchMm) * 100) / 100;

/** The girths a strap can be set to next to a wanted one: the step below and the step above; mm. Without holes both are the wanted one. */
export function holesAround(numbers: StrapNumbers, wantedMm: number): { tighterMm: number; looserMm: number } {
  const within = (mm: number) => Math.min(numbers.maxMm, Math.max(numbers.minMm, mm));
  if (numbers.holePitchMm === null) return { tighterMm: within(wantedMm), looserMm: within(wantedMm) };
  const steps = (wantedMm - numbers.minMm) / numbers.holePitchMm;
  const last = Math.floor((numbers.maxMm - numbers.minMm) / numbers.holePitchMm + 1e-9);
  const at = (step: number) => holeAt(numbers.minMm, numbers.holePitchMm!, Math.min(last, Math.max(0, step)));
  return { tighterMm: at(Math.floor(steps + 1e-9)), looserMm: at(Math.ceil(steps - 1e-9)) };
}

const room = (dog: FittingDog, fingers: number) => fingerSlack(dog.hairGirthMm!, fingers, dog.finger);

/**
 * Sizing of a buckled strap; it lies on the hair. Set to the girth and its fingers; with holes the nearest one, the tighter of
 * two that are as near, as long as one finger less still goes under. Common practice.
 */
export const strapSizer = (kind: StrapKind): Sizer<StrapNumbers, StrapOptions, StrapReason | BetweenHoles> => ({
  settle: (dog, numbers, { fingers }) => {
    const wantedMm = dog.hairGirthMm! + room(dog, fingers);
    const { tighterMm, looserMm } = holesAround(numbers, wantedMm);
    const leastMm = dog.hairGirthMm! + (fingers > 1 ? room(dog, fingers - 1) : room(dog, 1) / 2);
    const tighter = wantedMm - tighterMm <= looserMm - wantedMm && tighterMm >= leastMm;
    return { setMm: tighter ? tighterMm : looserMm };
  },
  off: (dog, _numbers, setting, { fingers }) => Math.abs(setting.setMm! - dog.hairGirthMm! - room(dog, fingers)),
  judge: (dog, numbers, setting, { fingers }, rules) => {
    const girthMm = dog.hairGirthMm!;
    const setMm = setting.setMm!;
    const slackMm = setMm - girthMm;
    const wantedMm = girthMm + room(dog, fingers);
    const { tighterMm, looserMm } = holesAround(numbers, wantedMm);
    const flatHand = room(dog, FLAT_HAND_FINGERS);
    const inRange = setMm >= numbers.minMm - 1e-9 && setMm <= numbers.maxMm + 1e-9;
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
        rule: 'its own range',
        tone: inRange ? 'good' : 'stop',
      },
      {
        what: fingers === 1 ? 'Slack for one finger' : 'Slack for two fingers',
        measure: gap(slackMm),
        low: gap(room(dog, fingers)),
        high: gap(flatHand),
        limit: slackMm >= flatHand - 1e-9 ? 'the flat hand goes under' : undefined,
        rule: `${fingers === 1 ? 'one finger' : 'two fingers'}, never the flat hand`,
        tone: slackMm < least - 1e-9 || slackMm >= flatHand - 1e-9 ? 'stop' : slackMm < room(dog, fingers) - 2 || slackMm > most ? 'mind' : 'good',
      },
      holdRow(dog.headGirthMm, setMm, rules),
    ];
    if (numbers.buckle === 'plastic')
      rows.push({ what: 'Buckle', measure: null, limit: 'plastic: fails, and is brittle when cold', rule: 'metal tongue over plastic', tone: 'mind' });
    if (kind === 'flat' && dog.neckBuild === 'slender' && numbers.widthMm < TAG_COLLAR_MM)
      rows.push({
        what: 'Width',
        measure: gap(numbers.widthMm),
        low: gap(TAG_COLLAR_MM),
        rule: 'narrow tag collars are not for walking long-necked dogs',
        tone: 'mind',
      });
    const reasons: (StrapReason | BetweenHoles)[] = [{ code: 'set-with-fingers', fingers, slackMm: room(dog, fingers), setMm: wantedMm }];
    if (looserMm - tighterMm > 1)
      reasons.push({ code: 'between-holes', tighterMm, looserMm, tighterSlackMm: tighterMm - girthMm, looserSlackMm: looserMm - girthMm });
    reasons.push(...(held ? holdReasons(held, dog.headGirthMm!, setMm, rules) : [{ code: 'head-not-taped' } as const]));
    const verdict = !inRange
      ? 'no-size'
      : held?.holds === 'no'
        ? 'can-back-out'
        : slackMm < -1e-9
          ? 'presses'
          : slackMm < least - 1e-9
            ? 'tight'
            : slackMm >= flatHand - 1e-9
              ? 'hangs'
              : 'fits';
    return { verdict, rows, reasons };
  },
});

/** Where a hole pitch makes steps, the two holes next to the wanted girth; mm. */
export type BetweenHoles = { code: 'between-holes'; tighterMm: number; looserMm: number; tighterSlackMm: number; looserSlackMm: number };

/** The fingers of a kind, unless the plan says otherwise. */
export const usualFingers = (kind: StrapKind): StrapOptions => ({ fingers: STRAP_FINGERS[kind] });
