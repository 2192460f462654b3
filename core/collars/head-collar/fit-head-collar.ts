import { fingerSlack } from '../../measure/finger-slack.ts';
import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { Sizer } from '../../fit/sizer.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { HeadCollarReason } from './head-collar-reasons.ts';
import { sizeHeadCollar } from './size-head-collar.ts';
import { atLeast, atMost, below } from '../../units/tolerance.ts';

/** A head collar by its own numbers: the range of its neck strap and of its nose loop; mm. */
export type HeadCollarNumbers = { neckMinMm: number; neckMaxMm: number; noseMinMm: number; noseMaxMm: number; widthMm: number };
export type HeadCollarOptions = Record<never, never>;

const wanted = (dog: FittingDog, rules: HouseRules) =>
  sizeHeadCollar(
    {
      girthMm: dog.hairGirthMm!,
      muzzleGirthMm: dog.muzzleGirthMm!,
      stopGirthMm: dog.stopGirthMm!,
      muzzleLengthMm: dog.muzzleLengthMm!,
      finger: dog.finger,
    },
    rules,
  );
const within = (mm: number, low: number, high: number) => Math.min(high, Math.max(low, mm));

/** Sizing of a head collar: neck strap and nose loop, on the hair. Common practice. */
export const headCollarSizer: Sizer<HeadCollarNumbers, HeadCollarOptions, HeadCollarReason> = {
  settle: (dog, numbers, _options, rules) => {
    const size = wanted(dog, rules);
    return {
      neckMm: within(size.neckStrapMm, numbers.neckMinMm, numbers.neckMaxMm),
      noseMm: within(size.noseLoopMm ?? size.noseLoopMaxMm, numbers.noseMinMm, numbers.noseMaxMm),
    };
  },
  off: (dog, numbers, _setting, _options, rules) => {
    const size = wanted(dog, rules);
    return (
      Math.abs(size.neckStrapMm - (numbers.neckMinMm + numbers.neckMaxMm) / 2) + Math.abs((size.noseLoopMm ?? 0) - (numbers.noseMinMm + numbers.noseMaxMm) / 2)
    );
  },
  judge: (dog, numbers, setting, _options, rules) => {
    const size = wanted(dog, rules);
    const neckMm = setting.neckMm!;
    const noseMm = setting.noseMm!;
    const slackMm = neckMm - dog.hairGirthMm!;
    const flat = size.verdict === 'no-window';
    const slidesOff = atLeast(noseMm, size.noseLoopMaxMm);
    const tight = below(noseMm, dog.muzzleGirthMm!);
    const two = fingerSlack(dog.hairGirthMm!, 2, dog.finger);
    const neckInRange = atLeast(neckMm, numbers.neckMinMm) && atMost(neckMm, numbers.neckMaxMm);
    const noseInRange = atLeast(noseMm, numbers.noseMinMm) && atMost(noseMm, numbers.noseMaxMm);
    const emptyWindow = atLeast(size.noseLoopMinMm, size.noseLoopMaxMm);
    const rows: FitRow[] = [
      {
        what: 'Muzzle, stop to nose',
        measure: gap(dog.muzzleLengthMm!),
        low: gap(rules.flatFaceMm),
        rule: 'flatFaceMm',
        tone: flat ? 'stop' : 'good',
      },
      {
        what: 'Nose loop',
        measure: girth(noseMm),
        low: emptyWindow ? undefined : girth(size.noseLoopMinMm),
        high: girth(size.noseLoopMaxMm),
        limit: flat
          ? 'a flat face'
          : emptyWindow
            ? 'no room for a finger: settle it by the slide test'
            : noseInRange
              ? undefined
              : 'outside this collar’s own range',
        rule: null,
        practice: 'longer than muzzle and one finger, always shorter than the nose end',
        tone: slidesOff || tight || !noseInRange ? 'stop' : emptyWindow || below(noseMm, size.noseLoopMinMm) ? 'mind' : 'good',
      },
      {
        what: 'Neck strap',
        measure: girth(neckMm),
        low: girth(numbers.neckMinMm),
        high: girth(numbers.neckMaxMm),
        aim: girth(size.neckStrapMm),
        rule: null,
        practice: 'its own range',
        tone: neckInRange ? 'good' : 'stop',
      },
      {
        what: 'Slack for one finger',
        measure: gap(slackMm),
        low: gap(size.neckStrapMm - dog.hairGirthMm!),
        high: gap(two),
        rule: null,
        practice: 'high behind the ears, snugger than a flat collar',
        // As hands find it: one finger goes under, and not a second.
        tone: below(slackMm, 0) ? 'stop' : below(neckMm, size.neckStrapMm) || atLeast(slackMm, two) ? 'mind' : 'good',
      },
      {
        what: 'Safety strap',
        measure: null,
        limit: 'to the flat collar, under the chin',
        rule: null,
        practice: 'always; a must on a tapered muzzle',
        tone: emptyWindow ? 'mind' : 'good',
      },
    ];
    const verdict = flat ? 'no-window' : slidesOff ? 'slides-off' : !neckInRange || !noseInRange || tight ? 'no-size' : emptyWindow ? 'set-on-the-dog' : 'fits';
    return { verdict, rows, reasons: size.reasons };
  },
};
