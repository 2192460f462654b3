import { fingerSlack } from '../../measure/finger-slack.ts';
import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { FittingDog } from '../../fit/fitting-dog.ts';
import type { Sizer } from '../../fit/sizer.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { HeadCollarReason } from './head-collar-reasons.ts';
import { sizeHeadCollar } from './size-head-collar.ts';

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
    const slidesOff = noseMm >= size.noseLoopMaxMm - 1e-9;
    const tight = noseMm < dog.muzzleGirthMm! - 1e-9;
    const two = fingerSlack(dog.hairGirthMm!, 2, dog.finger);
    const neckInRange = neckMm >= numbers.neckMinMm - 1e-9 && neckMm <= numbers.neckMaxMm + 1e-9;
    const noseInRange = noseMm >= numbers.noseMinMm - 1e-9 && noseMm <= numbers.noseMaxMm + 1e-9;
    const emptyWindow = size.verdict === 'set-on-the-dog';
    const rows: FitRow[] = [
      {
        what: 'Muzzle, stop to nose',
        measure: gap(dog.muzzleLengthMm!),
        low: gap(rules.flatFaceMm),
        rule: 'shortest muzzle for a head collar',
        tone: flat ? 'stop' : 'good',
      },
      {
        what: 'Nose loop',
        measure: girth(noseMm),
        low: emptyWindow ? undefined : girth(size.noseLoopMinMm),
        high: girth(size.noseLoopMaxMm),
        limit: emptyWindow ? 'no room for a finger: settle it by the slide test' : noseInRange ? undefined : 'outside this collar’s own range',
        rule: 'longer than muzzle and one finger, always shorter than the nose end',
        tone: slidesOff || tight || !noseInRange ? 'stop' : emptyWindow || noseMm < size.noseLoopMinMm - 1e-9 ? 'mind' : 'good',
      },
      {
        what: 'Neck strap',
        measure: girth(neckMm),
        low: girth(numbers.neckMinMm),
        high: girth(numbers.neckMaxMm),
        aim: girth(size.neckStrapMm),
        rule: 'its own range',
        tone: neckInRange ? 'good' : 'stop',
      },
      {
        what: 'Slack for one finger',
        measure: gap(slackMm),
        low: gap(size.neckStrapMm - dog.hairGirthMm!),
        high: gap(two),
        rule: 'high behind the ears, snugger than a flat collar',
        tone: slackMm < 0 ? 'stop' : Math.abs(neckMm - size.neckStrapMm) > 6 ? 'mind' : 'good',
      },
      {
        what: 'Safety strap',
        measure: null,
        limit: 'to the flat collar, under the chin',
        rule: 'always; a must on a tapered muzzle',
        tone: emptyWindow ? 'mind' : 'good',
      },
    ];
    const verdict = flat ? 'no-window' : slidesOff ? 'slides-off' : !neckInRange || !noseInRange || tight ? 'no-size' : emptyWindow ? 'set-on-the-dog' : 'fits';
    return { verdict, rows, reasons: size.reasons };
  },
};
