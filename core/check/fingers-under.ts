import { FLAT_HAND_FINGERS, fingerSlack, type Finger } from '../measure/finger-slack.ts';
import type { CheckQuestion } from './check-question.ts';
import type { Setting } from '../fit/sizer.ts';
import type { SlackInterval } from './slack-interval.ts';
import { above, below } from '../units/tolerance.ts';

/** How many fingers go under, laid flat side by side: the most that do. Common practice. */
export const FINGERS_UNDER_ANSWERS = [
  { value: '0', label: 'None' },
  { value: '1', label: 'One' },
  { value: '2', label: 'Two' },
  { value: '3', label: 'Three' },
  { value: '4', label: 'The flat hand' },
] as const;

/** The question about fingers under a strap, by its own words for the place. */
export const fingersUnderQuestion = (id: string, ask: string): CheckQuestion => ({
  id,
  ask,
  how: 'Flat, side by side; the most that go under without forcing.',
  answers: FINGERS_UNDER_ANSWERS,
});

/**
 * «So many fingers go under, one more does not» as an interval of slack in mm on a girth, by the handler's own finger. The flat
 * hand, four fingers, has no upper end. Source: geometry of `fingerSlack`; common practice.
 *
 * @example slackOfFingersUnder(2, 390, finger) // what two make, up to what three make
 */
export function slackOfFingersUnder(count: number, girthMm: number, finger: Finger): SlackInterval {
  return {
    lowMm: count === 0 ? -Infinity : fingerSlack(girthMm, count, finger),
    highMm: count >= FLAT_HAND_FINGERS ? Infinity : fingerSlack(girthMm, count + 1, finger),
  };
}

/**
 * A strap that slides, let out (positive) or taken in by mm, to the whole millimetre; null when that is beyond its shortest or
 * longest setting. `name` is the length of the make-up that is meant.
 */
export function slideStrap(on: Setting, name: string, byMm: number, [shortestMm, longestMm]: [number, number]): Setting | null {
  const setMm = Math.round(on[name]! + byMm);
  return above(setMm, longestMm) || below(setMm, shortestMm) ? null : { ...on, [name]: setMm };
}
