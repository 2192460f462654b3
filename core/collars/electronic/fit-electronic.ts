import { fingerSlack } from '../../measure/finger-slack.ts';
import { gap, girth, type FitRow } from '../../fit/fit-row.ts';
import type { Sizer } from '../../fit/sizer.ts';
import { clearOfWindpipe, placeInSchool, type PlacementSchool } from '../../neck/contact-place.ts';
import type { ReasonWords } from '../../reasons/reason.ts';
import { percent } from '../../units/percent.ts';
import { CONTACT_REASON_WORDS, contactPosts, type ContactReason } from './contact-posts.ts';
import { above, atLeast, atMost, below } from '../../units/tolerance.ts';

export const STIMULATION_MODES = ['momentary', 'continuous', 'tone', 'vibration'] as const;
export type StimulationMode = (typeof STIMULATION_MODES)[number];

/** A receiver's profile: its level scale, modes, mass in g, and in mm its footprint, contact spacing, posts and strap range. */
export type ElectronicNumbers = {
  scaleMin: number;
  scaleMax: number;
  scaleStep: number;
  /** The first level that does anything; null: the first step over nothing. */
  firstStep?: number | null;
  modes: StimulationMode[];
  massG: number;
  footprintMm: number;
  spacingMm: number;
  postsMm: number[];
  strapMinMm: number;
  strapMaxMm: number;
};
export type ElectronicOptions = { placement: PlacementSchool };

/** A receiver reaches this far down the neck, and its strap is this wide, mm. From memory. */
export const RECEIVER_WIDTH_MM = 34;
export const RECEIVER_STRAP_MM = 19;

export type ElectronicReason =
  | ContactReason
  | { code: 'coat-not-taped' }
  | { code: 'over-the-windpipe'; overMm: number }
  | { code: 'clear-of-windpipe'; clearMm: number }
  | { code: 'outside-school'; clock: number }
  | { code: 'heavy-receiver'; massG: number; ratio: number; limitRatio: number }
  | { code: 'two-fingers'; strapMm: number };

export const ELECTRONIC_REASON_WORDS: ReasonWords<ElectronicReason> = {
  ...CONTACT_REASON_WORDS,
  'coat-not-taped': () => 'The coat’s depth is not taped, so which post reaches the skin is not known.',
  'over-the-windpipe': (r, speak) => `Here the receiver lies ${speak.gap(r.overMm)} over the windpipe: never there.`,
  'clear-of-windpipe': (r, speak) => `The receiver’s edge stays ${speak.gap(r.clearMm)} clear of the windpipe.`,
  'outside-school': (r) => `This house does not put contacts at ${r.clock}.`,
  'heavy-receiver': (r, speak) => `${speak.mass(r.massG)} is ${percent(r.ratio)} of the dog, over the ${percent(r.limitRatio)} allowed.`,
  'two-fingers': (r, speak) => `Set to ${speak.taped(r.strapMm)} two fingers still go under, and the skin moves with the receiver.`,
};

/** The place to begin with: on the muscle at the side, 3 before 9. Common practice. */
const FIRST_CLOCK = 3;

/** Sizing of a remote or location-fence collar: strap on the hair, posts through it, place on the clock. Common practice. */
export const electronicSizer: Sizer<ElectronicNumbers, ElectronicOptions, ElectronicReason> = {
  settle: (dog, numbers, _options, rules) => ({
    strapMm: Math.min(numbers.strapMaxMm, Math.max(numbers.strapMinMm, dog.hairGirthMm! + fingerSlack(dog.hairGirthMm!, 2, dog.finger))),
    postMm: contactPosts(dog.coatDepthMm ?? 0, numbers.postsMm, rules).postMm ?? Math.max(...numbers.postsMm),
    clock: FIRST_CLOCK,
  }),
  off: (dog, numbers) => numbers.massG / Math.max(1, dog.weightKg ?? 1),
  judge: (dog, numbers, setting, { placement }, rules) => {
    const girthMm = dog.hairGirthMm!;
    const { strapMm, postMm, clock } = setting as { strapMm: number; postMm: number; clock: number };
    const posts = dog.coatDepthMm === null ? null : contactPosts(dog.coatDepthMm, numbers.postsMm, rules);
    const clearMm = clearOfWindpipe(clock, girthMm, numbers.footprintMm);
    const inSchool = placeInSchool(clock, placement);
    const inRange = atLeast(strapMm, numbers.strapMinMm) && atMost(strapMm, numbers.strapMaxMm);
    const two = fingerSlack(girthMm, 2, dog.finger);
    const three = fingerSlack(girthMm, 3, dog.finger);
    const slackMm = strapMm - girthMm;
    const reaches = posts !== null && atLeast(postMm, dog.coatDepthMm! + rules.postClearanceMm);
    const rows: FitRow[] = [
      {
        what: 'Post through the coat',
        measure: gap(postMm),
        low: dog.coatDepthMm === null ? undefined : gap(dog.coatDepthMm + rules.postClearanceMm),
        limit: dog.coatDepthMm === null ? 'coat not taped' : undefined,
        rule: 'postClearanceMm',
        tone: posts === null ? 'open' : reaches ? 'good' : 'stop',
      },
      {
        what: 'Slack for two fingers',
        measure: gap(slackMm),
        low: gap(two),
        high: gap(three),
        aim: gap(two),
        rule: null,
        practice: 'the skin moves with the receiver, two fingers go under',
        // As hands find it: two go under, and not a third.
        tone: below(slackMm, 0) || atLeast(slackMm, three) ? 'stop' : below(slackMm, two) ? 'mind' : 'good',
      },
      {
        what: 'Strap',
        measure: girth(strapMm),
        low: girth(numbers.strapMinMm),
        high: girth(numbers.strapMaxMm),
        rule: null,
        practice: 'its own range',
        tone: inRange ? 'good' : 'stop',
      },
      {
        what: `Clear of the windpipe, at ${clock}`,
        measure: gap(clearMm),
        low: gap(0),
        rule: null,
        practice: 'no part of the receiver over 5 to 7',
        tone: below(clearMm, 0) ? 'stop' : inSchool ? 'good' : 'mind',
        limit: inSchool ? undefined : 'outside the house’s school',
      },
    ];
    const massRatio = dog.weightKg === null ? null : numbers.massG / (1000 * dog.weightKg);
    rows.push({
      what: 'Receiver',
      measure: { as: 'mass', g: numbers.massG },
      high: dog.weightKg === null ? undefined : { as: 'mass', g: rules.receiverMassRatio * 1000 * dog.weightKg },
      limit: massRatio === null ? 'dog not weighed' : undefined,
      rule: 'receiverMassRatio',
      tone: massRatio === null ? 'open' : above(massRatio, rules.receiverMassRatio) ? 'mind' : 'good',
    });
    const reasons: ElectronicReason[] = [
      ...(posts ? posts.reasons : [{ code: 'coat-not-taped' } as const]),
      below(clearMm, 0) ? { code: 'over-the-windpipe', overMm: -clearMm } : { code: 'clear-of-windpipe', clearMm },
      ...(inSchool ? [] : [{ code: 'outside-school', clock } as const]),
      ...(massRatio !== null && above(massRatio, rules.receiverMassRatio)
        ? [{ code: 'heavy-receiver', massG: numbers.massG, ratio: massRatio, limitRatio: rules.receiverMassRatio } as const]
        : []),
      { code: 'two-fingers', strapMm },
    ];
    const verdict = below(clearMm, 0)
      ? 'over-windpipe'
      : posts !== null && !reaches
        ? 'too-short'
        : !inRange
          ? 'no-size'
          : slackMm > three
            ? 'hangs'
            : slackMm < 0
              ? 'presses'
              : 'fits';
    return { verdict, rows, reasons };
  },
};
