import { linkInstruction } from './link-instruction.ts';
import type { ProngCheckResult, CheckStep } from './fit-check.ts';
import type { LinkSplit } from './link-split.ts';

const FIXED: Record<Exclude<CheckStep, 'take-out' | 'put-in' | 'even-out'>, string> = {
  good: 'Good. Leave it as it is.',
  'move-up': 'Move it up, directly behind the ears and the jaw, and check again.',
  'free-ears': 'Free the ears, then check again.',
  'open-it': 'Open it now.',
  'finer-gauge': 'Change to a finer gauge.',
  'change-gauge': 'Change the gauge; links alone will not do.',
  'another-collar': 'Do not use it on this dog: choose another kind of collar.',
  'wear-loose': 'Loose on purpose: wear it so this session, a link tighter next time.',
  'ask-again': 'Look again: two of the answers contradict each other.',
};

/** The next step of a fit check as one sentence. */
export function checkStepSentence(result: Pick<ProngCheckResult, 'step' | 'then'>, on: LinkSplit): string {
  switch (result.step) {
    case 'take-out':
    case 'put-in':
    case 'even-out':
      return linkInstruction(on, result.then);
    default:
      return FIXED[result.step];
  }
}
