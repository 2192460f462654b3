/** How sure a verdict is, for its sign and colour. The shape differs as well as the colour. */
export type VerdictTone = 'good' | 'mind' | 'stop' | 'open';

const TONES: Record<string, VerdictTone> = {
  fits: 'good',
  good: 'good',
  between: 'mind',
  presses: 'mind',
  hangs: 'mind',
  lopsided: 'mind',
  adjust: 'mind',
  unclear: 'mind',
  'wrong-gauge': 'stop',
  overhead: 'stop',
  stop: 'stop',
};

export const toneOf = (verdict: string): VerdictTone => TONES[verdict] ?? 'open';

export const CHECK_WORDS: Record<string, string> = { good: 'Good', adjust: 'Adjust', stop: 'Stop', unclear: 'Look again' };
