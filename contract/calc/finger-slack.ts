import { contractSpeaker, fingerSlack as slackOfFingers } from '@banter/core';
import { FingerFields, fingerNotNarrower, NeckGirthMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const FingerSlackRequest = z
  .strictObject({
    girthMm: NeckGirthMm,
    fingers: z.literal([1, 2, 3, 4]),
    ...FingerFields,
    rules: RuleOverrides.optional(),
  })
  .check(fingerNotNarrower);

export const FingerSlackAnswer = z.object({ slackMm: z.number(), reasons: z.array(ReasonShape) });

export const fingerSlack = calculation({
  summary: 'Fingers side by side, flat, under a strap on a round neck: the slack they make.',
  request: FingerSlackRequest,
  answer: FingerSlackAnswer,
  compute: ({ girthMm, fingers, fingerThicknessMm, fingerWidthMm }) => {
    const slackMm = slackOfFingers(girthMm, fingers, { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm });
    const round = fingers === 1 && fingerWidthMm === fingerThicknessMm;
    const speak = contractSpeaker;
    return {
      slackMm,
      reasons: [
        {
          code: round ? 'belt-round-two-circles' : 'hull-round-neck-and-fingers',
          text: `${fingers === 1 ? 'One finger' : `${fingers} fingers`}, ${speak.gap(fingerThicknessMm)} thick and ${speak.gap(fingers * fingerWidthMm)} wide together, lift a strap round a neck of ${speak.girth(girthMm)} by ${speak.gap(slackMm)} of slack.`,
        },
      ],
    };
  },
});
