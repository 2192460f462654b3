import { CHECK_TONES, type FitTone, type SpecResult } from '@banter/core';

/** How sure a verdict is, for its sign and colour. The shape differs as well as the colour. */
export type VerdictTone = FitTone;

/** How a check's verdict is marked; a plan's is its kind's to say. */
export const checkTone = (verdict: SpecResult['verdict']): VerdictTone => CHECK_TONES[verdict];

export const CHECK_WORDS: Record<SpecResult['verdict'], string> = { good: 'Good', adjust: 'Adjust', stop: 'Stop', unclear: 'Look again' };
