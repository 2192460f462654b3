import type { ReasonWords } from '../reasons/reason.ts';
import type { NeckBuild } from './neck-build.ts';
import { countWord } from '../units/count-words.ts';

/** Why a taping says what it says. Lengths mm, weights kg. */
export type TapeReason =
  | { code: 'readings-agree'; spreadMm: number; limitMm: number }
  | { code: 'spread-too-large'; spreadMm: number; limitMm: number; oddReadingMm: number | null }
  | { code: 'one-reading'; plusMinusMm: number }
  | { code: 'too-few-readings'; count: number }
  | { code: 'coat-taken-off'; tapedMm: number; coatDepthMm: number; girthMm: number }
  | { code: 'behind-the-ears'; girthMm: number; expectedMm: number; limitMm: number; weightKg: number; build: NeckBuild }
  | { code: 'taken-lower'; girthMm: number; expectedMm: number; limitMm: number; weightKg: number; build: NeckBuild };

export const TAPE_REASON_WORDS: ReasonWords<TapeReason> = {
  'readings-agree': (r, speak) => `The readings lie ${speak.gap(r.spreadMm)} apart, within the ${speak.gap(r.limitMm)} allowed.`,
  'spread-too-large': (r, speak) =>
    `The readings lie ${speak.gap(r.spreadMm)} apart, more than the ${speak.gap(r.limitMm)} allowed: take another` +
    (r.oddReadingMm === null ? '.' : `; ${speak.taped(r.oddReadingMm)} is the odd one.`),
  'one-reading': (r, speak) => `One reading: right to about ${speak.gap(r.plusMinusMm)} either way. Lift the tape and read twice more to be surer.`,
  'too-few-readings': (r) => `${r.count === 2 ? '2 readings' : `Only ${countWord(r.count)}`} always ask for a third: lift the tape and measure again.`,
  'coat-taken-off': (r, speak) =>
    `Skin girth ${speak.taped(r.girthMm)}: taped ${speak.taped(r.tapedMm)} over a coat ${speak.gap(r.coatDepthMm)} deep, less 2π times that depth.`,
  'behind-the-ears': (r, speak) =>
    `Taped behind the ears, as was asked: ${speak.taped(r.girthMm)}, where ${speak.taped(r.expectedMm)} would be expected at ${speak.weight(r.weightKg)}.`,
  'taken-lower': (r, speak) =>
    `Was this taken lower down? ${speak.taped(r.girthMm)} is at least the ${speak.taped(r.limitMm)} that asks; ` +
    `${{ slender: 'a slender', average: 'an average', heavy: 'a heavy' }[r.build]} neck at ${speak.weight(r.weightKg)} is expected near ${speak.taped(r.expectedMm)}.`,
};
