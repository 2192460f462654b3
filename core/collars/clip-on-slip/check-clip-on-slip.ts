import { withSkinUnder } from '../../check/skin-under.ts';
import type { CheckSpec } from '../../check/check-spec.ts';
import { BREATHING, BREATHING_FAULT, SHARED_STEPS, SITS, SITS_FAULT } from '../../check/shared-questions.ts';
import { spokenSpan } from '../../units/speaker.ts';
import type { ClipOnNumbers, ClipOnOptions } from './fit-clip-on-slip.ts';

/** How a clip-on slip goes on. Common practice. */
export const CLIP_ON_PUT_ON: readonly string[] = [
  'Round the neck, high behind the ears and the jaw, never over the head.',
  'Clip it to the floating ring, and see that the clip has shut.',
  'Slide the ring up until it has a little slack, no more than two fingers.',
  'As a backup it goes below the training collar, on a clip or leash of its own, and hangs slack.',
];

/** Slack that belongs to it: one to two inches; mm. Common practice. */
const SLACK_MM = [25.4, 50.8] as const;

/** What a clip-on slip is looked at for on the dog. Common practice: one to two inches of slack; a backup never tightens. */
export const CLIP_ON_CHECK: CheckSpec<ClipOnNumbers, ClipOnOptions> = withSkinUnder<ClipOnNumbers, ClipOnOptions>({
  questions: [
    BREATHING,
    SITS,
    {
      id: 'clip',
      ask: 'Has the clip shut on the floating ring?',
      how: 'Tug it once against your hand, not against the dog.',
      answers: [
        { value: 'yes', label: 'Shut' },
        { value: 'no', label: 'Not quite' },
      ],
    },
    {
      id: 'gap',
      ask: 'How much slack is left?',
      how: 'From the ring to where it would close.',
      answers: [
        { value: 'closed', label: (speak) => `Under ${speak.gap(SLACK_MM[0])}` },
        { value: 'inside', label: (speak) => spokenSpan(speak.gap(SLACK_MM[0]), speak.gap(SLACK_MM[1])) },
        { value: 'wide', label: (speak) => `Over ${speak.gap(SLACK_MM[1])}` },
      ],
    },
    {
      id: 'loads',
      ask: 'As a backup: does it tighten while the collar above works?',
      how: 'Close that one by hand and watch. Not a backup: it does not.',
      answers: [
        { value: 'no', label: 'It does not' },
        { value: 'yes', label: 'It tightens' },
      ],
    },
  ],
  faults: [
    BREATHING_FAULT,
    { code: 'clip-open', when: (answers) => answers.clip === 'no', verdict: 'adjust', step: 'shut-clip', says: 'A clip that is not shut opens under load.' },
    {
      code: 'loads-too-early',
      when: (answers, { options }) => options.use === 'backup' && answers.loads === 'yes',
      verdict: 'adjust',
      step: 'another-size',
      says: 'A backup must not carry load while the collar above works: it is too short.',
    },
    {
      code: 'backup-too-tight',
      when: (answers, { options }) => options.use === 'backup' && answers.gap !== 'wide',
      verdict: 'adjust',
      step: 'another-size',
      says: 'A backup hangs long enough that it never tightens first; this one is shorter.',
    },
    SITS_FAULT,
  ],
  measure: (answers, { dog, numbers, options }) =>
    options.use === 'backup'
      ? null
      : {
          slack: {
            closed: { lowMm: -Infinity, highMm: SLACK_MM[0] },
            inside: { lowMm: SLACK_MM[0], highMm: SLACK_MM[1] },
            wide: { lowMm: SLACK_MM[1], highMm: Infinity },
          }[answers.gap as 'closed' | 'inside' | 'wide'],
          // Bought at the girth, the floating ring and clip give it an inch and a half of play.
          plannedMm: numbers.lengthMm - dog.hairGirthMm! + 38.1,
          window: { lowMm: SLACK_MM[0], highMm: SLACK_MM[1] },
          tightStep: 'another-size',
          looseStep: 'another-size',
          move: () => null,
        },
  steps: { ...SHARED_STEPS, 'shut-clip': { do: 'Shut the clip', again: true }, 'another-size': { do: 'Take another length', bench: true } },
  good: 'It sits high, the clip is shut, and it has the slack that belongs to it.',
});
